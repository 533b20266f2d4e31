<script setup lang="ts">
import { computed } from 'vue'

import { useShop } from '../job/useShop'

const { shop, save } = useShop()

const now = computed(() => {
  const s = shop.value?.shop
  if (!s) return ''
  return `${s.unit}:${s.unit === 'mm' ? s.tickMillimetres : s.tickInches}`
})

const choices = computed(() =>
  (shop.value?.choices.ticks ?? []).map((t) => ({ value: `${t.unit}:${t.tick}`, title: `to ${t.name}` })),
)

function choose(value: string) {
  const [unit, tick] = value.split(':')
  if (unit === 'mm') void save({ unit, tickMillimetres: Number(tick) })
  else void save({ unit: 'in', tickInches: Number(tick) })
}
</script>

<template>
  <v-select
    class="unit"
    :model-value="now"
    :items="choices"
    aria-label="Unit and smallest step"
    data-test="unit"
    @update:model-value="choose"
  />
</template>

<style scoped>
.unit {
  width: 128px;
  flex: none;
}
</style>
