<script setup lang="ts">
import { onMounted } from 'vue'

import { useHeldFocus } from './frame/useHeldFocus'
import { useShop } from './job/useShop'

const { load } = useShop()
onMounted(load)
useHeldFocus()
</script>

<template>
  <v-app>
    <router-view />
  </v-app>
</template>
