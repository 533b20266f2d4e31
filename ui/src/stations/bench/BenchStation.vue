<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'

import { useProgress } from '../../bench/useProgress'
import { useWorksheet } from '../../bench/useWorksheet'
import FlatDrawing from '../../drawing/FlatDrawing.vue'
import NetDrawing from '../../drawing/NetDrawing.vue'
import type { JobInHand } from '../../job/useJob'
import StationLayout from '../StationLayout.vue'
import CutterDrawer from './CutterDrawer.vue'
import MatsDrawer from './MatsDrawer.vue'
import PieceFiles from './PieceFiles.vue'
import StepList from './StepList.vue'
import ToolsDrawer from './ToolsDrawer.vue'
import { useCutter } from './useCutter'

const props = defineProps<{ job: JobInHand }>()

const plan = computed(() => props.job.plan.value!)
const bench = computed(() => plan.value.bench)
const blank = computed(() => plan.value.envelope.blank)

const chosen = ref('')
const { at, to, heard, load: loadPlace } = useProgress(() => props.job.id)
onMounted(loadPlace)
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

const mat = ref('')
/** What lies on the mat: a load, or what sticks out of it, which is shown first where nothing was chosen. */
const load = computed(() => {
  const { loads = [], misfits = [] } = bench.value.mats ?? {}
  const all = [...misfits, ...loads]
  return all.find((l) => l.id === mat.value) ?? all[0]
})
const { simulated, cut, message, busy, send, clear } = useCutter(
  () => props.job.id,
  () => [props.job.job.value, props.job.shopVersion.value],
)
/** How many of the lines that the cutter made are shown, all of them at first. */
const shown = ref(0)
watch(cut, (now) => (shown.value = now?.flat.shapes.length ?? 0))
const cameOff = computed(
  () => cut.value && { ...cut.value.flat, shapes: cut.value.flat.shapes.slice(0, shown.value) },
)
function look(id: string) {
  clear()
  mat.value = id
}
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
      <FlatDrawing
        v-else-if="drawer === 'mats' && cut && cameOff"
        :drawing="cameOff"
        :size="cut.size"
        :unit="plan.unit"
        :words="cut.words"
      />
      <FlatDrawing
        v-else-if="drawer === 'mats' && load"
        :drawing="load.flat"
        :size="load.size"
        :unit="plan.unit"
        :words="load.words"
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
    <template #mats>
      <MatsDrawer
        v-if="bench.mats"
        v-model:shown="shown"
        :job="job"
        :mats="bench.mats"
        :chosen="load?.id ?? ''"
        :saved="job.state.value === 'saved'"
        :simulated="simulated"
        :busy="busy"
        :cut="cut"
        :message="message"
        @choose="look"
        @send="send"
      />
    </template>
    <template #cutter><CutterDrawer :paths="bench.cutter" /></template>
  </StationLayout>
</template>
