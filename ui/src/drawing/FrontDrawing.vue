<script setup lang="ts">
import { computed } from 'vue'

import type { LayersPlan } from '../api/client'
import DragEdge from './DragEdge.vue'
import FaceDefs from './FaceDefs.vue'
import { fillOf } from './faces'
import ScaleDrawing from './ScaleDrawing.vue'
import SizeLine from './SizeLine.vue'

const props = defineProps<{
  layers: LayersPlan
  unit: 'in' | 'mm'
  tick: number
  /** The part in hand: its outline lights up. */
  lit?: number
}>()
const emit = defineEmits<{ step: [part: number, ticks: number, on: boolean]; pick: [part: number] }>()

const mm = (nm: number) => nm / 1e6
const face = computed(() => {
  const base = props.layers.rows[0]!
  return { w: mm(base.width), h: mm(base.height) }
})
const panel = computed(() => props.layers.rows[props.layers.rows.length - 1]!)

// Papers that lie on each other differ by a pattern of lines as well as by tone.
const fills = ['var(--sheet)', 'url(#layer-lines)', 'url(#layer-dots)']
/** What a letter and a line of a name take, and the panel's name with its size, in pixels: where there is less, it is
    read beside the card. */
const letter = 6.6
const line = 16
const said = { w: 148, h: 58 }
/** Pixels for the size beside the card: as many as its text takes. */
const right = computed(() => 34 + 12 * props.layers.panelHeight.text.length)
</script>

<template>
  <ScaleDrawing
    live
    :width="face.w"
    :height="face.h"
    :unit="unit"
    :words="layers.drawing"
    :right="right"
    :below="40"
  >
    <template #default="{ s }">
      <FaceDefs :faces="layers.rows.map((r) => r.face)" />
      <defs>
        <pattern
          id="layer-lines"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="7" height="7" class="ground" />
          <line x1="0" y1="0" x2="0" y2="7" class="grain" />
        </pattern>
        <pattern id="layer-dots" width="9" height="9" patternUnits="userSpaceOnUse">
          <rect width="9" height="9" class="light" />
          <circle cx="3" cy="3" r="1.1" class="dot" />
        </pattern>
      </defs>
      <rect
        v-for="(r, i) in layers.rows"
        :key="r.id"
        class="drawn drawn-cut paper"
        :class="{ lit: r.part === lit }"
        :style="{ fill: fillOf(r.face, fills[i % fills.length] ?? '') }"
        :x="r.x * s"
        :y="r.y * s"
        :width="mm(r.width) * s"
        :height="mm(r.height) * s"
        :data-part="`layer-${r.id}`"
        @click="emit('pick', r.part)"
      />
      <g v-for="i in layers.items.placed" :key="i.id">
        <rect
          class="drawn drawn-cut item"
          :x="i.x * s"
          :y="i.y * s"
          :width="i.width * s"
          :height="i.height * s"
          :data-part="`item-${i.id}`"
        />
        <title>{{ i.name }}</title>
        <text
          v-if="i.name.length * letter <= i.width * s && line <= i.height * s"
          class="drawing-label item-name"
          text-anchor="middle"
          :x="(i.x + i.width / 2) * s"
          :y="(i.y + i.height / 2) * s + 5"
        >
          {{ i.name }}
        </text>
      </g>
      <g v-for="t in layers.things" :key="t.id" :data-part="`thing-${t.id}`">
        <ellipse
          v-if="t.disc"
          class="drawn drawn-cut thing"
          :cx="(t.x + t.width / 2) * s"
          :cy="(t.y + t.height / 2) * s"
          :rx="(t.width / 2) * s"
          :ry="(t.height / 2) * s"
        >
          <title>{{ t.name }}</title>
        </ellipse>
        <rect
          v-else
          class="drawn drawn-cut thing"
          :x="t.x * s"
          :y="t.y * s"
          :width="t.width * s"
          :height="t.height * s"
        >
          <title>{{ t.name }}</title>
        </rect>
      </g>
      <template v-for="r in layers.rows.slice(1)" :key="`edge-${r.id}`">
        <DragEdge
          :x1="(r.x + mm(r.width)) * s"
          :y1="r.y * s"
          :x2="(r.x + mm(r.width)) * s"
          :y2="(r.y + mm(r.height)) * s"
          :label="`Right edge of ${r.name}: its border`"
          :text="r.size"
          :name="`layer-${r.part}`"
          :scale="s"
          :tick="tick"
          :factor="-1"
          @step="
            (n, on) => {
              emit('pick', r.part)
              emit('step', r.part, n, on)
            }
          "
        />
      </template>
      <template
        v-if="!layers.items.placed.length && mm(panel.width) * s > said.w && mm(panel.height) * s > said.h"
      >
        <rect
          v-if="layers.rows.length > 1"
          class="label-back"
          :x="(face.w * s - said.w) / 2"
          :y="(face.h / 2) * s - 30"
          :width="said.w"
          :height="said.h"
          rx="3"
        />
        <text class="drawing-label" text-anchor="middle" :x="(face.w / 2) * s" :y="(face.h / 2) * s - 8">
          panel to work on
        </text>
        <text
          class="drawing-text panel"
          text-anchor="middle"
          :x="(face.w / 2) * s"
          :y="(face.h / 2) * s + 18"
        >
          {{ panel.size }}
        </text>
      </template>
      <SizeLine
        :x1="panel.x * s"
        :y1="face.h * s"
        :x2="(panel.x + mm(panel.width)) * s"
        :y2="face.h * s"
        :text="layers.panelWidth.text"
        name="panel-width"
        :shift="34"
      />
      <SizeLine
        :x1="face.w * s"
        :y1="panel.y * s"
        :x2="face.w * s"
        :y2="(panel.y + mm(panel.height)) * s"
        :text="layers.panelHeight.text"
        name="panel-height"
        :shift="14"
      />
    </template>
  </ScaleDrawing>
</template>

<style scoped>
.paper {
  stroke-width: 1.5;
}
.lit {
  stroke: var(--air-blue);
  stroke-width: 4;
}
.ground {
  fill: var(--kraft);
}
.light {
  fill: var(--paper);
}
.grain {
  stroke: var(--kraft-deep);
  stroke-width: 2;
}
.dot {
  fill: var(--kraft-deep);
}
.item {
  fill: color-mix(in srgb, var(--sheet) 82%, transparent);
  stroke-dasharray: 5 3;
  stroke-width: 1.25;
}
.thing {
  fill: color-mix(in srgb, var(--kraft-deep) 45%, transparent);
  stroke-width: 1.25;
}
.item-name {
  fill: var(--ink);
}
.label-back {
  fill: var(--sheet);
}
.panel {
  font-size: var(--size-number);
  font-weight: 650;
}
</style>
