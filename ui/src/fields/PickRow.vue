<script setup lang="ts">
import { computed } from 'vue'

import type { Choice } from '../api/client'

const props = defineProps<{ label: string; name: string; choices: Choice[] }>()
const chosen = defineModel<string>({ required: true })

const items = computed(() => props.choices.map((c) => ({ value: c.id, title: c.name })))
</script>

<template>
  <div class="pick">
    <span class="label" aria-hidden="true">{{ label }}</span>
    <v-select v-model="chosen" :items="items" :aria-label="label" :data-test="`pick-${name}`" />
  </div>
</template>

<style scoped>
.pick {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: var(--gap);
  align-items: center;
}
.label {
  font-weight: 600;
}
</style>
