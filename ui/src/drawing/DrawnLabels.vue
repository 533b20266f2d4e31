<script setup lang="ts">
import { computed } from 'vue'

import type { Drawing } from '../api/client'
import { lineHigh, wrapped } from './wrapped'

/**
 * The names on a drawing, each in the room that it has: in as many lines as go in where there is
 * height for more than one, and left out where it would run over what is drawn.
 */
const props = defineProps<{
  labels: Drawing['labels']
  /** Pixels a millimetre. */
  s: number
  /** What stands below the name of a part. */
  below?: Record<string, string>
}>()

const shown = computed(() =>
  props.labels.map((l) => ({
    lines: wrapped(
      l.text,
      2 * l.room * props.s,
      // One line where nothing is known of the height; what stands below takes one too.
      l.high === undefined
        ? 1
        : Math.floor((2 * l.high * props.s) / lineHigh) - (props.below?.[l.part] ? 1 : 0),
    ),
    x: l.at.x * props.s,
    y: l.at.y * props.s,
    below: props.below?.[l.part] ?? '',
  })),
)
</script>

<template>
  <template v-for="(l, i) in shown" :key="i">
    <text v-if="l.lines.length" class="drawing-label" text-anchor="middle">
      <tspan
        v-for="(line, k) in l.lines"
        :key="k"
        :x="l.x"
        :y="l.y + 5 + (k - (l.lines.length - 1) / 2) * lineHigh - (l.below ? 5 : 0)"
        >{{ line + (k < l.lines.length - 1 ? ' ' : '') }}</tspan><tspan
        v-if="l.below"
        class="closed"
        :x="l.x"
        dy="20"
        >{{ ' ' + l.below }}</tspan
      >
    </text>
  </template>
</template>

<style scoped>
.closed {
  fill: var(--soft);
}
</style>
