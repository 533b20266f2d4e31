<script setup lang="ts">
import { computed, ref } from 'vue'

import NetDrawing from '../../drawing/NetDrawing.vue'
import WaitingDrawing from '../../drawing/WaitingDrawing.vue'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import CardState from '../card/CardState.vue'
import EnvelopeStart from '../card/EnvelopeStart.vue'
import PaperStart from '../card/PaperStart.vue'
import RecipeDrawer from '../envelope/RecipeDrawer.vue'
import StationLayout from '../StationLayout.vue'
import { useDrawer } from '../useDrawer'
import WaitingActs from './WaitingActs.vue'

/** A station of a job whose card is not chosen yet: it asks, shows what the maker came with, and what it waits for. */
const props = defineProps<{ job: JobInHand; station: string }>()

const plan = computed(() => props.job.plan.value!)
const waits = computed(() => plan.value.waits!)
const { drawer } = useDrawer(() => props.station)
const at = computed(() => `${props.station}/${drawer.value}`)
const made = computed(() => props.job.job.value?.card.made === true)
const reading = ref(0)
const recipe = computed(() => plan.value.recipe?.readings[reading.value] ?? plan.value.recipe?.readings[0])
</script>

<template>
  <StationLayout :station="station" :sentence="waits.sentence" :notes="[]">
    <template #drawing>
      <NetDrawing
        v-if="recipe"
        :drawing="recipe.flat"
        :dimensions="[]"
        :unit="plan.unit"
        :words="recipe.drawing"
      />
      <WaitingDrawing v-else :thing="waits.thing" :unit="plan.unit" />
    </template>
    <template #[drawer]>
      <EnvelopeStart v-if="at === 'card/from-envelope'" :job="job" />
      <PaperStart v-else-if="at === 'card/from-paper'" :job="job" />
      <RecipeDrawer v-else-if="at === 'envelope/recipe'" :job="job" @look="reading = $event" />
      <template v-else>
        <template v-if="at === 'card/base'">
          <CardState :job="job" />
          <div class="field-grid">
            <TypedField :of="job" path="card.width" />
            <TypedField :of="job" path="card.height" />
            <TypedField v-if="made" :of="job" path="card.thickness" />
            <TypedField v-if="made" :of="job" path="card.grams" />
            <TypedField :of="job" path="count" />
          </div>
        </template>
        <WaitingActs :job="job" :waits="waits" />
      </template>
    </template>
  </StationLayout>
</template>
