<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'

import { api, sentenceOf, unreachable, type Sample } from '../api/client'
import { useTrying } from '../api/trying'
import NetDrawing from '../drawing/NetDrawing.vue'

/** Before there is any job: a real plan to look at and to begin from, and a shelf to try. */
const router = useRouter()
const sample = ref<Sample>()
const failure = ref('')
const { ask } = useTrying()

async function load() {
  const { data, error } = await ask(() => api.GET('/api/sample').catch(unreachable))
  sample.value = data ?? sample.value
  failure.value = data ? '' : sentenceOf(error)
}
onMounted(load)

/** Its own from here on; sent again where only the answer was lost, it is stored once. */
async function begin() {
  const { id, job } = sample.value!
  const body = { version: 0, job, act: id }
  const { data, error } = await ask(() =>
    api.PUT('/api/jobs/{id}', { params: { path: { id } }, body }).catch(unreachable),
  )
  if (data) await router.push(`/jobs/${id}/card/base`)
  else failure.value = sentenceOf(error)
}

async function shelf(taken: boolean) {
  const body = { act: crypto.randomUUID(), taken }
  const { data, error } = await ask(() => api.PUT('/api/sample', { body }).catch(unreachable))
  sample.value = data ?? sample.value
  failure.value = data ? '' : sentenceOf(error)
}
const text = computed(() => sample.value?.sentence.text ?? '')
</script>

<template>
  <section v-if="sample" class="sample" aria-label="A first plan" data-test="sample">
    <NetDrawing
      class="drawn-plan"
      :drawing="sample.flat"
      :dimensions="sample.dimensions"
      :unit="sample.unit"
      :words="sample.words"
    />
    <div class="told">
      <h2>{{ sample.job.name }}</h2>
      <p data-test="sample-says">{{ text }}</p>
      <p>
        <v-btn variant="flat" color="primary" data-test="sample-begin" @click="begin">Start from this</v-btn>
      </p>
      <p v-if="sample.samples" class="soft shelf">
        <template v-if="sample.taken">Sample envelopes are on your shelf.</template>
        <template v-else>Sample envelopes show what a shelf does.</template>
        <v-btn
          variant="outlined"
          size="small"
          :data-test="sample.taken ? 'sample-away' : 'sample-shop'"
          @click="shelf(!sample.taken)"
          >{{ sample.taken ? 'Take it away' : 'Try the sample' }}</v-btn
        >
      </p>
      <p v-if="failure" role="alert" class="tone-trouble">{{ failure }}</p>
    </div>
  </section>
</template>

<style scoped>
.sample {
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: var(--far);
  padding-top: var(--gap);
}
.drawn-plan {
  min-height: 280px;
}
.told {
  display: grid;
  gap: var(--gap);
  align-content: start;
}
.shelf {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near) var(--gap);
  align-items: center;
}
@media (max-width: 760px) {
  .sample {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
