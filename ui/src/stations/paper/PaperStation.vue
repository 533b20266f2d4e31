<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue'

import type { StockPlan } from '../../api/client'
import CutDrawing from '../../drawing/CutDrawing.vue'
import OfferRow from '../../fields/OfferRow.vue'
import TypedField from '../../fields/TypedField.vue'
import { useLongSearch } from '../../job/longSearch'
import type { JobInHand } from '../../job/useJob'
import StationLayout from '../StationLayout.vue'
import CutSteps from './CutSteps.vue'
import FoldTable from './FoldTable.vue'

const props = defineProps<{ job: JobInHand }>()

const plan = computed(() => props.job.plan.value!)
const paper = computed(() => plan.value.paper)

const chosen = ref('')
const better = ref<StockPlan>() // what a longer search found, as long as the job stays the same
const { progress, waits, failure, search, stop } = useLongSearch()

const stock = computed(() => {
  const now = paper.value.stocks.find((s) => s.id === chosen.value) ?? paper.value.stocks[0]
  return better.value && now && better.value.id === now.id ? better.value : now
})
const stocks = computed(() =>
  paper.value.stocks.map((s) => ({ value: s.id, title: `${s.name}: ${s.sheets || 'none'}` })),
)
const chosenStock = computed({ get: () => stock.value?.id ?? '', set: (id: string) => (chosen.value = id) })
const notes = computed(() => [...paper.value.notes, ...(stock.value?.notes ?? [])])
const sheets = computed(() =>
  (stock.value?.choices ?? []).map((c) => ({ value: c.id, title: `${c.name}: ${c.text}` })),
)

const shown = ref(0)
const layout = computed(() => stock.value?.layouts[shown.value] ?? stock.value?.layouts[0])
watch(chosen, () => (shown.value = 0))
watch(plan, () => {
  better.value = undefined
  stop()
})
onScopeDispose(stop)

function takeSheet(id: string) {
  if (stock.value) props.job.set(`paper.sheets.${stock.value.id}`, id)
}

async function longer() {
  const s = stock.value
  if (!s || !props.job.job.value) return
  const found = await search(props.job.job.value, s.id, s.sheet)
  if (found) better.value = found
}
</script>

<template>
  <StationLayout station="paper" :sentence="paper.sentence" :notes="notes">
    <template #drawing>
      <CutDrawing v-if="stock && layout" :stock="stock" :layout="layout" :unit="plan.unit" />
      <p v-else class="soft">There is no sheet to draw: see what would make it possible.</p>
    </template>
    <template #cuts>
      <div v-if="stocks.length > 1 || (stock?.layouts.length ?? 0) > 1" class="which">
        <v-select
          v-if="stocks.length > 1"
          v-model="chosenStock"
          label="Paper"
          :items="stocks"
          data-test="cut-stock"
        />
        <div v-if="stock && stock.layouts.length > 1" class="layouts" role="group" aria-label="Sheets">
          <v-btn
            v-for="(l, i) in stock.layouts"
            :key="l.name"
            variant="outlined"
            size="small"
            :active="l.name === layout?.name"
            :aria-pressed="l.name === layout?.name"
            :data-test="`layout-${l.name}`"
            @click="shown = i"
          >
            {{ l.name }}{{ l.times > 1 ? ` × ${l.times}` : '' }}
          </v-btn>
        </div>
      </div>
      <template v-if="stock">
        <p data-test="stock-text">
          <strong data-test="stock-name">{{ stock.name }}</strong>: {{ stock.text || 'cannot be cut yet' }}
        </p>
        <CutSteps :stock="stock" />
      </template>
    </template>
    <template #sheets>
      <template v-if="stock">
        <div class="field-grid">
          <v-select
            v-if="stocks.length > 1"
            v-model="chosenStock"
            label="Paper"
            :items="stocks"
            data-test="sheet-stock"
          />
          <v-select
            :model-value="stock.sheet"
            :items="sheets"
            label="Cut from"
            data-test="cut-sheet"
            @update:model-value="takeSheet"
          />
          <TypedField v-for="o in paper.options" :key="o" :of="job" :path="o" />
        </div>
        <div v-if="progress" class="search" data-test="progress">
          <v-progress-linear
            :model-value="(100 * progress.steps) / progress.of"
            color="primary"
            height="8"
            aria-label="How far the search is"
          />
          <span v-if="waits">Another search is under way: this one is next.</span>
          <span v-else>{{ progress.sheets || '…' }} sheets so far</span>
          <v-btn variant="outlined" size="small" data-test="stop-search" @click="stop">Stop</v-btn>
        </div>
        <v-btn
          v-else-if="!stock.proven && stock.sheets > 0"
          class="longer"
          variant="outlined"
          size="small"
          data-test="search-longer"
          @click="longer"
          >Search longer</v-btn
        >
        <p v-if="failure" class="tone-trouble" role="alert">{{ failure }}</p>
      </template>
      <FoldTable :sheets="paper.folds" :fold="job.job.value!.card.fold" />
    </template>
    <template #leftovers>
      <template v-if="layout?.offcuts.length">
        <p>Left of sheet {{ layout.name }} of {{ stock?.name }}:</p>
        <ul class="offers" data-test="offcuts">
          <OfferRow v-for="(o, i) in layout.offcuts" :key="i" :name="o.size">
            <p class="soft">{{ o.makes }}</p>
          </OfferRow>
        </ul>
      </template>
      <p v-else class="soft">Nothing worth keeping is left of this sheet.</p>
    </template>
  </StationLayout>
</template>

<style scoped>
.which {
  display: grid;
  gap: var(--gap);
}
.layouts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
}
.search {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: var(--gap);
  align-items: center;
}
.longer {
  justify-self: start;
}
</style>
