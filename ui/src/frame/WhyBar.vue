<script setup lang="ts">
import { onMounted } from 'vue'

import { useTrouble } from '../api/useTrouble'

/** Why nothing can be stored now, where the program says so: what was done is kept and tried again. */
defineProps<{ why?: string }>()
const { trouble, look } = useTrouble()
onMounted(look)
</script>

<template>
  <p v-if="trouble || why" class="why" role="alert" data-test="why">{{ trouble || why }}</p>
</template>

<style scoped>
.why {
  margin: 4px var(--edge);
  padding: 6px 14px;
  border-left: 5px solid var(--trouble);
  background: var(--sheet);
}
</style>
