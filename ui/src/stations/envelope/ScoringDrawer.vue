<script setup lang="ts">
import { computed } from 'vue'

import type { WayPlan } from '../../api/client'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import TypedField from '../../fields/TypedField.vue'
import { useShop } from '../../job/useShop'
import RenumberedJobs from '../../shelf/RenumberedJobs.vue'

const props = defineProps<{ ways: WayPlan[]; way: string; where: string }>()
const emit = defineEmits<{ choose: [way: string] }>()

const shelf = useShop()
const chosen = computed(() => props.ways.find((w) => w.id === props.way) ?? props.ways[0]!)
const choices = computed(() => props.ways.map((w) => ({ id: w.id, name: w.name })))
const why = computed(() => props.ways.find((w) => w.safer)?.why ?? '')
const sheetsDiffer = computed(() => new Set(props.ways.map((w) => w.sheet.nm)).size > 1)
</script>

<template>
  <section class="ways" :aria-label="where">
    <p v-if="!chosen.settings.length" class="soft">There is nothing to score: use it as it is.</p>
    <ChoiceRow
      v-if="ways.length > 1"
      label="Scoring"
      name="way"
      :choices="choices"
      :model-value="chosen.id"
      @update:model-value="emit('choose', $event)"
    />
    <ul class="settings">
      <li v-for="s in chosen.settings" :key="s.label + s.from" data-test="score">
        <span class="number" data-test="setting">{{ s.at.text }}</span>
        <span>
          {{ s.label }} <span v-if="s.from" class="soft">{{ s.from }}</span>
          <small v-if="s.exact" class="soft">exactly {{ s.exact }}</small>
        </span>
      </li>
    </ul>
    <ol class="steps">
      <li v-for="step in chosen.steps" :key="step">{{ step }}</li>
    </ol>
    <v-table v-if="ways.length && chosen.settings.length" density="compact" class="numbers">
      <caption class="sr">
        What is left of ease and seam when cuts and scores are off by half a tick
      </caption>
      <thead>
        <tr>
          <th scope="col">Scoring</th>
          <th v-if="sheetsDiffer" scope="col">Sheet</th>
          <th scope="col">Ease</th>
          <th scope="col">usually left</th>
          <th scope="col">at worst</th>
          <th scope="col">Seam</th>
          <th scope="col">usually left</th>
          <th scope="col">at worst</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="w in ways" :key="w.id" :class="{ here: w.id === chosen.id }">
          <th scope="row">
            {{ w.name }} <mark v-if="w.safer" class="safer" data-test="safer-way">safer</mark>
          </th>
          <td v-if="sheetsDiffer">{{ w.sheet.text }}</td>
          <td>{{ w.ease.text }}</td>
          <td>{{ w.easeRss.text }}</td>
          <td :class="{ 'tone-trouble': w.easeWorst.nm < 0 }">{{ w.easeWorst.text }}</td>
          <td>{{ w.seam.text }}</td>
          <td>{{ w.seamRss.text }}</td>
          <td>{{ w.seamWorst.text }}</td>
        </tr>
      </tbody>
    </v-table>
    <p v-if="why" class="soft" data-test="why-safer">{{ why }}</p>
    <div class="field-grid">
      <TypedField v-for="t in chosen.tools" :key="t" :of="shelf" :path="t" />
    </div>
    <RenumberedJobs v-if="chosen.tools.length" />
  </section>
</template>

<style scoped>
.ways {
  display: grid;
  gap: var(--gap);
}
.settings {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: var(--near) var(--gap);
}
.settings li {
  display: grid;
  grid-template-columns: 74px 1fr;
  gap: var(--gap);
  align-items: baseline;
  font-size: var(--size-note);
}
.number {
  font-size: var(--size-number);
  font-weight: 650;
  text-align: right;
  white-space: nowrap;
}
small {
  display: block;
  font-size: var(--size-note);
}
.steps {
  margin: 0;
  padding-left: 1.3em;
  display: grid;
  gap: var(--near);
}
.safer {
  padding: 0 4px;
  background: var(--mark);
  color: inherit;
}
</style>
