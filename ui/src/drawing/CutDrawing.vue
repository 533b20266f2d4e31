<script setup lang="ts">
import { computed } from 'vue'

import type { LayoutPlan, StockPlan } from '../api/client'
import ScaleDrawing from './ScaleDrawing.vue'
import { lineHigh, wrapped } from './wrapped'

/** One sheet with its pieces, the cuts numbered in order, and what is left over. */
const props = defineProps<{ stock: StockPlan; layout: LayoutPlan; unit: 'in' | 'mm' }>()

const mm = (nm: number) => nm / 1e6
const dot = 11 // radius of a cut's number, in pixels
const roomy = { wide: 84, high: 46 } // pixels that a name and a size need
const bold = 0.88 // of its room is what a name in bold may take by the letters of a plain one
const figure = 9 // pixels that a figure of a size takes

/** What stands on a piece of so many pixels: its name in as many lines as go in, and its size where that does. */
function words(p: LayoutPlan['pieces'][number], s: number) {
  const of = props.stock.pieces[p.piece]
  const wide = mm(p.width) * s - 8
  const high = mm(p.height) * s
  const text = `${of?.size ?? ''}${p.turned ? ', turned' : ''}`
  const sized = high > roomy.high
  const size = [text, of?.size ?? ''].find((t) => sized && t.length * figure <= wide) ?? ''
  const lines = wrapped(of?.name ?? '', wide * bold, Math.floor((high - (size ? 24 : 0)) / lineHigh))
  return { lines, size }
}

// The numbers of cuts stand along the line, each a little further in, so that
// cuts that end at one edge do not hide each other's.
const cuts = computed(() =>
  props.layout.cuts.map((c, i) => {
    const x = mm(c.from.x) + (c.down ? mm(c.at) : 0)
    const y = mm(c.from.y) + (c.down ? 0 : mm(c.at))
    const long = c.down ? mm(c.from.height) : mm(c.from.width)
    return { ...c, x, y, long, along: 0.12 + 0.16 * (i % 5) }
  }),
)
</script>

<template>
  <ScaleDrawing
    :width="mm(stock.width)"
    :height="mm(stock.height)"
    :unit="unit"
    :words="layout.drawing"
    :right="12"
  >
    <template #default="{ s }">
      <defs>
        <pattern id="offcut" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="9" height="9" class="ground" />
          <line x1="0" y1="0" x2="0" y2="9" class="hatch" />
        </pattern>
      </defs>
      <rect class="drawn drawn-cut" x="0" y="0" :width="mm(stock.width) * s" :height="mm(stock.height) * s" />
      <g v-for="(o, i) in layout.offcuts" :key="`o${i}`">
        <rect
          class="offcut"
          :x="mm(o.x) * s"
          :y="mm(o.y) * s"
          :width="mm(o.width) * s"
          :height="mm(o.height) * s"
          data-part="offcut"
        />
        <text
          v-if="mm(o.width) * s > roomy.wide && mm(o.height) * s > 22"
          class="drawing-label"
          text-anchor="middle"
          :x="mm(o.x + o.width / 2) * s"
          :y="mm(o.y + o.height / 2) * s + 5"
        >
          {{ o.size }}
        </text>
      </g>
      <g v-for="(p, i) in layout.pieces" :key="`p${i}`">
        <rect
          class="drawn drawn-cut drawn-paper piece"
          :x="mm(p.x) * s"
          :y="mm(p.y) * s"
          :width="mm(p.width) * s"
          :height="mm(p.height) * s"
          data-part="piece"
        />
        <template v-for="w in [words(p, s)]" :key="w.size">
          <text
            v-for="(line, k) in w.lines"
            :key="line"
            class="drawing-label name"
            text-anchor="middle"
            :x="mm(p.x + p.width / 2) * s"
            :y="mm(p.y + p.height / 2) * s - (w.size ? 6 : -5) - (w.lines.length - 1 - k) * lineHigh"
          >
            {{ line }}
          </text>
          <text
            v-if="w.size"
            class="drawing-text"
            text-anchor="middle"
            :x="mm(p.x + p.width / 2) * s"
            :y="mm(p.y + p.height / 2) * s + 17"
          >
            {{ w.size }}
          </text>
        </template>
      </g>
      <g v-for="c in cuts" :key="c.number" class="cut">
        <line
          class="drawn drawn-cut line"
          :x1="c.x * s"
          :y1="c.y * s"
          :x2="(c.down ? c.x : c.x + c.long) * s"
          :y2="(c.down ? c.y + c.long : c.y) * s"
          :data-cut="c.number"
        />
        <circle
          :cx="(c.down ? c.x : c.x + c.long * c.along) * s"
          :cy="(c.down ? c.y + c.long * c.along : c.y) * s"
          :r="dot"
        />
        <text
          text-anchor="middle"
          :x="(c.down ? c.x : c.x + c.long * c.along) * s"
          :y="(c.down ? c.y + c.long * c.along : c.y) * s + 5"
        >
          {{ c.number }}
        </text>
      </g>
    </template>
  </ScaleDrawing>
</template>

<style scoped>
.ground {
  fill: var(--paper);
}
.hatch {
  stroke: var(--line);
  stroke-width: 2;
}
.offcut {
  fill: url(#offcut);
}
.piece {
  stroke-width: 0.75;
}
.name {
  fill: var(--ink);
  font-weight: 600;
}
.drawing-text {
  font-size: var(--size-text);
  font-weight: 650;
}
.line {
  stroke: var(--air-red);
  stroke-width: 2.5;
}
circle {
  fill: var(--ink);
}
.cut text {
  fill: var(--paper);
  font: 650 var(--size-small) var(--body);
}
</style>
