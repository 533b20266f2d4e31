<script setup lang="ts">
/** Why nothing can be stored now, where the program says so: what was done is kept and tried again. */
defineProps<{ why: string }>()
</script>

<template>
  <p v-if="why" class="why" role="alert" data-test="why">{{ why }}</p>
</template>

<style scoped>
.why {
  margin: 4px var(--edge);
  padding: 6px 14px;
  border-left: 5px solid var(--trouble);
  background: var(--sheet);
}
</style>
