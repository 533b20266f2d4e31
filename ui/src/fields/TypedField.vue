<script setup lang="ts">
import { computed, ref } from 'vue'

import { useLit } from '../drawing/useLit'
import { useShop } from '../job/useShop'
import { markAll } from './events'
import ExactMark from './ExactMark.vue'
import type { FieldsInHand } from './useFields'

/**
 * A field of a job, of the shelf or of the rules, whatever is typed or chosen in it. What
 * it is called, what it is chosen from and what is wrong with it the program says.
 */
const props = withDefaults(
  defineProps<{
    of: FieldsInHand
    path: string
    /** A large number with its label, a cell of a table, or a name that can be written over. */
    as?: 'row' | 'cell' | 'name'
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
const hint = computed(() => props.note ?? input.value?.note ?? '')
// Only what the program itself wrote is in the shop's unit.
const unit = computed(() => (text.value === input.value?.text ? (input.value.unit ?? '') : ''))
const test = computed(() => props.name ?? `field-${props.path}`)
// Every answer brings every field anew: what is drawn goes by texts, which stay the same.
const list = computed(() => input.value?.list ?? '')
const options = computed(() => items(list.value))
const exact = computed(() => input.value?.exact ?? '')
const messages = computed(() => (problem.value || !hint.value || props.as !== 'row' ? [] : [hint.value]))
const stepped = computed(() => ['length', 'weight', 'count'].includes(kind.value))

// Its line on the drawing lights up while it is edited or pointed at, and the other way round.
const { lit, light, dim } = useLit()
const focused = ref(false)
function entered(e: FocusEvent) {
  focused.value = true
  light(props.path)
  if (props.as === 'row') markAll(e)
}
function left() {
  focused.value = false
  dim(props.path)
  props.of.leave(props.path)
}

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
    v-if="kind === 'flag' && !list"
    :model-value="text === 'yes'"
    :label="called"
    :data-test="test"
    @update:model-value="choose($event ? 'yes' : 'no')"
  />
  <v-select
    v-else-if="kind === 'choices'"
    :model-value="text.split(',').filter(Boolean)"
    :items="options"
    multiple
    :label="as === 'cell' ? undefined : called"
    :placeholder="placeholder"
    :aria-label="called"
    :data-test="test"
    @update:model-value="choose($event.join(','))"
  />
  <v-select
    v-else-if="kind === 'choice' || kind === 'flag'"
    :model-value="text"
    :items="options"
    :label="as === 'cell' ? undefined : called"
    :aria-label="called"
    :placeholder="placeholder"
    :error-messages="problem"
    class="field chosen"
    :data-test="test"
    @update:model-value="choose"
  />
  <v-text-field
    v-else
    class="field"
    :model-value="text"
    :label="as === 'row' ? called : undefined"
    :single-line="as !== 'row'"
    :persistent-placeholder="as === 'row'"
    :aria-label="called"
    :placeholder="placeholder"
    :suffix="unit"
    :error-messages="problem"
    :aria-invalid="problem !== ''"
    :messages="messages"
    :data-test="test"
    autocomplete="off"
    spellcheck="false"
    :maxlength="as === 'name' ? 120 : 300"
    :class="[as, kind, { lit: lit === path && !focused }]"
    @update:model-value="of.type(path, $event ?? '')"
    @focus="entered"
    @blur="left"
    @pointerenter="light(path)"
    @pointerleave="focused || dim(path)"
    @keydown="press"
    @keydown.enter="of.leave(path)"
  >
    <template v-if="exact" #append-inner>
      <ExactMark :exact="exact" />
    </template>
  </v-text-field>
</template>

<style scoped>
.field {
  min-width: 0;
}
.field.lit :deep(.v-field) {
  background: color-mix(in srgb, var(--mark) 40%, transparent);
}
.field :deep(input) {
  font: 650 var(--size-number) / 1.2 var(--body);
  font-variant-numeric: tabular-nums;
}
.field :deep(input::placeholder) {
  color: var(--soft);
  opacity: 1;
  font-weight: 500;
}
.field :deep(.v-label) {
  opacity: 1;
  color: var(--soft);
}
.field :deep(.v-messages) {
  opacity: 1;
  color: var(--soft);
  font-size: var(--size-note);
}
.field :deep(.v-messages__message) {
  line-height: 1.25;
}
.field :deep(.v-input__details) {
  padding: 2px 0 0;
  min-height: 0;
}
.field.v-input--error :deep(.v-messages) {
  color: var(--trouble);
  font-weight: 600;
}
.field :deep(.v-text-field__suffix) {
  opacity: 1;
  color: var(--soft);
  font-size: var(--size-note);
  padding-inline: 2px 0;
}
.word :deep(input),
.chosen :deep(.v-field__input),
.lengths :deep(input) {
  font-size: var(--size-text);
  font-weight: 600;
}
.cell :deep(input),
.name :deep(input) {
  font-size: var(--size-text);
  font-weight: 600;
}
.cell:not(.word) :deep(input) {
  text-align: right;
}
.cell:not(.word) {
  min-width: 84px;
}
.name :deep(.v-field__outline) {
  --v-field-border-opacity: 0;
}
</style>
