<script setup lang="ts">
import { computed, ref } from 'vue'

import BaseDrawing from '../../drawing/BaseDrawing.vue'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import SumList from '../../fields/SumList.vue'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import CardInside from '../CardInside.vue'
import StationLayout from '../StationLayout.vue'
import CardState from './CardState.vue'
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

/** Of a finished card nothing is cut, so there is no base to draw. */
const views = computed(() => [
  ...(card.value.made ? [] : [{ id: 'flat', name: 'Flat' }]),
  { id: 'inside', name: 'Card inside' },
])
const chosen = ref('flat')
const view = computed({
  get: () => (card.value.made ? 'inside' : chosen.value),
  set: (to) => (chosen.value = to),
})
const fit = computed(() => plan.value.envelope.own)
const set = computed(() => (card.value.moreSet || wish.value.card.outline?.length ? ['shape'] : []))
</script>

<template>
  <StationLayout
    v-model:view="view"
    station="card"
    :sentence="card.sentence"
    :notes="card.notes"
    :views="views"
    :set="set"
  >
    <template #drawing>
      <BaseDrawing
        v-if="view === 'flat'"
        :base="base"
        :drawing="card.flat"
        :unit="plan.unit"
        :words="card.drawing"
      />
      <CardInside v-else :job="job" />
    </template>
    <template #base>
      <CardState :job="job" />
      <div class="field-grid">
        <TypedField :of="job" path="card.width" />
        <TypedField :of="job" path="card.height" />
        <TypedField
          :of="job"
          path="card.thickness"
          :placeholder="card.predicted.text"
          :note="
            card.measured
              ? `the parts add up to ${card.predictedExact}`
              : `${card.predictedExact} from the parts`
          "
        />
        <TypedField v-if="card.made" :of="job" path="card.grams" />
        <TypedField :of="job" path="count" />
      </div>
      <v-btn
        variant="outlined"
        size="small"
        class="turn"
        data-test="turn-card"
        @click="job.take('card', 'turn')"
        >Turn the card</v-btn
      >
      <ChoiceRow
        v-if="!card.made"
        label="Fold"
        name="fold"
        :choices="choices('folds')"
        :model-value="job.textOf('card.fold')"
        @update:model-value="job.set('card.fold', $event)"
      />
      <div class="field-grid">
        <TypedField v-for="o in card.options" :key="o" :of="job" :path="o" />
      </div>
      <p v-if="view === 'inside'" class="verdict" data-test="nest-verdict">
        <strong>{{ fit.said }}</strong>: {{ fit.why }}
      </p>
    </template>
    <template #papers>
      <PartList :job="job" />
      <SheetList v-if="!card.made" :sheets="card.sheets" />
    </template>
    <template #shape>
      <div class="field-grid" data-test="more">
        <TypedField v-for="o in card.more" :key="o" :of="job" :path="o" />
      </div>
      <p class="soft" data-test="room">{{ card.room.text }}</p>
      <OddShape :job="job" />
    </template>
    <template #from-envelope><EnvelopeStart :job="job" /></template>
    <template #from-paper><PaperStart :job="job" /></template>
    <template #sums
      ><SumList :lines="card.how" none="Nothing of the card is worked out: it is finished."
    /></template>
  </StationLayout>
</template>

<style scoped>
.turn {
  justify-self: start;
}
</style>
