<script setup lang="ts">
import type { MailPlan } from '../../api/client'
import OfferRow from '../../fields/OfferRow.vue'

/** Ways to make the piece go better, smallest change first; each is one act, and one to undo. */
defineProps<{ remedies: MailPlan['remedies'] }>()
const emit = defineEmits<{ apply: [id: string] }>()
</script>

<template>
  <section aria-label="Ways to fix it">
    <ol class="offers">
      <OfferRow
        v-for="r in remedies"
        :key="r.id"
        :name="r.title"
        :act="r.possible ? 'Apply' : undefined"
        :data-test="`remedy-${r.id}`"
        @take="emit('apply', r.id)"
      >
        <p>
          <strong :class="`tone-${r.tone}`" data-test="remedy-verdict">{{ r.short }}</strong><span
            class="soft"
          >
            · {{ r.text }}</span
          >
        </p>
      </OfferRow>
    </ol>
  </section>
</template>
