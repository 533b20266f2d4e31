<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'

import type { Shop } from '../api/client'
import BrandMark from '../counter/BrandMark.vue'
import UnitSwitch from '../counter/UnitSwitch.vue'
import { useShop } from '../job/useShop'
import ShelfField from './ShelfField.vue'

type Entry = { id: string; name: string; off?: boolean }
type List = 'envelopes' | 'sheets' | 'stocks'

const { shop, refused, failure, load, save } = useShop()
onMounted(load)

const showOff = ref(false)
const body = computed(() => shop.value?.shop)
const choices = computed(() => shop.value?.choices)
const items = (list: { id: string; name: string }[] | undefined) =>
  (list ?? []).map((c) => ({ value: c.id, title: c.name }))
const sheets = computed(() => [{ value: '', title: 'any sheet' }, ...items(choices.value?.sheets)])

/** The entries of a list with their places, those taken off only when asked for. */
function on<T extends Entry>(list: T[] | undefined) {
  return (list ?? []).map((entry, at) => ({ entry, at })).filter((e) => showOff.value || !e.entry.off)
}
const offCount = computed(() => {
  const b = body.value
  return b ? [...b.sheets, ...b.stocks, ...(b.envelopes ?? [])].filter((e) => e.off).length : 0
})

function set(list: List, at: number, to: object) {
  const b = body.value
  if (!b) return
  const now = (b[list] ?? []) as Entry[]
  void save({ [list]: now.map((e, i) => (i === at ? { ...e, ...to } : e)) } as Partial<Shop>)
}

function add(list: List, entry: object) {
  const b = body.value
  if (!b) return
  const now = (b[list] ?? []) as Entry[]
  const taken = new Set(now.map((e) => e.id))
  let n = 1
  while (taken.has(`${list}-own-${n}`)) n++
  void save({ [list]: [...now, { ...entry, id: `${list}-own-${n}` }] } as unknown as Partial<Shop>)
}

function rename(list: List, at: number, event: Event) {
  const name = (event.target as HTMLInputElement).value.trim()
  if (name) set(list, at, { name })
}

const a6 = { width: 165_100_000, height: 120_650_000 }
const letter = { width: 215_900_000, height: 279_400_000 }
const cover = { gsm: 250, caliper: 300_000 }
</script>

<template>
  <div class="page">
    <header>
      <BrandMark />
      <router-link to="/">Jobs</router-link>
      <span class="unit"><UnitSwitch /></span>
    </header>
    <main v-if="body">
      <h1>What is on your shelf?</h1>
      <p v-for="(message, path) in refused" :key="path" class="tone-trouble" role="alert" data-test="refused">
        {{ message }}
      </p>

      <section aria-label="Envelopes">
        <h2>Envelopes</h2>
        <p v-if="!on(body.envelopes).length" class="soft">
          None yet. Those you enter are offered before any that have to be bought.
        </p>
        <table v-else class="shelf-table">
          <thead>
            <tr>
              <th>Name</th>
              <th>Across</th>
              <th>Down</th>
              <th>How many</th>
              <th></th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ entry, at } in on(body.envelopes)"
              :key="entry.id"
              :class="{ off: entry.off }"
              :data-test="`envelope-${at}`"
            >
              <td>
                <input
                  class="name"
                  :value="entry.name"
                  maxlength="80"
                  aria-label="Name"
                  :data-test="`name-envelopes-${at}`"
                  @change="rename('envelopes', at, $event)"
                />
              </td>
              <td><ShelfField :path="`envelopes.${at}.width`" label="Outside, across" /></td>
              <td><ShelfField :path="`envelopes.${at}.height`" label="Outside, down" /></td>
              <td>
                <ShelfField :path="`envelopes.${at}.have`" label="How many" placeholder="not counted" />
              </td>
              <td>
                <v-btn size="small" @click="set('envelopes', at, { off: !entry.off })">{{
                  entry.off ? 'Put back' : 'Take off'
                }}</v-btn>
              </td>
            </tr>
          </tbody>
        </table>
        <v-btn
          variant="outlined"
          data-test="add-envelopes"
          @click="add('envelopes', { name: 'Envelopes of mine', ...a6 })"
          >Enter envelopes</v-btn
        >
      </section>

      <section aria-label="Sheets">
        <h2>Sheets</h2>
        <table class="shelf-table">
          <thead>
            <tr>
              <th>Name</th>
              <th>Across</th>
              <th>Down</th>
              <th></th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ entry, at } in on(body.sheets)"
              :key="entry.id"
              :class="{ off: entry.off }"
              :data-test="`shelf-sheet-${at}`"
            >
              <td>
                <input
                  class="name"
                  :value="entry.name"
                  maxlength="80"
                  aria-label="Name"
                  @change="rename('sheets', at, $event)"
                />
              </td>
              <td><ShelfField :path="`sheets.${at}.width`" label="Across" /></td>
              <td><ShelfField :path="`sheets.${at}.height`" label="Down" /></td>
              <td>
                <v-btn size="small" @click="set('sheets', at, { off: !entry.off })">{{
                  entry.off ? 'Put back' : 'Take off'
                }}</v-btn>
              </td>
            </tr>
          </tbody>
        </table>
        <v-btn
          variant="outlined"
          data-test="add-sheets"
          @click="add('sheets', { name: 'Sheets of mine', ...letter })"
          >Enter a sheet size</v-btn
        >
      </section>

      <section aria-label="Papers and boards">
        <h2>Papers and boards</h2>
        <table class="shelf-table wide">
          <thead>
            <tr>
              <th>Name</th>
              <th>Caliper</th>
              <th>gsm</th>
              <th>Grain</th>
              <th>Pattern</th>
              <th>Surface</th>
              <th>Kept in</th>
              <th>Sheets</th>
              <th></th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ entry, at } in on(body.stocks)"
              :key="entry.id"
              :class="{ off: entry.off }"
              :data-test="`shelf-stock-${at}`"
            >
              <td>
                <input
                  class="name"
                  :value="entry.name"
                  maxlength="80"
                  aria-label="Name"
                  @change="rename('stocks', at, $event)"
                />
              </td>
              <td><ShelfField :path="`stocks.${at}.caliper`" label="Caliper" /></td>
              <td><ShelfField :path="`stocks.${at}.gsm`" label="Grams a square metre" /></td>
              <td>
                <v-select
                  :model-value="entry.grain ?? ''"
                  :items="items(choices?.grains)"
                  aria-label="Grain"
                  :data-test="`grain-${at}`"
                  @update:model-value="set('stocks', at, { grain: $event })"
                />
              </td>
              <td>
                <v-select
                  :model-value="entry.pattern ?? ''"
                  :items="items(choices?.patterns)"
                  aria-label="Pattern"
                  :data-test="`pattern-${at}`"
                  @update:model-value="set('stocks', at, { pattern: $event })"
                />
              </td>
              <td>
                <v-select
                  :model-value="entry.surface || 'uncoated'"
                  :items="items(choices?.surfaces)"
                  aria-label="Surface"
                  @update:model-value="set('stocks', at, { surface: $event })"
                />
              </td>
              <td>
                <v-select
                  :model-value="entry.sheet ?? ''"
                  :items="sheets"
                  aria-label="Kept in"
                  :data-test="`kept-${at}`"
                  @update:model-value="set('stocks', at, { sheet: $event })"
                />
              </td>
              <td><ShelfField :path="`stocks.${at}.have`" label="How many sheets" placeholder="–" /></td>
              <td>
                <v-btn size="small" @click="set('stocks', at, { off: !entry.off })">{{
                  entry.off ? 'Put back' : 'Take off'
                }}</v-btn>
              </td>
            </tr>
          </tbody>
        </table>
        <v-btn
          variant="outlined"
          data-test="add-stocks"
          @click="add('stocks', { name: 'Paper of mine', ...cover })"
          >Enter a paper</v-btn
        >
      </section>

      <section aria-label="Tools and adhesives">
        <h2>Trimmer and adhesives</h2>
        <ul class="tools">
          <li>
            <ShelfField path="tools.trimmerLength" label="Cut length" />
            <span>longest cut of the trimmer</span>
          </li>
          <li v-for="(a, at) in body.adhesives" :key="a.id">
            <ShelfField :path="`adhesives.${at}.width`" label="Width" /> <span>{{ a.name }}</span>
          </li>
        </ul>
      </section>
      <v-checkbox
        v-if="offCount"
        v-model="showOff"
        :label="`Show what was taken off the shelf (${offCount})`"
        data-test="show-off"
      />
    </main>
    <main v-else>
      <p :class="failure ? 'tone-trouble' : 'soft'" :role="failure ? 'alert' : undefined">
        {{ failure || 'Looking at the shelf…' }}
      </p>
    </main>
  </div>
</template>

<style scoped>
header {
  display: flex;
  gap: 24px;
  align-items: center;
  padding: 14px 40px 0;
  font-weight: 600;
}
.unit {
  margin-left: auto;
  font-weight: 400;
}
main {
  padding: 14px 40px 40px;
  display: grid;
  gap: 26px;
}
h1 {
  font-size: 36px;
}
section {
  display: grid;
  gap: 8px;
  justify-items: start;
  min-width: 0;
}
.shelf-table {
  border-collapse: collapse;
  max-width: 820px;
  width: 100%;
}
.wide {
  max-width: 1320px;
}
th {
  text-align: left;
  font-size: 14px;
  font-weight: 500;
  color: var(--soft);
  padding: 0 10px 2px 0;
}
td {
  padding: 3px 10px 3px 0;
  border-bottom: 1px solid var(--line);
  vertical-align: middle;
}
.off {
  opacity: 0.7;
}
.off .name {
  text-decoration: line-through;
}
.name {
  width: 100%;
  min-width: 130px;
  font: 600 16px var(--body);
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
}
.name:hover,
.name:focus {
  border-bottom-color: var(--line);
}
.wide .name {
  min-width: 210px;
}
section > .v-btn {
  justify-self: start;
}
.wide :deep(.v-select) {
  min-width: 118px;
}
.tools {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
.tools li {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 12px;
  align-items: baseline;
}
@media (max-width: 1000px) {
  header,
  main {
    padding-left: 16px;
    padding-right: 16px;
  }
  section {
    overflow-x: auto;
    justify-items: stretch;
  }
}
</style>
