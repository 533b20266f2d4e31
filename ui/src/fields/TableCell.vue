<script setup lang="ts">
import ExactMark from './ExactMark.vue'
import TypedField from './TypedField.vue'
import { textAt } from './events'
import { useTyped, type Typed } from './useTyped'

/**
 * A field in a table of the shelf or the rules, where its row and column name it. A table has
 * hundreds: each is one plain element of the page, so that it opens at once.
 */
const props = withDefaults(
  defineProps<
    Typed & {
      /** The name of the row, which can be written over. */
      title?: boolean
    }
  >(),
  { label: undefined, placeholder: undefined, name: undefined },
)

const typed = useTyped(props, () => false)
const { kind, called, text, problem, unit, test, list, options, exact, chosen } = typed
const { entered, left, press, choose } = typed

const typing = (e: Event) => props.of.type(props.path, textAt(e))
const choosing = (e: Event) => choose(textAt(e))
</script>

<template>
  <TypedField
    v-if="kind === 'choices' || (kind === 'flag' && !list)"
    v-bind="{ of, path, label, placeholder, name }"
    as="cell"
  />
  <span
    v-else
    class="cell"
    :class="[kind, { chosen, title, rounded: exact, wrong: problem }]"
    :data-test="test"
  >
    <span class="line">
      <select v-if="chosen" :aria-label="called" :value="text" @change="choosing">
        <option v-if="!options.some((o) => o.value === text)" :value="text">{{ placeholder }}</option>
        <option v-for="o in options" :key="o.value" :value="o.value">{{ o.title }}</option>
      </select>
      <input
        v-else
        :value="text"
        :aria-label="called"
        :aria-invalid="problem !== ''"
        :placeholder="placeholder"
        autocomplete="off"
        spellcheck="false"
        :maxlength="title ? 120 : 300"
        @input="typing"
        @focus="entered"
        @blur="left"
        @keydown="press"
        @keydown.enter="of.leave(path)"
      />
      <span v-if="unit" class="unit">{{ unit }}</span>
      <ExactMark v-if="exact" :exact="exact" />
    </span>
    <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
  </span>
</template>

<style scoped>
.cell {
  display: block;
  min-width: 92px;
}
.chosen {
  min-width: 118px;
}
/* Its mark takes nothing from the number. */
.rounded {
  min-width: 128px;
}
.line {
  display: flex;
  align-items: baseline;
  gap: var(--near);
  padding: 6px 0 5px;
  border-bottom: 1px solid var(--soft);
}
.title .line {
  border-bottom-color: transparent;
}
.line:hover {
  border-bottom-color: var(--ink);
}
.line:has(:focus-visible) {
  outline: 3px solid var(--air-blue);
  outline-offset: 2px;
  border-radius: 3px;
}
.line :focus-visible {
  outline: none;
}
:is(input, select) {
  flex: 1;
  min-width: 0;
  width: 100%;
  appearance: none;
  border: 0;
  padding: 0;
  background: none;
  font: 600 var(--size-text) / 1.3 var(--body);
  color: inherit;
  text-overflow: ellipsis;
}
option {
  background: var(--sheet);
  color: var(--ink);
}
.cell:not(.word, .chosen) input {
  text-align: right;
}
input::placeholder {
  color: var(--soft);
  font-weight: 500;
}
.unit {
  color: var(--soft);
  font-size: var(--size-note);
}
.chosen .line::after {
  content: '';
  align-self: center;
  border: 5px solid transparent;
  border-top-color: var(--soft);
  border-bottom-width: 0;
}
.wrong .line {
  border-bottom-color: var(--trouble);
}
.problem {
  display: block;
  color: var(--trouble);
  font-size: var(--size-note);
  font-weight: 600;
  line-height: 1.25;
  padding-top: 2px;
}
</style>
