<script setup lang="ts">
import { useElementSize, usePreferredReducedMotion } from '@vueuse/core'
import { computed, onUnmounted, ref, watch } from 'vue'

import type { Face, FoldStep, Net } from '../api/client'
import DrawingFrame from './DrawingFrame.vue'
import { colourOf } from './faces'
import { poses, type Vec } from './pose'

/** The blank folding flap by flap round the card, seen from above at a slant. */
const props = defineProps<{
  /** The sides of its paper. */
  inside?: Face
  outside?: Face
  net: Net
  folds: FoldStep[]
  card: { width: number; height: number; thickness: number }
  words: string
}>()

const tilt = 0.95 // radians from straight above
const secondsAFold = 1.4

const box = ref<HTMLElement>()
const { width: wide, height: high } = useElementSize(box)
const motion = usePreferredReducedMotion()
const stage = ref(0)
const turn = ref(-0.45) // radians about the upright
const playing = ref(false)

const stages = computed(() => [...new Set(props.net.creases.map((c) => c.order))].sort((a, b) => a - b))
const last = computed(() => stages.value.length)
const step = computed(() => props.folds[Math.min(last.value - 1, Math.max(0, Math.ceil(stage.value) - 1))])

watch(
  () => props.net,
  () => {
    if (stage.value > last.value) stage.value = last.value
  },
)

const centre = computed(() => {
  const face = props.net.panels[0]!.outline
  return {
    x: face.reduce((s, p) => s + p.x, 0) / face.length,
    y: face.reduce((s, p) => s + p.y, 0) / face.length,
  }
})

function project(v: Vec): Vec {
  const x = v[0] - centre.value.x
  const y = v[1] - centre.value.y
  const [sin, cos] = [Math.sin(turn.value), Math.cos(turn.value)]
  const u = x * cos - y * sin
  const w = x * sin + y * cos
  return [u, w * Math.cos(tilt) - v[2] * Math.sin(tilt), w * Math.sin(tilt) + v[2] * Math.cos(tilt)]
}

interface Drawn {
  id: string
  name: string
  points: Vec[]
  depth: number
  kind: 'face' | 'panel' | 'card' | 'glue'
  inside: boolean
  lift: number
}

/** How high panels that lie flat on each other are drawn apart, in millimetres. */
const apart = 0.25

const drawn = computed(() => {
  const where = poses(props.net, stages.value, stage.value)
  const list: Drawn[] = props.net.panels.map((p, i) => {
    const pose = where.get(p.id)!
    const crease = props.net.creases.find((c) => c.panel === p.id)
    const part = crease ? Math.min(1, Math.max(0, stage.value - stages.value.indexOf(crease.order))) : 0
    // Walls stand where they are; what lies on something is drawn a little apart from it.
    const wall = crease && crease.angle < 180 && onFace(crease.on)
    const lift = crease && !wall ? part * apart * (stages.value.indexOf(crease.order) + 1) : 0
    const space = p.outline.map((q) => pose(q)).map((v): Vec => [v[0], v[1], v[2] + lift])
    const points = space.map(project)
    return {
      id: p.id,
      name: p.name,
      points,
      depth:
        points.reduce((s, v) => s + v[2], 0) / points.length + (crease ? crease.order * 0.01 * part : -1),
      kind: i === 0 ? 'face' : 'panel',
      inside: turnsLeft(points),
      lift,
    }
  })
  const glue = props.net.glue
    .filter((g) => where.has(g.panel))
    .map((g, i): Drawn => {
      const pose = where.get(g.panel)!
      const on = list.find((d) => d.id === g.panel)!
      const space = g.zone.map((q) => pose(q))
      const lift = on.lift
      const points = space.map((v): Vec => [v[0], v[1], v[2] + lift]).map(project)
      return {
        id: `glue-${i}`,
        name: 'glue',
        points,
        depth: on.depth + 0.005,
        kind: 'glue',
        inside: true,
        lift,
      }
    })
    .filter((g) => turnsLeft(g.points))
  return [...list, ...glue, ...cardSides()].sort((a, b) => a.depth - b.depth)
})

/** Whether a crease's panel hangs on the face itself. */
const onFace = (id: string) => !id || id === props.net.panels[0]?.id

function turnsLeft(points: Vec[]) {
  let sum = 0
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length]!
    sum += a[0] * b[1] - b[0] * a[1]
  })
  return sum > 0
}

function cardSides(): Drawn[] {
  const { width: w, height: h, thickness: t } = props.card
  const { x, y } = centre.value
  const at = (dx: number, dy: number, z: number): Vec =>
    project([x + (dx * w) / 2, y + (dy * h) / 2, z + 0.2])
  const top = Math.max(t, 0.3)
  const faces: [string, Vec[]][] = [
    ['card', [at(-1, -1, top), at(1, -1, top), at(1, 1, top), at(-1, 1, top)]],
    ['card side', [at(-1, 1, 0), at(1, 1, 0), at(1, 1, top), at(-1, 1, top)]],
    ['card end', [at(1, -1, 0), at(1, 1, 0), at(1, 1, top), at(1, -1, top)]],
    ['card other end', [at(-1, -1, 0), at(-1, 1, 0), at(-1, 1, top), at(-1, -1, top)]],
  ]
  return faces.map(([name, points]) => ({
    id: name,
    name,
    points,
    depth: points.reduce((s, v) => s + v[2], 0) / points.length - 0.4,
    kind: 'card',
    inside: true,
    lift: 0,
  }))
}

// The drawing keeps what has been folded so far in the middle and as large as there
// is room for: it grows as the blank grows smaller, without a jump, since the
// folds have none.
const mostGrowth = 1.7
function extent(at: number) {
  const where = poses(props.net, stages.value, at)
  const points = props.net.panels.flatMap((p) => p.outline.map((q) => project(where.get(p.id)!(q))))
  const across = points.map((v) => v[0])
  const down = points.map((v) => v[1])
  const [left, right, top, low] = [
    Math.min(...across),
    Math.max(...across),
    Math.min(...down),
    Math.max(...down),
  ]
  const scale = Math.min((wide.value - 20) / (right - left), (high.value - 20) / (low - top))
  return { scale, x: (left + right) / 2, y: (top + low) / 2 }
}
const flat = computed(() => extent(0).scale)
const room = computed(() => {
  const now = extent(stage.value)
  return { ...now, scale: Math.min(now.scale, flat.value * mostGrowth) }
})

const path = (points: Vec[]) => {
  const { scale, x, y } = room.value
  return (
    points
      .map((v, i) => `${i ? 'L' : 'M'}${((v[0] - x) * scale).toFixed(1)} ${((v[1] - y) * scale).toFixed(1)}`)
      .join('') + 'Z'
  )
}

let frame = 0
function play() {
  if (playing.value) {
    playing.value = false
    window.cancelAnimationFrame(frame)
    return
  }
  if (stage.value >= last.value) stage.value = 0
  if (motion.value === 'reduce') {
    stage.value = Math.min(last.value, Math.floor(stage.value) + 1)
    return
  }
  playing.value = true
  let before = 0 // frames have a time of their own
  const next = (now: number) => {
    if (before) stage.value = Math.min(last.value, stage.value + (now - before) / 1000 / secondsAFold)
    before = now
    if (stage.value < last.value && playing.value) frame = window.requestAnimationFrame(next)
    else playing.value = false
  }
  frame = window.requestAnimationFrame(next)
}
onUnmounted(() => window.cancelAnimationFrame(frame))
</script>

<template>
  <DrawingFrame :words="words">
    <template #key>
      <div class="controls">
        <v-btn variant="flat" color="secondary" size="small" data-test="fold-play" @click="play">
          {{ playing ? 'Hold' : stage >= last ? 'Fold again' : 'Fold' }}
        </v-btn>
        <v-slider
          v-model="stage"
          :min="0"
          :max="last"
          :step="0.02"
          density="compact"
          hide-details
          aria-label="How far it is folded"
          data-test="fold-stage"
        />
        <v-slider
          v-model="turn"
          :min="-3.2"
          :max="3.2"
          :step="0.05"
          density="compact"
          hide-details
          label="turn"
          aria-label="Turn the view"
        />
      </div>
    </template>
    <div class="folding" :style="{ '--inside': colourOf(inside), '--outside': colourOf(outside) }">
      <div ref="box" class="box" data-test="drawing-box">
        <svg
          v-if="wide > 0 && high > 0"
          :width="wide"
          :height="high"
          role="img"
          :aria-label="`The blank, folded to step ${Math.ceil(stage)} of ${last}. ${step?.text ?? ''}`"
          data-test="folding"
        >
          <g :transform="`translate(${wide / 2} ${high / 2})`">
            <path
              v-for="d in drawn"
              :key="d.id"
              class="drawn drawn-cut"
              :class="[d.kind, { outside: !d.inside }]"
              :d="path(d.points)"
              :data-panel="d.id"
            />
          </g>
        </svg>
      </div>
      <p class="step" data-test="fold-step">
        <template v-if="stage === 0"
          >Flat on the table, inside up, the card on the {{ net.panels[0]?.name }}.</template
        >
        <template v-else
          ><strong>{{ Math.ceil(stage) }}.</strong> {{ step?.text }} {{ step?.glue }}
          <span class="soft" data-test="fold-advice">{{ step?.advice }}</span></template
        >
      </p>
    </div>
  </DrawingFrame>
</template>

<style scoped>
.folding {
  position: absolute;
  inset: 0;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
}
.box {
  min-height: 0;
  overflow: hidden;
}
svg {
  display: block;
}
.face {
  fill: var(--inside, var(--kraft));
}
.panel {
  fill: var(--inside, var(--kraft));
  fill-opacity: 0.94;
}
.outside {
  fill: var(--outside, var(--kraft-deep));
}
.glue {
  fill: var(--glue);
  fill-opacity: 0.35;
  stroke: var(--glue);
  stroke-width: 1;
  stroke-dasharray: 3 3;
}
.card {
  fill: var(--sheet);
  stroke-width: 1;
}
.step {
  min-height: 2.8em;
}
.controls {
  flex: 1 1 260px;
  display: grid;
  grid-template-columns: auto minmax(0, 3fr) minmax(0, 2fr);
  gap: var(--gap);
  align-items: center;
}
</style>
