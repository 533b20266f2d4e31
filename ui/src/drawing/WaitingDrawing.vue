<script setup lang="ts">
import { computed } from 'vue'

import type { Plan } from '../api/client'
import ScaleDrawing from './ScaleDrawing.vue'
import SizeLine from './SizeLine.vue'

/** The envelope or the sheet that a maker came with, to scale; before anything is known, a card without a size. */
const props = defineProps<{ thing?: NonNullable<Plan['waits']>['thing']; unit: 'in' | 'mm' }>()

const mm = (nm: number) => nm / 1e6
const size = computed(() =>
  props.thing ? { w: mm(props.thing.width.nm), h: mm(props.thing.height.nm) } : { w: 170, h: 120 },
)
</script>

<template>
  <ScaleDrawing
    v-if="thing"
    :width="size.w"
    :height="size.h"
    :unit="unit"
    :words="thing.words"
    :right="90"
    :below="40"
  >
    <template #default="{ s }">
      <rect class="drawn drawn-cut drawn-paper" x="0" y="0" :width="size.w * s" :height="size.h * s" />
      <path
        v-if="thing.kind === 'envelope'"
        class="drawn drawn-score"
        :d="`M0 0 L${(size.w * s) / 2} ${size.h * s * 0.55} L${size.w * s} 0`"
      />
      <SizeLine
        :x1="0"
        :y1="size.h * s"
        :x2="size.w * s"
        :y2="size.h * s"
        :text="thing.width.text"
        name="width"
        :shift="34"
      />
      <SizeLine
        :x1="size.w * s"
        :y1="0"
        :x2="size.w * s"
        :y2="size.h * s"
        :text="thing.height.text"
        name="height"
        :shift="14"
      />
    </template>
  </ScaleDrawing>
  <svg v-else class="open" viewBox="0 0 190 140" role="img" aria-label="A card without a size yet.">
    <rect class="drawn drawn-away" x="10" y="10" width="170" height="120" />
    <path class="drawn drawn-score" d="M95 10 V130" />
  </svg>
</template>

<style scoped>
.open {
  width: 100%;
  height: 100%;
  opacity: 0.6;
}
</style>
