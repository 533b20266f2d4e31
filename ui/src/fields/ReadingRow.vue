<script setup lang="ts">
import type { Reading } from '../api/client'
import ExactMark from './ExactMark.vue'

defineProps<{ reading: Reading }>()
</script>

<template>
  <div class="reading">
    <dd class="value" :data-test="`reading-${reading.id}`">
      {{ reading.value }}<ExactMark v-if="reading.exact" :exact="reading.exact" />
    </dd>
    <dt>
      {{ reading.label }}
      <small class="soft">{{ reading.note }}</small>
    </dt>
  </div>
</template>

<style scoped>
.reading {
  display: flex;
  flex-direction: column;
}
.value {
  margin: 0;
  font-size: var(--size-number);
  font-weight: 650;
  line-height: 1.2;
}
dt {
  font-size: var(--size-note);
  line-height: 1.3;
}
small {
  font-size: var(--size-note);
}
</style>
