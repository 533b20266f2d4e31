<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'

import TableCell from '../fields/TableCell.vue'
import { useShop } from '../job/useShop'

/** What a postal service charges, as the maker wrote it down. */
const props = defineProps<{ rulebook: string }>()

const shelf = useShop()
const { shop, choices } = shelf
const card = computed(() => {
  const all = shop.value?.shop.rates ?? []
  const at = all.findIndex((c) => c.rulebook === props.rulebook)
  const found = all[at]
  return found && { at, card: found }
})
</script>

<template>
  <section class="rates" aria-label="Rate card">
    <h2>What it costs</h2>
    <template v-if="card">
      <p v-if="card.card.example" class="tone-care">
        An example, its prices are made up: put your own in their place.
      </p>
      <p class="head">
        <TableCell :of="shelf" :path="`rates.${card.at}.name`" class="wide" />
        <label>written down <TableCell :of="shelf" :path="`rates.${card.at}.dated`" class="day" /></label>
        <label>currency <TableCell :of="shelf" :path="`rates.${card.at}.currency`" class="day" /></label>
        <v-btn
          v-if="card.card.example"
          variant="outlined"
          size="small"
          @click="shelf.set(`rates.${card.at}.example`, 'no')"
          >These are my prices now</v-btn
        >
      </p>
      <v-table class="numbers list">
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
              <TableCell
                :of="shelf"
                :path="`rates.${card.at}.rates.${k}.class`"
                :label="`Class of price ${k + 1}`"
              />
            </td>
            <td>
              <span v-if="r.surcharge" class="soft">surcharge</span>
              <TableCell v-else :of="shelf" :path="`rates.${card.at}.rates.${k}.upTo`" placeholder="any" />
            </td>
            <td><TableCell :of="shelf" :path="`rates.${card.at}.rates.${k}.cents`" /></td>
            <td>
              <v-btn
                :icon="mdiClose"
                size="x-small"
                variant="text"
                aria-label="Remove this price"
                @click="shelf.remove(`rates.${card.at}.rates.${k}`)"
              />
            </td>
          </tr>
        </tbody>
      </v-table>
      <p class="head">
        <v-btn
          v-for="k in choices('prices')"
          :key="k.id"
          variant="outlined"
          size="small"
          @click="shelf.add(`rates.${card.at}.rates`, k.id)"
          >{{ k.name }}</v-btn
        >
      </p>
    </template>
    <template v-else>
      <p class="soft">No prices yet. They change, so type your own.</p>
      <v-btn
        variant="outlined"
        size="small"
        class="start"
        data-test="begin-rates"
        @click="shelf.add('rates', rulebook)"
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
  gap: var(--near);
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near) var(--gap);
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
