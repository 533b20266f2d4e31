<script setup lang="ts">
import type { FoldSheet } from '../../api/client'

defineProps<{ sheets: FoldSheet[]; fold: string }>()
</script>

<template>
  <section v-if="sheets.length" class="folds" aria-label="Bases from each sheet">
    <h2>Bases from each sheet, either fold</h2>
    <table class="numbers-table">
      <thead>
        <tr>
          <th scope="col" class="words">Sheet</th>
          <th v-for="f in sheets[0]!.folds" :key="f.fold" scope="col" class="words">
            {{ f.name }}, {{ f.flat }} flat
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in sheets" :key="s.id" :data-test="`folds-${s.id}`">
          <th scope="row" class="words">{{ s.name }}</th>
          <td v-for="f in s.folds" :key="f.fold" class="words" :class="{ mine: f.fold === fold }">
            <strong v-if="f.each > 0">{{ f.text }}</strong>
            <template v-else>{{ f.text }}</template>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.folds {
  display: grid;
  gap: 10px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.mine {
  background: color-mix(in srgb, var(--mark) 30%, transparent);
}
</style>
