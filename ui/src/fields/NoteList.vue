<script setup lang="ts">
import { mdiAlertOctagonOutline, mdiAlertOutline, mdiInformationOutline } from '@mdi/js'
import { computed, inject, ref } from 'vue'

import type { FieldPath, Note } from '../api/client'

const props = defineProps<{
  notes: Note[]
  /** At most three are shown, the worst; what is merely good to know waits. */
  few?: boolean
}>()

/** Takes what a note offers; there is none where nothing is offered. */
const take = inject<(path: FieldPath, id: string) => void>('take', () => undefined)

const most = 3
const all = ref(false)
const urgent = computed(() => props.notes.filter((n) => n.tone !== 'fine').slice(0, most))
const shown = computed(() => (!props.few || all.value ? props.notes : urgent.value))
const rest = computed(() => props.notes.length - urgent.value.length)

const looks: Record<string, { icon: string; type: 'info' | 'warning' | 'error' }> = {
  fine: { icon: mdiInformationOutline, type: 'info' },
  care: { icon: mdiAlertOutline, type: 'warning' },
  trouble: { icon: mdiAlertOctagonOutline, type: 'error' },
}
const look = (tone: string) => looks[tone] ?? looks.fine!
</script>

<template>
  <div v-if="notes.length" class="notes" data-test="notes">
    <v-alert
      v-for="note in shown"
      :key="note.text"
      variant="text"
      density="compact"
      :icon="look(note.tone).icon"
      role="note"
      class="note"
      :class="`tone-${note.tone}`"
    >
      <span class="text" :class="`is-${note.tone}`">{{ note.text }}</span>
      <v-btn
        v-if="note.act && take"
        variant="outlined"
        size="small"
        class="act"
        data-test="note-act"
        @click="take(note.act.path, note.act.id)"
        >{{ note.act.label }}</v-btn
      >
    </v-alert>
    <v-btn
      v-if="few && rest > 0"
      size="small"
      class="more"
      :aria-expanded="all"
      data-test="more-notes"
      @click="all = !all"
      >{{ all ? 'Less' : shown.length ? `${rest} more` : `Good to know: ${rest}` }}</v-btn
    >
  </div>
</template>

<style scoped>
.act {
  margin-left: var(--gap);
}
.notes {
  display: grid;
  gap: var(--near);
  justify-items: start;
  font-size: var(--size-note);
}
.note {
  padding: 0;
  font-size: var(--size-note);
  line-height: 1.35;
}
.note :deep(.v-alert__prepend) {
  margin-inline-end: 8px;
}
.note :deep(.v-icon) {
  font-size: var(--size-number);
}
.text {
  color: var(--ink);
}
.is-trouble {
  font-weight: 600;
}
.is-fine {
  color: var(--soft);
}
.more {
  font-size: var(--size-note);
  color: var(--soft);
  padding: 0 4px;
}
</style>
