<script setup lang="ts">
import { ref } from 'vue'

/** A mark beside a number that had to be rounded: at a touch it says the number exactly. */
defineProps<{ exact: string }>()

// There are many, and few are asked: what says it is made when one is.
const asked = ref(false)
const shown = ref(false)
const mark = ref<HTMLElement>()
function ask() {
  asked.value = true
  shown.value = true
}
</script>

<template>
  <button
    ref="mark"
    type="button"
    class="exact"
    @pointerenter="ask"
    @pointerleave="shown = false"
    @focus="ask"
    @blur="shown = false"
    @click="ask"
  >
    <span aria-hidden="true">…</span><span class="sr">exactly {{ exact }}</span>
  </button>
  <v-tooltip
    v-if="asked"
    v-model="shown"
    :activator="mark"
    :open-on-hover="false"
    :text="`exactly ${exact}`"
    :aria-label="`exactly ${exact}`"
    location="top"
  />
</template>

<style scoped>
.exact {
  border: 0;
  background: none;
  color: var(--soft);
  font: 650 var(--size-text) var(--body);
  min-width: 24px;
  min-height: 24px;
  cursor: help;
}
</style>
