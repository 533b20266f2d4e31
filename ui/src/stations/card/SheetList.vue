<script setup lang="ts">
import { computed } from 'vue'

import type { SheetPlan } from '../../api/client'
import SheetDrawing from '../../drawing/SheetDrawing.vue'

const props = defineProps<{ sheets: SheetPlan[] }>()

const tallest = 64 // pixels

/** All sheets are drawn to one scale, so that they can be compared. */
const scale = computed(() => tallest / Math.max(1, ...props.sheets.map((s) => s.height / 1e6)))
</script>

<template>
  <section aria-label="From your sheets" class="sheets">
    <h3 class="part">From your sheets</h3>
    <ul>
      <li v-for="s in sheets" :key="s.id" :class="{ none: s.each === 0 }" :data-test="`sheet-${s.id}`">
        <SheetDrawing :sheet="s" :scale="scale" />
        <p>
          <strong>{{ s.name }}</strong><br />{{ s.text }}
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: var(--near) 0 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: var(--gap);
}
li {
  display: flex;
  gap: var(--gap);
  align-items: flex-start;
  font-size: var(--size-note);
  line-height: 1.3;
}
li svg {
  flex: none;
}
.none {
  color: var(--soft);
}
</style>
