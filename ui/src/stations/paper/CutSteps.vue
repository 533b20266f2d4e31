<script setup lang="ts">
import type { LayoutPlan, StockPlan } from '../../api/client'

defineProps<{ stock: StockPlan; layout: LayoutPlan }>()
</script>

<template>
  <section aria-label="Cuts in order" class="cuts">
    <ol class="steps" data-test="cut-steps">
      <li v-for="(s, i) in stock.steps" :key="i">
        <p class="setting"><span class="soft">set</span> {{ s.setting.text }}</p>
        <ul>
          <li v-for="c in s.cuts" :key="c">{{ c }}</li>
        </ul>
      </li>
    </ol>
    <template v-if="layout.offcuts.length">
      <h3>Left of sheet {{ layout.name }}</h3>
      <ul class="offcuts" data-test="offcuts">
        <li v-for="(o, i) in layout.offcuts" :key="i">
          <strong>{{ o.size }}</strong> <span class="soft">{{ o.makes }}</span>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.cuts {
  display: grid;
  gap: 8px;
}
.steps,
.steps ul,
.offcuts {
  list-style: none;
  margin: 0;
  padding: 0;
}
.steps > li {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr);
  gap: 14px;
  align-items: baseline;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
.setting {
  font-size: 26px;
  font-weight: 650;
  text-align: right;
  white-space: nowrap;
}
.setting .soft {
  font-size: 14px;
  font-weight: 400;
}
.steps ul li {
  font-size: 15px;
  line-height: 1.35;
}
.offcuts {
  display: grid;
  gap: 2px;
}
h3 {
  font-size: 17px;
}
</style>
