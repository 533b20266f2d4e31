<script setup lang="ts">
import { computed } from 'vue'

import type { JobInHand } from '../job/useJob'

const props = withDefaults(
  defineProps<{ job: JobInHand; path: string; label: string; note?: string; placeholder?: string }>(),
  { note: '', placeholder: '' },
)

const bigStep = 8

const problem = computed(() => {
  const p = props.job.problems.value[props.path]
  return p && !p.unfinished ? p.message : ''
})
const exact = computed(() => {
  const field = props.job.plan.value?.fields[props.path]
  return field?.exact ? `exactly ${field.exact}` : ''
})

function press(e: KeyboardEvent) {
  if (e.key !== 'ArrowUp' && e.key !== 'ArrowDown') return
  e.preventDefault()
  const size = e.shiftKey ? bigStep : 1
  props.job.step(props.path, e.key === 'ArrowUp' ? size : -size)
}
</script>

<template>
  <div class="row" :class="{ wrong: problem }">
    <input
      :id="`field-${path}`"
      class="number"
      :value="job.textOf(path)"
      :placeholder="placeholder"
      :aria-invalid="problem !== ''"
      :aria-describedby="`about-${path}`"
      :data-test="`field-${path}`"
      autocomplete="off"
      spellcheck="false"
      maxlength="60"
      @input="job.type(path, ($event.target as HTMLInputElement).value)"
      @blur="job.leave(path)"
      @keydown="press"
      @focus="($event.target as HTMLInputElement).select()"
    />
    <div class="beside">
      <label :for="`field-${path}`">{{ label }}</label>
      <p :id="`about-${path}`" :class="problem ? 'problem' : 'soft'" :role="problem ? 'alert' : undefined">
        {{ problem || exact || note }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: var(--numbers, 150px) 1fr;
  column-gap: 16px;
  align-items: baseline;
}
.number {
  width: 100%;
  font: 650 26px/1.2 var(--body);
  font-variant-numeric: tabular-nums;
  text-align: right;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 2px solid var(--kraft-deep);
  padding: 2px 6px 2px 0;
}
.number::placeholder {
  color: var(--soft);
  opacity: 1;
  font-weight: 500;
}
.number:hover {
  background: var(--sheet);
}
.number:focus {
  outline: none;
  border-bottom-color: var(--ink);
  box-shadow: 0 1px 0 var(--ink);
  background: var(--sheet);
}
.wrong .number {
  border-bottom-color: var(--trouble);
  border-bottom-style: dashed;
}
label {
  font-weight: 600;
}
p {
  font-size: 14px;
  line-height: 1.3;
}
.problem {
  color: var(--trouble);
  font-weight: 600;
}
</style>
