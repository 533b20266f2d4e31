<script setup lang="ts">
/** A mark beside a number that had to be rounded: at a touch it says the number exactly. */
defineProps<{ exact: string }>()
</script>

<template>
  <v-tooltip :text="`exactly ${exact}`" :aria-label="`exactly ${exact}`" location="top" :open-on-click="true">
    <template #activator="{ props: opens }">
      <button v-bind="opens" type="button" class="exact">
        <span aria-hidden="true">…</span><span class="sr">exactly {{ exact }}</span>
      </button>
    </template>
  </v-tooltip>
</template>

<style scoped>
.exact {
  border: 0;
  background: none;
  color: var(--soft);
  font: 650 var(--size-text) var(--body);
  min-width: 24px;
  min-height: 24px;
  cursor: help;
}
</style>
