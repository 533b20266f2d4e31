<script setup lang="ts">
import { computed, ref } from 'vue'

import type { HaveRow } from '../../api/client'
import OfferRow from '../../fields/OfferRow.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

const props = defineProps<{ job: JobInHand }>()

const few = 12
const all = ref(false)

const { items, shop, edit, refusals } = useShop()

/** A sheet that is measured goes on the shelf, as one that is bought, and is the job's. */
const measuring = ref(false)
const width = ref('')
const height = ref('')
function choose(id: string | null) {
  measuring.value = id === 'ruler'
  if (!measuring.value) props.job.set('paper.have', id ?? '')
}
async function measured() {
  const n = shop.value?.shop.sheets.length ?? 0
  await edit([{ act: 'add', path: 'sheets', text: `${width.value}|${height.value}` }])
  const made = shop.value?.shop.sheets[n]
  if (!made || refusals.value.length) return
  measuring.value = false
  props.job.set('paper.have', made.id)
}
const have = computed(() => props.job.plan.value?.paper.have)
const folds = computed(() => [
  { value: '', title: 'in every fold' },
  ...[...new Set((have.value?.rows ?? []).map((r) => r.fold))].map((f) => ({ value: f, title: f })),
])
const fold = ref('')
const inFold = computed(() => (have.value?.rows ?? []).filter((r) => !fold.value || r.fold === fold.value))
const halves = computed(() =>
  (have.value?.largest ?? []).filter(
    (r, i) => (!fold.value || r.fold === fold.value) && (all.value || fold.value || i < 4 || r.current),
  ),
)
const rows = computed(() => inFold.value.filter((r, i) => all.value || i < few || r.current))

const key = (r: HaveRow) => r.id + r.each
</script>

<template>
  <section class="start" aria-label="I have this paper" data-test="have">
    <div class="field-grid">
      <v-select
        :model-value="have?.sheet ?? null"
        :items="[...items('sheets'), { value: 'ruler', title: 'Measured with a ruler' }]"
        label="Sheet"
        placeholder="Choose it"
        persistent-placeholder
        clearable
        data-test="have-sheet"
        @update:model-value="choose($event)"
      />
      <v-select v-if="have" v-model="fold" :items="folds" label="Fold" data-test="have-fold" />
    </div>
    <div v-if="measuring" class="field-grid" data-test="sheet-ruler">
      <v-text-field v-model="width" label="Width, measured" data-test="sheet-width" maxlength="40" />
      <v-text-field v-model="height" label="Height, measured" data-test="sheet-height" maxlength="40" />
      <v-btn
        variant="flat"
        color="primary"
        :disabled="!width.trim() || !height.trim()"
        data-test="sheet-measured"
        @click="measured"
        >Put it on the shelf</v-btn
      >
      <p v-for="r in refusals" :key="r" class="tone-trouble" role="alert">{{ r }}</p>
    </div>
    <template v-if="have">
      <p data-test="have-sentence">
        <template v-for="(span, i) in have.sentence.spans" :key="i">
          <strong v-if="span.mark">{{ span.text }}</strong>
          <template v-else>{{ span.text }}</template>
        </template>
      </p>
      <h3 class="part">Halves and quarters</h3>
      <ul class="largest">
        <li v-for="r in halves" :key="key(r)">
          <v-btn
            variant="outlined"
            size="small"
            :active="r.current"
            data-test="have-largest"
            @click="job.take('paper.have', r.id)"
          >
            <strong>{{ r.size }}</strong>&nbsp;{{ r.fold.toLowerCase() }},
            {{ r.each === 1 ? 'the whole sheet' : `${r.each} a sheet` }}
          </v-btn>
        </li>
      </ul>
      <ul class="offers">
        <OfferRow
          v-for="r in rows"
          :key="key(r)"
          :name="r.size"
          :chip="r.each === 1 ? 'the whole sheet' : `${r.each} a sheet`"
          :chosen="r.current"
          chosen-as="this card"
          act="Make this"
          data-test="have-row"
          @take="job.take('paper.have', r.id)"
        >
          <p>
            {{ r.fold }}, flat {{ r.flat
            }}<template v-if="r.twin"
              >, or
              <v-btn
                size="x-small"
                variant="outlined"
                :aria-label="`Make the card ${r.twin}`"
                data-test="have-twin"
                @click="job.take('paper.have', r.twinId)"
                >{{ r.twin }}</v-btn
              ></template
            >
          </p>
          <p class="soft">
            {{ r.envelope }}<strong v-if="r.owned">, on your shelf</strong> · {{ r.mail }} · waste
            {{ r.waste }}
          </p>
        </OfferRow>
      </ul>
      <v-btn v-if="inFold.length > few" variant="outlined" @click="all = !all">
        {{ all ? 'Fewer' : `All ${inFold.length}` }}
      </v-btn>
    </template>
    <p v-else class="soft">Choose the sheet that you have. You get every card that it gives.</p>
  </section>
</template>

<style scoped>
.start {
  display: grid;
  gap: var(--gap);
  justify-items: stretch;
}
.largest {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
}
</style>
