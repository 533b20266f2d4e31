<script setup lang="ts">
import type { Sentence } from '../api/client'

defineProps<{ sentence: Sentence }>()
</script>

<template>
  <h1 class="verdict" data-test="headline">
    <template v-for="(span, i) in sentence.spans" :key="i">
      <span v-if="span.mark" class="mark">{{ span.text }}</span>
      <template v-else>{{ span.text }}</template>
    </template>
  </h1>
</template>

<style scoped>
.verdict {
  font-size: var(--size-title);
  font-weight: 700;
  line-height: 1.2;
  text-wrap: pretty;
}
</style>
