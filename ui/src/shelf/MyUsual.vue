<script setup lang="ts">
import TypedField from '../fields/TypedField.vue'
import { useShop } from '../job/useShop'

/** What a new card begins with: what the maker makes most. */
const shelf = useShop()
const fields = [
  'width', 'height', 'fold', 'paper', 'layers', 'border', 'layerPaper',
  'construction', 'envelope', 'adhesive', 'destination',
] // prettier-ignore
</script>

<template>
  <section aria-label="My usual">
    <h2>My usual</h2>
    <p class="soft">A new card begins with this.</p>
    <div class="field-grid">
      <TypedField v-for="f in fields" :key="f" :of="shelf" :path="`usual.${f}`" />
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
