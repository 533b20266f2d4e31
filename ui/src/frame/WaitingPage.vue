<script setup lang="ts">
import type { Plan } from '../api/client'

/** A page of a job whose card is not chosen yet: what it asks, and the way to where it is chosen. */
defineProps<{ waits: NonNullable<Plan['waits']>; id: string }>()
</script>

<template>
  <main class="waiting" data-test="waiting">
    <h1>{{ waits.sentence.text }}</h1>
    <p class="soft">{{ waits.text }}</p>
    <p>
      <router-link :to="`/jobs/${id}/${waits.door}`" data-test="to-door">Choose the card</router-link>
    </p>
  </main>
</template>

<style scoped>
.waiting {
  padding: var(--far) var(--edge);
  display: grid;
  gap: var(--gap);
  justify-items: start;
}
h1 {
  font-size: var(--size-title);
}
</style>
