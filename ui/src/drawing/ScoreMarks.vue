<script setup lang="ts">
import { computed } from 'vue'

import type { ScoreMark } from '../api/client'

/** The readings to set, each at the end of its crease and outside of the sheet, with what it is measured from. */
const props = defineProps<{
  marks: ScoreMark[]
  /** The sheet stands on its point. */
  pointed: boolean
  /** Pixels a millimetre, and the sheet in millimetres. */
  s: number
  width: number
  height: number
  /** Pixels right of the sheet, and below it, that other sizes take. */
  right: number
  below: number
}>()

const gap = 40 // pixels that a reading with its words takes
const wide = 96 // pixels that two readings beside each other need

interface Placed extends ScoreMark {
  x: number
  y: number
  anchor: 'start' | 'middle' | 'end'
  /** Pixels from the reading to its words. */
  words: number
  lead: string
}

/** Keeps readings of one corner or edge apart, from the first one on. */
function apart(list: Placed[], by: 'x' | 'y', least: number) {
  list.sort((a, b) => a[by] - b[by])
  list.forEach((p, i) => {
    const before = list[i - 1]
    if (before && p[by] - before[by] < least) p[by] = before[by] + least
  })
  return list
}

const ends = (m: ScoreMark, axis: 'x' | 'y') =>
  m.start[axis] <= m.end[axis] ? [m.start, m.end] : [m.end, m.start]

/** Beside a sheet on its point there is room in the four corners of the drawing, one for each side. */
function corners(): Placed[] {
  const groups: Record<string, Placed[]> = {}
  for (const m of props.marks) {
    const [low, high] = ends(m, m.upright ? 'y' : 'x')
    const at = (m.upright === m.first ? low : high) ?? m.start
    const left = m.upright === m.first
    const above = m.first
    const place = { x: at.x * props.s + (left ? -10 : 10), y: at.y * props.s + (above ? -4 : 22) }
    const key = `${left} ${above}`
    groups[key] = [
      ...(groups[key] ?? []),
      { ...m, ...place, anchor: left ? 'end' : 'start', words: above ? -23 : 15, lead: '' },
    ]
  }
  // Above the sheet they move up, below it down: away from it.
  return Object.values(groups).flatMap((g) => {
    if (!g[0]?.first) return apart(g, 'y', gap)
    for (const p of g) p.y = -p.y
    apart(g, 'y', gap)
    for (const p of g) p.y = -p.y
    return g
  })
}

/** Beside a straight sheet: under it what is measured from its sides, at the right what is from its ends. */
function edges(): Placed[] {
  const { s, width, height } = props
  const under = props.marks
    .filter((m) => m.upright)
    .map((m): Placed => {
      const x = m.start.x * s
      const y = height * s + props.below
      return {
        ...m,
        x,
        y: y + 24,
        anchor: 'middle',
        words: 15,
        lead: `M${x} ${Math.max(m.start.y, m.end.y) * s}V${y}`,
      }
    })
  const beside = props.marks
    .filter((m) => !m.upright)
    .map((m): Placed => ({
      ...m,
      x: width * s + props.right,
      y: m.start.y * s + 7,
      anchor: 'start',
      words: 15,
      lead: '',
    }))
  apart(beside, 'y', gap)
  for (const p of beside) {
    const from = Math.max(p.start.x, p.end.x) * s
    p.lead = `M${from} ${p.start.y * s}H${p.x - 16}L${p.x - 4} ${p.y - 7}`
  }
  under.sort((a, b) => a.x - b.x)
  under.forEach((p, i) => {
    const before = under[i - 1]
    if (before && before.y === p.y && p.x - before.x < wide) p.y += gap
  })
  return [...under, ...beside]
}

const placed = computed(() => (props.pointed ? corners() : edges()))
</script>

<template>
  <g v-for="(p, i) in placed" :key="i" class="mark" data-test="score-mark">
    <path v-if="p.lead" class="drawn lead" :d="p.lead" />
    <text class="drawing-text reading" :x="p.x" :y="p.y" :text-anchor="p.anchor">{{ p.text }}</text>
    <text class="from" :x="p.x" :y="p.y + p.words" :text-anchor="p.anchor">{{ p.from }}</text>
  </g>
</template>

<style scoped>
.reading {
  font-size: var(--size-number);
  font-weight: 650;
  font-variant-numeric: tabular-nums;
}
.from {
  fill: var(--soft);
  font: var(--size-small) var(--body);
}
.lead {
  stroke: var(--crease);
  stroke-width: 0.75;
}
</style>
