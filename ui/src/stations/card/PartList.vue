<script setup lang="ts">
import { computed } from 'vue'

import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'

const props = defineProps<{ job: JobInHand }>()

const papers = computed(() => (props.job.plan.value?.card.parts ?? []).filter((p) => !p.thing))
const things = computed(() => (props.job.plan.value?.card.parts ?? []).filter((p) => p.thing))
</script>

<template>
  <section aria-label="Papers" class="parts">
    <ul>
      <li v-for="part in papers" :key="part.id" data-test="paper">
        <span class="what">
          {{ part.name }}
          <small class="soft">
            {{ part.size }}, {{ part.caliper }}
            <template v-if="part.layers > 1">in {{ part.layers }} layers</template>
          </small>
        </span>
        <TypedField
          :of="job"
          :path="`parts.${part.part}.stock`"
          as="cell"
          :label="`Paper of ${part.name}`"
          :name="`stock-${part.id}`"
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
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: var(--gap);
  align-items: center;
  padding: 4px 0;
}
.things {
  padding-top: 4px;
  font-size: var(--size-note);
}
.what {
  font-weight: 600;
}
small {
  display: block;
  font-size: var(--size-note);
  font-weight: 400;
}
</style>
