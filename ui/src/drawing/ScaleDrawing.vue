<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'

import DrawingFrame from './DrawingFrame.vue'
import RulerMarks from './RulerMarks.vue'
import { useSmall } from './useSmall'

/** A drawing to one scale with rulers at its top and left, as large as there is room for. */
const props = withDefaults(
  defineProps<{
    /** Size of what is drawn, in millimetres. */
    width: number
    height: number
    unit: 'in' | 'mm'
    words: string
    /** Pixels kept free right and below for sizes drawn outside. */
    right?: number
    below?: number
    /** Millimetres drawn right and below of that, past the rulers. */
    moreRight?: number
    moreBelow?: number
    /** A place on it, in millimetres, that so many pixels are kept free left of: the ruler gives way. */
    lead?: { at: number; pixels: number }
    /** Something in it can be taken hold of. */
    live?: boolean
  }>(),
  { right: 0, below: 0, moreRight: 0, moreBelow: 0, lead: undefined },
)

const small = useSmall()
const ruler = computed(() => (small.value ? 0 : props.unit === 'mm' ? 40 : 30)) // pixels that a ruler takes
const margin = computed(() => (small.value ? 2 : 6))

const box = ref<HTMLElement>()
const { width: wide, height: high } = useElementSize(box)

function fit(kept: number) {
  const w = wide.value - ruler.value - 2 * margin.value - props.right - kept
  const h = high.value - ruler.value - 2 * margin.value - props.below
  return Math.max(0.01, Math.min(w / (props.width + props.moreRight), h / (props.height + props.moreBelow)))
}
/** Pixels between the ruler at the left and the drawing. */
const kept = computed(() => {
  if (!props.lead || small.value) return 0
  return Math.max(0, props.lead.pixels - props.lead.at * fit(0))
})
const scale = computed(() => fit(kept.value))
const left = computed(() => {
  const drawn = (props.width + props.moreRight) * scale.value
  const over = wide.value - ruler.value - props.right - kept.value - drawn
  return ruler.value + kept.value + Math.max(margin.value, over / 2)
})
const top = computed(() => {
  const drawn = (props.height + props.moreBelow) * scale.value
  return ruler.value + Math.max(margin.value, (high.value - ruler.value - props.below - drawn) / 2)
})
</script>

<template>
  <DrawingFrame :words="words">
    <template #key><slot name="legend" /></template>
    <template #default="{ id }">
      <div ref="box" class="box" data-test="drawing-box">
        <svg
          v-if="wide > 0 && high > 0"
          :width="wide"
          :height="high"
          :role="live ? 'group' : 'img'"
          :aria-labelledby="id"
          :data-scale="scale"
          data-test="drawing"
        >
          <RulerMarks
            v-if="!small"
            :length="width"
            :scale="scale"
            :unit="unit"
            :transform="`translate(${left} ${top - margin})`"
          />
          <RulerMarks
            v-if="!small"
            down
            :length="height"
            :scale="scale"
            :unit="unit"
            :transform="`translate(${left - margin - kept} ${top})`"
          />
          <g :transform="`translate(${left} ${top})`">
            <slot :s="scale" />
          </g>
        </svg>
      </div>
    </template>
  </DrawingFrame>
</template>

<style scoped>
.box {
  position: absolute;
  inset: 0;
  overflow: hidden;
}
svg {
  display: block;
}
</style>
