<script setup lang="ts">
import { computed } from 'vue'

const props = defineProps<{
  /** Length ruled, in millimetres. */
  length: number
  /** Pixels a millimetre. */
  scale: number
  unit: 'in' | 'mm'
  down?: boolean
}>()

const closest = 4 // pixels between marks
const labels = 30 // pixels between numbers

const marks = computed(() => {
  const one = props.unit === 'in' ? 25.4 : 1
  const steps = props.unit === 'in' ? [1 / 8, 1 / 4, 1 / 2, 1] : [1, 5, 10, 50]
  const step = steps.find((s) => s * one * props.scale >= closest) ?? steps[steps.length - 1]!
  const every =
    (props.unit === 'in' ? [1, 2, 5] : [10, 20, 50, 100]).find((n) => n * one * props.scale >= labels) ?? 100
  const long = props.unit === 'in' ? 1 : 10
  const middle = props.unit === 'in' ? 1 / 2 : 5
  const list = []
  for (let i = 0; i * step * one <= props.length + 1e-6; i++) {
    const value = i * step
    const whole = Math.abs(value % long) < 1e-9
    const half = Math.abs(value % middle) < 1e-9
    list.push({
      at: value * one * props.scale,
      size: whole ? 14 : half ? 9 : 5,
      text: whole && Math.abs(value % every) < 1e-9 ? String(value) : '',
      value,
    })
  }
  return list
})

// The marks without a number are one line of the drawing: there are many, and they change with every size.
const named = computed(() => marks.value.filter((m) => m.text))
const between = computed(() =>
  marks.value
    .filter((m) => !m.text)
    .map((m) => (props.down ? `M0 ${m.at}H${-m.size}` : `M${m.at} 0V${-m.size}`))
    .join(''),
)
</script>

<template>
  <g class="ruler" :class="{ down }" aria-hidden="true">
    <path class="marks" :d="between" />
    <template v-for="m in named" :key="m.value">
      <line
        :x1="down ? 0 : m.at"
        :y1="down ? m.at : 0"
        :x2="down ? -m.size : m.at"
        :y2="down ? m.at : -m.size"
        :data-ruler="down ? 'down' : 'across'"
        :data-value="m.value"
      />
      <text :x="down ? -16 : m.at" :y="down ? m.at + 4 : -17" :text-anchor="down ? 'end' : 'middle'">
        {{ m.text }}
      </text>
    </template>
  </g>
</template>

<style scoped>
line,
.marks {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1;
}
text {
  fill: var(--soft);
  font: var(--size-small) var(--body);
}
</style>
