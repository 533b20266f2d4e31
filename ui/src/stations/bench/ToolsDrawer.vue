<script setup lang="ts">
import { computed } from 'vue'

import TypedField from '../../fields/TypedField.vue'
import { useShop } from '../../job/useShop'
import CalibrateTool from '../../shelf/CalibrateTool.vue'
import RenumberedJobs from '../../shelf/RenumberedJobs.vue'

/** What stands on the bench: steps are written for these tools and no others. */
const shelf = useShop()
const tools = computed(() => shelf.shop.value?.tools ?? [])
</script>

<template>
  <p class="soft">Steps are written for the tools that you have, in every job.</p>
  <section v-for="t in tools" :key="t.id" :aria-label="t.name" :data-test="`tool-${t.id}`">
    <h3 class="part">{{ t.name }}</h3>
    <div class="field-grid">
      <TypedField v-for="p in t.fields" :key="p" :of="shelf" :path="p" />
    </div>
    <CalibrateTool v-if="t.calibration" :tool="t" />
  </section>
  <RenumberedJobs />
</template>

<style scoped>
.part {
  margin: var(--gap) 0;
}
</style>
