<script setup lang="ts">
import type { Choice } from '../api/client'

defineProps<{
  label: string
  name: string
  choices: Choice[]
  /** Drawn as words with the chosen one underlined, for what is looked at; as buttons, for what is set. */
  tabs?: boolean
}>()
const chosen = defineModel<string>({ required: true })
</script>

<template>
  <fieldset class="choices" :class="{ tabs }" :data-test="`choice-${name}`">
    <legend class="sr">{{ label }}</legend>
    <label v-for="c in choices" :key="c.id" :class="{ on: c.id === chosen }">
      <input
        v-model="chosen"
        type="radio"
        class="sr"
        :name="name"
        :value="c.id"
        :data-test="`${name}-${c.id}`"
      />
      {{ c.name }}
    </label>
  </fieldset>
</template>

<style scoped>
.choices {
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
  position: relative;
}
label {
  border: 1.5px solid var(--kraft-deep);
  border-radius: 3px;
  padding: 5px 12px;
  cursor: pointer;
  font-weight: 600;
  line-height: 1.3;
}
label:hover {
  background: var(--sheet);
}
.on {
  background: var(--ink);
  border-color: var(--ink);
  color: var(--paper);
}
.on:hover {
  background: var(--ink);
}
label:has(:focus-visible) {
  outline: 3px solid var(--air-blue);
  outline-offset: 2px;
}
.tabs {
  gap: var(--gap);
  font-size: var(--size-text);
}
.tabs label {
  border: 0;
  border-bottom: 3px solid transparent;
  border-radius: 0;
  padding: 4px 0;
  background: none;
  color: var(--soft);
}
.tabs .on,
.tabs .on:hover {
  background: none;
  color: var(--ink);
  border-bottom-color: var(--yellow);
}
</style>
