<script setup lang="ts">
import { mdiFileExportOutline } from '@mdi/js'
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'

import type { Leaf } from '../api/client'
import { under } from '../job/steady'
import { writeFile } from '../api/files'
import { fileAt } from '../fields/events'
import TableCell from '../fields/TableCell.vue'
import { useShop } from '../job/useShop'

interface Entry {
  id: string
  name: string
  off?: boolean
}

/** One list of the shelf: a row an entry, with its name first and a way to put it away last. */
const props = defineProps<{
  list: string
  title: string
  entries: Entry[]
  columns: string[]
  /** The names of the fields in the columns. */
  cells: Leaf[]
  /** Where there are more columns than a page is wide: what those above are called, and the others. */
  sets?: { name: string; columns: string[]; cells: Leaf[] }[]
  /** What the button that adds an entry says. */
  enter: string
  /** What is said while there is none. */
  none?: string
  showOff: boolean
  wide?: boolean
}>()

const shelf = useShop()

/** The columns that are shown. */
const shown = ref('')
const set = computed(
  () => props.sets?.find((s) => s.name === shown.value) ?? { columns: props.columns, cells: props.cells },
)

// What lies beyond the edge of a narrow window is said.
const frame = ref<HTMLElement>()
const { width } = useElementSize(frame)
const beyond = ref(false)
watch([width, set, () => props.entries.length], async () => {
  await nextTick()
  const inner = frame.value?.querySelector('.v-table__wrapper') ?? frame.value
  const over = (of?: Element | null) => (of ? of.scrollWidth - of.clientWidth > 2 : false)
  beyond.value = over(inner) || over(frame.value)
})

/** What a cell says that holds nothing. */
const empty = (cell: Leaf) => (cell === 'have' ? 'not counted' : cell === 'holds' ? 'anything' : '')

/** Numbers stand to the right, under their name. */
const number = (cell: Leaf) =>
  !['word', 'choice', 'choices', 'flag'].includes(
    shelf.inputAt(under(`${props.list}.0`, cell))?.kind ?? 'word',
  )

const pick = ref<HTMLInputElement>()
async function readFile(e: Event) {
  const text = await fileAt(e)?.text()
  if (text) shelf.add(under(props.list), text.trim().startsWith('{') ? text : `{${text}`)
}

/** The entries with their places, those put away only when asked for. */
const rows = computed(() =>
  props.entries.map((entry, at) => ({ entry, at })).filter((e) => props.showOff || !e.entry.off),
)
</script>

<template>
  <section ref="frame" :aria-label="title">
    <h2>{{ title }}</h2>
    <div v-if="sets" class="sets" role="group" :aria-label="`Columns of ${title}`">
      <v-btn
        v-for="(s, i) in sets"
        :key="s.name"
        size="small"
        :variant="(shown || sets[0]!.name) === s.name ? 'flat' : 'outlined'"
        :color="(shown || sets[0]!.name) === s.name ? 'secondary' : undefined"
        :aria-pressed="(shown || sets[0]!.name) === s.name"
        :data-test="`columns-${list}-${i}`"
        @click="shown = s.name"
        >{{ s.name }}</v-btn
      >
    </div>
    <p v-if="beyond" class="soft beyond" :data-test="`beyond-${list}`">
      More columns lie to the right: move the table.
    </p>
    <p v-if="none && !rows.length" class="soft">{{ none }}</p>
    <v-table v-else class="shelf-table" :class="{ wide }">
      <thead>
        <tr>
          <th scope="col">Name</th>
          <th v-for="(c, i) in set.columns" :key="c" scope="col" :class="{ number: number(set.cells[i]!) }">
            {{ c }}
          </th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="{ entry, at } in rows"
          :key="entry.id"
          :class="{ off: entry.off }"
          :data-test="`shelf-${list}-${at}`"
        >
          <td>
            <TableCell
              :of="shelf"
              :path="under(`${list}.${at}`, 'name')"
              title
              class="name"
              label="Name"
              :name="`name-${list}-${at}`"
            />
          </td>
          <td v-for="c in set.cells" :key="c" :class="c">
            <TableCell :of="shelf" :path="under(`${list}.${at}`, c)" :placeholder="empty(c)" />
          </td>
          <td class="does">
            <v-btn size="small" @click="shelf.set(under(`${list}.${at}`, 'off'), entry.off ? 'no' : 'yes')">{{
              entry.off ? 'Restore' : 'Remove'
            }}</v-btn>
            <v-btn
              :icon="mdiFileExportOutline"
              size="small"
              :aria-label="`Write ${entry.name} to a file`"
              :data-test="`write-${list}-${at}`"
              @click="writeFile(`${list}-${entry.id}.json`, entry)"
            />
          </td>
        </tr>
      </tbody>
    </v-table>
    <div class="acts">
      <v-btn
        variant="outlined"
        :data-test="`add-${list}`"
        :disabled="shelf.full(under(list))"
        @click="shelf.add(under(list))"
        >{{ enter }}</v-btn
      >
      <v-btn :disabled="shelf.full(under(list))" :data-test="`read-${list}`" @click="pick?.click()"
        >Read from a file</v-btn
      >
      <input
        ref="pick"
        type="file"
        accept=".json"
        hidden
        :aria-label="`File of ${title}`"
        :data-test="`file-${list}`"
        @change="readFile"
      />
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--near);
  justify-items: start;
  min-width: 0;
}
.shelf-table {
  background: none;
  color: inherit;
  max-width: 820px;
  width: 100%;
}
.wide {
  max-width: 1320px;
}
.shelf-table :is(th, td) {
  padding: 2px var(--gap) 2px 0;
  height: auto;
}
.shelf-table th {
  font-size: var(--size-note);
  font-weight: 500;
  color: var(--soft);
}
.shelf-table th.number {
  text-align: right;
}
.does {
  white-space: nowrap;
}
.acts,
.sets {
  display: flex;
  gap: var(--near);
}
.beyond {
  position: sticky;
  left: 0;
  font-size: var(--size-note);
}
.holds {
  width: 60%;
}
.off {
  opacity: 0.7;
}
.name {
  min-width: 210px;
}
.off .name {
  text-decoration: line-through;
}
.wide :deep(.v-select) {
  min-width: 118px;
}
@media (max-width: 1000px) {
  section {
    overflow-x: auto;
    justify-items: stretch;
  }
  /* The button stays in sight where the table is scrolled. */
  .acts {
    position: sticky;
    left: 0;
    justify-self: start;
  }
}
</style>
