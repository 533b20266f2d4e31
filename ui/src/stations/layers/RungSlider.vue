<script setup lang="ts">
import { computed } from 'vue'

import type { LayerRow } from '../../api/client'

/** Shows more or less of a paper by moving the layer on it from rung to rung. */
const props = defineProps<{ row: LayerRow; border: number }>()
const emit = defineEmits<{ border: [nm: number] }>()

/** The rung that the border stands on, or the last one below it. */
const at = computed(() => {
  let found = 0
  props.row.rungs.forEach((r, i) => {
    if (r.border.nm <= props.border) found = i
  })
  return found
})
const rung = computed(() => props.row.rungs[at.value]!)
const on = computed(() => rung.value.border.nm === props.border)

function move(e: Event) {
  const to = props.row.rungs[Number((e.target as HTMLInputElement).value)]
  if (to) emit('border', to.border.nm)
}
</script>

<template>
  <label class="rungs">
    <span>Show more of this paper</span>
    <input
      type="range"
      min="0"
      :max="row.rungs.length - 1"
      step="1"
      :value="at"
      :aria-valuetext="`border ${rung.border.text}, ${rung.share} of the face`"
      :data-test="`rungs-${row.part}`"
      @input="move"
    />
    <output>{{ on ? `${rung.border.text} shows ${rung.share}` : 'between two rungs' }}</output>
  </label>
</template>

<style scoped>
.rungs {
  display: grid;
  grid-template-columns: auto minmax(80px, 1fr) auto;
  gap: 12px;
  align-items: center;
  font-size: 15px;
  padding: 4px 0;
}
input {
  accent-color: var(--yellow);
  width: 100%;
}
output {
  min-width: 130px;
  font-weight: 600;
}
</style>
