<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'

import type { BeamPlan } from '../api/client'
import DrawingFrame from './DrawingFrame.vue'

/** The piece bent round the drum, thicker drawn where it is stiffer, and the pull it needs against the pull it gets. */
const props = defineProps<{ beam: BeamPlan }>()

const box = ref<HTMLElement>()
const { width: wide, height: high } = useElementSize(box)
const bar = 92 // pixels below for the pull
const tall = computed(() => Math.max(60, high.value - bar))

const scale = computed(() =>
  Math.min(
    (wide.value - 40) / (props.beam.length * 1.15),
    Math.max(8, tall.value - 70) / (props.beam.radius * 1.2),
  ),
)
const centre = computed(() => ({ x: wide.value / 2, y: 60 + props.beam.radius * scale.value }))

/** A place along the piece, as an angle on the drum and a distance off it in pixels. */
function place(mm: number, off: number) {
  const a = (mm - props.beam.length / 2) / props.beam.radius - Math.PI / 2
  const r = props.beam.radius * scale.value + off
  return { x: centre.value.x + r * Math.cos(a), y: centre.value.y + r * Math.sin(a) }
}

const pieces = computed(() => {
  const n = props.beam.stiffness.length
  const h = props.beam.length / n
  return props.beam.stiffness.map((share, i) => {
    const a = place(i * h, 8)
    const b = place((i + 1) * h, 8)
    return { d: `M${a.x} ${a.y}L${b.x} ${b.y}`, width: 3 + 11 * Math.sqrt(share) }
  })
})
const stiffest = computed(() => ({ from: place(props.beam.at, 18), to: place(props.beam.at, 40) }))
const rigid = computed(() => {
  if (props.beam.rigidTo <= props.beam.rigidFrom) return ''
  const middle = (props.beam.rigidFrom + props.beam.rigidTo) / 2
  const half = ((props.beam.rigidTo - props.beam.rigidFrom) / 2) * scale.value
  const at = place(middle, 15)
  const a = (middle - props.beam.length / 2) / props.beam.radius
  return `M${at.x - half * Math.cos(a)} ${at.y - half * Math.sin(a)}L${at.x + half * Math.cos(a)} ${at.y + half * Math.sin(a)}`
})

// The scale of the pull runs a little past what the belt gives.
const most = computed(() => Math.max(1.15, Math.min(3, props.beam.most * 1.05)))
const pull = (share: number) => 20 + (Math.min(share, most.value) / most.value) * (wide.value - 40)
const marks = [
  { share: 5 / 40, text: 'easy to here' },
  { share: 15 / 40, text: 'rigid from here' },
  { share: 1, text: 'belt' },
]
</script>

<template>
  <DrawingFrame :words="beam.words">
    <div ref="box" class="box" data-test="drawing-box">
      <svg v-if="wide > 0" :width="wide" :height="high" role="img" :aria-label="beam.words" data-test="belt">
        <clipPath id="belt-clip"><rect x="0" y="0" :width="wide" :height="tall - 8" /></clipPath>
        <g clip-path="url(#belt-clip)">
          <circle class="drum" :cx="centre.x" :cy="centre.y" :r="beam.radius * scale" />
          <text v-if="tall > 130" class="drawing-label" text-anchor="middle" :x="centre.x" :y="tall - 40">
            drum, 11 in across
          </text>
          <path v-for="(p, i) in pieces" :key="i" class="piece" :d="p.d" :stroke-width="p.width" />
          <path v-if="rigid" class="rigid" :d="rigid" data-part="rigid" />
          <line
            class="stiffest"
            :x1="stiffest.from.x"
            :y1="stiffest.from.y"
            :x2="stiffest.to.x"
            :y2="stiffest.to.y"
            data-part="stiffest"
          />
          <text
            class="drawing-label"
            :x="stiffest.to.x"
            :y="stiffest.to.y - 4"
            :text-anchor="
              stiffest.to.x > wide * 0.7 ? 'end' : stiffest.to.x < wide * 0.3 ? 'start' : 'middle'
            "
          >
            stiffest
          </text>
        </g>
        <g :transform="`translate(0 ${tall + 26})`" data-part="pull">
          <line class="all" :x1="pull(0)" y1="14" :x2="pull(most)" y2="14" />
          <line class="given" :x1="pull(0)" y1="14" :x2="pull(1)" y2="14" />
          <rect
            class="band"
            :x="pull(beam.least)"
            y="2"
            :width="Math.max(3, pull(beam.most) - pull(beam.least))"
            height="24"
          />
          <line class="need" :x1="pull(beam.share)" y1="-4" :x2="pull(beam.share)" y2="32" />
          <text
            class="drawing-text pull"
            :x="pull(beam.share)"
            y="-10"
            :text-anchor="beam.share > 0.6 ? 'end' : 'start'"
          >
            about {{ beam.pull }}
          </text>
          <g v-for="m in marks" :key="m.text">
            <line class="mark" :x1="pull(m.share)" y1="14" :x2="pull(m.share)" y2="38" />
            <text class="drawing-label" :x="pull(m.share)" y="54" text-anchor="middle">{{ m.text }}</text>
          </g>
        </g>
      </svg>
    </div>
  </DrawingFrame>
</template>

<style scoped>
.box {
  position: absolute;
  inset: 0;
  overflow: hidden;
}
svg {
  display: block;
  max-width: 100%;
}
.drum {
  fill: var(--sheet);
  stroke: var(--line);
  stroke-width: 2;
}
.piece {
  stroke-linecap: round;
  stroke: var(--kraft-deep);
  fill: none;
}
.rigid {
  stroke: var(--ink);
  stroke-width: 5;
}
.stiffest {
  stroke: var(--trouble);
  stroke-width: 3;
}
.all {
  stroke: var(--line);
  stroke-width: 3;
  stroke-dasharray: 3 4;
}
.given {
  stroke: var(--kraft-deep);
  stroke-width: 10;
}
.band {
  fill: color-mix(in srgb, var(--air-blue) 30%, transparent);
  stroke: var(--air-blue);
}
.need {
  stroke: var(--ink);
  stroke-width: 4;
}
.mark {
  stroke: var(--soft);
  stroke-width: 1.5;
}
.pull {
  font-size: var(--size-number);
  font-weight: 650;
}
</style>
