<script setup lang="ts">
import { computed, ref } from 'vue'

import type { HaveRow } from '../../api/client'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

const props = defineProps<{ job: JobInHand }>()

const few = 12
const all = ref(false)

const { items } = useShop()
const have = computed(() => props.job.plan.value?.paper.have)
const folds = computed(() => [
  { value: '', title: 'in every fold' },
  ...[...new Set((have.value?.rows ?? []).map((r) => r.fold))].map((f) => ({ value: f, title: f })),
])
const fold = ref('')
const inFold = computed(() => (have.value?.rows ?? []).filter((r) => !fold.value || r.fold === fold.value))
const rows = computed(() => inFold.value.filter((r, i) => all.value || i < few || r.current))

const key = (r: HaveRow) => r.id + r.each
</script>

<template>
  <section class="start" aria-label="I have this paper" data-test="have">
    <h2>I have this paper</h2>
    <div class="which">
      <v-select
        class="sheet"
        :model-value="have?.sheet ?? null"
        :items="items('sheets')"
        placeholder="which sheet?"
        aria-label="The sheet you have"
        clearable
        data-test="have-sheet"
        @update:model-value="job.set('paper.have', $event ?? '')"
      />
      <v-select
        v-if="have"
        v-model="fold"
        class="sheet"
        :items="folds"
        aria-label="Fold"
        data-test="have-fold"
      />
    </div>
    <template v-if="have">
      <p data-test="have-sentence">
        <template v-for="(span, i) in have.sentence.spans" :key="i">
          <strong v-if="span.mark">{{ span.text }}</strong>
          <template v-else>{{ span.text }}</template>
        </template>
      </p>
      <table class="numbers-table">
        <thead>
          <tr>
            <th scope="col">Card</th>
            <th scope="col" class="words">Fold</th>
            <th scope="col">Cards a sheet</th>
            <th scope="col">Waste</th>
            <th scope="col">Flat</th>
            <th scope="col" class="words">Envelope</th>
            <th scope="col" class="words">Mail</th>
            <th scope="col"><span class="sr">Take it</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="key(r)" :class="{ here: r.current }" data-test="have-row">
            <th scope="row" class="number">{{ r.size }}</th>
            <td class="words">
              {{ r.fold
              }}<template v-if="r.twin"
                >, or
                <v-btn
                  variant="text"
                  size="small"
                  :aria-label="`Make the card ${r.twin}`"
                  data-test="have-twin"
                  @click="job.take('paper.have', r.twinId)"
                  >{{ r.twin }}</v-btn
                ></template
              >
            </td>
            <td class="number">{{ r.each }}</td>
            <td>{{ r.waste }}</td>
            <td>{{ r.flat }}</td>
            <td class="words">{{ r.envelope }}<strong v-if="r.owned">, on your shelf</strong></td>
            <td class="words">{{ r.mail }}</td>
            <td>
              <span v-if="r.current" class="soft">this card</span>
              <v-btn
                v-else
                variant="outlined"
                size="small"
                :aria-label="`Make the card ${r.size}, ${r.fold}`"
                @click="job.take('paper.have', r.id)"
                >Make it this</v-btn
              >
            </td>
          </tr>
        </tbody>
      </table>
      <v-btn v-if="inFold.length > few" variant="outlined" @click="all = !all">
        {{ all ? 'Fewer' : `All ${inFold.length}` }}
      </v-btn>
      <h3>The largest cards it gives</h3>
      <ul class="largest">
        <li v-for="r in have.largest" :key="key(r)">
          <v-btn
            variant="outlined"
            :active="r.current"
            data-test="have-largest"
            @click="job.take('paper.have', r.id)"
          >
            <strong>{{ r.size }}</strong>&nbsp;{{ r.fold.toLowerCase() }},
            {{ r.each === 1 ? 'the whole sheet' : `${r.each} a sheet` }}
          </v-btn>
        </li>
      </ul>
    </template>
    <p v-else class="soft">
      Choose it: you get every card it gives, by how many a sheet and how much is left.
    </p>
  </section>
</template>

<style scoped>
.start {
  display: grid;
  gap: 10px;
  justify-items: start;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.which {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
}
.sheet {
  width: 280px;
  max-width: 100%;
}
.number {
  font-size: 18px;
  font-weight: 650;
  white-space: nowrap;
}
.largest {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
