<script setup lang="ts">
import { computed } from 'vue'

import type { Job } from '../../api/client'
import BaseDrawing from '../../drawing/BaseDrawing.vue'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import LengthField from '../../fields/LengthField.vue'
import NoteList from '../../fields/NoteList.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import StationLayout from '../StationLayout.vue'
import EnvelopeStart from './EnvelopeStart.vue'
import PartList from './PartList.vue'
import SheetList from './SheetList.vue'

const props = defineProps<{ job: JobInHand }>()

const { shop } = useShop()
const plan = computed(() => props.job.plan.value!)
const card = computed(() => plan.value.card)
const wish = computed(() => props.job.job.value!)
const base = computed(
  () => card.value.bases.find((b) => b.fold === wish.value.card.fold) ?? card.value.bases[0]!,
)

function fold(id: string) {
  props.job.choose((j) => ({ ...j, card: { ...j.card, fold: id as Job['card']['fold'] } }))
}
</script>

<template>
  <StationLayout :sentence="card.sentence">
    <template #drawing>
      <BaseDrawing :base="base" :unit="plan.unit" :words="card.drawing" />
      <SheetList :sheets="card.sheets" />
    </template>
    <LengthField :job="job" path="card.width" label="Card, across" />
    <LengthField :job="job" path="card.height" label="Card, down" />
    <LengthField
      :job="job"
      path="card.thickness"
      label="Thickness over everything"
      :placeholder="card.predicted.text"
      :note="
        card.measured
          ? `the parts add up to ${card.predictedExact}`
          : `${card.predictedExact}, added up from the parts; type what you measure`
      "
    />
    <LengthField :job="job" path="count" label="Cards to make" />
    <ChoiceRow
      label="Fold"
      name="fold"
      :choices="shop?.choices.folds ?? []"
      :model-value="wish.card.fold"
      @update:model-value="fold"
    />
    <LengthField v-if="base.fold === 'accordion'" :job="job" path="card.panels" label="Panels" />
    <LengthField
      v-if="base.fold === 'side' || base.fold === 'top'"
      :job="job"
      path="card.spine"
      label="Between two scores"
      note="0 for one score; as thick as what the card closes round"
    />
    <PartList :job="job" />
    <NoteList :notes="card.notes" />
    <template #below><EnvelopeStart :job="job" /></template>
  </StationLayout>
</template>
