<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'

import { api, sentenceOf, unreachable, type ListedJob } from './api/client'
import { useTrying } from './api/trying'
import BrandMark from './counter/BrandMark.vue'
import SaveLine from './counter/SaveLine.vue'
import { newJob } from './job/useJob'
import { useShop } from './job/useShop'

defineProps<{ lost?: boolean }>()

const jobs = ref<ListedJob[]>()
const failure = ref('')
const gone = ref<{ id: string; name: string; version: number }>()
const busy = ref(false)
const { noAnswer, ask } = useTrying()
const state = computed(() => (noAnswer.value ? 'unreachable' : busy.value ? 'saving' : 'saved'))
const router = useRouter()
const { listen } = useShop()

const listing = useTrying()
let loading = false
let again = false
async function load() {
  if (loading) {
    again = true
    return
  }
  loading = true
  const { data, error } = await listing.ask(() => api.GET('/api/jobs').catch(told))
  loading = false
  if (data) jobs.value = data
  failure.value = data ? '' : sentenceOf(error)
  if (again) {
    again = false
    void load()
  }
}

/** What is said while the list cannot be had; what is shown stays. */
function told() {
  const none = unreachable()
  failure.value = sentenceOf(none.error)
  return none
}

async function copy(of: string) {
  const { data, error, response } = await api.POST('/api/jobs', { body: { copyOf: of } }).catch(unreachable)
  if (data) await router.push(`/jobs/${data.id}/card`)
  else failure.value = response ? sentenceOf(error) : 'Nothing was copied: the program does not answer.'
}

/** Takes a job off the list, or puts it back; kept and tried again while the program does not answer. */
async function setRemoved(job: { id: string; name: string; version: number }, removed: boolean) {
  busy.value = true
  const { data, error } = await ask(() =>
    api
      .PUT('/api/jobs/{id}/removed', {
        params: { path: { id: job.id } },
        body: { version: job.version, removed },
      })
      .catch(unreachable),
  )
  busy.value = false
  if (data) gone.value = removed ? { id: job.id, name: job.name, version: data.version } : undefined
  await load()
  // Refused after an answer that was lost: it is done all the same.
  if (!data && (jobs.value ?? []).some((j) => j.id === job.id) === removed) failure.value = sentenceOf(error)
}

// Every card is drawn to one scale, so that they can be told apart at a glance.
const tallest = 44 // pixels
const widest = tallest * 1.6
const scale = computed(() =>
  Math.min(
    1,
    ...(jobs.value ?? [])
      .filter((j) => j.width > 0 && j.height > 0)
      .map((j) => Math.min((tallest - 4) / (j.height / 1e6), (widest - 4) / (j.width / 1e6))),
  ),
)
const fills = ['var(--sheet)', 'var(--kraft)', 'var(--kraft-deep)']

onMounted(load)
listen(() => void load())
</script>

<template>
  <div class="page">
    <header>
      <BrandMark /><SaveLine v-if="state !== 'saved'" :state="state" /><router-link
        to="/shelf"
        data-test="to-shelf"
        >Shelf</router-link
      >
      <router-link to="/rules" data-test="to-rules">Rules</router-link>
    </header>
    <main>
      <h1>
        {{ lost ? 'There is nothing at that address. Here are your jobs.' : 'What do you make next?' }}
      </h1>
      <p v-if="failure" class="tone-trouble" role="alert" data-test="failure">{{ failure }}</p>
      <p v-if="gone" role="status" class="gone" data-test="gone">
        “{{ gone.name }}” was removed.
        <v-btn variant="outlined" data-test="put-back" @click="setRemoved(gone, false)">Restore it</v-btn>
      </p>
      <ul v-if="jobs?.length" class="jobs">
        <li v-for="j in jobs" :key="j.id" data-test="job">
          <router-link :to="`/jobs/${j.id}/card`">
            <svg class="shape" aria-hidden="true" :width="widest" :height="tallest">
              <g
                :transform="`translate(${(widest - (j.width / 1e6) * scale) / 2} ${(tallest - (j.height / 1e6) * scale) / 2})`"
              >
                <template v-for="(p, i) in j.papers" :key="i">
                  <ellipse
                    v-if="p.disc"
                    class="drawn drawn-cut thing"
                    :cx="(p.x + p.width / 2) * scale"
                    :cy="(p.y + p.height / 2) * scale"
                    :rx="(p.width / 2) * scale"
                    :ry="(p.height / 2) * scale"
                  />
                  <rect
                    v-else
                    class="drawn drawn-cut"
                    :class="{ thing: p.thing }"
                    :style="p.thing ? undefined : { fill: fills[i % fills.length] }"
                    :x="p.x * scale"
                    :y="p.y * scale"
                    :width="p.width * scale"
                    :height="p.height * scale"
                  />
                </template>
              </g>
            </svg>
            <span class="size">{{ j.size || '–' }}</span>
            <span class="name"
              >{{ j.name || 'A job without a name' }}
              <small v-if="j.problem" :class="`tone-${j.tone}`" data-test="job-problem">{{
                j.problem
              }}</small></span
            >
            <span class="soft">{{ j.count }}</span>
            <span :class="`tone-${j.tone}`">{{ j.mail }}</span>
          </router-link>
          <span class="acts">
            <v-btn :aria-label="`Duplicate ${j.name}`" @click="copy(j.id)">Duplicate</v-btn>
            <v-btn :aria-label="`Remove ${j.name}`" @click="setRemoved(j, true)">Remove</v-btn>
          </span>
        </li>
      </ul>
      <p v-else-if="!jobs && !failure" class="soft" aria-busy="true">Looking for your jobs…</p>
      <p v-if="jobs && jobs.length === 0" class="soft" data-test="empty">
        There are no jobs yet. Start with the card you have in mind: its size is enough.
      </p>
      <!-- Only below the list that is there, so that it never moves away under a finger. -->
      <p v-if="jobs" class="begin">
        <v-btn
          variant="flat"
          color="secondary"
          size="large"
          data-test="new-job"
          @click="router.push(`/jobs/${newJob}/card`)"
          >Start a card</v-btn
        >
        <v-btn
          variant="outlined"
          size="large"
          data-test="new-recipe"
          @click="router.push(`/jobs/${newJob}/envelope/recipe`)"
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
small {
  display: block;
  font-size: 15px;
  font-weight: 400;
}
.shape .drawn {
  stroke-width: 1;
}
.thing {
  fill: var(--yellow, var(--kraft-deep));
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
