<script setup lang="ts">
import type { Sentence } from '../api/client'
import HeadLine from '../counter/HeadLine.vue'

defineProps<{
  sentence: Sentence
  /** The drawing stays in sight while a long column of numbers is scrolled. */
  follow?: boolean
}>()
</script>

<template>
  <div class="station">
    <HeadLine :sentence="sentence" aria-live="polite" />
    <div class="sides">
      <div class="picture" :class="{ follow }"><slot name="drawing" /></div>
      <div class="numbers"><slot /></div>
    </div>
    <slot name="below" />
  </div>
</template>

<style scoped>
.station {
  display: grid;
  gap: 14px;
}
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(380px, 1fr);
  gap: 20px 36px;
  align-items: start;
}
.picture {
  min-width: 0;
}
@media (min-width: 1001px) {
  .follow {
    position: sticky;
    top: 8px;
  }
}
.numbers {
  display: grid;
  gap: 10px;
  align-content: start;
}
@media (max-width: 1000px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
