<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { ref } from 'vue'

import { under } from '../job/steady'
import type { RulePage } from '../api/client'
import PickRow from '../fields/PickRow.vue'
import TableCell from '../fields/TableCell.vue'
import { useShop } from '../job/useShop'

/** Limits to read, or to edit, add and remove where they are one's own, under their path. */
const props = defineProps<{ lines: RulePage['classes'][number]['rows']; path: string; name: string }>()

const shelf = useShop()
const { choices } = shelf
const measure = ref(choices('measures')[0]?.id ?? '')
const least = ref('')
const most = ref('')

async function add() {
  shelf.add(under(props.path, 'limits'), [measure.value, least.value, most.value].join(';'))
  await shelf.settled()
  least.value = ''
  most.value = ''
}
</script>

<template>
  <v-table class="numbers rules">
    <thead>
      <tr>
        <th scope="col" class="words">Measure</th>
        <th scope="col">Least</th>
        <th scope="col">Most</th>
        <th scope="col" class="words"></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(l, i) in lines" :key="i" data-test="rule">
        <th scope="row" class="words">{{ l.label }}</th>
        <template v-if="l.path && !l.flag">
          <td><TableCell :of="shelf" :path="under(l.path, 'min')" placeholder="–" /></td>
          <td><TableCell :of="shelf" :path="under(l.path, 'max')" placeholder="–" /></td>
        </template>
        <td v-else-if="l.flag" colspan="2">
          <TableCell
            v-if="l.path"
            :of="shelf"
            :path="under(l.path, l.min ? 'min' : 'max')"
            :label="l.label"
          />
          <template v-else>must be: {{ l.min || l.max }}</template>
        </td>
        <template v-else>
          <td>{{ l.min || '–' }}</td>
          <td>{{ l.max || '–' }}</td>
        </template>
        <td class="words soft">
          {{ l.about }}
          <v-btn
            v-if="l.path"
            :icon="mdiClose"
            class="away"
            size="small"
            variant="text"
            :aria-label="`Remove the limit of ${l.label}`"
            :data-test="`remove-${name}-${i}`"
            @click="shelf.remove(under(l.path))"
          />
        </td>
      </tr>
    </tbody>
  </v-table>
  <form v-if="path" class="add" @submit.prevent="add">
    <PickRow v-model="measure" label="Add a limit" :name="`measure-${name}`" :choices="choices('measures')" />
    <v-text-field
      v-model="least"
      label="Least"
      persistent-placeholder
      maxlength="40"
      :data-test="`least-${name}`"
    />
    <v-text-field
      v-model="most"
      label="Most"
      persistent-placeholder
      placeholder="or yes or no"
      maxlength="40"
      :data-test="`most-${name}`"
    />
    <v-btn type="submit" variant="outlined" :disabled="!least && !most" :data-test="`add-${name}`">Add</v-btn>
  </form>
</template>

<style scoped>
.rules {
  max-width: 1000px;
  table-layout: fixed;
}
th:first-child {
  width: 300px;
}
td:not(.words),
th:nth-child(2),
th:nth-child(3) {
  width: 130px;
}
td:not(.words) {
  font-weight: 650;
}
td:not(.words) :deep(input) {
  text-align: right;
}
td.words {
  padding-left: 24px;
}
.away {
  float: right;
}
.add {
  margin-bottom: 10px;
  display: flex;
  flex-wrap: wrap;
  gap: var(--near) var(--gap);
  align-items: center;
}
.add > :first-child {
  flex: 0 1 420px;
}
.add .v-text-field {
  flex: 0 1 150px;
}
@media (max-width: 800px) {
  th:first-child {
    width: 34%;
  }
}
</style>
