<script setup lang="ts">
import { computed } from 'vue'

import type { LayerRow } from '../../api/client'
import { textAt } from '../../fields/events'

/** Shows more or less of a paper by moving the layer on it from rung to rung. */
const props = defineProps<{ row: LayerRow }>()
const emit = defineEmits<{ take: [rung: string] }>()

const rung = computed(() => props.row.rungs[props.row.rung]!)

function move(e: Event) {
  const to = props.row.rungs[Number(textAt(e))]
  if (to) emit('take', to.id)
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
      :value="row.rung"
      :aria-valuetext="`border ${rung.border.text}, ${rung.share} of the face`"
      :data-test="`rungs-${row.part}`"
      @input="move"
    />
    <output>{{ row.onRung ? `${rung.border.text} shows ${rung.share}` : 'between two rungs' }}</output>
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
