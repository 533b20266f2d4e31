<script setup lang="ts">
import { computed } from 'vue'

import type { Face } from '../api/client'
import { nameOf } from './faces'

/** The patterns of the papers of one drawing, each on its colour. */
const props = defineProps<{ faces: Face[] }>()

const needed = computed(() => {
  const list = new Map<string, Face>()
  for (const f of props.faces) if (f.pattern && f.pattern !== 'plain') list.set(nameOf(f), f)
  return [...list.entries()]
})
</script>

<template>
  <defs>
    <pattern
      v-for="[name, f] in needed"
      :id="name"
      :key="name"
      width="16"
      height="16"
      patternUnits="userSpaceOnUse"
      :patternTransform="f.pattern === 'stripes' ? 'rotate(45)' : undefined"
    >
      <rect width="16" height="16" :style="{ fill: `var(--c-${f.colour ?? 'white'})` }" />
      <path v-if="f.pattern === 'stripes'" class="motif line" d="M2 0V16M10 0V16" />
      <path v-else-if="f.pattern === 'checks'" class="motif line" d="M0 8H16M8 0V16" />
      <template v-else-if="f.pattern === 'dots'">
        <circle class="motif" cx="4" cy="4" r="1.4" />
        <circle class="motif" cx="12" cy="12" r="1.4" />
      </template>
      <path
        v-else
        class="motif"
        d="M4 1L4.8 3.2L7 4L4.8 4.8L4 7L3.2 4.8L1 4L3.2 3.2ZM12 10L12.6 11.4L14 12L12.6 12.6L12 14L11.4 12.6L10 12L11.4 11.4Z"
      />
    </pattern>
  </defs>
</template>

<style scoped>
.motif {
  fill: var(--soft);
  opacity: 0.55;
}
.line {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1;
}
</style>
