<script setup lang="ts">
import { computed } from 'vue'

import type { BasePlan } from '../api/client'
import LineKey from './LineKey.vue'
import ScaleDrawing from './ScaleDrawing.vue'
import SizeLine from './SizeLine.vue'

const props = defineProps<{ base: BasePlan; unit: 'in' | 'mm'; words: string }>()

const mm = (nm: number) => nm / 1e6
const size = computed(() => ({ w: mm(props.base.width.nm), h: mm(props.base.height.nm) }))
const score = computed(() => mm(props.base.score.nm))
const row = 34 // pixels that a size below takes
const column = 110 // pixels that a size at the right takes
</script>

<template>
  <ScaleDrawing
    :width="size.w"
    :height="size.h"
    :unit="unit"
    :words="words"
    :max-height="370"
    :right="base.across ? 2 * column : column"
    :below="2 * row + 10"
  >
    <template #default="{ s }">
      <rect
        class="drawn drawn-cut paper"
        x="0"
        y="0"
        :width="size.w * s"
        :height="size.h * s"
        data-part="base"
      />
      <line
        v-if="score > 0"
        class="drawn drawn-score"
        :x1="base.across ? 0 : score * s"
        :y1="base.across ? score * s : 0"
        :x2="base.across ? size.w * s : score * s"
        :y2="base.across ? score * s : size.h * s"
        data-crease="base"
      />
      <text
        v-if="score > 0"
        class="drawing-label"
        text-anchor="middle"
        :x="(base.across ? size.w / 2 : (score + size.w) / 2) * s"
        :y="(base.across ? (score + size.h) / 2 : size.h / 2) * s"
      >
        front
      </text>
      <text
        v-if="score > 0"
        class="drawing-label"
        text-anchor="middle"
        :x="(base.across ? size.w / 2 : score / 2) * s"
        :y="(base.across ? score / 2 : size.h / 2) * s"
      >
        back
      </text>
      <SizeLine
        v-if="score > 0 && !base.across"
        :x1="0"
        :y1="size.h * s"
        :x2="score * s"
        :y2="size.h * s"
        :text="base.score.text"
        name="score"
        :shift="row"
      />
      <SizeLine
        :x1="0"
        :y1="size.h * s"
        :x2="size.w * s"
        :y2="size.h * s"
        :text="base.width.text"
        name="width"
        :shift="score > 0 && !base.across ? 2 * row : row"
      />
      <SizeLine
        v-if="score > 0 && base.across"
        :x1="size.w * s"
        :y1="0"
        :x2="size.w * s"
        :y2="score * s"
        :text="base.score.text"
        name="score"
        :shift="14"
      />
      <SizeLine
        :x1="size.w * s"
        :y1="0"
        :x2="size.w * s"
        :y2="size.h * s"
        :text="base.height.text"
        name="height"
        :shift="score > 0 && base.across ? column : 14"
      />
    </template>
    <template #legend><LineKey :kinds="score > 0 ? ['cut', 'score'] : ['cut']" /></template>
  </ScaleDrawing>
</template>

<style scoped>
.paper {
  fill: var(--sheet);
}
</style>
