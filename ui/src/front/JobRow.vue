<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import { nextTick, ref } from 'vue'

import type { ListedJob } from '../api/client'
import JobDrawing from './JobDrawing.vue'
import type { Jobs } from './useJobs'

/** One job of the list: what it is at a glance, and what can be done with it. */
const props = defineProps<{ job: ListedJob; of: Jobs; scale: number; width: number; height: number }>()

const typed = ref<string>() // while it is given another name
const wrong = ref('')
const field = ref<{ focus: () => void }>()

async function begin() {
  typed.value = props.job.name
  wrong.value = ''
  await nextTick()
  field.value?.focus()
}
async function done() {
  if (typed.value === undefined) return
  wrong.value = await props.of.rename(props.job, typed.value)
  if (!wrong.value) typed.value = undefined
}
</script>

<template>
  <div class="row" data-test="job" role="listitem">
    <router-link v-if="typed === undefined" class="open" :to="`/jobs/${job.id}/${job.door || 'card'}`">
      <JobDrawing :job="job" :scale="scale" :width="width" :height="height" />
      <span class="named">
        <span class="name">{{ job.name || 'A job without a name' }}</span>
        <small v-if="job.problem" :class="job.door ? 'soft' : `tone-${job.tone}`" data-test="job-problem">{{
          job.problem
        }}</small>
      </span>
      <span class="size">{{ job.size || '–' }}</span>
      <span class="count">{{ job.count }}</span>
      <span class="mail" :class="job.door ? 'soft' : `tone-${job.tone}`">{{ job.mail }}</span>
      <span class="changed soft">{{ job.changed }}</span>
    </router-link>
    <div v-else class="open">
      <JobDrawing :job="job" :scale="scale" :width="width" :height="height" />
      <v-text-field
        ref="field"
        v-model="typed"
        class="rename"
        :aria-label="`Another name for ${job.name}`"
        :error-messages="wrong"
        data-test="rename"
        maxlength="200"
        @keydown.enter="done"
        @keydown.esc="typed = undefined"
        @blur="done"
      />
    </div>
    <v-menu>
      <template #activator="{ props: opens }">
        <v-btn
          v-bind="opens"
          :icon="mdiDotsHorizontal"
          density="comfortable"
          :aria-label="`Acts on ${job.name}`"
          data-test="job-acts"
        />
      </template>
      <v-list density="compact">
        <template v-if="of.which.value !== 'removed'">
          <v-list-item title="Rename" @click="begin" />
          <v-list-item title="Duplicate" @click="of.copy(job.id)" />
          <v-list-item
            v-if="of.which.value === 'in hand'"
            title="Archive"
            @click="of.setArchived(job, true)"
          />
          <v-list-item v-else title="Bring back" @click="of.setArchived(job, false)" />
          <v-list-item
            title="Write to a file"
            :href="`/api/jobs/${job.id}/file`"
            download
            data-test="write-job"
          />
          <v-list-item title="Remove" @click="of.setRemoved(job, true)" />
        </template>
        <v-list-item v-else title="Restore" @click="of.setRemoved(job, false)" />
      </v-list>
    </v-menu>
  </div>
</template>

<style scoped>
.row {
  height: 66px;
  display: flex;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.row:hover {
  background: var(--sheet);
}
.open {
  flex: 1;
  min-width: 0;
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr) 170px 90px 170px 130px;
  gap: var(--gap);
  align-items: center;
  text-decoration: none;
}
.named {
  display: grid;
  min-width: 0;
}
.name {
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
small {
  font-size: var(--size-note);
  line-height: 1.25;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
}
.size {
  font-size: var(--size-number);
  font-weight: 650;
  text-align: right;
  white-space: nowrap;
}
.mail {
  font-weight: 600;
}
.changed {
  font-size: var(--size-note);
}
.rename {
  grid-column: 2 / span 3;
}
@media (max-width: 1000px) {
  .open {
    grid-template-columns: 76px minmax(0, 1fr) 140px 150px;
  }
  .count,
  .changed {
    display: none;
  }
}
@media (max-width: 680px) {
  .open {
    grid-template-columns: 76px minmax(0, 1fr) auto;
  }
  .mail {
    display: none;
  }
}
</style>
