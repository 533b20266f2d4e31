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
        <p v-if="behind" class="note" role="status" data-test="behind">
          Drawn as before: what you typed cannot be used yet.
        </p>
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
/* It lies on the drawing's foot, in sight and in nobody's way, so that nothing
   moves when it comes and goes. */
.note {
  position: sticky;
  z-index: 2;
  bottom: 104px;
  width: fit-content;
  margin: -40px 0 0 auto;
  pointer-events: none;
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
