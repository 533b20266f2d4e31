<script setup lang="ts">
import { computed, ref } from 'vue'

import type { Job } from '../../api/client'
import BaseDrawing from '../../drawing/BaseDrawing.vue'
import NestDrawing from '../../drawing/NestDrawing.vue'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import LengthField from '../../fields/LengthField.vue'
import NoteList from '../../fields/NoteList.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import StationLayout from '../StationLayout.vue'
import EnvelopeStart from './EnvelopeStart.vue'
import OddShape from './OddShape.vue'
import PaperStart from './PaperStart.vue'
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

const views = [
  { id: 'base', name: 'Flat base' },
  { id: 'nest', name: 'In its envelope' },
]
const view = ref('base')
const looked = ref<string>() // the envelope that is looked at; the best when none was chosen

const fits = computed(() => [...plan.value.envelope.fits, ...plan.value.envelope.misses])
const fit = computed(
  () =>
    fits.value.find((f) => f.id === looked.value) ??
    fits.value.find((f) => f.id === wish.value.start?.format) ??
    fits.value[0],
)
const envelopes = computed(() =>
  fits.value.map((f) => ({
    value: f.id,
    title: `${f.name}: ${f.verdict}${f.owned ? ', on your shelf' : ''}`,
  })),
)
const tick = computed(() => {
  const s = shop.value?.shop
  return (s?.unit === 'mm' ? s.tickMillimetres : s?.tickInches) ?? 1
})

function set(change: Partial<Job['card']>) {
  props.job.choose((j) => ({ ...j, card: { ...j.card, ...change } }))
}

function fold(id: string) {
  props.job.choose((j) => ({ ...j, card: { ...j.card, fold: id as Job['card']['fold'] } }))
}
</script>

<template>
  <StationLayout :sentence="card.sentence">
    <template #drawing>
      <div class="views">
        <ChoiceRow v-model="view" label="What is drawn" name="view" :choices="views" />
        <v-select
          v-if="view === 'nest' && fit"
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
      <template v-else-if="fit">
        <NestDrawing
          :fit="fit"
          :room="card.room"
          :width="wish.card.width"
          :height="wish.card.height"
          :size="card.room.outer"
          :unit="plan.unit"
          :tick="tick"
          :outline="wish.card.outline"
          @step="job.step"
        />
        <p class="verdict" data-test="nest-verdict">
          <strong>{{ fit.verdict }}</strong>: {{ fit.why }}
        </p>
      </template>
      <p v-else class="soft">No envelope comes near this card: make one for it at the station Envelope.</p>
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
    <template v-if="base.fold === 'accordion'">
      <LengthField v-if="!wish.card.own?.length" :job="job" path="card.panels" label="Panels" />
      <LengthField
        :job="job"
        path="card.own"
        label="Panels one by one"
        note="where they differ: 5, 5, 4 1/2; with their sum if the note gives it: = 14 1/2"
      />
    </template>
    <LengthField
      v-if="base.fold === 'side' || base.fold === 'top'"
      :job="job"
      path="card.spine"
      label="Between two scores"
      note="0 for one score; as thick as what the card closes round"
    />
    <details
      :open="!!wish.card.overWidth || !!wish.card.overHeight || wish.card.room === 'heap'"
      data-test="more"
    >
      <summary>Sticks out, raised in the middle, folded the other way</summary>
      <div class="more">
        <LengthField
          :job="job"
          path="card.overWidth"
          label="Sticks out, across"
          note="a bow or a tag, both edges together"
        />
        <LengthField :job="job" path="card.overHeight" label="Sticks out, down" />
        <ChoiceRow
          label="How thickness is counted"
          name="room"
          :choices="shop?.choices.rooms ?? []"
          :model-value="wish.card.room || 'block'"
          @update:model-value="set({ room: $event as Job['card']['room'] })"
        />
        <p class="soft" data-test="room">{{ card.room.text }}</p>
        <v-checkbox
          :model-value="!!wish.card.towards"
          label="Fold towards the groove, scored with the inside up"
          data-test="towards"
          @update:model-value="set({ towards: !!$event })"
        />
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
