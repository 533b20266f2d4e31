<script setup lang="ts">
import { computed } from 'vue'

import { useShop } from '../job/useShop'
import { markAll, textAt } from './events'
import type { FieldsInHand } from './useFields'

/**
 * A field of a job, of the shelf or of the rules, whatever is typed or chosen in it. What
 * it is called, what it is chosen from and what is wrong with it the program says.
 */
const props = withDefaults(
  defineProps<{
    of: FieldsInHand
    path: string
    /** A large number with its label, a line of a panel, or a cell of a table. */
    as?: 'row' | 'line' | 'cell' | 'name'
    /** What it is called here, where the program's own word says too little or too much. */
    label?: string
    note?: string
    placeholder?: string
    /** What tests find it by; its path where nothing is said. */
    name?: string
  }>(),
  { as: 'row', label: undefined, note: undefined, placeholder: undefined, name: undefined },
)

const bigStep = 8

const { items } = useShop()
const input = computed(() => props.of.inputAt(props.path))
const kind = computed(() => input.value?.kind ?? 'word')
const called = computed(() => props.label ?? input.value?.label ?? '')
const text = computed(() => props.of.textOf(props.path))
const problem = computed(() => props.of.problemOf(props.path))
const about = computed(
  () =>
    problem.value ||
    (input.value?.exact ? `exactly ${input.value.exact}` : '') ||
    (props.note ?? input.value?.note ?? ''),
)
const test = computed(() => props.name ?? `field-${props.path}`)
const stepped = computed(() => ['length', 'weight', 'count'].includes(kind.value))

function press(e: KeyboardEvent) {
  if (!stepped.value || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return
  e.preventDefault()
  const size = e.shiftKey ? bigStep : 1
  props.of.step(props.path, e.key === 'ArrowUp' ? size : -size)
}

const choose = (id: string | null) => props.of.set(props.path, id ?? '')
</script>

<template>
  <v-checkbox
    v-if="kind === 'flag' && !input?.list"
    :model-value="text === 'yes'"
    :label="called"
    :data-test="test"
    @update:model-value="choose($event ? 'yes' : 'no')"
  />
  <v-select
    v-else-if="kind === 'choices'"
    :model-value="text.split(',').filter(Boolean)"
    :items="items(input?.list ?? '')"
    multiple
    :placeholder="placeholder"
    :aria-label="called"
    :data-test="test"
    @update:model-value="choose($event.join(','))"
  />
  <div v-else-if="kind === 'choice' || kind === 'flag'" :class="{ pick: as !== 'cell' }">
    <span v-if="as !== 'cell'" class="label" aria-hidden="true">{{ called }}</span>
    <v-select
      :model-value="text"
      :items="items(input?.list ?? '')"
      :aria-label="called"
      :placeholder="placeholder"
      :data-test="test"
      @update:model-value="choose"
    />
    <small v-if="problem" class="tone-trouble" role="alert">{{ problem }}</small>
  </div>
  <input
    v-else-if="as === 'name'"
    class="name"
    :value="text"
    :aria-label="called"
    :aria-invalid="problem !== ''"
    :title="problem || called"
    :data-test="test"
    maxlength="120"
    @input="of.type(path, textAt($event))"
    @blur="of.leave(path)"
  />
  <input
    v-else-if="as === 'cell'"
    class="cell"
    :class="kind"
    :value="text"
    :placeholder="placeholder"
    :aria-label="called"
    :title="problem || (input?.exact ? `exactly ${input.exact}` : called)"
    :aria-invalid="problem !== ''"
    :data-test="test"
    maxlength="300"
    @input="of.type(path, textAt($event))"
    @change="of.leave(path)"
    @keydown="press"
  />
  <div v-else :class="[as, { wrong: problem }]">
    <input
      :id="test"
      class="number"
      :value="text"
      :placeholder="placeholder"
      :aria-invalid="problem !== ''"
      :aria-describedby="`about-${path}`"
      :data-test="test"
      autocomplete="off"
      spellcheck="false"
      maxlength="300"
      @input="of.type(path, textAt($event))"
      @blur="of.leave(path)"
      @keydown="press"
      @keydown.enter="of.leave(path)"
      @focus="markAll"
    />
    <div class="beside">
      <label :for="test">{{ called }}</label>
      <p :id="`about-${path}`" :class="problem ? 'problem' : 'soft'" :role="problem ? 'alert' : undefined">
        {{ about }}
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
.line {
  display: grid;
  grid-template-columns: 1fr 90px;
  gap: 2px 12px;
  align-items: baseline;
}
.line .beside {
  display: contents;
}
.line label {
  grid-area: 1 / 1;
}
.line .number {
  grid-area: 1 / 2;
  font-size: 20px;
}
.line p {
  grid-column: 1 / -1;
}
:where(input) {
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 2px solid var(--kraft-deep);
}
.number {
  width: 100%;
  font: 650 26px/1.2 var(--body);
  font-variant-numeric: tabular-nums;
  text-align: right;
  padding: 2px 6px 2px 0;
}
/* Whatever holds the field may give it another size: so these count for little. */
:where(.cell) {
  font: 650 18px var(--body);
  font-variant-numeric: tabular-nums;
  width: 100px;
  text-align: right;
}
:where(.cell.word) {
  width: 100%;
  text-align: left;
}
:where(.name) {
  font: inherit;
  width: 100%;
  border-bottom-color: transparent;
}
.number::placeholder,
.cell::placeholder {
  color: var(--soft);
  opacity: 1;
  font-weight: 500;
}
.cell::placeholder {
  font-size: 14px;
  font-weight: 400;
}
input:hover {
  background: var(--sheet);
}
.number:focus,
.name:focus {
  outline: none;
  border-bottom-color: var(--ink);
  box-shadow: 0 1px 0 var(--ink);
  background: var(--sheet);
}
.wrong .number,
.cell[aria-invalid='true'],
.name[aria-invalid='true'] {
  border-bottom: 2px dashed var(--trouble);
}
.cell[aria-invalid='true'] {
  color: var(--trouble);
}
label,
.label {
  font-weight: 600;
}
p,
small {
  font-size: 14px;
  line-height: 1.3;
}
.problem {
  color: var(--trouble);
  font-weight: 600;
}
.pick {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 0 16px;
  align-items: center;
}
.pick small {
  grid-column: 2;
}
</style>
