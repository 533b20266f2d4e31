<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'

import { api, sentenceOf, type ListedJob } from './api/client'
import BrandMark from './counter/BrandMark.vue'

defineProps<{ lost?: boolean }>()

const jobs = ref<ListedJob[]>()
const failure = ref('')
const gone = ref<{ id: string; name: string; version: number }>()
const router = useRouter()

async function load() {
  const { data, error } = await api.GET('/api/jobs').catch(() => ({
    data: undefined,
    error: { detail: 'The program does not answer: is it still running?' },
  }))
  if (data) jobs.value = data
  failure.value = data ? '' : sentenceOf(error)
}

async function start(copyOf?: string, at = 'card') {
  const { data, error } = await api.POST('/api/jobs', { body: copyOf ? { copyOf } : {} })
  if (data) await router.push(`/jobs/${data.id}/${at}`)
  else failure.value = sentenceOf(error)
}

async function setRemoved(job: { id: string; name: string; version: number }, removed: boolean) {
  const { data, error } = await api.PUT('/api/jobs/{id}/removed', {
    params: { path: { id: job.id } },
    body: { version: job.version, removed },
  })
  if (data) gone.value = removed ? { id: job.id, name: job.name, version: data.version } : undefined
  else failure.value = sentenceOf(error)
  await load()
}

// Every card is drawn to one scale, so that they can be told apart at a glance.
const tallest = 44 // pixels
const scale = computed(() =>
  Math.min(
    ...(jobs.value ?? []).map((j) => Math.min((tallest - 4) / j.height, (tallest * 1.6 - 4) / j.width)),
  ),
)

onMounted(load)
</script>

<template>
  <div class="page">
    <header>
      <BrandMark /><router-link to="/shelf" data-test="to-shelf">Shelf</router-link>
      <router-link to="/rules" data-test="to-rules">Rules</router-link>
    </header>
    <main>
      <h1>
        {{ lost ? 'There is nothing at that address. Here are your jobs.' : 'What goes in the post next?' }}
      </h1>
      <p v-if="failure" class="tone-trouble" role="alert">{{ failure }}</p>
      <p v-if="gone" role="status" class="gone" data-test="gone">
        “{{ gone.name }}” is off the list.
        <v-btn variant="outlined" data-test="put-back" @click="setRemoved(gone, false)">Put it back</v-btn>
      </p>
      <ul v-if="jobs" class="jobs">
        <li v-for="j in jobs" :key="j.id" data-test="job">
          <router-link :to="`/jobs/${j.id}/card`">
            <svg class="shape" aria-hidden="true" :width="tallest * 1.6" :height="tallest">
              <rect
                class="drawn drawn-cut drawn-paper"
                :x="(tallest * 1.6 - j.width * scale) / 2"
                :y="(tallest - j.height * scale) / 2"
                :width="j.width * scale"
                :height="j.height * scale"
              />
            </svg>
            <span class="size">{{ j.size }}</span>
            <span class="name">{{ j.name }}</span>
            <span class="soft">{{ j.count === 1 ? '1 card' : `${j.count} cards` }}</span>
            <span :class="`tone-${j.tone}`">{{ j.post }}</span>
          </router-link>
          <span class="acts">
            <v-btn :aria-label="`Copy ${j.name}`" @click="start(j.id)">Copy</v-btn>
            <v-btn :aria-label="`Take ${j.name} off the list`" @click="setRemoved(j, true)">Take off</v-btn>
          </span>
        </li>
      </ul>
      <p v-else-if="!failure" class="soft" aria-busy="true">Looking for your jobs…</p>
      <p v-if="jobs && jobs.length === 0" class="soft">
        The counter is empty. Start with the card you have in mind: its size is enough.
      </p>
      <!-- Only below the list that is there, so that it never moves away under a finger. -->
      <p v-if="jobs" class="begin">
        <v-btn variant="flat" color="secondary" size="large" data-test="new-job" @click="start()"
          >Start a card</v-btn
        >
        <v-btn
          variant="outlined"
          size="large"
          data-test="new-recipe"
          @click="start(undefined, 'envelope?with=recipe')"
          >Check a recipe</v-btn
        >
      </p>
    </main>
  </div>
</template>

<style scoped>
.page {
  max-width: 1280px;
}
header {
  display: flex;
  gap: 24px;
  font-weight: 600;
  padding: 14px 40px 0;
}
header > :first-child {
  margin-right: auto;
}
.begin {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
main {
  padding: 14px 40px 40px;
  display: grid;
  gap: 18px;
  justify-items: start;
}
h1 {
  font-size: 36px;
}
.jobs {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
}
li {
  display: flex;
  align-items: center;
  border-top: 1px solid var(--line);
}
li:last-child {
  border-bottom: 1px solid var(--line);
}
li a {
  flex: 1;
  display: grid;
  grid-template-columns: 72px 190px minmax(0, 1fr) 90px 180px;
  gap: 22px;
  align-items: center;
  padding: 8px 0;
  text-decoration: none;
}
li:hover {
  background: var(--sheet);
}
.size {
  font-size: 22px;
  font-weight: 650;
  text-align: right;
  white-space: nowrap;
}
.name {
  font-size: 18px;
  font-weight: 600;
}
.gone {
  display: flex;
  gap: 14px;
  align-items: center;
}
@media (max-width: 900px) {
  header,
  main {
    padding-left: 16px;
    padding-right: 16px;
  }
  li a {
    grid-template-columns: 72px 150px 1fr;
    gap: 2px 16px;
  }
}
</style>
