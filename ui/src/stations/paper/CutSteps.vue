<script setup lang="ts">
import type { StockPlan } from '../../api/client'

/** The cuts of one paper in order, each under the setting of the trimmer that it needs. */
defineProps<{ stock: StockPlan }>()
</script>

<template>
  <ol class="steps" aria-label="Cuts in order" data-test="cut-steps">
    <li v-for="(s, i) in stock.steps" :key="i">
      <p class="setting"><span class="soft">set</span> {{ s.setting.text }}</p>
      <ul>
        <li v-for="c in s.cuts" :key="c">{{ c }}</li>
      </ul>
    </li>
  </ol>
</template>

<style scoped>
.steps,
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.steps > li {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  gap: var(--gap);
  align-items: baseline;
  padding: var(--near) 0;
  border-bottom: 1px solid var(--line);
}
.setting {
  font-size: var(--size-number);
  font-weight: 650;
  text-align: right;
  white-space: nowrap;
}
.setting .soft {
  font-size: var(--size-note);
  font-weight: 400;
}
ul li {
  font-size: var(--size-note);
  line-height: 1.35;
}
</style>
