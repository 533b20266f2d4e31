<script setup lang="ts">
import type { MailPlan } from '../../api/client'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'

/** How the piece is closed and addressed, and what is in it that may hurt. */
const props = defineProps<{ job: JobInHand; cautions: MailPlan['cautions']; options: string[] }>()

function tick(id: string, on: boolean) {
  const now = props.job.textOf('mail.contents').split(',')
  props.job.set('mail.contents', (on ? [...now, id] : now.filter((c) => c !== id)).filter(Boolean).join(','))
}
</script>

<template>
  <section class="options" aria-label="How it is closed and addressed">
    <h2>Closed, addressed, filled</h2>
    <TypedField v-for="o in options" :key="o" :of="job" :path="o" />
    <h3>Is any of this in it?</h3>
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
  </section>
</template>

<style scoped>
.options {
  display: grid;
  gap: 6px;
  align-content: start;
  --numbers: 130px;
}
h3 {
  font-size: 17px;
  padding-top: 6px;
}
.caution p {
  font-size: 15px;
  padding: 0 0 6px 34px;
}
.back {
  margin-left: 8px;
}
</style>
