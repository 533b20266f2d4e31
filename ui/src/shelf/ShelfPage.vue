<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'

import type { Leaf } from '../api/client'
import SaveLine from '../frame/SaveLine.vue'
import WhyBar from '../frame/WhyBar.vue'
import TypedField from '../fields/TypedField.vue'
import PageHeader from '../frame/PageHeader.vue'
import { useShop } from '../job/useShop'
import MyUsual from './MyUsual.vue'
import RenumberedJobs from './RenumberedJobs.vue'
import CalibrateTool from './CalibrateTool.vue'
import ShelfTable from './ShelfTable.vue'

const shelf = useShop()
const { shop, refusals, failure, told, state } = shelf
onMounted(shelf.load)
shelf.listen()

const showOff = ref(false)
const body = computed(() => shop.value?.shop)
const offCount = computed(() => {
  const b = body.value
  return b
    ? [...b.sheets, ...b.stocks, ...b.adhesives, ...(b.envelopes ?? []), ...(b.mats ?? [])].filter(
        (e) => e.off,
      ).length
    : 0
})
/** A paper has more columns than a page is wide: what it is, and how it looks. */
const papers: { name: string; columns: string[]; cells: Leaf[] }[] = [
  {
    name: 'What they are',
    columns: ['Caliper', 'gsm', 'Grain', 'Pattern', 'Surface', 'Kept in', 'Sheets'],
    cells: ['caliper', 'gsm', 'grain', 'pattern', 'surface', 'sheet', 'have'],
  },
  {
    name: 'How they look',
    columns: ['Front', 'Its pattern', 'Back', 'Its pattern there'],
    cells: ['front.colour', 'front.pattern', 'back.colour', 'back.pattern'],
  },
]
const tools = computed(() => shop.value?.tools ?? [])
</script>

<template>
  <div class="page">
    <PageHeader><SaveLine :state="state" :why="shelf.why.value" /></PageHeader>
    <WhyBar :why="shelf.why.value" />
    <main v-if="body">
      <h1>Your shelf</h1>
      <p v-for="message in refusals" :key="message" class="tone-trouble" role="alert" data-test="refused">
        {{ message }}
      </p>

      <p v-for="t in told" :key="t" class="tone-care told" role="status" data-test="told">{{ t }}</p>

      <MyUsual />

      <ShelfTable
        list="envelopes"
        title="Envelopes"
        :entries="body.envelopes ?? []"
        :columns="['Width', 'Height', 'How many']"
        :cells="['width', 'height', 'have']"
        enter="Enter envelopes"
        none="None yet. Those you enter are offered before any that have to be bought."
        :show-off="showOff"
      />

      <p><router-link to="/chart" data-test="to-chart">Pocket chart of your envelopes</router-link></p>

      <ShelfTable
        list="sheets"
        title="Sheets"
        :entries="body.sheets"
        :columns="['Width', 'Height']"
        :cells="['width', 'height']"
        enter="Enter a sheet size"
        :show-off="showOff"
      />

      <ShelfTable
        list="stocks"
        title="Papers and boards"
        :entries="body.stocks"
        :columns="papers[0]!.columns"
        :cells="papers[0]!.cells"
        :sets="papers"
        enter="Enter a paper"
        :show-off="showOff"
        wide
      />

      <ShelfTable
        list="adhesives"
        title="Tapes and glues"
        :entries="body.adhesives"
        :columns="['Width', 'Dries, minutes', 'Holds on']"
        :cells="['width', 'minutes', 'holds']"
        enter="Enter an adhesive"
        :show-off="showOff"
        wide
      />

      <ShelfTable
        id="mats"
        list="mats"
        title="Mats of the cutter"
        :entries="body.mats ?? []"
        :columns="['Width', 'Height', 'Margin']"
        :cells="['width', 'height', 'margin']"
        enter="Enter a mat"
        none="None yet. The first one is the usual one."
        :show-off="showOff"
      />

      <section aria-label="Tools">
        <h2>Tools</h2>
        <div class="tools">
          <div v-for="tool in tools" :key="tool.id" class="tool">
            <h3>{{ tool.name }}</h3>
            <TypedField v-for="f in tool.fields" :key="f" :of="shelf" :path="f" />
            <CalibrateTool v-if="tool.calibration" :tool="tool" />
          </div>
        </div>
        <RenumberedJobs />
      </section>
      <v-checkbox
        v-if="offCount"
        v-model="showOff"
        :label="`Show removed (${offCount})`"
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
main {
  padding: var(--near) var(--edge) var(--far);
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--far);
}
h1 {
  font-size: var(--size-title);
}
/* Seen from wherever something was done. */
.told {
  position: sticky;
  top: 0;
  z-index: 3;
  padding: var(--near) 0;
  background: var(--paper);
}
.tools {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: var(--gap) var(--far);
  align-items: start;
  max-width: 1200px;
  padding-top: var(--near);
}
.tool {
  display: grid;
  gap: var(--gap);
}
h3 {
  font-size: var(--size-text);
}
</style>
