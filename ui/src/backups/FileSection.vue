<script setup lang="ts">
import { ref, watch } from 'vue'

import type { useBackups } from './useBackups'

/** Everything in one open file, out and in. */
const props = defineProps<{ of: ReturnType<typeof useBackups> }>()
const { busy, done, failure } = props.of

const read = ref(false) // a file was read last: what came of it is said beside the button, too
watch(busy, (doing) => (read.value = doing === '' ? read.value : doing.startsWith('Reading')))
const file = ref<File | File[] | null>(null)
const replace = ref(false)

async function readIn() {
  const chosen = Array.isArray(file.value) ? file.value[0] : file.value
  if (!chosen) return
  await props.of.readIn(chosen, replace.value)
  file.value = null
}
</script>

<template>
  <section aria-label="Everything in one file">
    <h2>Everything in one file</h2>
    <p class="soft">Jobs with their history, papers, envelopes and rules: a zip of JSON.</p>
    <v-btn variant="outlined" href="/api/everything" download data-test="write-everything"
      >Write everything to a file</v-btn
    >
    <form @submit.prevent="readIn">
      <v-file-input
        v-model="file"
        accept=".zip,.json"
        label="Read a file of everything, or of one job"
        data-test="read-file"
      />
      <v-radio-group v-model="replace" hide-details density="compact" aria-label="What to take from it">
        <v-radio :value="false" label="Take what is missing or older here" data-test="take-missing" />
        <v-radio :value="true" label="Make everything as it is in the file" data-test="take-all" />
      </v-radio-group>
      <v-btn type="submit" variant="outlined" :disabled="!file || busy !== ''" data-test="read-in"
        >Read it in</v-btn
      >
      <p v-if="read && (done || failure)" :class="failure ? 'tone-trouble' : 'tone-fine'" data-test="came">
        {{ failure || done }}
      </p>
      <p class="soft">A backup of what is here now is made first.</p>
    </form>
  </section>
</template>

<style scoped>
section,
form {
  display: grid;
  gap: var(--gap);
  justify-items: start;
}
form {
  width: 100%;
}
.v-file-input {
  width: 100%;
}
</style>
