<script setup lang="ts">
import { useShop } from '../job/useShop'

const { shop, items, take } = useShop()
</script>

<template>
  <v-select
    class="unit"
    :model-value="shop?.style ?? ''"
    :items="items('styles')"
    aria-label="Unit and smallest step"
    data-test="unit"
    @update:model-value="take('style', $event)"
  />
</template>

<style scoped>
.unit {
  width: 128px;
  flex: none;
}
</style>
