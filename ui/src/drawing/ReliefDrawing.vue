<script setup lang="ts">
import { keepPointer } from '../fields/events'
import { computed, ref } from 'vue'

import type { ReliefPlan } from '../api/client'
import ScaleDrawing from './ScaleDrawing.vue'

/** The face from above, stronger coloured where it is thicker, and two cuts through it; things can be dragged. */
const props = defineProps<{ relief: ReliefPlan; unit: 'in' | 'mm'; tick: number; at: number }>()
const emit = defineEmits<{ pick: [part: number]; move: [part: number, x: number, y: number, on: boolean] }>()

const gap = 16 // pixels between the face and a cut
const rise = 3 // how many times higher than long a cut is drawn

// What sticks out past the edges is drawn too.
const box = computed(() => {
  const p = props.relief.parts
  const x0 = Math.min(0, ...p.map((q) => q.x))
  const y0 = Math.min(0, ...p.map((q) => q.y))
  const x1 = Math.max(props.relief.width, ...p.map((q) => q.x + q.width))
  const y1 = Math.max(props.relief.height, ...p.map((q) => q.y + q.height))
  return { x0, y0, w: x1 - x0, h: y1 - y0 }
})
const across = computed(() => props.relief.cuts.find((c) => c.id === 'across'))
const down = computed(() => props.relief.cuts.find((c) => c.id === 'down'))
const high = computed(() => props.relief.max.nm / 1e6)

const tone = (level: number) =>
  `color-mix(in srgb, var(--relief-high) ${Math.round(12 + 78 * level)}%, var(--sheet))`

/** The papers whose height has room to be written: those of which too little is seen at the corner are left out. */
function heights(s: number) {
  const list: ReliefPlan['parts'] = []
  for (const p of props.relief.parts) {
    if (p.thing || p.width * s <= 90) continue
    const below = list[list.length - 1]
    if (below && Math.abs(below.y - p.y) * s < 18 && Math.abs(below.x - p.x) * s < 60) list.pop()
    list.push(p)
  }
  return list
}

const held = ref<{ part: number; x: number; y: number }>()
let moved = { x: 0, y: 0 }
let going = false

function start(part: number, e: PointerEvent) {
  keepPointer(e)
  emit('pick', part)
  held.value = { part, x: e.clientX, y: e.clientY }
  moved = { x: 0, y: 0 }
  going = false
}

function move(s: number, e: PointerEvent) {
  const h = held.value
  if (!h) return
  const ticks = (pixels: number) => Math.round(((pixels / s) * 1e6) / props.tick)
  const to = { x: ticks(e.clientX - h.x), y: ticks(e.clientY - h.y) }
  if (to.x === moved.x && to.y === moved.y) return
  emit('move', h.part, to.x - moved.x, to.y - moved.y, going)
  going = true
  moved = to
}

function press(part: number, e: KeyboardEvent) {
  const by: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  }
  const d = by[e.key]
  if (!d) return
  e.preventDefault()
  const n = e.shiftKey ? 8 : 1
  emit('move', part, d[0] * n, d[1] * n, false)
}

const hull = (points: { x: number; y: number }[], s: number) =>
  points.map((p, i) => `${i ? 'L' : 'M'}${(p.x - box.value.x0) * s} ${-p.y * s * rise}`).join('') + 'Z'
const hullDown = (points: { x: number; y: number }[], s: number) =>
  points.map((p, i) => `${i ? 'L' : 'M'}${p.y * s * rise} ${(p.x - box.value.y0) * s}`).join('') + 'Z'
</script>

<template>
  <ScaleDrawing
    live
    :width="box.w"
    :height="box.h"
    :unit="unit"
    :words="relief.words"
    :right="gap"
    :below="gap + 20"
    :more-right="high * rise"
    :more-below="high * rise"
  >
    <template #default="{ s }">
      <g :transform="`translate(${-box.x0 * s} ${-box.y0 * s})`">
        <g
          v-for="p in relief.parts"
          :key="p.part"
          :class="{ thing: p.thing, picked: p.part === at }"
          :role="p.thing ? 'slider' : undefined"
          :tabindex="p.thing ? 0 : undefined"
          :aria-label="p.thing ? `${p.name}: drag it, or move it with the arrow keys` : undefined"
          :aria-valuetext="p.thing ? `${p.top} high` : undefined"
          :data-test="`relief-${p.part}`"
          @pointerdown="p.thing && start(p.part, $event)"
          @pointermove="p.thing && move(s, $event)"
          @pointerup="held = undefined"
          @pointercancel="held = undefined"
          @focus="p.thing && emit('pick', p.part)"
          @keydown="p.thing && press(p.part, $event)"
        >
          <circle
            v-if="p.disc"
            class="part"
            :cx="(p.x + p.width / 2) * s"
            :cy="(p.y + p.height / 2) * s"
            :r="(p.width / 2) * s"
            :style="{ fill: tone(p.level) }"
          />
          <rect
            v-else
            class="part"
            :class="{ draping: p.draping }"
            :x="p.x * s"
            :y="p.y * s"
            :width="p.width * s"
            :height="p.height * s"
            :style="{ fill: tone(p.level) }"
          />
          <title>{{ p.name }}, {{ p.top }}</title>
        </g>
        <text
          v-for="p in heights(s)"
          :key="`top-${p.part}`"
          class="drawing-label height"
          :x="p.x * s + 5"
          :y="p.y * s + 14"
          >{{ p.top }}</text
        >
        <path v-if="across" class="cut" :d="`M${box.x0 * s} ${across.at * s}H${(box.x0 + box.w) * s}`" />
        <path v-if="down" class="cut" :d="`M${down.at * s} ${box.y0 * s}V${(box.y0 + box.h) * s}`" />
        <g class="peak" :transform="`translate(${relief.at.x * s} ${relief.at.y * s})`" data-part="peak">
          <circle r="7" />
          <path d="M-12 0H12M0 -12V12" />
          <text class="drawing-text top" :x="12" :y="-10">{{ relief.max.text }}</text>
        </g>
      </g>
      <g
        v-if="across"
        :transform="`translate(0 ${box.h * s + gap + high * s * rise})`"
        data-part="cut-across"
      >
        <rect
          v-for="(t, i) in across.steps"
          :key="i"
          class="step"
          :x="(t.from - box.x0) * s"
          :y="-t.height * s * rise"
          :width="(t.to - t.from) * s"
          :height="t.height * s * rise"
        />
        <path class="hull" :d="hull(across.hull, s)" />
        <text class="drawing-label" x="0" y="18">{{ across.text }}</text>
      </g>
      <g v-if="down" :transform="`translate(${box.w * s + gap} 0)`" data-part="cut-down">
        <rect
          v-for="(t, i) in down.steps"
          :key="i"
          class="step"
          x="0"
          :y="(t.from - box.y0) * s"
          :width="t.height * s * rise"
          :height="(t.to - t.from) * s"
        />
        <path class="hull" :d="hullDown(down.hull, s)" />
      </g>
    </template>
    <template #legend>
      <span>darker is thicker; sections {{ rise }} times as high</span>
    </template>
  </ScaleDrawing>
</template>

<style scoped>
.part {
  stroke: var(--ink);
  stroke-width: 0.75;
}
.draping {
  stroke-dasharray: 3 3;
}
.thing {
  cursor: grab;
  touch-action: none;
}
.thing:focus {
  outline: none;
}
.picked .part,
.thing:focus .part {
  stroke: var(--air-blue);
  stroke-width: 3;
}
.cut {
  stroke: var(--air-blue);
  stroke-width: 1.5;
  stroke-dasharray: 12 4 2 4;
  fill: none;
  pointer-events: none;
}
.step {
  fill: var(--kraft);
}
.hull {
  fill: none;
  stroke: var(--air-blue);
  stroke-width: 1.5;
}
.height {
  fill: var(--ink);
  font-size: var(--size-small);
  pointer-events: none;
}
.peak {
  pointer-events: none;
}
.peak circle,
.peak path {
  fill: none;
  stroke: var(--trouble);
  stroke-width: 2;
}
.top {
  font-size: var(--size-number);
  font-weight: 650;
}
</style>
