<script setup lang="ts">
import { computed } from 'vue'

import type { FieldPath, MailPlan } from '../../api/client'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'

/** How the piece is closed and addressed, and what is in it that may hurt. */
const props = defineProps<{ job: JobInHand; cautions: MailPlan['cautions']; options: FieldPath[] }>()

// What is set is said while it is closed.
const named = computed(() =>
  props.cautions
    .filter((c) => c.set)
    .map((c) => c.name.toLowerCase())
    .join(', '),
)

function tick(id: string, on: boolean) {
  const now = props.job.textOf('mail.contents').split(',')
  props.job.set('mail.contents', (on ? [...now, id] : now.filter((c) => c !== id)).filter(Boolean).join(','))
}
</script>

<template>
  <v-expansion-panels variant="accordion" class="options" multiple>
    <v-expansion-panel value="closed" elevation="0" data-test="options-closed">
      <v-expansion-panel-title>Closure and address</v-expansion-panel-title>
      <v-expansion-panel-text>
        <div class="field-grid">
          <TypedField v-for="o in options" :key="o" :of="job" :path="o" />
        </div>
      </v-expansion-panel-text>
    </v-expansion-panel>
    <v-expansion-panel value="contents" elevation="0" data-test="options-contents">
      <v-expansion-panel-title
        >Contents to mind<span v-if="named" class="soft named">{{ named }}</span></v-expansion-panel-title
      >
      <v-expansion-panel-text>
        <div v-for="c in cautions" :key="c.id" class="caution">
          <v-checkbox
            :model-value="c.set"
            :disabled="c.found !== ''"
            :label="c.found ? `${c.name}: ${c.found}` : c.name"
            :data-test="`caution-${c.id}`"
            @update:model-value="tick(c.id, !!$event)"
          />
          <p v-if="c.set" class="tone-care" :data-test="`caution-text-${c.id}`">{{ c.text }}</p>
        </div>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.options {
  --v-theme-surface: var(--v-theme-background);
}
.options :deep(.v-expansion-panel-title) {
  padding: 0;
  min-height: 36px;
  font: 600 var(--size-text) var(--body);
}
.options :deep(.v-expansion-panel-text__wrapper) {
  padding: var(--near) 0 var(--gap);
}
.named {
  padding-left: var(--gap);
  font-weight: 400;
  font-size: var(--size-note);
}
.caution p {
  font-size: var(--size-note);
  padding: 0 0 var(--near) 34px;
}
</style>
