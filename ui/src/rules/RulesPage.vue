<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'

import { api, sentenceOf, unreachable, type RulebookFile, type RulePage } from '../api/client'
import BrandMark from '../counter/BrandMark.vue'
import SaveLine from '../counter/SaveLine.vue'
import UnitSwitch from '../counter/UnitSwitch.vue'
import NoteList from '../fields/NoteList.vue'
import PickRow from '../fields/PickRow.vue'
import { useShop } from '../job/useShop'
import ShelfField from '../shelf/ShelfField.vue'
import RateTable from './RateTable.vue'
import RuleTable from './RuleTable.vue'

/** Every rulebook as a page to read; one's own can be edited, read in and written out. */
const { shop, refused, told, state, load, save, listen } = useShop()
listen()
const pages = ref<RulePage[]>([])
const failure = ref('')
const at = ref('us-domestic')
const page = computed(() => pages.value.find((p) => p.id === at.value) ?? pages.value[0])
const choices = computed(() =>
  pages.value.map((p) => ({
    id: p.id,
    name: p.title + (p.own >= 0 ? ', your own' : '') + (p.off ? ', put away' : ''),
  })),
)
const path = (name: string) => `rulebooks.${page.value?.own ?? 0}.${name}`

async function read() {
  const { data, error, response } = await api.GET('/api/rulebooks').catch(unreachable)
  if (data) pages.value = data
  failure.value = data ? '' : sentenceOf(error)
  if (!response) window.setTimeout(() => void read(), 1000)
}

onMounted(async () => {
  await load()
  await read()
})
watch(() => shop.value?.version, read)

async function take(file: RulebookFile) {
  const now = shop.value?.shop.rulebooks ?? []
  const known = new Set(pages.value.map((p) => p.id))
  let id = file.id
  for (let n = 1; known.has(id); n++) id = `${file.id.replace(/-own-\d+$/, '')}-own-${n}`
  if (await save({ rulebooks: [...now, { file: { ...file, id } }] })) at.value = id
}

function copy() {
  const p = page.value
  if (p) void take({ ...p.file, service: `${p.file.service}, my copy` })
}

function setOff(off: boolean) {
  const own = page.value?.own ?? -1
  const now = shop.value?.shop.rulebooks ?? []
  void save({ rulebooks: now.map((b, i) => (i === own ? { ...b, off } : b)) })
}

function writeOut() {
  const p = page.value
  if (!p) return
  const url = URL.createObjectURL(
    new Blob([JSON.stringify(p.file, null, 2) + '\n'], { type: 'application/json' }),
  )
  const link = document.createElement('a')
  link.href = url
  link.download = `rulebook-${p.id}.json`
  link.click()
  URL.revokeObjectURL(url)
}

type Class = RulebookFile['classes'][number]

/** Saves the classes of one's own rulebook changed; what makes no sense is refused with the place. */
function setClasses(change: (classes: Class[]) => Class[]) {
  const own = page.value?.own ?? -1
  const now = shop.value?.shop.rulebooks ?? []
  return save({
    rulebooks: now.map((b, i) =>
      i === own ? { ...b, file: { ...b.file, classes: change(b.file.classes) } } : b,
    ),
  })
}

function setLimits(at: number, costly: boolean, change: (limits: Class['limits']) => Class['limits']) {
  void setClasses((classes) =>
    classes.map((c, i) => {
      if (i !== at) return c
      if (!costly) return { ...c, limits: change(c.limits) }
      const limits = change(c.surcharge?.limits ?? [])
      return { ...c, surcharge: c.surcharge && limits.length ? { ...c.surcharge, limits } : undefined }
    }),
  )
}
const without = (at: number) => (limits: Class['limits']) => limits.filter((_, i) => i !== at)

const newClass = ref('')
async function addClass() {
  const begun = await setClasses((classes) => [
    ...classes,
    // Its limits begin as those of the class before it, to be changed.
    { id: '', name: newClass.value, limits: classes[classes.length - 1]?.limits ?? [] },
  ])
  if (begun) newClass.value = ''
}

const typed = ref('')
const reading = ref(false)

async function readIn(text: string) {
  failure.value = ''
  const { data, error } = await api.POST('/api/rulebooks', { body: { text } }).catch(unreachable)
  if (!data) {
    failure.value = ('errors' in error && error.errors?.[0]?.message) || sentenceOf(error)
    return
  }
  typed.value = ''
  reading.value = false
  await take(data)
}

async function pickFile(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) typed.value = await file.text()
}
</script>

<template>
  <div class="page">
    <header>
      <BrandMark />
      <router-link to="/">Jobs</router-link>
      <router-link to="/shelf">Shelf</router-link>
      <SaveLine :state="state" />
      <span class="unit"><UnitSwitch /></span>
    </header>
    <main v-if="page">
      <h1>What the posts say</h1>
      <p class="soft lead">
        As published around 2025, and still to be verified: hold what you rely on against your own post's
        words. An empty limit is not known; it does not mean that there is none.
      </p>
      <p v-if="failure" role="alert" class="tone-trouble" data-test="rules-refused">{{ failure }}</p>
      <p v-for="t in told" :key="t" class="tone-care" role="status" data-test="told">{{ t }}</p>
      <p v-for="(message, p) in refused" :key="p" class="tone-trouble" role="alert" data-test="rules-refused">
        {{ message }}
      </p>
      <div class="bar">
        <PickRow v-model="at" label="Rulebook" name="rulebook" :choices="choices" class="which" />
        <v-btn variant="outlined" data-test="copy-rules" @click="copy">Copy and edit</v-btn>
        <v-btn variant="outlined" data-test="write-rules" @click="writeOut">Write to a file</v-btn>
        <v-btn variant="outlined" data-test="read-rules" @click="reading = !reading">Read from a file</v-btn>
        <v-btn v-if="page.own >= 0" variant="outlined" data-test="rules-off" @click="setOff(!page.off)">{{
          page.off ? 'Take it up again' : 'Put it away'
        }}</v-btn>
      </div>
      <form v-if="reading" class="reading" @submit.prevent="readIn(typed)">
        <input
          type="file"
          accept=".json,application/json"
          aria-label="File of a rulebook"
          @change="pickFile"
        />
        <textarea
          v-model="typed"
          rows="8"
          spellcheck="false"
          aria-label="Rulebook as JSON"
          data-test="rules-text"
          placeholder="or lay the text of a rulebook here"
        />
        <p class="soft">
          The form of these files: <a href="/api/rulebooks/schema.json" target="_blank">JSON schema</a>
        </p>
        <v-btn type="submit" variant="flat" color="secondary" data-test="rules-take" :disabled="!typed"
          >Read it</v-btn
        >
      </form>

      <h2 data-test="rules-title">{{ page.title }}</h2>
      <dl v-if="page.own >= 0" class="about edit">
        <dt>region</dt>
        <dd><ShelfField :path="path('region')" label="Region" /></dd>
        <dt>service</dt>
        <dd><ShelfField :path="path('service')" label="Service" /></dd>
        <dt>source</dt>
        <dd><ShelfField :path="path('source')" label="Source" placeholder="not known" /></dd>
        <dt>in effect</dt>
        <dd><ShelfField :path="path('published')" label="In effect since" placeholder="not known" /></dd>
        <dt>last checked</dt>
        <dd><ShelfField :path="path('lastChecked')" label="Last checked" placeholder="as 2026-11-24" /></dd>
        <dt>how sure</dt>
        <dd><ShelfField :path="path('confidence')" label="How sure" /></dd>
      </dl>
      <dl v-else class="about">
        <dt>source</dt>
        <dd>{{ page.source }}</dd>
        <dt>in effect</dt>
        <dd>around {{ page.published }}</dd>
        <dt>last checked</dt>
        <dd>{{ page.lastChecked || 'by nobody here yet' }}</dd>
        <dt>how sure</dt>
        <dd>{{ page.confidence }}</dd>
      </dl>
      <NoteList :notes="page.notes" />
      <section v-for="c in page.classes" :key="c.name" class="class" :data-test="`rules-${c.name}`">
        <h3>
          <ShelfField v-if="c.path" :path="`${c.path}name`" label="Name of the class" class="named" />
          <template v-else>{{ c.name }}</template>
          <small v-if="c.over" class="soft over">{{ c.over }}</small>
          <v-btn
            v-if="c.path"
            class="away"
            variant="text"
            :data-test="`remove-class-${c.at}`"
            @click="setClasses((list) => list.filter((_, i) => i !== c.at))"
            >Take this class away</v-btn
          >
        </h3>
        <RuleTable
          :lines="c.rows"
          :own="c.path !== ''"
          :name="`${c.at}`"
          @add="(l) => setLimits(c.at, false, (limits) => [...limits, l])"
          @remove="(i) => setLimits(c.at, false, without(i))"
        />
        <template v-if="c.costly.length">
          <p>
            Pays <strong>{{ c.surcharge }}</strong> unless
          </p>
          <RuleTable
            :lines="c.costly"
            :own="c.path !== ''"
            :name="`${c.at}-costly`"
            @add="(l) => setLimits(c.at, true, (limits) => [...limits, l])"
            @remove="(i) => setLimits(c.at, true, without(i))"
          />
        </template>
      </section>
      <form v-if="page.own >= 0" class="bar" @submit.prevent="addClass">
        <label
          >Add a class
          <input
            v-model="newClass"
            class="new-class"
            maxlength="60"
            placeholder="its name"
            data-test="new-class"
        /></label>
        <v-btn type="submit" variant="outlined" :disabled="!newClass" data-test="add-class">Add it</v-btn>
        <span class="soft">It begins with the limits of the last class, to be changed.</span>
      </form>
      <RateTable :rulebook="page.id" :classes="page.file.classes" />
    </main>
    <p v-else-if="failure" role="alert" class="tone-trouble">{{ failure }}</p>
    <p v-else class="soft" aria-busy="true">Opening the books…</p>
  </div>
</template>

<style scoped>
.over {
  margin-left: 10px;
}
.page {
  padding: 14px 40px 40px;
}
header {
  display: flex;
  gap: 24px;
  align-items: center;
}
.unit {
  margin-left: auto;
}
main {
  display: grid;
  gap: 12px;
  max-width: 1000px;
  padding-top: 14px;
}
.lead {
  max-width: 760px;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.which {
  min-width: 420px;
  margin-right: 12px;
}
.reading {
  display: grid;
  gap: 8px;
  justify-items: start;
  border-left: 4px solid var(--kraft-deep);
  padding-left: 14px;
}
textarea {
  width: 100%;
  font: 14px/1.4 monospace;
  color: inherit;
  background: var(--sheet);
  border: 1px solid var(--line);
  padding: 8px;
}
.about {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 2px 16px;
  margin: 0;
}
.about dt {
  color: var(--soft);
}
.about dd {
  margin: 0;
}
.edit :deep(input) {
  width: min(100%, 520px);
  text-align: left;
}
.class {
  border-top: 1px solid var(--line);
  padding-top: 10px;
  display: grid;
  gap: 6px;
}
h3 {
  font-size: 20px;
}
h3::first-letter {
  text-transform: uppercase;
}
.named {
  font-size: 20px;
  width: 260px;
  text-align: left;
}
.away {
  float: right;
  font: 500 15px var(--body);
  text-decoration: underline;
}
.named + small {
  margin-left: 16px;
}
.new-class {
  font: 600 16px var(--body);
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 2px solid var(--kraft-deep);
}
small {
  font-size: 15px;
  font-weight: 400;
}
@media (max-width: 700px) {
  .page {
    padding: 12px 16px;
  }
  .which {
    min-width: 0;
  }
}
</style>
