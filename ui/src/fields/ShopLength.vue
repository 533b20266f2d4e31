<script setup lang="ts">
import { computed, ref } from 'vue'

import { useShop } from '../job/useShop'

const props = defineProps<{ path: string; label: string; note: string }>()

const { shop, refused, save } = useShop()
const typed = ref<string>()

const text = computed(() => typed.value ?? shop.value?.fields[props.path]?.text ?? '')
const problem = computed(() => refused.value[props.path] ?? '')

async function done() {
  if (typed.value === undefined) return
  if (await save({}, [{ path: props.path, text: typed.value }])) typed.value = undefined
}
</script>

<template>
  <label class="length">
    <span class="label">{{ label }}</span>
    <input
      :value="text"
      :data-test="`shop-${path}`"
      :aria-invalid="problem !== ''"
      :aria-describedby="`about-shop-${path}`"
      maxlength="60"
      @input="typed = ($event.target as HTMLInputElement).value"
      @change="done"
    />
    <small :id="`about-shop-${path}`" :class="problem ? 'tone-trouble' : 'soft'">{{ problem || note }}</small>
  </label>
</template>

<style scoped>
.length {
  display: grid;
  grid-template-columns: auto 90px;
  gap: 2px 12px;
  align-items: baseline;
}
.label {
  font-weight: 600;
}
input {
  font: 650 20px var(--body);
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 2px solid var(--kraft-deep);
  width: 100%;
  text-align: right;
}
small {
  grid-column: 1 / -1;
  font-size: 14px;
  line-height: 1.3;
}
</style>
