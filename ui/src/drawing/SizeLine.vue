<script setup lang="ts">
import { computed } from 'vue'

const props = withDefaults(
  defineProps<{
    x1: number
    y1: number
    x2: number
    y2: number
    text: string
    name: string
    shift?: number
  }>(),
  { shift: 0 },
)

const end = 5 // half length of the end marks, in pixels

const across = computed(() => Math.abs(props.x2 - props.x1) >= Math.abs(props.y2 - props.y1))
const middle = computed(() => ({ x: (props.x1 + props.x2) / 2, y: (props.y1 + props.y2) / 2 + props.shift }))
</script>

<template>
  <g class="size">
    <line class="drawn drawn-size" :x1="x1" :y1="y1" :x2="x2" :y2="y2" :data-size="name" />
    <template v-if="across">
      <path class="drawn drawn-size" :d="`M${x1} ${y1 - end}V${y1 + end}M${x2} ${y2 - end}V${y2 + end}`" />
      <text class="drawing-text" :x="middle.x" :y="middle.y - 9" text-anchor="middle">{{ text }}</text>
    </template>
    <template v-else>
      <path class="drawn drawn-size" :d="`M${x1 - end} ${y1}H${x1 + end}M${x2 - end} ${y2}H${x2 + end}`" />
      <text class="drawing-text" :x="middle.x + 10" :y="middle.y + 8" text-anchor="start">{{ text }}</text>
    </template>
  </g>
</template>

<style scoped>
text {
  font-size: 24px;
  font-weight: 650;
  font-variant-numeric: tabular-nums;
}
</style>
