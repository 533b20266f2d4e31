<script setup lang="ts">
import { computed, ref } from 'vue'

import type { Face, TemplatePlan } from '../../api/client'
import FoldingView from '../../drawing/FoldingView.vue'
import NetDrawing from '../../drawing/NetDrawing.vue'
import OfferRow from '../../fields/OfferRow.vue'
import ReadingRow from '../../fields/ReadingRow.vue'
import SumList from '../../fields/SumList.vue'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import CardInside from '../CardInside.vue'
import StationLayout from '../StationLayout.vue'
import ChooseDrawer from './ChooseDrawer.vue'
import RecipeDrawer from './RecipeDrawer.vue'
import ScoringDrawer from './ScoringDrawer.vue'
import TemplateFile from './TemplateFile.vue'

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
const outer = computed(() => ({
  width: plan.value.card.room.outerSize.width / 1e6,
  height: plan.value.card.room.outerSize.height / 1e6,
}))

const faceName = (f: Face) =>
  f.pattern && f.pattern !== 'plain' ? `${f.colour}, ${f.pattern}` : f.colour || 'plain'
const turnPaper = () =>
  props.job.set('envelope.patternInside', wish.value.envelope.patternInside ? 'no' : 'yes')

const views = [
  { id: 'flat', name: 'Flat' },
  { id: 'folding', name: 'Folding' },
  { id: 'inside', name: 'Card inside' },
]
const view = ref('flat')

/** A ready-made envelope of a file is drawn instead of any recipe. */
const template = ref<TemplatePlan>()

/** A recipe that is looked at is drawn instead of the job's own envelope. */
const reading = ref(0)
const recipe = computed(() => plan.value.recipe?.readings[reading.value] ?? plan.value.recipe?.readings[0])
</script>

<template>
  <StationLayout
    v-model:view="view"
    station="envelope"
    :sentence="blank.sentence"
    :notes="blank.notes"
    :views="views"
  >
    <template #drawing="{ drawer }">
      <NetDrawing
        v-if="drawer === 'recipe' && template"
        :drawing="template.flat"
        :dimensions="[]"
        :size="template.size"
        :unit="plan.unit"
        :words="template.words"
      />
      <NetDrawing
        v-else-if="drawer === 'recipe' && recipe"
        :drawing="recipe.flat"
        :dimensions="[]"
        :unit="plan.unit"
        :words="recipe.drawing"
      />
      <FoldingView
        v-else-if="view === 'folding'"
        :net="blank.folding"
        :inside="blank.inside"
        :outside="blank.outside"
        :folds="blank.folds"
        :card="card"
        :words="blank.drawing"
      />
      <CardInside v-else-if="view === 'inside'" :job="job" />
      <NetDrawing
        v-else
        :drawing="blank.flat"
        :dimensions="blank.dimensions"
        :callouts="blank.callouts"
        :scores="blank.scores"
        :alignment="blank.alignment"
        :size="blank.size"
        :side="blank.inside"
        :closed="`${blank.closed.width.text} × ${blank.closed.height.text}`"
        :unit="plan.unit"
        :words="blank.drawing"
      />
    </template>
    <template #choose>
      <dl class="readings">
        <ReadingRow v-for="r in blank.readings.slice(0, 3)" :key="r.id" :reading="r" />
      </dl>
      <ChooseDrawer
        :comparison="envelope.comparison"
        :mailable="!!wish.envelope.mailable"
        :sentence="envelope.fitsSentence"
        :fits="envelope.fits"
        :misses="envelope.misses"
        :card="outer"
        :own="blank.options.includes('envelope.ownWidth')"
        @choose="job.take('envelope', $event)"
        @match="job.take('match', $event)"
        @sort="job.set('envelope.sort', $event)"
        @mailable="job.set('envelope.mailable', $event ? 'yes' : 'no')"
      >
        <div class="field-grid">
          <TypedField :of="job" path="envelope.ownWidth" />
          <TypedField :of="job" path="envelope.ownHeight" />
        </div>
      </ChooseDrawer>
    </template>
    <template #sizes>
      <dl class="readings">
        <ReadingRow v-for="r in blank.readings" :key="r.id" :reading="r" />
      </dl>
      <div class="field-grid">
        <TypedField v-for="w in blank.wishes" :key="w" :of="job" :path="w" />
      </div>
      <template v-if="envelope.sizes.length">
        <h3 class="part">Smaller or roomier</h3>
        <ul class="offers">
          <OfferRow
            v-for="z in envelope.sizes"
            :key="z.id"
            :name="`${z.name}: ${z.sheet}`"
            :chosen="z.current"
            chosen-as="this one"
            act="Use this size"
            :act-test="`take-${z.id}`"
            data-test="size"
            @take="job.take('envelope.sizes', z.id)"
          >
            ease {{ z.ease }}, seam {{ z.seam }}{{ z.fits ? '' : ', no sheet gives it' }}
          </OfferRow>
        </ul>
      </template>
    </template>
    <template #scoring>
      <ScoringDrawer
        :ways="blank.ways"
        :way="blank.way"
        :where="blank.where"
        @choose="job.set('envelope.way', $event)"
      />
    </template>
    <template #finish>
      <p v-if="blank.options.includes('envelope.patternInside')" class="acts">
        <v-btn variant="outlined" size="small" data-test="turn-paper" @click="turnPaper"
          >Turn the paper over</v-btn
        >
        <span class="soft"
          >Outside: {{ faceName(blank.outside) }}. Inside: {{ faceName(blank.inside) }}.</span
        >
      </p>
      <div class="field-grid">
        <TypedField v-for="o in blank.options" :key="o" :of="job" :path="o" />
      </div>
    </template>
    <template #recipe>
      <RecipeDrawer :job="job" @look="reading = $event" />
      <TemplateFile v-model="template" :job="job" />
    </template>
    <template #sums><SumList :lines="envelope.how" /></template>
  </StationLayout>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near) var(--gap);
  align-items: center;
  margin-bottom: var(--gap);
}
</style>
