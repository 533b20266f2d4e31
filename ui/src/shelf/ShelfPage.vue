<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'

import BrandMark from '../counter/BrandMark.vue'
import SaveLine from '../counter/SaveLine.vue'
import UnitSwitch from '../counter/UnitSwitch.vue'
import ShopLength from '../fields/ShopLength.vue'
import { useShop } from '../job/useShop'
import GrooveField from '../stations/envelope/GrooveField.vue'
import ShelfField from './ShelfField.vue'
import ShelfTable from './ShelfTable.vue'
import { useShelf } from './useShelf'

const { shop, refused, failure, told, state, load, listen } = useShop()
const { set } = useShelf()
onMounted(load)
listen()

const showOff = ref(false)
const body = computed(() => shop.value?.shop)
const choices = computed(() => shop.value?.choices)
const items = (list: { id: string; name: string }[] | undefined) =>
  (list ?? []).map((c) => ({ value: c.id, title: c.name }))
const sheets = computed(() => [{ value: '', title: 'any sheet' }, ...items(choices.value?.sheets)])
const offCount = computed(() => {
  const b = body.value
  return b
    ? [...b.sheets, ...b.stocks, ...b.adhesives, ...(b.envelopes ?? [])].filter((e) => e.off).length
    : 0
})

const envelope = { name: 'Envelopes of mine', width: 165_100_000, height: 120_650_000 }
const sheet = { name: 'Sheets of mine', width: 215_900_000, height: 279_400_000 }
const stock = { name: 'Paper of mine', gsm: 250, caliper: 300_000 }
const adhesive = { name: 'Adhesive of mine', width: 6_350_000 }
</script>

<template>
  <div class="page">
    <header>
      <BrandMark />
      <router-link to="/">Jobs</router-link>
      <SaveLine :state="state" />
      <span class="unit"><UnitSwitch /></span>
    </header>
    <main v-if="body">
      <h1>What is on your shelf?</h1>
      <p v-for="(message, path) in refused" :key="path" class="tone-trouble" role="alert" data-test="refused">
        {{ message }}
      </p>

      <p v-for="t in told" :key="t" class="tone-care" role="status" data-test="told">{{ t }}</p>

      <ShelfTable
        v-slot="{ at }"
        list="envelopes"
        title="Envelopes"
        :entries="body.envelopes ?? []"
        :columns="['Across', 'Down', 'How many']"
        :fresh="envelope"
        enter="Enter envelopes"
        none="None yet. Those you enter are offered before any that have to be bought."
        :show-off="showOff"
      >
        <td><ShelfField :path="`envelopes.${at}.width`" label="Outside, across" /></td>
        <td><ShelfField :path="`envelopes.${at}.height`" label="Outside, down" /></td>
        <td><ShelfField :path="`envelopes.${at}.have`" label="How many" placeholder="not counted" /></td>
      </ShelfTable>

      <ShelfTable
        v-slot="{ at }"
        list="sheets"
        title="Sheets"
        :entries="body.sheets"
        :columns="['Across', 'Down']"
        :fresh="sheet"
        enter="Enter a sheet size"
        :show-off="showOff"
      >
        <td><ShelfField :path="`sheets.${at}.width`" label="Across" /></td>
        <td><ShelfField :path="`sheets.${at}.height`" label="Down" /></td>
      </ShelfTable>

      <ShelfTable
        v-slot="{ entry, at }"
        list="stocks"
        title="Papers and boards"
        :entries="body.stocks"
        :columns="['Caliper', 'gsm', 'Grain', 'Pattern', 'Surface', 'Kept in', 'Sheets']"
        :fresh="stock"
        enter="Enter a paper"
        :show-off="showOff"
        wide
      >
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
      </ShelfTable>

      <ShelfTable
        v-slot="{ entry, at }"
        list="adhesives"
        title="Tapes and glues"
        :entries="body.adhesives"
        :columns="['Width', 'Holds on']"
        :fresh="adhesive"
        enter="Enter an adhesive"
        :show-off="showOff"
        wide
      >
        <td><ShelfField :path="`adhesives.${at}.width`" label="Width" /></td>
        <td class="holds">
          <v-select
            :model-value="entry.holds ?? []"
            :items="items(choices?.surfaces)"
            multiple
            placeholder="anything, as far as is known"
            aria-label="Holds on"
            :data-test="`holds-${at}`"
            @update:model-value="set('adhesives', at, { holds: $event })"
          />
        </td>
      </ShelfTable>

      <section aria-label="Tools">
        <h2>Tools</h2>
        <div class="tools">
          <ShopLength path="tools.trimmerLength" label="Trimmer cuts" note="the longest cut that it makes" />
          <ShopLength
            path="tools.cornerAt"
            label="Score board's corner"
            note="what its diagonal guide reads where the sheet's corner sits; a minus when it lies before zero"
          />
          <ShopLength
            path="tools.reach"
            label="Score board reaches"
            note="its furthest reading, and the largest square that the punch board takes; 0 when it does not matter"
          />
          <GrooveField />
          <ShopLength
            path="tools.notchDepth"
            label="Punch board's notch"
            note="punch a scrap and measure how deep it notches"
          />
        </div>
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
  grid-template-columns: minmax(0, 1fr);
  gap: 26px;
}
h1 {
  font-size: 36px;
}
.holds {
  width: 60%;
}
.tools {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: 18px 40px;
  align-items: start;
  max-width: 1200px;
  padding-top: 8px;
}
@media (max-width: 1000px) {
  header,
  main {
    padding-left: 16px;
    padding-right: 16px;
  }
}
</style>
