<script setup lang="ts">
import { mdiAlertOctagonOutline, mdiAlertOutline, mdiInformationOutline } from '@mdi/js'

import type { Note } from '../api/client'

defineProps<{ notes: Note[] }>()

const icons: Record<string, string> = {
  fine: mdiInformationOutline,
  care: mdiAlertOutline,
  trouble: mdiAlertOctagonOutline,
}
</script>

<template>
  <ul v-if="notes.length" class="notes" data-test="notes">
    <li v-for="note in notes" :key="note.text" :class="`is-${note.tone}`">
      <v-icon :icon="icons[note.tone] ?? mdiInformationOutline" :class="`tone-${note.tone}`" size="20" />
      <span>{{ note.text }}</span>
    </li>
  </ul>
</template>

<style scoped>
.notes {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
li {
  display: grid;
  grid-template-columns: 20px 1fr;
  gap: 10px;
  font-size: 15px;
  line-height: 1.35;
}
.is-trouble {
  font-weight: 600;
}
.is-fine {
  color: var(--soft);
}
</style>
