<script setup lang="ts">
import { computed, ref } from 'vue'

import type { Job } from '../../api/client'
import FoldingView from '../../drawing/FoldingView.vue'
import NetDrawing from '../../drawing/NetDrawing.vue'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import LengthField from '../../fields/LengthField.vue'
import NoteList from '../../fields/NoteList.vue'
import PickRow from '../../fields/PickRow.vue'
import ReadingRow from '../../fields/ReadingRow.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import StationLayout from '../StationLayout.vue'
import BoughtList from './BoughtList.vue'
import ComparisonStrip from './ComparisonStrip.vue'
import EnvelopeOptions from './EnvelopeOptions.vue'
import RecipeCheck from './RecipeCheck.vue'
import ScoreTable from './ScoreTable.vue'
import WaysOfScoring from './WaysOfScoring.vue'

const props = defineProps<{ job: JobInHand }>()

const { shop } = useShop()
const plan = computed(() => props.job.plan.value!)
const envelope = computed(() => plan.value.envelope)
const blank = computed(() => envelope.value.blank)
const wish = computed(() => props.job.job.value!)
const card = computed(() => ({
  width: plan.value.card.room.outerSize.width / 1e6,
  height: plan.value.card.room.outerSize.height / 1e6,
  thickness: plan.value.card.thickness.nm / 1e6,
}))
const kind = computed(() => envelope.value.construction)

const views = [
  { id: 'flat', name: 'Lying flat' },
  { id: 'folding', name: 'Folding' },
]
const view = ref('flat')

function set(change: Partial<Job['envelope']>) {
  props.job.choose((j) => ({ ...j, envelope: { ...j.envelope, ...change } }))
}
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
      <LengthField
        v-for="w in blank.wishes"
        :key="w.path"
        :job="job"
        :path="w.path"
        :label="w.label"
        :note="w.note"
      />
    </div>
    <ScoreTable v-if="blank.scores.length" :scores="blank.scores" :ways="blank.scoreWays" />
    <PickRow
      v-if="kind === 'pocket' || kind === 'gusset'"
      label="Size by"
      name="pocket"
      :choices="shop?.choices.pockets ?? []"
      :model-value="wish.envelope.pocket || 'exact'"
      @update:model-value="set({ pocket: $event as Job['envelope']['pocket'] })"
    />
    <PickRow
      v-if="kind === 'box'"
      label="Square"
      name="box"
      :choices="shop?.choices.boxes ?? []"
      :model-value="wish.envelope.box || 'full'"
      @update:model-value="set({ box: $event as Job['envelope']['box'] })"
    />
    <PickRow
      v-if="kind === 'tuck'"
      label="Side walls"
      name="walls"
      :choices="shop?.choices.walls ?? []"
      :model-value="wish.envelope.walls || 'tabs'"
      @update:model-value="set({ walls: $event as Job['envelope']['walls'] })"
    />
    <v-checkbox
      v-if="kind === 'cutdown'"
      :model-value="!!wish.envelope.oneSide"
      label="Cut one side only, and keep the other seam"
      data-test="one-side"
      @update:model-value="set({ oneSide: !!$event })"
    />
    <PickRow
      v-if="kind === 'diamond'"
      label="Size by"
      name="school"
      :choices="shop?.choices.schools ?? []"
      :model-value="wish.envelope.school"
      @update:model-value="set({ school: $event as Job['envelope']['school'] })"
    />
    <PickRow
      label="Paper"
      name="envelope-stock"
      :choices="shop?.choices.stocks ?? []"
      :model-value="wish.envelope.stock"
      @update:model-value="set({ stock: $event })"
    />
    <PickRow
      label="Glued with"
      name="adhesive"
      :choices="shop?.choices.adhesives ?? []"
      :model-value="wish.envelope.adhesive"
      @update:model-value="set({ adhesive: $event })"
    />
    <EnvelopeOptions :job="job" :kind="kind" />
    <template #below>
      <ComparisonStrip
        :comparison="envelope.comparison"
        :mailable="!!wish.envelope.mailable"
        @choose="set({ construction: $event as Job['envelope']['construction'] })"
        @sort="set({ sort: $event as Job['envelope']['sort'] })"
        @mailable="set({ mailable: $event })"
      />
      <WaysOfScoring
        v-if="blank.ways.length"
        :ways="blank.ways"
        :way="blank.way"
        :school="wish.envelope.school"
        @choose="set({ way: $event })"
      />
      <RecipeCheck :job="job" :card="card" :unit="plan.unit" />
      <BoughtList :sentence="envelope.fitsSentence" :fits="envelope.fits" :misses="envelope.misses" />
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
.wishes {
  display: grid;
  gap: 8px;
}
.readings,
.wishes {
  --numbers: 190px;
}
</style>
