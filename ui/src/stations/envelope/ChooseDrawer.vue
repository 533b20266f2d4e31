<script setup lang="ts">
import { computed } from 'vue'

import type { ComparisonPlan, FitPlan, Sentence } from '../../api/client'
import OfferRow from '../../fields/OfferRow.vue'
import { useShop } from '../../job/useShop'
import BoughtList from './BoughtList.vue'
import NetSketch from './NetSketch.vue'

/** Every envelope for the card, bought or made, each to be used with one act. */
const props = defineProps<{
  comparison: ComparisonPlan
  mailable: boolean
  sentence: Sentence
  fits: FitPlan[]
  misses: FitPlan[]
  card: { width: number; height: number }
  own: boolean
}>()
const emit = defineEmits<{
  choose: [id: string]
  sort: [id: string]
  mailable: [on: boolean]
  match: [id: string]
}>()

const { items } = useShop()

const wide = 56 // pixels
const tall = 50

/** All nets are drawn to one scale, so that they can be compared. */
const scale = computed(() =>
  Math.min(
    ...props.comparison.rows
      .filter((r) => r.ok)
      .map((r) =>
        Math.min(
          wide / Math.max(...r.net.sheet.map((p) => p.x)),
          tall / Math.max(...r.net.sheet.map((p) => p.y)),
        ),
      ),
  ),
)
</script>

<template>
  <section class="compare" aria-label="Envelope types">
    <div class="head">
      <p class="why" data-test="comparison-sentence">{{ comparison.sentence }}</p>
      <v-select
        class="sort"
        label="What matters"
        :model-value="comparison.sort"
        :items="items('sorts')"
        data-test="sort"
        @update:model-value="emit('sort', $event)"
      />
    </div>
    <ul class="offers">
      <OfferRow
        v-for="r in comparison.rows"
        :key="r.id"
        :name="r.name"
        :chip="r.recommended ? 'best fit' : undefined"
        :chosen="r.chosen"
        chosen-as="in use"
        :act="r.ok ? 'Use this' : undefined"
        :act-test="`choose-${r.id}`"
        :data-test="`way-${r.id}`"
        @take="emit('choose', r.id)"
      >
        <template #picture>
          <NetSketch v-if="r.ok" :net="r.net" :scale="scale" :wide="wide" :tall="tall" :words="r.drawing" />
          <span v-else class="none"></span>
        </template>
        <template v-if="r.ok">
          <p>
            <strong>{{ r.sheet }}</strong> ·
            <span :class="{ 'tone-trouble': !r.fits }">{{ r.fitText }}</span> · seam {{ r.seam }}
          </p>
          <p class="soft">
            <span :class="`tone-${r.tone}`">{{ r.mail }}</span> · closed {{ r.closed
            }}<template v-if="r.opens"> · opens on {{ r.opens }}</template> · takes {{ r.depth }} thick ·
            {{ r.work }}<template v-if="r.price"> · {{ r.price }}</template>
          </p>
        </template>
        <p v-else class="soft">{{ r.text }}</p>
      </OfferRow>
    </ul>
    <p v-if="comparison.rectangle || mailable" data-test="rectangle">
      {{ comparison.rectangle }}
      <v-btn variant="outlined" size="small" data-test="take-rectangle" @click="emit('mailable', !mailable)">
        {{ mailable ? 'Back to the card’s shape' : 'Make it a rectangle' }}
      </v-btn>
    </p>
    <p v-for="k in comparison.matches" :key="k.id" data-test="match">
      {{ k.text }}
      <v-btn variant="outlined" size="small" :data-test="`match-${k.id}`" @click="emit('match', k.id)"
        >Make them match</v-btn
      >
    </p>
    <BoughtList
      :sentence="sentence"
      :fits="fits"
      :misses="misses"
      :card="card"
      :own="own"
      @choose="emit('choose', `bought:${$event}`)"
      ><slot
    /></BoughtList>
  </section>
</template>

<style scoped>
.compare {
  display: grid;
  gap: var(--gap);
}
.head {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 140px;
  gap: var(--gap);
  align-items: start;
}
.none {
  width: 56px;
}
</style>
