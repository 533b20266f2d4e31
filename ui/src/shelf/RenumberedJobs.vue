<script setup lang="ts">
import { computed } from 'vue'

import { useShop } from '../job/useShop'

/** Says that tools belong to every job, and which jobs the last edit of one changed. */
const { renumbers } = useShop()
const more = computed(() => renumbers.value.count - renumbers.value.names.length)
</script>

<template>
  <p class="soft" data-test="renumbered" role="status">
    <template v-if="renumbers.count">
      New numbers in {{ renumbers.count === 1 ? 'one job' : `${renumbers.count} jobs` }}:
      {{ renumbers.names.join(', ') }}{{ more > 0 ? ` and ${more} more` : '' }}.
    </template>
    <template v-else
      >Your tools are the same in every job: a change here changes the numbers of all that go by
      them.</template
    >
  </p>
</template>

<style scoped>
p {
  font-size: var(--size-note);
}
</style>
