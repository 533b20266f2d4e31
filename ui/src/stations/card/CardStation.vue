<script setup lang="ts">
import { computed, ref } from 'vue'

import BaseDrawing from '../../drawing/BaseDrawing.vue'
import NestDrawing from '../../drawing/NestDrawing.vue'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import NoteList from '../../fields/NoteList.vue'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import StationLayout from '../StationLayout.vue'
import EnvelopeStart from './EnvelopeStart.vue'
import OddShape from './OddShape.vue'
import PaperStart from './PaperStart.vue'
import PartList from './PartList.vue'
import SheetList from './SheetList.vue'

const props = defineProps<{ job: JobInHand }>()

const { choices } = useShop()
const plan = computed(() => props.job.plan.value!)
const card = computed(() => plan.value.card)
const wish = computed(() => props.job.job.value!)
const base = computed(
  () => card.value.bases.find((b) => b.fold === wish.value.card.fold) ?? card.value.bases[0]!,
)

const views = [
  { id: 'base', name: 'Flat base' },
  { id: 'nest', name: 'Card inside' },
]
const view = ref('base')
const looked = ref<string>() // the envelope that is looked at; the best when none was chosen

const own = computed(() => plan.value.envelope.own)
const fits = computed(() => [
  own.value,
  ...[...plan.value.envelope.fits, ...plan.value.envelope.misses].filter((f) => !f.chosen),
])
const fit = computed(() => fits.value.find((f) => f.id === looked.value) ?? own.value)
const envelopes = computed(() =>
  fits.value.map((f) => ({
    value: f.id,
    title: `${f.name}: ${f.chosen ? 'your envelope, ' : ''}${f.verdict}${f.owned ? ', on your shelf' : ''}`,
  })),
)
</script>

<template>
  <StationLayout :sentence="card.sentence">
    <template #drawing>
      <div class="views">
        <ChoiceRow v-model="view" label="What is drawn" name="view" :choices="views" />
        <v-select
          v-if="view === 'nest'"
          class="which"
          :model-value="fit.id"
          :items="envelopes"
          aria-label="The envelope it lies in"
          data-test="nest-envelope"
          @update:model-value="looked = $event"
        />
      </div>
      <template v-if="view === 'base'">
        <BaseDrawing :base="base" :unit="plan.unit" :words="card.drawing" />
        <SheetList :sheets="card.sheets" />
      </template>
      <template v-else>
        <NestDrawing
          :fit="fit"
          :room="card.room"
          :width="wish.card.width"
          :height="wish.card.height"
          :size="card.room.outer"
          :unit="plan.unit"
          :tick="plan.tick"
          :outline="wish.card.outline"
          @step="job.step"
        />
        <p class="verdict" data-test="nest-verdict">
          <strong>{{ fit.verdict }}</strong>: {{ fit.why }}
        </p>
      </template>
    </template>
    <TypedField :of="job" path="card.width" />
    <TypedField :of="job" path="card.height" />
    <TypedField
      :of="job"
      path="card.thickness"
      :placeholder="card.predicted.text"
      :note="
        card.measured
          ? `the parts add up to ${card.predictedExact}`
          : `${card.predictedExact}, added up from the parts; type what you measure`
      "
    />
    <TypedField :of="job" path="count" />
    <ChoiceRow
      label="Fold"
      name="fold"
      :choices="choices('folds')"
      :model-value="job.textOf('card.fold')"
      @update:model-value="job.set('card.fold', $event)"
    />
    <TypedField v-for="o in card.options" :key="o" :of="job" :path="o" />
    <details :open="card.moreSet" data-test="more">
      <summary>Overhang and options</summary>
      <div class="more">
        <TypedField v-for="o in card.more" :key="o" :of="job" :path="o" />
        <p class="soft" data-test="room">{{ card.room.text }}</p>
      </div>
    </details>
    <PartList :job="job" />
    <NoteList :notes="card.notes" />
    <template #below><EnvelopeStart :job="job" /><PaperStart :job="job" /><OddShape :job="job" /></template>
  </StationLayout>
</template>

<style scoped>
.views {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  margin-bottom: 4px;
}
.which {
  flex: 0 1 280px;
}
.verdict {
  padding-left: 30px;
  font-size: 18px;
}
summary {
  cursor: pointer;
  color: var(--soft);
}
.more {
  display: grid;
  gap: 8px;
  padding-top: 8px;
}
</style>
