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
const sheetsDiffer = computed(() => new Set(props.ways.map((w) => w.sheet.nm)).size > 1)
</script>

<template>
  <section class="ways" :aria-label="where">
    <h2>{{ where }}</h2>
    <ChoiceRow
      v-if="ways.length > 1"
      label="Way of setting the scores"
      name="way"
      :choices="choices"
      :model-value="chosen.id"
      @update:model-value="emit('choose', $event)"
    />
    <div class="set">
      <ul class="settings">
        <li v-for="s in chosen.settings" :key="s.label + s.from" data-test="score">
          <span class="number" data-test="setting">{{ s.at.text }}</span>
          <span>
            {{ s.label }} <span v-if="s.from" class="soft">{{ s.from }}</span>
            <small v-if="s.exact" class="soft">the sums say {{ s.exact }}</small>
          </span>
        </li>
      </ul>
      <ol class="steps">
        <li v-for="step in chosen.steps" :key="step">{{ step }}</li>
      </ol>
      <div class="board">
        <TypedField v-for="t in chosen.tools" :key="t" :of="shelf" :path="t" as="line" />
        <RenumberedJobs v-if="chosen.tools.length" />
      </div>
    </div>
    <table class="numbers-table">
      <caption class="sr">
        What is left of ease and seam when cuts and scores are off by half a tick
      </caption>
      <thead>
        <tr>
          <th scope="col">Way</th>
          <th v-if="sheetsDiffer" scope="col">Sheet</th>
          <th scope="col">Ease</th>
          <th scope="col">likely left</th>
          <th scope="col">at worst</th>
          <th scope="col">Seam</th>
          <th scope="col">likely left</th>
          <th scope="col">at worst</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="w in ways" :key="w.id" :class="{ here: w.id === chosen.id }">
          <th scope="row">
            {{ w.name }} <mark v-if="w.safer" class="safer" data-test="safer-way">the safer way</mark>
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
    </table>
  </section>
</template>

<style scoped>
.ways {
  display: grid;
  gap: 12px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.set {
  display: grid;
  grid-template-columns: minmax(260px, auto) minmax(280px, 1fr) minmax(0, 300px);
  gap: 12px 36px;
  align-items: start;
}
.settings {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
.settings li {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 14px;
  align-items: baseline;
}
.number {
  font-size: 28px;
  font-weight: 650;
  text-align: right;
  white-space: nowrap;
}
small {
  display: block;
  font-size: 14px;
}
.steps {
  margin: 6px 0 0;
  padding-left: 1.3em;
  display: grid;
  gap: 6px;
  font-size: 17px;
}
.safer {
  margin-left: 8px;
  padding: 0 4px;
  background: var(--mark);
  color: inherit;
  font-weight: 450;
}
@media (max-width: 1000px) {
  .set {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
