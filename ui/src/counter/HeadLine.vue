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
  font-size: clamp(24px, 2.55vw, 36px);
  font-weight: 700;
  line-height: 1.18;
  max-width: 36em;
  text-wrap: pretty;
}
</style>
