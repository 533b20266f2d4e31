<script setup lang="ts">
import { computed } from 'vue'

import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

const props = defineProps<{ job: JobInHand }>()

const { shop } = useShop()
const stocks = computed(() => (shop.value?.choices.stocks ?? []).map((c) => ({ value: c.id, title: c.name })))
const papers = computed(() => (props.job.plan.value?.card.parts ?? []).filter((p) => !p.thing))
const things = computed(() => (props.job.plan.value?.card.parts ?? []).filter((p) => p.thing))
const stockOf = (at: number) => props.job.job.value?.parts[at]?.stock
</script>

<template>
  <section aria-label="Made of" class="parts">
    <h2>Made of</h2>
    <ul>
      <li v-for="part in papers" :key="part.id" data-test="paper">
        <span class="what">
          {{ part.name }}
          <small class="soft">
            {{ part.size }}, {{ part.caliper }}
            <template v-if="part.layers > 1">in {{ part.layers }} layers</template>
          </small>
        </span>
        <v-select
          :model-value="stockOf(part.part)"
          :items="stocks"
          :aria-label="`Paper of ${part.name}`"
          :data-test="`stock-${part.id}`"
          @update:model-value="job.tell(`parts.${part.part}.stock`, $event)"
        />
      </li>
    </ul>
    <p v-if="things.length" class="soft things" data-test="things">
      On or in it:
      <template v-for="(t, i) in things" :key="t.id"
        ><template v-if="i">; </template>{{ t.name }}, {{ t.size }}</template
      >.
    </p>
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
.things {
  padding-top: 4px;
  font-size: 15px;
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
