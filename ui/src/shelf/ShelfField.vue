<script setup lang="ts">
import { computed, ref } from 'vue'

import { useShop } from '../job/useShop'

/** A length or a number of the shelf, saved when it is left. */
const props = withDefaults(defineProps<{ path: string; label: string; placeholder?: string }>(), {
  placeholder: '',
})

const { shop, refused, save } = useShop()
const typed = ref<string>()

const field = computed(() => shop.value?.fields[props.path])
const text = computed(() => typed.value ?? field.value?.text ?? '')
const problem = computed(() => refused.value[props.path] ?? '')

async function done() {
  if (typed.value === undefined) return
  if (await save({}, [{ path: props.path, text: typed.value }])) typed.value = undefined
}
</script>

<template>
  <input
    class="number"
    :value="text"
    :placeholder="placeholder"
    :aria-label="label"
    :title="problem || (field?.exact ? `exactly ${field.exact}` : label)"
    :aria-invalid="problem !== ''"
    :data-test="`shop-${path}`"
    maxlength="60"
    @input="typed = ($event.target as HTMLInputElement).value"
    @change="done"
  />
</template>

<style scoped>
.number {
  font: 650 18px var(--body);
  font-variant-numeric: tabular-nums;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 2px solid var(--kraft-deep);
  width: 100px;
  text-align: right;
}
.number::placeholder {
  color: var(--soft);
  opacity: 1;
  font-size: 14px;
  font-weight: 400;
}
.number[aria-invalid='true'] {
  border-bottom: 2px dashed var(--trouble);
  color: var(--trouble);
}
</style>
