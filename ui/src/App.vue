<script setup lang="ts">
import { onMounted } from 'vue'

import { useShop } from './job/useShop'

const { load } = useShop()
onMounted(load)
</script>

<template>
  <v-app>
    <router-view />
  </v-app>
</template>
