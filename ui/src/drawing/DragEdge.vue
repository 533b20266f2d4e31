<script setup lang="ts">
import { keepPointer } from '../fields/events'
import { ref } from 'vue'

/** An edge of a drawing that moves a measure by ticks: dragged, or with the arrow keys. */
const props = withDefaults(
  defineProps<{
    x1: number
    y1: number
    x2: number
    y2: number
    label: string
    text: string
    name: string
    /** Pixels a millimetre, and the tick in nanometres. */
    scale: number
    tick: number
    /** How many ticks the measure changes when the edge moves by one; negative when it shrinks. */
    factor?: number
  }>(),
  { factor: 1 },
)
const emit = defineEmits<{
  /** Ticks to move; on is set while a drag goes on, so that it is one act to undo. */
  step: [ticks: number, on: boolean]
}>()

const from = ref<number>()
const across = () => Math.abs(props.x2 - props.x1) > Math.abs(props.y2 - props.y1)
let moved = 0
let going = false

function start(e: PointerEvent) {
  keepPointer(e)
  from.value = across() ? e.clientY : e.clientX
  moved = 0
  going = false
}

function move(e: PointerEvent) {
  if (from.value === undefined) return
  const pixels = (across() ? e.clientY : e.clientX) - from.value
  const ticks = Math.round(((pixels / props.scale) * 1e6 * props.factor) / props.tick)
  if (ticks === moved) return
  emit('step', ticks - moved, going)
  going = true
  moved = ticks
}

function press(e: KeyboardEvent) {
  const out = ['ArrowRight', 'ArrowDown'].includes(e.key)
  if (!out && !['ArrowLeft', 'ArrowUp'].includes(e.key)) return
  e.preventDefault()
  emit('step', (out ? 1 : -1) * (e.shiftKey ? 8 : 1) * Math.sign(props.factor), false)
}
</script>

<template>
  <g
    class="edge"
    :class="{ across: across(), held: from !== undefined }"
    role="slider"
    tabindex="0"
    :aria-label="label"
    :aria-valuetext="text"
    :data-test="`drag-${name}`"
    @pointerdown="start"
    @pointermove="move"
    @pointerup="from = undefined"
    @pointercancel="from = undefined"
    @keydown="press"
  >
    <line class="reach" :x1="x1" :y1="y1" :x2="x2" :y2="y2" />
    <line
      class="grip"
      :x1="(x1 + x2) / 2 + (across() ? -14 : 0)"
      :y1="(y1 + y2) / 2 + (across() ? 0 : -14)"
      :x2="(x1 + x2) / 2 + (across() ? 14 : 0)"
      :y2="(y1 + y2) / 2 + (across() ? 0 : 14)"
    />
  </g>
</template>

<style scoped>
.edge {
  cursor: ew-resize;
  touch-action: none;
}
.across {
  cursor: ns-resize;
}
.reach {
  stroke: transparent;
  stroke-width: 18;
}
.grip {
  stroke: var(--crease);
  stroke-width: 7;
  stroke-linecap: round;
}
.edge:hover .grip,
.edge:focus .grip,
.held .grip {
  stroke: var(--yellow);
}
.edge:focus {
  outline: none;
}
.edge:focus-visible .reach {
  stroke: color-mix(in srgb, var(--air-blue) 35%, transparent);
}
</style>
