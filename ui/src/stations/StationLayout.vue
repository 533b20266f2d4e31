<script setup lang="ts">
import { inject, type Ref } from 'vue'

import type { Sentence } from '../api/client'
import HeadLine from '../counter/HeadLine.vue'

defineProps<{
  sentence: Sentence
  /** The drawing stays in sight while a long column of numbers is scrolled. */
  follow?: boolean
}>()

/** Whether something typed could not be used, so that what is drawn is not of it. */
const behind = inject<Ref<boolean>>('behind')
</script>

<template>
  <div class="station">
    <HeadLine :sentence="sentence" aria-live="polite" />
    <div class="sides">
      <div class="picture" :class="{ follow, behind }">
        <slot name="drawing" />
        <div class="foot">
          <p v-if="behind" class="note" role="status" data-test="behind">
            Drawn as before: what you typed cannot be used yet.
          </p>
        </div>
      </div>
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
/* It has a place of its own at the drawing's foot, and stays in sight there, so that
   nothing moves when it comes and goes. */
.foot {
  position: sticky;
  z-index: 2;
  bottom: 104px;
  height: 36px;
  pointer-events: none;
}
.note {
  width: fit-content;
  margin-left: auto;
  padding: 4px 10px;
  background: var(--sheet);
  border: 2px dashed var(--trouble);
  color: var(--trouble);
  font-weight: 600;
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
