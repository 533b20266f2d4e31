<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue'

import type { StockPlan } from '../../api/client'
import CutDrawing from '../../drawing/CutDrawing.vue'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import NoteList from '../../fields/NoteList.vue'
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
const { progress, failure, search, stop } = useLongSearch()

const stock = computed(() => {
  const now = paper.value.stocks.find((s) => s.id === chosen.value) ?? paper.value.stocks[0]
  return better.value && now && better.value.id === now.id ? better.value : now
})
const stocks = computed(() =>
  paper.value.stocks.map((s) => ({ id: s.id, name: `${s.name}: ${s.sheets || 'none'}` })),
)
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
  <StationLayout :sentence="paper.sentence">
    <template #drawing>
      <ChoiceRow
        v-if="stocks.length > 1"
        label="Paper"
        name="cut-stock"
        :choices="stocks"
        :model-value="stock?.id ?? ''"
        @update:model-value="chosen = $event"
      />
      <template v-if="stock && layout">
        <div v-if="stock.layouts.length > 1" class="layouts" role="group" aria-label="Sheets">
          <v-btn
            v-for="(l, i) in stock.layouts"
            :key="l.name"
            variant="outlined"
            size="small"
            :active="l.name === layout.name"
            :data-test="`layout-${l.name}`"
            @click="shown = i"
          >
            {{ l.name }}{{ l.times > 1 ? ` × ${l.times}` : '' }}
          </v-btn>
        </div>
        <CutDrawing :stock="stock" :layout="layout" :unit="plan.unit" />
      </template>
      <p v-else class="soft">There is no sheet to draw: see what would make it possible.</p>
    </template>
    <NoteList :notes="plan.paper.notes" />
    <template v-if="stock">
      <h2 data-test="stock-name">{{ stock.name }}</h2>
      <p class="take" data-test="stock-text">{{ stock.text || 'cannot be cut yet' }}</p>
      <NoteList :notes="stock.notes" />
      <v-select
        :model-value="stock.sheet"
        :items="sheets"
        aria-label="Sheet it is cut from"
        data-test="cut-sheet"
        @update:model-value="takeSheet"
      />
      <div v-if="progress" class="search" data-test="progress">
        <v-progress-linear
          :model-value="(100 * progress.steps) / progress.of"
          color="primary"
          height="8"
          aria-label="How far the search is"
        />
        <span>{{ progress.sheets || '…' }} sheets so far</span>
        <v-btn variant="outlined" size="small" data-test="stop-search" @click="stop">Stop</v-btn>
      </div>
      <v-btn
        v-else-if="!stock.proven && stock.sheets > 0"
        class="longer"
        variant="outlined"
        data-test="search-longer"
        @click="longer"
        >Search longer</v-btn
      >
      <p v-if="failure" class="tone-trouble" role="alert">{{ failure }}</p>
      <CutSteps v-if="layout" :stock="stock" :layout="layout" />
    </template>
    <TypedField v-for="o in paper.options" :key="o" :of="job" :path="o" />
    <template #below><FoldTable :sheets="paper.folds" :fold="job.job.value!.card.fold" /></template>
  </StationLayout>
</template>

<style scoped>
.layouts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
.take {
  font-size: 18px;
}
.search {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 12px;
  align-items: center;
}
.longer {
  justify-self: start;
}
</style>
