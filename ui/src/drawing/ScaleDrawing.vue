<script setup lang="ts">
import { computed, ref, useId } from 'vue'

import RulerMarks from './RulerMarks.vue'
import { useWidth } from './useSize'

const props = withDefaults(
  defineProps<{
    /** Size of what is drawn, in millimetres. */
    width: number
    height: number
    unit: 'in' | 'mm'
    words: string
    maxHeight?: number
    /** Pixels kept free right and below for sizes drawn outside. */
    right?: number
    below?: number
  }>(),
  { maxHeight: 520, right: 0, below: 0 },
)

const ruler = 30 // pixels that a ruler takes
const margin = 12

const box = ref<HTMLElement>()
const wide = useWidth(box)
const id = useId()

const scale = computed(() => {
  const w = wide.value - ruler - 2 * margin - props.right
  const h = props.maxHeight - ruler - 2 * margin - props.below
  return Math.max(0.01, Math.min(w / props.width, h / props.height))
})
const size = computed(() => ({
  w: Math.max(wide.value, 1),
  h: props.height * scale.value + ruler + 2 * margin + props.below,
}))
const left = computed(
  () => ruler + Math.max(margin, (wide.value - ruler - props.right - props.width * scale.value) / 2),
)
const top = ruler + margin
</script>

<template>
  <figure ref="box" class="figure">
    <svg
      v-if="wide > 0"
      :width="size.w"
      :height="size.h"
      role="img"
      :aria-labelledby="id"
      :data-scale="scale"
      data-test="drawing"
    >
      <RulerMarks :length="width" :scale="scale" :unit="unit" :transform="`translate(${left} ${ruler})`" />
      <RulerMarks
        down
        :length="height"
        :scale="scale"
        :unit="unit"
        :transform="`translate(${left - margin} ${top})`"
      />
      <g :transform="`translate(${left} ${top})`">
        <slot :s="scale" />
      </g>
    </svg>
    <figcaption>
      <slot name="legend" />
      <details>
        <summary>In words</summary>
        <p :id="id" data-test="words">{{ words }}</p>
      </details>
    </figcaption>
  </figure>
</template>

<style scoped>
.figure {
  margin: 0;
  min-width: 0;
}
svg {
  display: block;
  max-width: 100%;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  font-size: 14px;
  color: var(--soft);
  padding-left: 30px;
}
details {
  max-width: 56em;
}
summary {
  cursor: pointer;
}
</style>
