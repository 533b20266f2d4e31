<script setup lang="ts">
import type { FoldSheet } from '../../api/client'

defineProps<{ sheets: FoldSheet[]; fold: string }>()
</script>

<template>
  <section v-if="sheets.length" aria-label="Bases from each sheet">
    <h3 class="part">Bases from each sheet</h3>
    <v-table density="compact" class="numbers">
      <thead>
        <tr>
          <th scope="col">Sheet</th>
          <th v-for="f in sheets[0]!.folds" :key="f.fold" scope="col">{{ f.name }}, {{ f.flat }} flat</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in sheets" :key="s.id" :data-test="`folds-${s.id}`">
          <th scope="row">{{ s.name }}</th>
          <td v-for="f in s.folds" :key="f.fold" :class="{ mine: f.fold === fold }">
            <strong v-if="f.each > 0">{{ f.text }}</strong>
            <template v-else>{{ f.text }}</template>
          </td>
        </tr>
      </tbody>
    </v-table>
  </section>
</template>

<style scoped>
.mine {
  background: color-mix(in srgb, var(--mark) 30%, transparent);
}
</style>
