<script setup lang="ts">
import { ref } from 'vue'

import { api, sentenceOf, unreachable, type Edit, type Job, type Mended } from '../api/client'

/** Something came out as another length: what can still be made of it. */
const props = defineProps<{ job: Job; step: number; wanted: string }>()
const emit = defineEmits<{ close: []; take: [edits: Edit[]] }>()

const text = ref('')
const mended = ref<Mended>()
const failure = ref('')

async function ask(sure = false) {
  const body = { job: props.job, step: props.step, is: text.value, sure }
  const { data, error } = await api.POST('/api/worksheet/wrong', { body }).catch(unreachable)
  mended.value = data
  failure.value = data ? '' : sentenceOf(error)
}
</script>

<template>
  <v-dialog :model-value="true" persistent max-width="720" @update:model-value="emit('close')">
    <section class="wrong" data-test="wrong">
      <h2>It came out wrong</h2>
      <form @submit.prevent="ask()">
        <v-text-field
          v-model="text"
          :label="`Wanted ${wanted}. It measures`"
          autofocus
          autocomplete="off"
          :error-messages="failure"
          data-test="wrong-is"
        />
        <v-btn type="submit" variant="flat" color="secondary" data-test="wrong-ask">What now?</v-btn>
      </form>
      <template v-if="mended?.ask">
        <p class="answer tone-care" role="status" data-test="wrong-slip">{{ mended.ask }}</p>
        <p>
          <v-btn variant="outlined" data-test="wrong-sure" @click="ask(true)">It is so</v-btn>
        </p>
      </template>
      <template v-else-if="mended">
        <p class="answer" role="status" data-test="wrong-says">{{ mended.says }}</p>
        <ul>
          <li v-for="w in mended.ways" :key="w.text">
            {{ w.text }}
            <v-btn
              v-if="w.edits.length"
              variant="outlined"
              size="small"
              data-test="wrong-take"
              @click="emit('take', w.edits)"
              >Do that</v-btn
            >
          </li>
        </ul>
      </template>
      <p><v-btn variant="text" data-test="wrong-close" @click="emit('close')">Close</v-btn></p>
    </section>
  </v-dialog>
</template>

<style scoped>
.wrong {
  background: var(--paper);
  color: var(--ink);
  padding: var(--far);
  display: grid;
  gap: var(--gap);
}
h2,
p {
  margin: 0;
}
form {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: var(--gap);
  align-items: center;
}
.answer {
  font-size: var(--size-number);
}
ul {
  margin: 0;
  padding-left: 1.2em;
  display: grid;
  gap: var(--near);
}
</style>
