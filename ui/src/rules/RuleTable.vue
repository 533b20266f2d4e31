<script setup lang="ts">
import type { RulePage } from '../api/client'
import ShelfField from '../shelf/ShelfField.vue'

/** Limits to read, or to edit where they are one's own. */
defineProps<{ lines: RulePage['classes'][number]['rows'] }>()
</script>

<template>
  <table class="numbers-table rules">
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
        <template v-if="l.path">
          <td><ShelfField :path="`${l.path}min`" :label="`Least ${l.label}`" placeholder="–" /></td>
          <td><ShelfField :path="`${l.path}max`" :label="`Most ${l.label}`" placeholder="–" /></td>
        </template>
        <template v-else>
          <td>{{ l.min || '–' }}</td>
          <td>{{ l.max || '–' }}</td>
        </template>
        <td class="words soft">{{ l.about }}</td>
      </tr>
    </tbody>
  </table>
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
td.words {
  padding-left: 24px;
}
@media (max-width: 800px) {
  th:first-child {
    width: 34%;
  }
}
</style>
