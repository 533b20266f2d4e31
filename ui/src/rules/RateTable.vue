<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'

import type { RateCard, RulebookFile } from '../api/client'
import { useShop } from '../job/useShop'
import ShelfField from '../shelf/ShelfField.vue'

/** What a post charges, as the maker wrote it down. */
const props = defineProps<{ rulebook: string; classes: RulebookFile['classes'] }>()

const { shop, save } = useShop()
const all = computed(() => shop.value?.shop.rates ?? [])
const card = computed(() => {
  const at = all.value.findIndex((c) => c.rulebook === props.rulebook)
  return at < 0 ? undefined : { at, card: all.value[at]! }
})
const items = computed(() => props.classes.map((c) => ({ value: c.id, title: c.name })))

function put(make: (card: RateCard) => RateCard) {
  const at = card.value?.at ?? -1
  void save({ rates: all.value.map((c, i) => (i === at ? make(c) : c)) })
}

function begin() {
  const taken = new Set(all.value.map((c) => c.id))
  let n = 1
  while (taken.has(`rates-${n}`)) n++
  const first = props.classes[0]?.id ?? ''
  const dated = shop.value?.shop.today ?? ''
  const fresh = { id: `rates-${n}`, name: 'My rate card', rulebook: props.rulebook, currency: '', dated }
  void save({ rates: [...all.value, { ...fresh, rates: [{ class: first, upTo: 0, cents: 0 }] }] })
}
</script>

<template>
  <section class="rates" aria-label="Rate card">
    <h2>What it costs</h2>
    <template v-if="card">
      <p v-if="card.card.example" class="tone-care">
        An example, its prices are made up: put your own in their place.
      </p>
      <p class="head">
        <ShelfField :path="`rates.${card.at}.name`" label="Name of the rate card" class="wide" />
        <label
          >written down <ShelfField :path="`rates.${card.at}.dated`" label="Written down on" class="day"
        /></label>
        <label>currency <ShelfField :path="`rates.${card.at}.currency`" label="Currency" /></label>
        <v-btn
          v-if="card.card.example"
          variant="outlined"
          size="small"
          @click="put((c) => ({ ...c, example: false }))"
          >These are my prices now</v-btn
        >
      </p>
      <table class="numbers-table list">
        <thead>
          <tr>
            <th scope="col" class="words">Class</th>
            <th scope="col">up to</th>
            <th scope="col">price</th>
            <th scope="col" class="words"></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(r, k) in card.card.rates" :key="k" data-test="rate">
            <td class="words">
              <v-select
                :model-value="r.class"
                :items="items"
                :aria-label="`Class of price ${k + 1}`"
                @update:model-value="
                  put((c) => ({
                    ...c,
                    rates: c.rates.map((q, i) => (i === k ? { ...q, class: $event } : q)),
                  }))
                "
              />
            </td>
            <td>
              <span v-if="r.surcharge" class="soft">surcharge</span>
              <ShelfField
                v-else
                :path="`rates.${card.at}.rates.${k}.upTo`"
                label="Up to weight"
                placeholder="any"
              />
            </td>
            <td><ShelfField :path="`rates.${card.at}.rates.${k}.price`" label="Price" /></td>
            <td>
              <v-btn
                :icon="mdiClose"
                size="x-small"
                variant="text"
                aria-label="Take this price off"
                @click="put((c) => ({ ...c, rates: c.rates.filter((_, i) => i !== k) }))"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <p class="head">
        <v-btn
          variant="outlined"
          size="small"
          @click="
            put((c) => ({ ...c, rates: [...c.rates, { class: classes[0]?.id ?? '', upTo: 0, cents: 0 }] }))
          "
          >Another price</v-btn
        >
        <v-btn
          variant="outlined"
          size="small"
          @click="
            put((c) => ({
              ...c,
              rates: [...c.rates, { class: classes[0]?.id ?? '', upTo: 0, cents: 0, surcharge: true }],
            }))
          "
          >A surcharge</v-btn
        >
      </p>
    </template>
    <template v-else>
      <p class="soft">No prices of this post are written down. They change, so none come with the program.</p>
      <v-btn variant="outlined" size="small" class="start" data-test="begin-rates" @click="begin"
        >Write them down</v-btn
      >
    </template>
  </section>
</template>

<style scoped>
.rates {
  border-top: 1px solid var(--line);
  padding-top: 12px;
  display: grid;
  gap: 8px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
}
.wide {
  width: 300px;
  text-align: left;
}
.day {
  width: 126px;
}
.list {
  max-width: 640px;
}
.start {
  justify-self: start;
}
</style>
