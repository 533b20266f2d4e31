<script setup lang="ts">
import { computed } from 'vue'

import type { FieldPath } from '../api/client'
import { useLit } from '../fields/useLit'

/** A size between two points, drawn aside of them by a shift in pixels, with thin lines leading to it. */
const props = withDefaults(
  defineProps<{
    x1: number
    y1: number
    x2: number
    y2: number
    text: string
    name: string
    shift?: number
    /** The text of a line that runs down stands before it, where there is no room behind. */
    before?: boolean
    /** The path of what is typed for it: both light up together. */
    field?: FieldPath
  }>(),
  { shift: 0, field: undefined },
)

const { lit, light, dim } = useLit()

const end = 5 // half length of the end marks, in pixels
const past = 6 // how far a leading line runs on

const across = computed(() => Math.abs(props.x2 - props.x1) >= Math.abs(props.y2 - props.y1))
const line = computed(() => {
  const dx = across.value ? 0 : props.shift
  const dy = across.value ? props.shift : 0
  return { x1: props.x1 + dx, y1: props.y1 + dy, x2: props.x2 + dx, y2: props.y2 + dy }
})
const leads = computed(() => {
  if (!props.shift) return ''
  const on = Math.sign(props.shift) * past
  const lead = (x: number, y: number) =>
    across.value ? `M${x} ${y}V${y + props.shift + on}` : `M${x} ${y}H${x + props.shift + on}`
  return lead(props.x1, props.y1) + lead(props.x2, props.y2)
})
const ends = computed(() => {
  const { x1, y1, x2, y2 } = line.value
  return across.value
    ? `M${x1} ${y1 - end}V${y1 + end}M${x2} ${y2 - end}V${y2 + end}`
    : `M${x1 - end} ${y1}H${x1 + end}M${x2 - end} ${y2}H${x2 + end}`
})
const middle = computed(() => ({
  x: (line.value.x1 + line.value.x2) / 2,
  y: (line.value.y1 + line.value.y2) / 2,
}))
</script>

<template>
  <g
    class="size"
    :class="{ lit: field && lit === field }"
    @pointerenter="field && light(field)"
    @pointerleave="dim(field)"
  >
    <line v-if="field" class="hit" v-bind="line" />
    <path v-if="leads" class="drawn lead" :d="leads" />
    <line class="drawn drawn-size" v-bind="line" :data-size="name" />
    <path class="drawn drawn-size" :d="ends" />
    <text v-if="across" class="drawing-text" :x="middle.x" :y="middle.y - 8" text-anchor="middle">{{
      text
    }}</text>
    <text
      v-else
      class="drawing-text"
      :x="middle.x + (before ? -9 : 9)"
      :y="middle.y + 8"
      :text-anchor="before ? 'end' : 'start'"
      >{{ text }}</text
    >
  </g>
</template>

<style scoped>
text {
  font-size: var(--size-number);
  font-weight: 650;
  font-variant-numeric: tabular-nums;
}
.lit .drawn-size {
  stroke: var(--crease);
  stroke-width: 4;
}
.lit text {
  fill: var(--crease);
}
/* Wide enough to be pointed at. */
.hit {
  stroke: transparent;
  stroke-width: 18;
}
.lead {
  stroke: var(--soft);
  stroke-width: 0.75;
}
</style>
