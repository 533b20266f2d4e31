<script setup lang="ts">
import { computed } from 'vue'

import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

const props = defineProps<{ job: JobInHand }>()

const { shop } = useShop()
const stocks = computed(() => (shop.value?.choices.stocks ?? []).map((c) => ({ value: c.id, title: c.name })))
const parts = computed(() => props.job.job.value?.parts ?? [])
const plans = computed(() => props.job.plan.value?.card.parts ?? [])

function stock(index: number, id: string) {
  props.job.choose((j) => ({ ...j, parts: j.parts.map((p, i) => (i === index ? { ...p, stock: id } : p)) }))
}
</script>

<template>
  <section aria-label="Made of" class="parts">
    <h2>Made of</h2>
    <ul>
      <li v-for="(part, i) in parts" :key="part.id">
        <span class="what">
          {{ part.name }}
          <small v-if="plans[i]" class="soft">
            {{ plans[i].size }}, {{ plans[i].caliper }}
            <template v-if="plans[i].layers > 1">in {{ plans[i].layers }} layers</template>
          </small>
        </span>
        <v-select
          :model-value="part.stock"
          :items="stocks"
          :aria-label="`Paper of ${part.name}`"
          :data-test="`stock-${part.id}`"
          @update:model-value="stock(i, $event)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.parts {
  border-top: 1px solid var(--line);
  padding-top: 10px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px;
  align-items: center;
  padding: 4px 0;
}
.what {
  font-weight: 600;
}
small {
  display: block;
  font-size: 14px;
  font-weight: 400;
}
</style>
