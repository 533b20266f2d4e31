<script setup lang="ts">
import type { FieldPath, Plan } from '../api/client'

/** What the job goes by and the shelf has no longer, and what may take its place. */
defineProps<{ missing: Plan['missing'] }>()
defineEmits<{ take: [path: FieldPath, id: string] }>()
</script>

<template>
  <div v-for="m in missing" :key="m.path" class="missing" role="alert" :data-test="`missing-${m.path}`">
    <p>{{ m.text }}</p>
    <v-btn
      v-for="(c, i) in m.choices"
      :key="c.id"
      size="small"
      :variant="i === 0 ? 'flat' : 'outlined'"
      :color="i === 0 ? 'primary' : undefined"
      :data-test="`take-${m.path}-${c.id}`"
      @click="$emit('take', m.path, c.id)"
      >Use {{ c.name }}</v-btn
    >
  </div>
</template>

<style scoped>
.missing {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--near);
  margin: 4px 40px;
  padding: 8px 14px;
  background: var(--sheet);
  border-left: 5px solid var(--care, var(--kraft-deep));
}
p {
  flex: 1 1 340px;
}
@media (max-width: 1000px) {
  .missing {
    margin: 4px 16px;
  }
}
</style>
