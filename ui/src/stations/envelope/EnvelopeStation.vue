<script setup lang="ts">
import { computed, ref } from 'vue'

import FoldingView from '../../drawing/FoldingView.vue'
import NetDrawing from '../../drawing/NetDrawing.vue'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import NoteList from '../../fields/NoteList.vue'
import ReadingRow from '../../fields/ReadingRow.vue'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import StationLayout from '../StationLayout.vue'
import BoughtList from './BoughtList.vue'
import ComparisonStrip from './ComparisonStrip.vue'
import RecipeCheck from './RecipeCheck.vue'
import WaysOfScoring from './WaysOfScoring.vue'

const props = defineProps<{ job: JobInHand }>()

const plan = computed(() => props.job.plan.value!)
const envelope = computed(() => plan.value.envelope)
const blank = computed(() => envelope.value.blank)
const wish = computed(() => props.job.job.value!)
const card = computed(() => ({
  width: blank.value.lies.width / 1e6,
  height: blank.value.lies.height / 1e6,
  thickness: plan.value.card.thickness.nm / 1e6,
}))

const views = [
  { id: 'flat', name: 'Lying flat' },
  { id: 'folding', name: 'Folding' },
]
const view = ref('flat')
</script>

<template>
  <StationLayout :sentence="blank.sentence">
    <template #drawing>
      <ChoiceRow v-model="view" label="What is drawn" name="net-view" :choices="views" />
      <FoldingView v-if="view === 'folding'" :net="blank.folding" :folds="blank.folds" :card="card" />
      <NetDrawing
        v-else
        :net="blank.net"
        :dimensions="blank.dimensions"
        :card="card"
        :liner="blank.liner"
        :holes="blank.holes"
        :unit="plan.unit"
        :words="blank.drawing"
      />
    </template>
    <NoteList :notes="blank.notes" />
    <dl class="readings">
      <ReadingRow v-for="r in blank.readings" :key="r.id" :reading="r" />
    </dl>
    <div class="wishes">
      <TypedField v-for="w in blank.wishes" :key="w" :of="job" :path="w" />
    </div>
    <div class="options">
      <TypedField v-for="o in blank.options" :key="o" :of="job" :path="o" />
    </div>
    <template #below>
      <WaysOfScoring
        v-if="blank.ways[0]!.settings.length"
        :ways="blank.ways"
        :way="blank.way"
        :where="blank.where"
        @choose="job.set('envelope.way', $event)"
      />
      <ComparisonStrip
        :comparison="envelope.comparison"
        :mailable="!!wish.envelope.mailable"
        @choose="job.take('envelope', $event)"
        @match="job.take('match', $event)"
        @sort="job.set('envelope.sort', $event)"
        @mailable="job.set('envelope.mailable', $event ? 'yes' : 'no')"
      />
      <RecipeCheck :job="job" :card="card" :unit="plan.unit" />
      <BoughtList
        :sentence="envelope.fitsSentence"
        :fits="envelope.fits"
        :misses="envelope.misses"
        @choose="job.take('envelope', `bought:${$event}`)"
      />
    </template>
  </StationLayout>
</template>

<style scoped>
.readings {
  margin: 0;
  display: grid;
  gap: 6px;
  padding-bottom: 10px;
  border-bottom: 1px solid var(--line);
}
.wishes,
.options {
  display: grid;
  gap: 8px;
}
.readings,
.wishes {
  --numbers: 190px;
}
</style>
