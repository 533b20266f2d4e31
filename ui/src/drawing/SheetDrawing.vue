<script setup lang="ts">
import type { SheetPlan } from '../api/client'

defineProps<{ sheet: SheetPlan; scale: number }>()

const mm = (nm: number) => nm / 1e6
</script>

<template>
  <svg
    role="img"
    :aria-label="sheet.drawing"
    :width="mm(sheet.width) * scale + 2"
    :height="mm(sheet.height) * scale + 2"
    :viewBox="`-1 -1 ${mm(sheet.width) * scale + 2} ${mm(sheet.height) * scale + 2}`"
  >
    <rect
      class="drawn drawn-away rest"
      x="0"
      y="0"
      :width="mm(sheet.width) * scale"
      :height="mm(sheet.height) * scale"
    />
    <rect
      v-for="(p, i) in sheet.pieces ?? []"
      :key="i"
      class="drawn drawn-cut drawn-paper piece"
      :x="mm(p.x) * scale"
      :y="mm(p.y) * scale"
      :width="mm(p.width) * scale"
      :height="mm(p.height) * scale"
    />
  </svg>
</template>

<style scoped>
.rest {
  stroke-dasharray: none;
  fill: var(--sheet);
}
.piece {
  stroke-width: 1.5;
}
</style>
