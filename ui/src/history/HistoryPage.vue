<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { api, sentenceOf, unreachable, type StateBody } from '../api/client'
import { useTrying } from '../api/trying'
import HeadLine from '../frame/HeadLine.vue'
import FrontDrawing from '../drawing/FrontDrawing.vue'
import PageHeader from '../frame/PageHeader.vue'
import { usePlan } from '../job/usePlan'
import { useShop } from '../job/useShop'

/** The states that a job had: each can be looked at and brought back. */
const props = defineProps<{ id: string; state?: string }>()

const states = ref<StateBody[]>()
const looked = usePlan('layers/layers')
const { ask, noAnswer } = useTrying()
const failure = ref('')
const busy = ref(false)
const router = useRouter()
const { shop, load: loadShop } = useShop()

const tick = computed(() => {
  const s = shop.value?.shop
  return s ? (s.unit === 'in' ? s.tickInches : s.tickMillimetres) : 0
})
const chosen = computed(() => {
  const list = states.value ?? []
  return list.find((s) => String(s.version) === props.state) ?? list[0]
})
const isNow = computed(() => chosen.value === states.value?.[0])

async function load() {
  const params = { path: { id: props.id } }
  const { data, error } = await ask(() => api.GET('/api/jobs/{id}/history', { params }).catch(unreachable))
  if (data) states.value = data
  failure.value = data ? '' : sentenceOf(error)
}
onMounted(async () => {
  await loadShop()
  await load()
})

watch(chosen, (s) => {
  if (!s) return
  failure.value = ''
  const params = { path: { id: props.id, state: s.version } }
  void looked.show(() => api.GET('/api/jobs/{id}/history/{state}', { params }))
})
const name = computed(() => looked.job.value?.name ?? '')
watch(name, (of) => (document.title = `History of ${of} · Yellow Parcel`))
/** What is wrong, in a sentence. */
const trouble = computed(() => {
  if (failure.value || looked.missing.value) return failure.value || looked.missing.value
  if (looked.refused.value) return `This state cannot be drawn: ${looked.refused.value}`
  return noAnswer.value || looked.noAnswer.value ? sentenceOf(unreachable().error) : ''
})
const plan = computed(() => (trouble.value ? undefined : looked.plan.value))

/** The state is brought back upon what there is now, and asked for until the program answers. */
async function bringBack() {
  const of = chosen.value
  if (!of || busy.value) return
  busy.value = true
  const path = { id: props.id, state: of.version }
  const { data, error } = await ask(async () => {
    const now = await api.GET('/api/jobs/{id}/version', { params: { path } }).catch(unreachable)
    if (!now.data) return now
    const body = { version: now.data.version }
    return api.POST('/api/jobs/{id}/history/{state}', { params: { path }, body }).catch(unreachable)
  })
  if (data) await router.push(`/jobs/${props.id}/card`)
  else failure.value = sentenceOf(error)
  busy.value = false
}
</script>

<template>
  <div class="page">
    <PageHeader>
      <router-link class="back" :to="`/jobs/${id}/card`" data-test="back-to-job">{{
        name || 'Back to the job'
      }}</router-link>
    </PageHeader>
    <main v-if="states">
      <section class="states" aria-label="States of this job">
        <h1>History</h1>
        <ol v-if="states.length" data-test="states">
          <li v-for="(s, i) in states" :key="s.version">
            <router-link
              :to="`/jobs/${id}/history/${s.version}`"
              replace
              :class="{ here: s === chosen }"
              :aria-current="s === chosen ? 'true' : undefined"
              data-test="state-of"
            >
              <strong>{{ i === 0 ? 'Now' : s.when }}</strong>
              <span v-if="s.how">{{ s.how }}</span>
              <span v-for="w in s.what" :key="w">{{ w }}</span>
            </router-link>
          </li>
        </ol>
        <p v-else class="soft">Nothing was changed yet. Every change is kept here.</p>
        <p v-if="states.length" class="soft small">
          Older states make room for newer ones; the first is kept longest.
        </p>
      </section>
      <section class="look" aria-label="The job as it was">
        <p v-if="trouble" class="tone-trouble" role="alert" data-test="failure">{{ trouble }}</p>
        <template v-if="plan && chosen">
          <div class="head">
            <p>
              {{ isNow ? 'The job as it is now.' : `The job as it was ${chosen.when}.` }}
            </p>
            <v-btn
              v-if="!isNow"
              variant="flat"
              color="secondary"
              :disabled="busy"
              data-test="bring-back"
              @click="bringBack"
              >Bring this state back</v-btn
            >
          </div>
          <HeadLine :sentence="plan.card.sentence" />
          <div class="picture" inert>
            <FrontDrawing
              v-if="shop && plan.layers.rows.length"
              :layers="plan.layers"
              :unit="shop.shop.unit"
              :tick="tick"
            />
          </div>
          <dl data-test="ticket-of-state">
            <div v-for="line in plan.ticket" :key="line.id">
              <dt>{{ line.label }}</dt>
              <dd :class="`tone-${line.tone}`">{{ line.value }}</dd>
            </div>
          </dl>
        </template>
        <p v-else-if="!trouble" class="soft" aria-busy="true">Laying it out…</p>
      </section>
    </main>
    <main v-else>
      <p :class="trouble ? 'tone-trouble' : 'soft'" :role="trouble ? 'alert' : undefined">
        {{ trouble || 'Looking into the history…' }}
      </p>
    </main>
  </div>
</template>

<style scoped>
.page {
  height: 100dvh;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.back {
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  max-width: 360px;
}
main {
  min-height: 0;
  padding: var(--near) var(--edge) var(--gap);
  display: grid;
  grid-template-columns: minmax(280px, 34%) minmax(0, 1fr);
  gap: var(--far);
}
h1 {
  font-size: var(--size-title);
}
.states,
.look {
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: var(--gap);
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  border-top: 2px solid var(--ink);
}
li a {
  display: grid;
  padding: var(--near);
  text-decoration: none;
  border-bottom: 1px solid var(--line);
  overflow-wrap: anywhere;
}
li a:hover {
  background: var(--sheet);
}
li a.here {
  background: var(--sheet);
  box-shadow: inset 5px 0 var(--yellow);
  padding-left: var(--gap);
}
.small,
li span {
  font-size: var(--size-note);
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap);
  align-items: center;
  justify-content: space-between;
}
.picture {
  flex: 1 1 0;
  min-height: 180px;
  display: grid;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--far);
  margin: 0;
}
dt {
  color: var(--soft);
  font-size: var(--size-note);
}
dd {
  margin: 0 0 var(--near);
  font-weight: 600;
}
@media (max-height: 560px), (max-width: 760px) {
  .page {
    height: auto;
  }
  main {
    grid-template-columns: minmax(0, 1fr);
  }
  ol {
    max-height: 300px;
  }
}
</style>
