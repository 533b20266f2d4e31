<script setup lang="ts">
import { computed, useId } from 'vue'

import type { Dimension, Net } from '../api/client'
import LineKey from './LineKey.vue'
import ScaleDrawing from './ScaleDrawing.vue'
import SizeLine from './SizeLine.vue'

const props = withDefaults(
  defineProps<{
    net: Net
    dimensions: Dimension[]
    /** The card lying on the face, in millimetres. */
    card: { width: number; height: number }
    /** The liner as it lies on the sheet; none when it has no corners. */
    liner?: Net['outline']
    /** What of the back nothing covers. */
    holes?: Net['outline'][]
    unit: 'in' | 'mm'
    words: string
  }>(),
  { liner: () => [], holes: () => [] },
)

type Point = Net['outline'][number]

const hatch = useId()

const box = computed(() => ({
  w: Math.max(...props.net.sheet.map((p) => p.x)),
  h: Math.max(...props.net.sheet.map((p) => p.y)),
}))

const path = (points: Point[], s: number) =>
  points.map((p, i) => `${i ? 'L' : 'M'}${p.x * s} ${p.y * s}`).join('') + 'Z'

function middle(points: Point[]): Point {
  const x = points.map((p) => p.x)
  const y = points.map((p) => p.y)
  return { x: (Math.min(...x) + Math.max(...x)) / 2, y: (Math.min(...y) + Math.max(...y)) / 2 }
}

const extent = (points: Point[], axis: 'x' | 'y') =>
  Math.max(...points.map((p) => p[axis])) - Math.min(...points.map((p) => p[axis]))

const beside = computed(() => props.dimensions.some((d) => d.id.startsWith('beside')))

const roomy = 32 // pixels that a panel's name needs

const face = computed(() => middle(props.net.panels[0]?.outline ?? []))
// A flap is named near its crease, where no glue is.
const near = 0.3
const orders = computed(() => [...new Set(props.net.creases.map((c) => c.order))].sort((a, b) => a - b))
const flaps = computed(() =>
  props.net.creases.map((c) => {
    const panel = props.net.panels.find((p) => p.id === c.panel)!
    const fold = { x: (c.from.x + c.to.x) / 2, y: (c.from.y + c.to.y) / 2 }
    const far = middle(panel.outline)
    return {
      ...panel,
      number: orders.value.indexOf(c.order) + 1,
      fold,
      size: Math.min(extent(panel.outline, 'x') / 2, extent(panel.outline, 'y')),
      at: { x: fold.x + (far.x - fold.x) * 2 * near, y: fold.y + (far.y - fold.y) * 2 * near },
    }
  }),
)
</script>

<template>
  <ScaleDrawing :width="box.w" :height="box.h" :unit="unit" :words="words" :right="beside ? 80 : 0">
    <template #default="{ s }">
      <defs>
        <pattern :id="hatch" width="8" height="8" patternUnits="userSpaceOnUse">
          <line x1="0" y1="0" x2="0" y2="8" class="hatch" />
        </pattern>
      </defs>
      <path class="drawn drawn-away" :d="path(net.sheet, s)" data-part="sheet" />
      <path class="drawn drawn-cut drawn-paper" :d="path(net.outline, s)" data-part="outline" />
      <path
        v-for="g in net.glue"
        :key="g.panel + g.onto + g.zone[0]?.x"
        :d="path(g.zone, s)"
        :fill="`url(#${hatch})`"
        data-part="glue"
      />
      <path v-if="liner.length" class="drawn drawn-liner" :d="path(liner, s)" data-part="liner" />
      <rect
        class="drawn drawn-card"
        :x="(face.x - card.width / 2) * s"
        :y="(face.y - card.height / 2) * s"
        :width="card.width * s"
        :height="card.height * s"
        data-part="card"
      />
      <g v-for="(h, i) in holes" :key="`hole-${i}`" data-part="hole">
        <path class="drawn drawn-hole" :d="path(h, s)" />
        <text
          v-if="Math.min(extent(h, 'x'), extent(h, 'y')) * s > 2 * roomy"
          class="drawing-label"
          text-anchor="middle"
          :x="middle(h).x * s"
          :y="middle(h).y * s + 5"
          >hole</text
        >
      </g>
      <line
        v-for="c in net.creases"
        :key="c.panel"
        class="drawn drawn-score"
        :x1="c.from.x * s"
        :y1="c.from.y * s"
        :x2="c.to.x * s"
        :y2="c.to.y * s"
        :data-crease="c.panel"
      />
      <line
        v-for="c in net.slits ?? []"
        :key="`slit ${c.from.x} ${c.from.y}`"
        class="drawn drawn-cut"
        :x1="c.from.x * s"
        :y1="c.from.y * s"
        :x2="c.to.x * s"
        :y2="c.to.y * s"
        data-part="slit"
      />
      <template v-for="f in flaps" :key="f.id">
        <text
          v-if="f.size * s > roomy"
          class="drawing-label"
          text-anchor="middle"
          :x="f.at.x * s"
          :y="f.at.y * s + 5"
        >
          {{ f.number }}. {{ f.name }}
        </text>
      </template>
      <text class="drawing-label" text-anchor="middle" :x="face.x * s" :y="(face.y + card.height * 0.4) * s">
        card lies here
      </text>
      <SizeLine
        v-for="d in dimensions"
        :key="d.id"
        :x1="d.from.x * s"
        :y1="d.from.y * s"
        :x2="d.to.x * s"
        :y2="d.to.y * s"
        :text="d.text"
        :name="d.id"
        :shift="d.shift * s"
        :along="d.id === 'height' ? card.height * 0.1 * s : 0"
      />
    </template>
    <template #legend
      ><LineKey
        :kinds="[
          'cut',
          'score',
          'away',
          'glue',
          'card',
          ...(liner.length ? ['liner'] : []),
          ...(holes.length ? ['hole'] : []),
        ]"
    /></template>
  </ScaleDrawing>
</template>

<style scoped>
.hatch {
  stroke: var(--glue);
  stroke-width: 2.5;
  opacity: 0.8;
}
</style>
