<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'

import { api, sentenceOf, unreachable, type Saying } from '../api/client'
import SaveLine from '../frame/SaveLine.vue'
import WhyBar from '../frame/WhyBar.vue'
import JobList from './JobList.vue'
import LineField from './LineField.vue'
import PageHeader from '../frame/PageHeader.vue'
import WaysIn from './WaysIn.vue'
import { useJobs } from './useJobs'

defineProps<{ lost?: boolean }>()

const jobs = useJobs()
const { gone, failure } = jobs
const state = computed(() => (jobs.noAnswer.value ? 'unreachable' : jobs.busy.value ? 'saving' : 'saved'))
const router = useRouter()

const examples = [
  '5 3/8 square, 3 layers, 12 cards, to the UK',
  'what fits A7',
  'card 14 x 10 cm, 6 mm thick, by hand',
  'from letter, top fold',
  '8 3/4 square, score 3 and 8 3/8',
]
const line = ref('')
const refused = ref('')
let beginning = false
/** The job that is being begun: its ID stays the same when it is tried again, so that it is begun once. */
let begun = { id: '', text: '' }

async function begin(text: string, said: Saying) {
  if (beginning) return
  beginning = true
  refused.value = ''
  if (begun.text !== text) {
    const fresh = await api.GET('/api/jobs/new').catch(unreachable)
    if (fresh.data) begun = { id: fresh.data.id, text }
    else refused.value = sentenceOf(fresh.error)
  }
  if (begun.text === text) {
    const { data, error, response } = await api
      .POST('/api/line/job', { body: { id: begun.id, text } })
      .catch(unreachable)
    // It is there already where only the answer was lost.
    if (data || response?.status === 409)
      await router.push(`/jobs/${begun.id}/${said.station}/${said.drawer}`.replace(/\/$/, ''))
    else refused.value = sentenceOf(error)
  }
  beginning = false
}

onMounted(() => (document.title = 'Yellow Parcel'))
</script>

<template>
  <div class="page">
    <PageHeader><SaveLine v-if="state !== 'saved'" :state="state" :why="jobs.why.value" /></PageHeader>
    <WhyBar :why="jobs.why.value" />
    <main>
      <h1>
        {{ lost ? 'There is nothing at that address. Here are your jobs.' : 'What do you make next?' }}
      </h1>
      <WaysIn />
      <LineField
        v-model="line"
        label="Or say it in one line"
        :examples="examples"
        :failure="refused"
        @enter="begin"
      />
      <div class="says">
        <p v-if="failure" class="tone-trouble" role="alert" data-test="failure">{{ failure }}</p>
        <p v-if="gone" role="status" class="gone" data-test="gone">
          “{{ gone.name }}” was {{ gone.how }}.
          <v-btn variant="outlined" size="small" data-test="put-back" @click="jobs.bringBack()">{{
            gone.how === 'removed' ? 'Restore it' : 'Bring it back'
          }}</v-btn>
        </p>
      </div>
      <JobList class="list" :of="jobs" />
    </main>
  </div>
</template>

<style scoped>
.page {
  height: 100dvh;
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
}
main {
  grid-row: 3;
  min-height: 0;
  padding: var(--near) var(--edge) 0;
  display: flex;
  flex-direction: column;
  gap: var(--gap);
}
.list {
  flex: 1 1 0;
}
h1 {
  font-size: var(--size-title);
}
.says:empty {
  display: none;
}
.gone {
  display: flex;
  gap: var(--gap);
  align-items: center;
}
@media (max-height: 640px), (max-width: 680px) {
  .page {
    height: auto;
  }
  .list {
    flex: none;
    height: 420px;
  }
}
</style>
