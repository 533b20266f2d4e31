<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'

import { under } from '../job/steady'
import { api, sentenceOf, unreachable, type Leaf, type RulePage } from '../api/client'
import { writeFile } from '../api/files'
import { useTrying } from '../api/trying'
import SaveLine from '../frame/SaveLine.vue'
import WhyBar from '../frame/WhyBar.vue'
import NoteList from '../fields/NoteList.vue'
import PickRow from '../fields/PickRow.vue'
import TableCell from '../fields/TableCell.vue'
import TypedField from '../fields/TypedField.vue'
import PageHeader from '../frame/PageHeader.vue'
import { useShop } from '../job/useShop'
import RateTable from './RateTable.vue'
import RuleTable from './RuleTable.vue'

/** Every rulebook as a page to read; one's own can be edited, read in and written out. */
const shelf = useShop()
const { shop, refusals, told, state } = shelf
shelf.listen()
const pages = ref<RulePage[]>([])
const failure = ref('')
const { ask } = useTrying()
const chosen = ref('')
const page = computed(() => pages.value.find((p) => p.id === chosen.value) ?? pages.value[0])
const books = computed(() =>
  pages.value.map((p) => ({
    id: p.id,
    name: p.title + (p.own >= 0 ? ', your own' : '') + (p.off ? ', put away' : ''),
  })),
)
const typed = ref('') // a rulebook to be read in
const reading = ref(false)
const about: Leaf[] = ['region', 'service', 'source', 'published', 'lastChecked', 'confidence']

async function read() {
  const { data, error } = await ask(() => api.GET('/api/rulebooks').catch(unreachable))
  if (data) pages.value = data
  failure.value = data ? '' : sentenceOf(error)
}

onMounted(async () => {
  await shelf.load()
  await read()
})
watch(() => shop.value?.version, read)

/** The rulebooks of one's own that a text would take the place of: of the same name, or made of the same one. */
const same = computed(() => {
  let id = ''
  try {
    id = String((JSON.parse(typed.value) as { id?: unknown }).id ?? '')
  } catch {
    return [] // what cannot be read is told when it is
  }
  const of = (own: string) => id !== '' && (own === id || own.startsWith(`${id}-own`))
  return pages.value.filter((p) => p.own >= 0 && of(p.id))
})

async function replace(own: RulePage) {
  shelf.add(`rulebooks.${own.own}`, typed.value)
  await shelf.settled()
  if (shelf.problemOf(`rulebooks.${own.own}`) || refusals.value.length) return
  chosen.value = own.id
  typed.value = ''
  reading.value = false
}

/** Adds a rulebook, a copy or one that was read, and opens it. */
async function take(text: string): Promise<boolean> {
  const before = shop.value?.shop.rulebooks?.length ?? 0
  shelf.add('rulebooks', text)
  await shelf.settled()
  const now = shop.value?.shop.rulebooks ?? []
  const added = now.length > before ? now[now.length - 1] : undefined
  if (added) chosen.value = added.file.id
  return added !== undefined
}

function writeOut() {
  if (page.value) writeFile(`rulebook-${page.value.id}.json`, page.value.file)
}

const newClass = ref('')
async function addClass(path: string) {
  shelf.add(under(path, 'classes'), newClass.value)
  await shelf.settled()
  if (!shelf.problemOf(under(path, 'classes'))) newClass.value = ''
}

async function readIn(text: string) {
  if (!(await take(text))) return
  typed.value = ''
  reading.value = false
}

async function pickFile(files: File | File[] | null) {
  const file = Array.isArray(files) ? files[0] : files
  if (file) typed.value = await file.text()
}
</script>

<template>
  <div class="page">
    <PageHeader><SaveLine :state="state" :why="shelf.why.value" /></PageHeader>
    <WhyBar :why="shelf.why.value" />
    <main v-if="page">
      <h1>Postal rules</h1>
      <p class="soft lead">
        As published around 2025. Check what you rely on against the published page. An empty limit is not
        known.
      </p>
      <p v-if="failure" role="alert" class="tone-trouble" data-test="rules-refused">{{ failure }}</p>
      <p v-for="t in told" :key="t" class="tone-care" role="status" data-test="told">{{ t }}</p>
      <p
        v-for="message in refusals"
        :key="message"
        class="tone-trouble"
        role="alert"
        data-test="rules-refused"
      >
        {{ message }}
      </p>
      <div class="bar">
        <PickRow
          :model-value="page.id"
          label="Rulebook"
          name="rulebook"
          :choices="books"
          class="which"
          @update:model-value="chosen = $event"
        />
        <v-btn variant="outlined" data-test="copy-rules" @click="take(page.id)">Copy and edit</v-btn>
        <v-btn variant="outlined" data-test="write-rules" @click="writeOut">Write to a file</v-btn>
        <v-btn variant="outlined" data-test="read-rules" @click="reading = !reading">Read from a file</v-btn>
        <v-btn
          v-if="page.own >= 0"
          variant="outlined"
          data-test="rules-off"
          @click="shelf.set(`rulebooks.${page.own}.off`, page.off ? 'no' : 'yes')"
          >{{ page.off ? 'Restore this rulebook' : 'Remove this rulebook' }}</v-btn
        >
      </div>
      <form v-if="reading" class="reading" @submit.prevent="readIn(typed)">
        <v-file-input
          class="file"
          accept=".json,application/json"
          label="File of a rulebook"
          @update:model-value="pickFile"
        />
        <v-textarea
          v-model="typed"
          class="pasted"
          rows="8"
          spellcheck="false"
          label="Or paste a rulebook here"
          data-test="rules-text"
        />
        <p class="soft">
          The form of these files: <a href="/api/rulebooks/schema.json" target="_blank">JSON schema</a>
        </p>
        <p v-if="same.length" class="tone-care" data-test="rules-same">
          This rulebook is here already. Replace it, or keep the new one beside it.
        </p>
        <div class="bar">
          <v-btn
            v-for="p in same"
            :key="p.id"
            variant="flat"
            color="secondary"
            :data-test="`rules-replace-${p.id}`"
            @click="replace(p)"
            >Replace “{{ p.title }}”</v-btn
          >
          <v-btn
            type="submit"
            :variant="same.length ? 'outlined' : 'flat'"
            :color="same.length ? undefined : 'secondary'"
            data-test="rules-take"
            :disabled="!typed"
            >{{ same.length ? 'Keep it beside' : 'Read it' }}</v-btn
          >
        </div>
      </form>

      <h2 data-test="rules-title">{{ page.title }}</h2>
      <dl v-if="page.own >= 0" class="about edit">
        <template v-for="a in about" :key="a">
          <dt>{{ shelf.inputAt(under(page.path, a))?.label }}</dt>
          <dd><TableCell :of="shelf" :path="under(page.path, a)" placeholder="not known" /></dd>
        </template>
      </dl>
      <dl v-else class="about">
        <dt>source</dt>
        <dd>{{ page.source }}</dd>
        <dt>in effect</dt>
        <dd>around {{ page.published }}</dd>
        <dt>last checked</dt>
        <dd>{{ page.lastChecked || 'not yet' }}</dd>
        <dt>confidence</dt>
        <dd>{{ page.confidence }}</dd>
      </dl>
      <NoteList :notes="page.notes" />
      <section v-for="c in page.classes" :key="c.name" class="class" :data-test="`rules-${c.name}`">
        <h3>
          <TypedField
            v-if="c.path && c.at >= 0"
            :of="shelf"
            :path="under(c.path, 'name')"
            as="cell"
            class="named"
          />
          <template v-else>{{ c.name }}</template>
          <small v-if="c.over" class="soft over">{{ c.over }}</small>
          <v-btn
            v-if="c.path && c.at >= 0"
            class="away"
            variant="text"
            :data-test="`remove-class-${c.at}`"
            @click="shelf.remove(under(c.path))"
            >Remove this class</v-btn
          >
        </h3>
        <RuleTable :lines="c.rows" :path="c.path" :name="`${c.at}`" />
        <template v-if="c.costly.length">
          <p>
            Pays <strong>{{ c.surcharge }}</strong> unless
          </p>
          <RuleTable :lines="c.costly" :path="c.path && `${c.path}surcharge.`" :name="`${c.at}-costly`" />
        </template>
      </section>
      <form v-if="page.own >= 0" class="bar" @submit.prevent="addClass(page.path)">
        <v-text-field
          v-model="newClass"
          class="new-class"
          label="Add a class"
          maxlength="60"
          placeholder="its name"
          persistent-placeholder
          data-test="new-class"
        />
        <v-btn type="submit" variant="outlined" :disabled="!newClass" data-test="add-class"
          >Add the class</v-btn
        >
        <span class="soft">It begins with the limits of the last class.</span>
      </form>
      <RateTable :rulebook="page.id" />
    </main>
    <p v-else-if="failure" role="alert" class="tone-trouble">{{ failure }}</p>
    <p v-else class="soft" aria-busy="true">Opening the rules…</p>
  </div>
</template>

<style scoped>
.over {
  margin-left: 10px;
}
main {
  display: grid;
  gap: var(--gap);
  max-width: 1000px;
  padding: var(--near) var(--edge) var(--far);
}
h1 {
  font-size: var(--size-title);
}
.lead {
  max-width: 760px;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
  align-items: center;
}
.which {
  min-width: 420px;
  margin-right: 12px;
}
.reading {
  display: grid;
  gap: var(--near);
  justify-items: start;
  border-left: 4px solid var(--kraft-deep);
  padding-left: 14px;
}
.file,
.pasted {
  width: 100%;
}
.pasted :deep(textarea) {
  font: var(--size-note) / 1.4 monospace;
}
.about {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: var(--near) var(--gap);
  margin: 0;
}
.about dt {
  color: var(--soft);
}
.about dd {
  margin: 0;
}
.edit {
  align-items: baseline;
  max-width: 640px;
}
.edit :deep(input) {
  text-align: left;
}
.class {
  border-top: 1px solid var(--line);
  padding-top: 10px;
  display: grid;
  gap: var(--near);
}
h3 {
  font-size: var(--size-number);
}
h3::first-letter {
  text-transform: uppercase;
}
.named {
  font-size: var(--size-number);
  width: 260px;
  text-align: left;
}
.away {
  float: right;
  font: 500 var(--size-note) var(--body);
  text-decoration: underline;
}
.named + small {
  margin-left: 16px;
}
.new-class {
  flex: 0 1 220px;
}
small {
  font-size: var(--size-note);
  font-weight: 400;
}
@media (max-width: 700px) {
  .which {
    min-width: 0;
  }
}
</style>
