<script setup lang="ts">
import type { FieldPath } from '../api/client'
import TypedField from '../fields/TypedField.vue'
import { useShop } from '../job/useShop'

/** What a new card begins with: what the maker makes most. */
const shelf = useShop()
const fields: FieldPath[] = [
  'usual.width', 'usual.height', 'usual.fold', 'usual.paper', 'usual.layers', 'usual.border', 'usual.layerPaper',
  'usual.construction', 'usual.envelope', 'usual.adhesive', 'usual.destination',
] // prettier-ignore
</script>

<template>
  <section aria-label="My usual">
    <h2>My usual</h2>
    <p class="soft">A new card begins with this.</p>
    <div class="field-grid">
      <TypedField v-for="f in fields" :key="f" :of="shelf" :path="f" />
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--near);
}
.field-grid {
  max-width: 1200px;
  gap: var(--gap) var(--far);
}
</style>
