<script setup lang="ts">
import { mdiMagnify } from '@mdi/js'
import { computed } from 'vue'

import EmptyFront from './EmptyFront.vue'
import JobRow from './JobRow.vue'
import type { Jobs } from './useJobs'

/** The jobs of the table: searched, sorted, and as many as there are. */
const props = defineProps<{ of: Jobs }>()

const { which, find, sort, jobs, failure, of: all } = props.of

const sorts = [
  { value: 'changed', title: 'Last changed' },
  { value: 'name', title: 'Name' },
  { value: 'size', title: 'Smallest first' },
  { value: 'mail', title: 'Trouble first' },
]
const lists = [
  { value: 'in hand', title: 'Jobs in hand' },
  { value: 'archived', title: 'Archived jobs' },
  { value: 'removed', title: 'Removed jobs' },
]

// Every card is drawn to one scale, so that they can be told apart at a glance.
const tallest = 58
const widest = 88
const rowHeight = 67
const scale = computed(() => {
  let s = 1
  for (const j of jobs.value ?? []) {
    const w = Math.max(j.width / 1e6, j.envelope?.width ?? 0)
    const h = j.envelope ? j.envelope.height + j.height / 2e6 : j.height / 1e6
    if (w > 0 && h > 0) s = Math.min(s, (widest - 4) / w, (tallest - 4) / h)
  }
  return s
})
/** There is no job at all yet. */
const first = computed(() => which.value === 'in hand' && !(find.value ?? '').trim())
const none = computed(() => {
  if ((find.value ?? '').trim()) return 'No job has all of these words.'
  if (which.value === 'archived') return 'Nothing is archived. Archive a job that is done from its row.'
  if (which.value === 'removed') return 'Nothing is removed.'
  return 'There are no jobs yet. Start with the card you have in mind: its size is enough.'
})
</script>

<template>
  <section class="list" aria-label="Jobs">
    <div class="head">
      <v-select v-model="which" class="which" :items="lists" aria-label="Which jobs" data-test="which-jobs" />
      <v-text-field
        v-model="find"
        class="find"
        :prepend-inner-icon="mdiMagnify"
        placeholder="Find by name, size, paper, fold"
        aria-label="Find jobs"
        clearable
        data-test="find-jobs"
        maxlength="200"
        @click:clear="find = ''"
      />
      <span v-if="find && jobs" class="soft" role="status" data-test="found"
        >{{ jobs.length }} of {{ all }}</span
      >
      <v-select v-model="sort" class="sort" :items="sorts" label="Sort by" data-test="sort-jobs" />
    </div>
    <v-virtual-scroll
      v-if="jobs?.length"
      class="rows"
      :items="jobs"
      :item-height="rowHeight"
      item-key="id"
      role="list"
      data-test="jobs"
    >
      <template #default="{ item }">
        <JobRow :job="item" :of="of" :scale="scale" :width="widest" :height="tallest" />
      </template>
    </v-virtual-scroll>
    <div v-else-if="jobs" class="nothing">
      <p class="soft none" data-test="empty">{{ none }}</p>
      <EmptyFront v-if="first" />
    </div>
    <p v-else-if="!failure" class="soft none" aria-busy="true">Looking for your jobs…</p>
  </section>
</template>

<style scoped>
.list {
  min-height: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.nothing {
  min-height: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0 var(--far);
  padding-bottom: var(--near);
  border-bottom: 2px solid var(--ink);
}
.which,
.sort {
  flex: 0 0 170px;
}
.which :deep(.v-field__input) {
  font: 650 var(--size-text) var(--head);
}
.find {
  flex: 0 1 360px;
  min-width: 180px;
}
.sort {
  margin-left: auto;
}
.rows {
  min-height: 0;
}
.none {
  padding: var(--far) 0;
}
</style>
