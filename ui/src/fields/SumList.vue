<script setup lang="ts">
import type { HowLine } from '../api/client'

/** Sums as one writes them down: each term with what it is, then what they come to. */
withDefaults(defineProps<{ lines: HowLine[]; none?: string }>(), {
  none: 'Nothing is worked out here: it comes as it is sold.',
})
</script>

<template>
  <ol v-if="lines.length" class="sums">
    <li v-for="(l, i) in lines" :key="`${l.id} ${i}`" :data-test="`sum-${l.id}`">
      <h3 class="part">{{ l.name }}</h3>
      <p class="sum">
        <span v-for="(t, k) in l.terms" :key="k" class="term"
          ><span v-if="t.op" class="op">{{ t.op }}</span
          ><span class="value">{{ t.text }}</span
          ><span v-if="t.name" class="name">{{ t.name }}</span></span
        ><span class="term"
          ><span class="op">=</span><strong class="value result">{{ l.result }}</strong></span
        >
      </p>
      <p v-if="l.note" class="soft note">{{ l.note }}</p>
    </li>
  </ol>
  <p v-else class="soft">{{ none }}</p>
</template>

<style scoped>
.sums {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: var(--gap);
}
li {
  border-bottom: 1px solid var(--line);
  padding-bottom: var(--near);
}
.sum {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near) var(--gap);
  align-items: baseline;
}
.term {
  display: inline-flex;
  gap: var(--near);
  align-items: baseline;
}
.value {
  font-size: var(--size-number);
  font-weight: 600;
}
.result {
  background: linear-gradient(transparent 60%, var(--mark) 60%, var(--mark) 92%, transparent 92%);
}
.op,
.name {
  color: var(--soft);
}
.name,
.note {
  font-size: var(--size-note);
}
</style>
