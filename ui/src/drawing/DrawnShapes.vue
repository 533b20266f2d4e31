<script setup lang="ts">
import { computed, useId } from 'vue'

import type { Face, Shape } from '../api/client'
import FaceDefs from './FaceDefs.vue'
import { fillOf } from './faces'
import { useLit } from '../fields/useLit'

/** The shapes of a drawing, each as its kind looks; sizes are pixels a millimetre. */
const props = withDefaults(
  defineProps<{
    shapes: Shape[]
    s?: number
    /** The side of the paper that is up. */
    side?: Face
    /** What paper without a colour is drawn as. */
    paper?: string
    /** Fine lines and no paper, to be printed and measured. */
    fine?: boolean
  }>(),
  { s: 1, side: () => ({}), paper: 'var(--kraft)' },
)

const own = useId()
const { lit, light, dim } = useLit()

const path = (shape: Shape) =>
  shape.corners.map((p, i) => `${i ? 'L' : 'M'}${p.x * props.s} ${p.y * props.s}`).join('') +
  (shape.closed ? 'Z' : '')

/** What is cut first is the paper; what is cut in it is an opening. */
const outline = computed(() => props.shapes.find((s) => s.kind === 'cut' && s.closed))

/** On a mat every piece is paper: it lies under what is cut out of it and scored on it. */
const layered = computed(() => {
  const under = props.shapes.filter((s) => s.kind === 'mat' || s.kind === 'sheet')
  const paper = props.shapes.filter((s) => s.paper)
  return paper.length
    ? [...under, ...paper, ...props.shapes.filter((s) => !under.includes(s) && !s.paper)]
    : props.shapes
})
const onMat = computed(() => props.shapes.some((s) => s.paper))
const isPaper = (shape: Shape) => (onMat.value ? !!shape.paper : shape === outline.value)

function look(shape: Shape) {
  if (props.fine) return 'true-line'
  if (shape.kind === 'cut') return `drawn drawn-cut ${isPaper(shape) ? 'drawn-paper' : 'opening'}`
  if (shape.kind === 'away') return 'falls'
  if (shape.kind === 'glue') return ''
  return `drawn drawn-${shape.kind === 'sheet' ? 'away' : shape.kind}`
}

function filled(shape: Shape) {
  if (props.fine) return undefined
  if (isPaper(shape)) return fillOf(props.side, props.paper)
  if (shape.kind === 'glue') return `url(#${own}-glue)`
  if (shape.kind === 'away') return `url(#${own}-away)`
  return undefined
}
</script>

<template>
  <g>
    <defs v-if="!fine">
      <pattern :id="`${own}-glue`" width="8" height="8" patternUnits="userSpaceOnUse">
        <line x1="0" y1="0" x2="0" y2="8" class="hatch" />
      </pattern>
      <pattern :id="`${own}-away`" width="7" height="7" patternUnits="userSpaceOnUse">
        <circle cx="2" cy="2" r="0.9" class="dots" />
      </pattern>
    </defs>
    <FaceDefs v-if="!fine" :faces="[side]" />
    <template v-for="(shape, i) in layered" :key="i">
      <line
        v-if="!shape.closed"
        :class="[
          look(shape),
          {
            lit: shape.part === 'new' || (shape.field && lit === shape.field),
            inside: shape.inside && shape.kind === 'score',
          },
        ]"
        :x1="shape.corners[0]!.x * s"
        :y1="shape.corners[0]!.y * s"
        :x2="shape.corners[1]!.x * s"
        :y2="shape.corners[1]!.y * s"
        :data-crease="shape.kind === 'score' ? shape.part : undefined"
        :data-part="shape.kind === 'score' ? undefined : shape.part"
      />
      <path
        v-else
        :class="[look(shape), { lit: shape.part === 'new' || (shape.field && lit === shape.field) }]"
        :d="path(shape)"
        :style="isPaper(shape) && !fine ? { fill: filled(shape) } : undefined"
        :fill="isPaper(shape) ? undefined : filled(shape)"
        :data-part="shape.part"
        @pointerenter="shape.field && light(shape.field)"
        @pointerleave="shape.field && dim(shape.field)"
      />
    </template>
  </g>
</template>

<style scoped>
.opening {
  fill: var(--paper);
}
.inside {
  stroke-dasharray: 3 5;
}
.dots {
  fill: var(--soft);
}
.falls {
  stroke: none;
}
.hatch {
  stroke: var(--glue);
  stroke-width: 2.5;
  opacity: 0.8;
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
</style>
