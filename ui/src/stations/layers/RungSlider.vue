<script setup lang="ts">
import { computed } from 'vue'

import type { LayerRow } from '../../api/client'

/** Shows more or less of a paper by moving the layer on it from rung to rung. */
const props = defineProps<{ row: LayerRow }>()
const emit = defineEmits<{ take: [rung: string] }>()

const rung = computed(() => props.row.rungs[props.row.rung]!)

function move(at: number) {
  const to = props.row.rungs[at]
  if (to) emit('take', to.id)
}
</script>

<template>
  <div class="rungs">
    <v-slider
      :model-value="row.rung"
      :min="0"
      :max="row.rungs.length - 1"
      :step="1"
      density="compact"
      hide-details
      label="Show more of it"
      :aria-valuetext="`border ${rung.border.text}, ${rung.share} of the face`"
      :data-test="`rungs-${row.part}`"
      @update:model-value="move"
    />
    <output>{{ row.onRung ? `${rung.border.text} shows ${rung.share}` : 'between two steps' }}</output>
  </div>
</template>

<style scoped>
.rungs {
  display: grid;
  grid-template-columns: minmax(80px, 1fr) auto;
  gap: var(--gap);
  align-items: center;
  font-size: var(--size-note);
}
output {
  min-width: 120px;
  font-weight: 600;
}
</style>
