<script setup lang="ts">
import { computed, ref } from 'vue'

import FlatDrawing from '../../drawing/FlatDrawing.vue'
import NetDrawing from '../../drawing/NetDrawing.vue'
import type { JobInHand } from '../../job/useJob'
import StationLayout from '../StationLayout.vue'
import CutterDrawer from './CutterDrawer.vue'
import PieceFiles from './PieceFiles.vue'

const props = defineProps<{ job: JobInHand }>()

const plan = computed(() => props.job.plan.value!)
const bench = computed(() => plan.value.bench)
const blank = computed(() => plan.value.envelope.blank)

const chosen = ref('')
const piece = computed(() => bench.value.pieces.find((p) => p.id === chosen.value) ?? bench.value.pieces[0])
</script>

<template>
  <StationLayout station="bench" :sentence="bench.sentence" :notes="bench.notes">
    <template #drawing>
      <NetDrawing
        v-if="piece?.id === 'envelope'"
        :drawing="blank.flat"
        :dimensions="[]"
        :size="blank.size"
        :side="blank.inside"
        :unit="plan.unit"
        :words="blank.drawing"
      />
      <FlatDrawing
        v-else-if="piece"
        :drawing="piece.flat"
        :size="piece.size"
        :unit="plan.unit"
        :words="piece.words"
      />
    </template>
    <template #pieces>
      <PieceFiles
        v-if="piece"
        :job="job.id"
        :pieces="bench.pieces"
        :chosen="piece.id"
        :saved="job.state.value === 'saved'"
        @choose="chosen = $event"
      />
    </template>
    <template #cutter><CutterDrawer :paths="bench.cutter" /></template>
  </StationLayout>
</template>
