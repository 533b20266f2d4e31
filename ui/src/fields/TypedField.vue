<script setup lang="ts">
import { computed } from 'vue'

import ExactMark from './ExactMark.vue'
import { useTyped, type Typed } from './useTyped'

/** A field of a job, of the shelf or of the rules, whatever is typed or chosen in it. */
const props = withDefaults(
  defineProps<
    Typed & {
      /** A large number with its label, one that what stands beside it names, or a name that can be written over. */
      as?: 'row' | 'cell' | 'name'
      note?: string
    }
  >(),
  { as: 'row', label: undefined, note: undefined, placeholder: undefined, name: undefined },
)

const typed = useTyped(props, () => props.as === 'row')
const { kind, called, text, problem, unit, test, list, options, exact, chosen } = typed
const { lit, light, dim, focused, entered, left, press, choose } = typed
const messages = computed(() => {
  const hint = props.note ?? typed.hint.value
  return problem.value || !hint || props.as !== 'row' ? [] : [hint]
})
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
    v-else-if="chosen"
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
