<script setup lang="ts">
import { computed } from 'vue'

import { colourOf } from '../drawing/faces'
import NestDrawing from '../drawing/NestDrawing.vue'
import type { JobInHand } from '../job/useJob'

/** The card in the job's own envelope, bought or made, each in the colour of its paper. */
const props = defineProps<{ job: JobInHand }>()

const plan = computed(() => props.job.plan.value!)
const card = computed(() => props.job.job.value!.card)
const colours = computed(() => ({
  '--outside': colourOf(plan.value.envelope.blank.outside),
  '--front': colourOf(plan.value.layers.rows[0]?.face),
}))
</script>

<template>
  <NestDrawing
    :style="colours"
    :fit="plan.envelope.own"
    :room="plan.card.room"
    :width="card.width ?? 0"
    :height="card.height ?? 0"
    :size="plan.card.room.outer"
    :unit="plan.unit"
    :tick="plan.tick"
    :outline="card.outline"
    @step="job.step"
  />
</template>
