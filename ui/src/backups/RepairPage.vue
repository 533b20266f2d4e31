<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'

import { api, sentenceOf, unreachable, type DamageBody } from '../api/client'
import BrandMark from '../frame/BrandMark.vue'

/** What is wrong with the stored data, and what to go on with. */
const damage = ref<DamageBody>()
const failure = ref('')
const busy = ref(false)
const older = ref(false)

type Choice = 'together' | 'backup' | 'left' | 'anew'

async function load() {
  const { data, error } = await api.GET('/api/damage').catch(unreachable)
  if (data && !data.damaged) window.location.assign('/')
  if (data) damage.value = data
  failure.value = data ? '' : sentenceOf(error)
}
onMounted(load)
onMounted(() => (document.title = 'Your data · Yellow Parcel'))

const newest = computed(() => damage.value?.backups[0])

async function go(choice: Choice, backup = '') {
  if (busy.value) return
  busy.value = true
  failure.value = ''
  const { data, error } = await api.POST('/api/damage', { body: { choice, backup } }).catch(unreachable)
  busy.value = false
  if (data && !data.damaged) window.location.assign('/')
  else failure.value = sentenceOf(error)
}
</script>

<template>
  <div class="page">
    <header><BrandMark /></header>
    <main v-if="damage?.damaged">
      <h1>{{ damage.missing ? 'Your data is missing.' : 'Your data is damaged.' }}</h1>
      <p data-test="what">{{ damage.what }}.</p>
      <p v-if="!damage.missing">
        {{ damage.whole === 1 ? '1 job' : `${damage.whole} jobs` }} in it can be read as they were
        saved<template v-if="damage.broken">, {{ damage.broken }} cannot</template>.<template
          v-if="damage.states"
        >
          {{ damage.states === 1 ? '1 earlier state' : `${damage.states} earlier states` }} of jobs cannot be
          read.</template
        ><template v-if="damage.uncounted">
          Part of the file cannot be searched, so there may have been more jobs than these.</template
        >
      </p>
      <p class="soft">
        Nothing was changed.<template v-if="!damage.missing">
          Whatever you choose, the damaged file stays in {{ damage.dir }}.</template
        >
      </p>
      <p v-if="failure" class="tone-trouble" role="alert" data-test="failure">{{ failure }}</p>
      <p v-if="busy" role="status">Working on it…</p>

      <section v-if="newest" class="way first">
        <h2>
          {{
            damage.whole
              ? 'Put together what can be read, and the newest backup'
              : 'Go on with the newest backup'
          }}
        </h2>
        <p>
          The backup was made {{ newest.made }} and has {{ newest.holds
          }}<template v-if="damage.whole">; it fills in for jobs that cannot be read</template>.
        </p>
        <v-btn
          variant="flat"
          color="secondary"
          :disabled="busy"
          data-test="together"
          @click="go('together', newest.name)"
          >{{ damage.whole ? 'Put them together' : 'Restore this backup' }}</v-btn
        >
      </section>
      <section v-if="damage.whole" class="way">
        <h2>Go on with what can be read</h2>
        <v-btn variant="outlined" :disabled="busy" data-test="left" @click="go('left')"
          >Use {{ damage.whole === 1 ? 'the 1 job' : `the ${damage.whole} jobs` }}</v-btn
        >
      </section>
      <section v-if="damage.backups.length" class="way">
        <h2>Go back to a backup</h2>
        <ul>
          <li v-for="b in older ? damage.backups : damage.backups.slice(0, 3)" :key="b.name">
            <span class="what"
              ><strong>{{ b.made }}</strong> {{ b.holds }} <small class="soft">{{ b.why }}</small></span
            >
            <v-btn
              size="small"
              variant="outlined"
              :disabled="busy"
              data-test="one-backup"
              @click="go('backup', b.name)"
              >Use this backup</v-btn
            >
          </li>
        </ul>
        <v-btn v-if="!older && damage.backups.length > 3" size="small" @click="older = true"
          >Show {{ damage.backups.length - 3 }} older</v-btn
        >
      </section>
      <section class="way">
        <h2>Begin anew</h2>
        <p class="soft">Backups stay: you can restore one later.</p>
        <v-btn variant="outlined" :disabled="busy" data-test="anew" @click="go('anew')"
          >Begin with an empty list</v-btn
        >
      </section>
    </main>
    <main v-else>
      <p :class="failure ? 'tone-trouble' : 'soft'" :role="failure ? 'alert' : undefined">
        {{ failure || 'Looking at your data…' }}
      </p>
    </main>
  </div>
</template>

<style scoped>
header {
  padding: var(--near) var(--edge) 0;
}
main {
  padding: var(--gap) var(--edge) var(--far);
  display: grid;
  gap: var(--gap);
  max-width: 860px;
}
h1 {
  font-size: var(--size-title);
}
h2 {
  font-size: var(--size-number);
}
p {
  overflow-wrap: anywhere;
}
.way {
  display: grid;
  gap: var(--near);
  justify-items: start;
  border-top: 1px solid var(--line);
  padding-top: var(--gap);
}
.first {
  border-top: 2px solid var(--ink);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near) var(--gap);
  align-items: center;
  padding: var(--near) 0;
}
.what {
  flex: 1 1 320px;
}
small {
  font-size: var(--size-note);
}
</style>
