<script setup lang="ts">
import type { Sketch } from '../../api/client'

/** A blank, small: sheet, outline and creases, at a scale that it shares with those beside it. */
const props = defineProps<{ net: Sketch; scale: number; wide: number; tall: number; words: string }>()

const right = () => Math.max(...props.net.sheet.map((p) => p.x)) * props.scale
const low = () => Math.max(...props.net.sheet.map((p) => p.y)) * props.scale
const path = (points: { x: number; y: number }[]) =>
  points.map((p, i) => `${i ? 'L' : 'M'}${p.x * props.scale} ${p.y * props.scale}`).join('') + 'Z'
</script>

<template>
  <svg role="img" :aria-label="words" :width="wide + 2" :height="tall + 2">
    <g :transform="`translate(${(wide - right()) / 2 + 1} ${(tall - low()) / 2 + 1})`">
      <path class="drawn drawn-away" :d="path(net.sheet)" />
      <path class="drawn drawn-cut drawn-paper thin" :d="path(net.outline)" />
      <line
        v-for="c in net.creases"
        :key="`${c.from.x} ${c.from.y} ${c.to.x} ${c.to.y}`"
        class="drawn drawn-score short"
        :x1="c.from.x * scale"
        :y1="c.from.y * scale"
        :x2="c.to.x * scale"
        :y2="c.to.y * scale"
      />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
}
.thin {
  stroke-width: 1.25;
}
.short {
  stroke-width: 1.25;
  stroke-dasharray: 3 2;
}
</style>
