<script setup lang="ts">
import { onMounted } from 'vue'

import { pageOf } from './frame/pageOf'
import { useHeldFocus } from './frame/useHeldFocus'
import { useShop } from './job/useShop'

const { load } = useShop()
onMounted(load)
useHeldFocus()
</script>

<template>
  <v-app>
    <router-view v-slot="{ Component, route }">
      <component :is="Component" :key="pageOf(route.params.id)" />
    </router-view>
  </v-app>
</template>
