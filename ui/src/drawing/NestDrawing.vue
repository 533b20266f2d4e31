<script setup lang="ts">
import { computed } from 'vue'

import type { FieldPath, FitPlan, RoomPlan } from '../api/client'
import DragEdge from './DragEdge.vue'
import ScaleDrawing from './ScaleDrawing.vue'
import SizeLine from './SizeLine.vue'

/** The card in the middle of an envelope, to scale, with a section through its thickness below. */
const props = defineProps<{
  fit: FitPlan
  room: RoomPlan
  /** The card without what sticks out, in nanometres. */
  width: number
  height: number
  size: string
  unit: 'in' | 'mm'
  tick: number
  /** The outline of an odd shape, in millimetres. */
  outline?: { x: number; y: number }[]
}>()
const emit = defineEmits<{ step: [path: FieldPath, ticks: number, on: boolean] }>()

const mm = (nm: number) => nm / 1e6
const out = computed(() => ({ w: mm(props.fit.outer.width), h: mm(props.fit.outer.height) }))
const card = computed(() => {
  const w = mm(props.room.outerSize.width)
  const h = mm(props.room.outerSize.height)
  return { w, h, x: (out.value.w - w) / 2, y: (out.value.h - h) / 2 }
})
/** The base itself, where something sticks out of it. */
const base = computed(() => {
  const x = card.value.x + mm(props.room.left)
  const y = card.value.y + mm(props.room.above)
  return { x, y, w: mm(props.width), h: mm(props.height) }
})
const sticksOut = computed(() => base.value.w < card.value.w - 0.01 || base.value.h < card.value.h - 0.01)
const inner = computed(() => ({
  x: (out.value.w - mm(props.fit.inner.width)) / 2,
  y: (out.value.h - mm(props.fit.inner.height)) / 2,
}))
/** The card with the room that its thickness takes. */
const takes = computed(() => {
  const w = mm(props.fit.takes.width)
  const h = mm(props.fit.takes.height)
  return { x: card.value.x - w / 2, y: card.value.y - h / 2, w: card.value.w + w, h: card.value.h + h }
})
/** Strips stand beside the card; above and below it where it lies a quarter round. */
const beside = computed(() => {
  const strip = props.fit.strips?.[0]
  return {
    side: strip && strip.height > strip.width ? 'to each strip' : 'each side',
    above: strip && strip.height <= strip.width ? 'to each strip' : 'above, below',
  }
})
const tooBig = computed(() => props.fit.verdict === 'does not fit')

// The section is drawn higher than it is, or nothing could be told apart.
const sectionHeight = 40 // pixels
const thickest = computed(() => Math.max(...props.room.section.map((p) => p.y + p.height)))
const rise = computed(() => Math.min(24, sectionHeight / thickest.value))
</script>

<template>
  <ScaleDrawing
    live
    :width="out.w"
    :height="out.h"
    :unit="unit"
    :words="`${fit.drawing} ${room.text}`"
    :right="96"
    :below="sectionHeight + 66"
  >
    <template #default="{ s }">
      <rect
        class="drawn drawn-cut envelope"
        x="0"
        y="0"
        :width="out.w * s"
        :height="out.h * s"
        data-part="envelope"
      />
      <rect
        class="drawn drawn-score"
        :x="inner.x * s"
        :y="inner.y * s"
        :width="mm(fit.inner.width) * s"
        :height="mm(fit.inner.height) * s"
      />
      <rect
        v-for="(strip, i) in fit.strips"
        :key="`strip ${i}`"
        class="drawn strip"
        :x="strip.x * s"
        :y="strip.y * s"
        :width="strip.width * s"
        :height="strip.height * s"
        data-part="nest-strip"
      />
      <rect
        class="drawn takes"
        :x="takes.x * s"
        :y="takes.y * s"
        :width="takes.w * s"
        :height="takes.h * s"
        data-part="takes"
      />
      <rect
        class="drawn drawn-cut card"
        :class="{ big: tooBig }"
        :x="card.x * s"
        :y="card.y * s"
        :width="card.w * s"
        :height="card.h * s"
        data-part="nest-card"
      />
      <rect
        v-if="sticksOut"
        class="drawn drawn-cut card"
        :class="{ big: tooBig }"
        :x="base.x * s"
        :y="base.y * s"
        :width="base.w * s"
        :height="base.h * s"
        data-part="nest-base"
      />
      <path
        v-if="outline?.length"
        class="drawn drawn-cut odd"
        :d="
          outline.map((p, i) => `${i ? 'L' : 'M'}${(base.x + p.x) * s} ${(base.y + p.y) * s}`).join('') + 'Z'
        "
        data-part="odd-shape"
      />
      <text class="drawing-text name" text-anchor="middle" :x="(out.w / 2) * s" :y="(out.h / 2) * s - 6">
        {{ size }}
      </text>
      <text class="drawing-label" text-anchor="middle" :x="(out.w / 2) * s" :y="(out.h / 2) * s + 18">
        {{ tooBig ? 'the card is too large' : sticksOut ? 'card over all that sticks out' : 'the card' }}
      </text>
      <text class="drawing-text ease" :x="out.w * s + 12" :y="(out.h / 2) * s">
        {{ fit.sideEase.text }}
      </text>
      <text class="drawing-label" :x="out.w * s + 12" :y="(out.h / 2) * s + 18">
        {{ beside.side }}
      </text>
      <text class="drawing-text ease" :x="out.w * s + 12" :y="20">{{ fit.aboveEase.text }}</text>
      <text class="drawing-label" :x="out.w * s + 12" :y="38">
        {{ beside.above }}
      </text>
      <DragEdge
        :x1="(card.x + card.w) * s"
        :y1="card.y * s"
        :x2="(card.x + card.w) * s"
        :y2="(card.y + card.h) * s"
        label="The card's right edge: its width"
        :text="size"
        name="card-width"
        :scale="s"
        :tick="tick"
        :factor="2"
        @step="(n, on) => emit('step', 'card.width', n, on)"
      />
      <DragEdge
        :x1="card.x * s"
        :y1="(card.y + card.h) * s"
        :x2="(card.x + card.w) * s"
        :y2="(card.y + card.h) * s"
        label="The card's lower edge: its height"
        :text="size"
        name="card-height"
        :scale="s"
        :tick="tick"
        :factor="2"
        @step="(n, on) => emit('step', 'card.height', n, on)"
      />
      <g :transform="`translate(${base.x * s} ${out.h * s + 34 + sectionHeight})`" data-test="section">
        <rect
          v-for="(p, i) in room.section"
          :key="i"
          class="drawn drawn-cut part"
          :class="{ foam: p.foam }"
          :x="p.x * s"
          :y="-(p.y + p.height) * rise"
          :width="p.width * s"
          :height="Math.max(1.5, p.height * rise)"
        />
        <line class="drawn drawn-cut" :x1="-base.x * s" y1="1" :x2="(out.w - base.x) * s" y2="1" />
        <SizeLine
          :x1="(out.w - base.x) * s"
          :y1="-thickest * rise"
          :x2="(out.w - base.x) * s"
          :y2="0"
          :text="room.block.text"
          name="thickness"
          :shift="8"
        />
      </g>
      <text class="drawing-label" :x="0" :y="out.h * s + sectionHeight + 54">
        dotted: the room that thickness takes; below, the section, {{ Math.round(rise / s) }} times as high
      </text>
    </template>
  </ScaleDrawing>
</template>

<style scoped>
.envelope {
  fill: var(--outside, var(--kraft));
}
.strip {
  fill: color-mix(in srgb, var(--glue) 30%, transparent);
  stroke: var(--glue);
}
.takes {
  fill: var(--paper);
  stroke: var(--soft);
  stroke-width: 1;
  stroke-dasharray: 2 3;
}
.card {
  fill: var(--front, var(--sheet));
}
.odd {
  fill: var(--kraft);
}
.big {
  fill: color-mix(in srgb, var(--trouble) 18%, var(--sheet));
  stroke: var(--trouble);
}
.name {
  font-size: var(--size-number);
  font-weight: 650;
}
.ease {
  font-size: var(--size-number);
  font-weight: 650;
}
.part {
  fill: var(--kraft-deep);
  stroke-width: 1;
}
.foam {
  fill: var(--sheet);
  stroke-dasharray: 2 3;
}
</style>
