<script setup lang="ts">
import { computed } from 'vue'

import type { Callout, Dimension, Drawing, Face, ScoreMark } from '../api/client'
import DrawnLabels from './DrawnLabels.vue'
import DrawnShapes from './DrawnShapes.vue'
import LineKey from './LineKey.vue'
import ScoreMarks from './ScoreMarks.vue'
import ScaleDrawing from './ScaleDrawing.vue'
import SizeLine from './SizeLine.vue'
import { useLit } from '../fields/useLit'
import { useSmall } from './useSmall'

const props = withDefaults(
  defineProps<{
    drawing: Drawing
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
  },
)

const box = computed(() => ({ w: props.drawing.width, h: props.drawing.height }))
const has = (what: string) => props.drawing.shapes.some((shape) => shape.kind === what)

const small = useSmall()
const { lit, light, dim } = useLit()
/** The sheet stands on its point: none of its edges runs up. */
const pointed = computed(() => {
  const sheet = props.drawing.shapes.find((shape) => shape.kind === 'sheet')?.corners ?? []
  return !sheet.some((p, i) => Math.abs(p.x - (sheet[i + 1] ?? sheet[0]!).x) < 0.01)
})
const sides = computed(() => props.size.split(' × '))
/** Pixels kept free beside a straight sheet: for the readings, then for its own size. */
const own = 78
const read = 112
const free = computed(() => {
  // What is cut off at the edge of a bought envelope is named there.
  if (!props.size && props.dimensions.length && !small.value) return { right: 20, below: 40, read: 0 }
  if (small.value || pointed.value || !props.size) return { right: 0, below: 0, read: 0 }
  const rows =
    props.scores.filter((m) => m.upright).length > 2 ? 2 : props.scores.some((m) => m.upright) ? 1 : 0
  const beside = props.scores.some((m) => !m.upright) ? read : 0
  return { right: own + beside, below: 34 + rows * 42, read: beside }
})
/** The readings left of a sheet on its point stand clear of the ruler. */
const reading = 124 // pixels that a reading with its words takes
const lead = computed(() => {
  const at = props.scores.flatMap((m) => [m.start.x, m.end.x])
  return pointed.value && !small.value && at.length ? { at: Math.min(...at), pixels: reading } : undefined
})
/** Where along its upper left edge the size of a sheet on its point stands, clear of the readings. */
const slant = computed(() => ({ x: box.value.w * 0.39, y: box.value.h * 0.11 }))
</script>

<template>
  <ScaleDrawing
    :width="box.w"
    :height="box.h"
    :unit="unit"
    :words="words"
    :right="free.right"
    :below="free.below"
    :lead="lead"
  >
    <template #default="{ s }">
      <DrawnShapes :shapes="drawing.shapes" :s="s" :side="side" />
      <DrawnLabels
        :labels="drawing.labels"
        :s="s"
        :below="closed && !small ? { card: `closed ${closed}` } : undefined"
      />
      <SizeLine
        v-for="d in small ? [] : dimensions"
        :key="d.id"
        :x1="d.from.x * s"
        :y1="d.from.y * s"
        :x2="d.to.x * s"
        :y2="d.to.y * s"
        :text="d.text"
        :name="d.id"
        :shift="size ? d.shift * s : 32"
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
          ...(has('liner') ? ['liner'] : []),
          ...(has('hole') ? ['hole'] : []),
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
.lit {
  filter: drop-shadow(0 0 5px var(--yellow));
}
</style>
