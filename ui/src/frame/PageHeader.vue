<script setup lang="ts">
import { mdiKeyboardOutline, mdiLightbulbOutline } from '@mdi/js'
import { ref } from 'vue'

import BrandMark from './BrandMark.vue'
import ShortcutSheet from './ShortcutSheet.vue'
import UnitSwitch from './UnitSwitch.vue'
import { useKeys } from './useKeys'
import { useLamp } from './theme'

/** The head of every page that is no job. */
const keys = ref(false)
const { lamp } = useLamp()
useKeys({ '?': () => (keys.value = true) })
</script>

<template>
  <header>
    <BrandMark />
    <slot />
    <span class="tools">
      <router-link class="to" to="/">Jobs</router-link>
      <router-link class="to" to="/shelf" data-test="to-shelf">Shelf</router-link>
      <router-link class="to" to="/rules" data-test="to-rules">Rules</router-link>
      <router-link class="to" to="/backups" data-test="to-backups">Backups</router-link>
      <router-link class="to" to="/help" data-test="to-help">Help</router-link>
      <UnitSwitch />
      <v-btn :icon="mdiLightbulbOutline" density="comfortable" aria-label="Light or dark" @click="lamp" />
      <v-btn :icon="mdiKeyboardOutline" density="comfortable" aria-label="Keys" @click="keys = true" />
    </span>
    <ShortcutSheet v-model="keys" />
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 var(--gap);
  padding: var(--near) var(--edge) 0;
}
.tools {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 0 var(--near);
}
.to {
  padding: 8px 6px;
  font-weight: 600;
  text-decoration: none;
}
.to:hover,
.to.router-link-exact-active {
  text-decoration: underline;
  text-underline-offset: 4px;
}
</style>
