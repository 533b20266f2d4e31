<script setup lang="ts" generic="T extends Entry">
import { computed } from 'vue'

import { useShelf, type Entry, type ShelfList } from './useShelf'

/** One list of the shelf: a row an entry, with its name first and a way to take it off last. */
const props = defineProps<{
  list: ShelfList
  title: string
  entries: T[]
  columns: string[]
  /** What a new one begins with, and what the button that adds it says. */
  fresh: object
  enter: string
  /** What is said while there is none. */
  none?: string
  showOff: boolean
  wide?: boolean
}>()

const { set, add } = useShelf()

/** The entries with their places, those taken off only when asked for. */
const rows = computed(() =>
  props.entries.map((entry, at) => ({ entry, at })).filter((e) => props.showOff || !e.entry.off),
)

function rename(at: number, event: Event) {
  const name = (event.target as HTMLInputElement).value.trim()
  if (name) set(props.list, at, { name })
}
</script>

<template>
  <section :aria-label="title">
    <h2>{{ title }}</h2>
    <p v-if="none && !rows.length" class="soft">{{ none }}</p>
    <table v-else class="shelf-table" :class="{ wide }">
      <thead>
        <tr>
          <th scope="col">Name</th>
          <th v-for="c in columns" :key="c" scope="col">{{ c }}</th>
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
            <input
              class="name"
              :value="entry.name"
              maxlength="80"
              aria-label="Name"
              :data-test="`name-${list}-${at}`"
              @change="rename(at, $event)"
            />
          </td>
          <slot :entry="entry" :at="at" />
          <td>
            <v-btn size="small" @click="set(list, at, { off: !entry.off })">{{
              entry.off ? 'Put back' : 'Take off'
            }}</v-btn>
          </td>
        </tr>
      </tbody>
    </table>
    <v-btn variant="outlined" :data-test="`add-${list}`" @click="add(list, fresh)">{{ enter }}</v-btn>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  justify-items: start;
  min-width: 0;
}
.shelf-table {
  border-collapse: collapse;
  max-width: 820px;
  width: 100%;
}
.wide {
  max-width: 1320px;
}
th {
  text-align: left;
  font-size: 14px;
  font-weight: 500;
  color: var(--soft);
  padding: 0 10px 2px 0;
}
td,
:slotted(td) {
  padding: 3px 10px 3px 0;
  border-bottom: 1px solid var(--line);
  vertical-align: middle;
}
.off {
  opacity: 0.7;
}
.off .name {
  text-decoration: line-through;
}
.name {
  width: 100%;
  min-width: 130px;
  font: 600 16px var(--body);
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
}
.name:hover,
.name:focus {
  border-bottom-color: var(--line);
}
.wide .name {
  min-width: 210px;
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
  section > .v-btn {
    position: sticky;
    left: 0;
    justify-self: start;
  }
}
</style>
