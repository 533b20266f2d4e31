<script setup lang="ts">
import { computed, useId } from 'vue'

import type { Callout, Dimension, Face, Net, ScoreMark } from '../api/client'
import FaceDefs from './FaceDefs.vue'
import { fillOf } from './faces'
import LineKey from './LineKey.vue'
import ScoreMarks from './ScoreMarks.vue'
import ScaleDrawing from './ScaleDrawing.vue'
import SizeLine from './SizeLine.vue'
import { useLit } from './useLit'
import { useSmall } from './useSmall'

const props = withDefaults(
  defineProps<{
    net: Net
    dimensions: Dimension[]
    /** Radii and tapers, each where it is cut. */
    callouts?: Callout[]
    /** The readings to set, at their creases. */
    scores?: ScoreMark[]
    /** What the other corners of a sheet on its point read when it lies right. */
    alignment?: string
    /** The sheet's size, at its edges. */
    size?: string
    /** The side of its paper that is up, as it lies flat. */
    side?: Face
    /** The size of the closed envelope. */
    closed?: string
    /** The card lying on the face, in millimetres. */
    card: { width: number; height: number }
    /** The liner as it lies on the sheet; none when it has no corners. */
    liner?: Net['outline']
    /** What of the back nothing covers. */
    holes?: Net['outline'][]
    unit: 'in' | 'mm'
    words: string
  }>(),
  {
    callouts: () => [],
    scores: () => [],
    alignment: '',
    size: '',
    closed: '',
    side: () => ({}),
    liner: () => [],
    holes: () => [],
  },
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

const small = useSmall()
const { lit, light, dim } = useLit()
/** The sheet stands on its point: none of its edges runs up. */
const pointed = computed(() => {
  const sheet = props.net.sheet
  return !sheet.some((p, i) => Math.abs(p.x - (sheet[i + 1] ?? sheet[0]!).x) < 0.01)
})
const sides = computed(() => props.size.split(' × '))
/** Pixels kept free beside a straight sheet: for the readings, then for its own size. */
const own = 78
const read = 112
const free = computed(() => {
  if (small.value || pointed.value || !props.size) return { right: 0, below: 0, read: 0 }
  const rows =
    props.scores.filter((m) => m.upright).length > 2 ? 2 : props.scores.some((m) => m.upright) ? 1 : 0
  const beside = props.scores.some((m) => !m.upright) ? read : 0
  return { right: own + beside, below: 34 + rows * 42, read: beside }
})
/** Where along its upper left edge the size of a sheet on its point stands, clear of the readings. */
const slant = computed(() => ({ x: box.value.w * 0.39, y: box.value.h * 0.11 }))

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
  <ScaleDrawing
    :width="box.w"
    :height="box.h"
    :unit="unit"
    :words="words"
    :right="free.right"
    :below="free.below"
  >
    <template #default="{ s }">
      <defs>
        <pattern :id="hatch" width="8" height="8" patternUnits="userSpaceOnUse">
          <line x1="0" y1="0" x2="0" y2="8" class="hatch" />
        </pattern>
        <pattern :id="`${hatch}-away`" width="7" height="7" patternUnits="userSpaceOnUse">
          <circle cx="2" cy="2" r="0.9" class="dots" />
        </pattern>
      </defs>
      <FaceDefs :faces="[side]" />
      <path class="drawn drawn-away" :d="path(net.sheet, s)" data-part="sheet" />
      <path
        v-for="(away, i) in net.cutAway"
        :key="`away-${i}`"
        class="falls"
        :d="path(away, s)"
        :fill="`url(#${hatch}-away)`"
        data-part="away"
      />
      <path
        class="drawn drawn-cut drawn-paper"
        :style="{ fill: fillOf(side, 'var(--kraft)') }"
        :d="path(net.outline, s)"
        data-part="outline"
      />
      <path
        v-for="g in net.glue"
        :key="g.panel + g.onto + g.zone[0]?.x"
        :d="path(g.zone, s)"
        :fill="`url(#${hatch})`"
        :class="{ lit: lit === 'envelope.seam' }"
        data-part="glue"
        @pointerenter="light('envelope.seam')"
        @pointerleave="dim('envelope.seam')"
      />
      <path v-if="liner.length" class="drawn drawn-liner" :d="path(liner, s)" data-part="liner" />
      <rect
        class="drawn drawn-card"
        :x="(face.x - card.width / 2) * s"
        :y="(face.y - card.height / 2) * s"
        :width="card.width * s"
        :height="card.height * s"
        :class="{ lit: lit === 'envelope.ease' }"
        data-part="card"
        @pointerenter="light('envelope.ease')"
        @pointerleave="dim('envelope.ease')"
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
        :class="{ lit: lit === 'envelope.ease' && !c.on }"
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
      <text
        v-if="card.width * s > 4 * roomy"
        class="drawing-label"
        text-anchor="middle"
        :x="face.x * s"
        :y="face.y * s"
      >
        card lies here
        <tspan v-if="closed && !small" class="closed" :x="face.x * s" dy="20">closed {{ closed }}</tspan>
      </text>
      <SizeLine
        v-for="d in small ? [] : dimensions"
        :key="d.id"
        :x1="d.from.x * s"
        :y1="d.from.y * s"
        :x2="d.to.x * s"
        :y2="d.to.y * s"
        :text="d.text"
        :name="d.id"
        :shift="d.shift * s"
        :before="pointed"
        :field="d.field"
      />
      <template v-if="!small">
        <text
          v-for="k in callouts"
          :key="k.field"
          class="drawing-text callout"
          :class="{ lit: lit === k.field }"
          :text-anchor="k.at.x * 2 > box.w ? 'end' : 'start'"
          :x="k.at.x * s + (k.at.x * 2 > box.w ? -8 : 8)"
          :y="k.at.y * s + (k.at.y * 2 > box.h ? -8 : 20)"
          :data-callout="k.field"
          @pointerenter="light(k.field)"
          @pointerleave="dim(k.field)"
        >
          {{ k.text }}
        </text>
        <ScoreMarks
          :marks="scores"
          :pointed="pointed"
          :s="s"
          :width="box.w"
          :height="box.h"
          :right="16"
          :below="30"
        />
        <template v-if="size && pointed">
          <text
            class="drawing-text sheet-size"
            text-anchor="middle"
            :transform="`translate(${slant.x * s} ${slant.y * s}) rotate(-45) translate(0 -10)`"
            data-test="sheet-size"
          >
            {{ sides[0] }} square
          </text>
          <text v-if="alignment" class="aligned" :x="(box.w / 2) * s + 14" y="12" data-test="alignment">
            corner reads <tspan class="at">{{ alignment }}</tspan>
          </text>
        </template>
        <g v-else-if="size" data-test="sheet-size">
          <SizeLine
            :x1="0"
            :y1="box.h * s"
            :x2="box.w * s"
            :y2="box.h * s"
            :text="sides[0] ?? ''"
            name="sheet-width"
            :shift="26"
          />
          <SizeLine
            :x1="box.w * s"
            :y1="0"
            :x2="box.w * s"
            :y2="box.h * s"
            :text="sides[1] ?? ''"
            name="sheet-height"
            :shift="14 + free.read"
          />
        </g>
      </template>
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
.sheet-size {
  font-size: var(--size-number);
  font-weight: 650;
}
.aligned {
  fill: var(--soft);
  font: var(--size-small) var(--body);
}
.at {
  fill: var(--ink);
  font-size: var(--size-text);
  font-weight: 650;
}
.callout {
  font-size: var(--size-note);
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3;
}
.closed {
  fill: var(--soft);
}
.dots {
  fill: var(--soft);
}
.falls {
  stroke: none;
}
.lit {
  filter: drop-shadow(0 0 5px var(--yellow));
}
.drawn-card.lit {
  stroke: var(--yellow);
  stroke-width: 4;
}
.drawn-score.lit {
  stroke-width: 4.5;
}
.hatch {
  stroke: var(--glue);
  stroke-width: 2.5;
  opacity: 0.8;
}
</style>
