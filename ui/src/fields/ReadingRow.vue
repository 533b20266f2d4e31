<script setup lang="ts">
import type { Reading } from '../api/client'

defineProps<{ reading: Reading }>()
</script>

<template>
  <div class="row">
    <dd class="value" :data-test="`reading-${reading.id}`">{{ reading.value }}</dd>
    <dt>
      {{ reading.label }}
      <small class="soft">{{ reading.note }}</small>
    </dt>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: var(--numbers, 150px) 1fr;
  column-gap: 16px;
  align-items: baseline;
}
.value {
  margin: 0;
  font-size: 24px;
  font-weight: 650;
  text-align: right;
  white-space: nowrap;
  padding-right: 6px;
}
dt {
  font-weight: 600;
}
small {
  font-size: 14px;
  margin-left: 6px;
  font-weight: 400;
  line-height: 1.3;
}
</style>
