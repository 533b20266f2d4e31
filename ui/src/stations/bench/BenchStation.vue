<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'

import { useProgress } from '../../bench/useProgress'
import { useWorksheet } from '../../bench/useWorksheet'
import FlatDrawing from '../../drawing/FlatDrawing.vue'
import NetDrawing from '../../drawing/NetDrawing.vue'
import type { JobInHand } from '../../job/useJob'
import StationLayout from '../StationLayout.vue'
import CutterDrawer from './CutterDrawer.vue'
import PieceFiles from './PieceFiles.vue'
import StepList from './StepList.vue'
import ToolsDrawer from './ToolsDrawer.vue'

const props = defineProps<{ job: JobInHand }>()

const plan = computed(() => props.job.plan.value!)
const bench = computed(() => plan.value.bench)
const blank = computed(() => plan.value.envelope.blank)

const chosen = ref('')
const { at, to, heard, load } = useProgress(() => props.job.id)
onMounted(load)
watch(
  () => props.job.benchStep.value,
  (step) => heard(step),
)
const { sheet, failure } = useWorksheet(
  () => props.job.job.value,
  () => props.job.shopVersion.value,
)
/** A worksheet that has grown shorter is at its end. */
const place = computed(() => Math.max(0, Math.min(at.value, (sheet.value?.steps.length ?? 1) - 1)))
const step = computed(() => sheet.value?.steps[place.value])
const piece = computed(() => bench.value.pieces.find((p) => p.id === chosen.value) ?? bench.value.pieces[0])
</script>

<template>
  <StationLayout station="bench" :sentence="bench.sentence" :notes="bench.notes">
    <template #drawing="{ drawer }">
      <FlatDrawing
        v-if="drawer === 'steps' && step?.flat.shapes.length"
        :drawing="step.flat"
        :size="step.size"
        :unit="plan.unit"
        :words="step.drawing"
      />
      <NetDrawing
        v-else-if="piece?.id === 'envelope'"
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
    <template #steps
      ><StepList :at="place" :job="job.id" :sheet="sheet" :failure="failure" @to="to"
    /></template>
    <template #tools><ToolsDrawer /></template>
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
