<script setup lang="ts">
import { computed } from 'vue'

import type { Drawing } from '../api/client'
import DrawnLabels from './DrawnLabels.vue'
import DrawnShapes from './DrawnShapes.vue'
import LineKey from './LineKey.vue'
import ScaleDrawing from './ScaleDrawing.vue'
import SizeLine from './SizeLine.vue'
import { useSmall } from './useSmall'

/** One piece lying flat, with its size at its edges. */
const props = defineProps<{ drawing: Drawing; size: string; unit: 'in' | 'mm'; words: string }>()

const small = useSmall()
const sides = computed(() => props.size.split(' × '))
const kinds = computed(() => {
  const onMat = props.drawing.shapes.some((s) => s.kind === 'mat')
  const there = props.drawing.shapes.map((s) => (s.kind === 'sheet' && !onMat ? 'away' : s.kind))
  const inside = props.drawing.shapes.some((s) => s.inside) ? ['inside'] : []
  return [...new Set([...there, ...inside])]
})
</script>

<template>
  <ScaleDrawing
    :width="drawing.width"
    :height="drawing.height"
    :unit="unit"
    :words="words"
    :right="small ? 0 : 90"
    :below="small ? 0 : 40"
  >
    <template #default="{ s }">
      <DrawnShapes :shapes="drawing.shapes" :s="s" paper="var(--sheet)" />
      <DrawnLabels :labels="drawing.labels" :s="s" />
      <template v-if="!small">
        <SizeLine
          :x1="0"
          :y1="drawing.height * s"
          :x2="drawing.width * s"
          :y2="drawing.height * s"
          :text="sides[0] ?? ''"
          name="piece-width"
          :shift="34"
        />
        <SizeLine
          :x1="drawing.width * s"
          :y1="0"
          :x2="drawing.width * s"
          :y2="drawing.height * s"
          :text="sides[1] ?? ''"
          name="piece-height"
          :shift="14"
        />
      </template>
    </template>
    <template #legend><LineKey :kinds="kinds" /></template>
  </ScaleDrawing>
</template>
