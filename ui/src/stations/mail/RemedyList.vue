<script setup lang="ts">
import type { MailPlan } from '../../api/client'

/** What would post the piece better, smallest change first; each is one act, and one to undo. */
defineProps<{ remedies: MailPlan['remedies'] }>()
const emit = defineEmits<{ apply: [id: string] }>()
</script>

<template>
  <section class="remedies" aria-label="What would help">
    <h2>What would help</h2>
    <ol>
      <li v-for="r in remedies" :key="r.id" :data-test="`remedy-${r.id}`">
        <div>
          <strong>{{ r.title }}</strong>
          <p class="soft">{{ r.text }}</p>
        </div>
        <p class="then" :class="`tone-${r.tone}`" data-test="remedy-verdict">{{ r.short }}</p>
        <v-btn
          v-if="r.possible"
          variant="outlined"
          size="small"
          :aria-label="`${r.title}: do it`"
          @click="emit('apply', r.id)"
          >Do it</v-btn
        >
      </li>
    </ol>
  </section>
</template>

<style scoped>
.remedies {
  display: grid;
  gap: 6px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  max-width: 1100px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 210px 84px;
  gap: 4px 20px;
  align-items: center;
  padding: 7px 0;
  border-bottom: 2px dotted var(--line);
}
.then {
  font-weight: 650;
  font-size: 18px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
