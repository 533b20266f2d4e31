<script setup lang="ts">
import { ref } from 'vue'

import type { BackupBody } from '../api/client'
import type { useBackups } from './useBackups'

/** The backups, each with what is in it. */
const props = defineProps<{ of: ReturnType<typeof useBackups> }>()
const { page, open, inside, busy } = props.of

const asked = ref<BackupBody>() // before everything is made as it was
function restore() {
  const name = asked.value?.name
  asked.value = undefined
  if (name) void props.of.restore(name)
}
</script>

<template>
  <section aria-label="Backups">
    <div class="head">
      <v-btn variant="flat" color="secondary" :disabled="busy !== ''" data-test="back-up" @click="of.backUp()"
        >Back up now</v-btn
      >
      <p class="soft">A backup is made every day on which you change something, and before an upgrade.</p>
    </div>
    <ul v-if="page?.backups.length" data-test="backups">
      <li v-for="b in page.backups" :key="b.name" :class="{ here: open === b.name }">
        <div class="row">
          <span class="made">{{ b.made }}</span>
          <span class="what">
            <span :class="{ 'tone-trouble': b.trouble }">{{ b.trouble || b.holds }}</span>
            <small class="soft">{{ b.why }} · {{ b.size }}</small>
          </span>
          <template v-if="!b.trouble">
            <v-btn
              size="small"
              :aria-expanded="open === b.name"
              data-test="look-in"
              @click="of.look(b.name)"
              >{{ open === b.name ? 'Close' : 'Look inside' }}</v-btn
            >
            <v-btn size="small" variant="outlined" data-test="restore" @click="asked = b">Restore</v-btn>
          </template>
        </div>
        <ul v-if="open === b.name" class="inside" data-test="inside">
          <li v-if="!inside" class="soft" aria-busy="true">Looking inside…</li>
          <li v-for="j in inside?.jobs" :key="j.id" class="row">
            <span class="what">
              <span>{{ j.name || 'A job without a name' }}</span>
              <small class="soft">{{ j.changed }} · {{ j.now }}</small>
            </span>
            <v-btn size="small" variant="outlined" data-test="restore-one" @click="of.restoreJob(b.name, j)"
              >Restore this job</v-btn
            >
          </li>
          <li v-if="inside?.new" class="row" data-test="new-since">{{ inside.new }}</li>
          <li v-if="inside" class="row soft">
            {{ inside.same }} {{ inside.same === 1 ? 'job is' : 'jobs are' }} the same now.
          </li>
        </ul>
      </li>
    </ul>
    <p v-else class="soft" data-test="no-backups">There is none yet. The first is made today.</p>
    <p class="soft rule">{{ page?.rule }} They lie in {{ page?.dir }}/backups.</p>

    <v-dialog :model-value="asked !== undefined" max-width="520" @update:model-value="asked = undefined">
      <div v-if="asked" class="ask">
        <h2>Make everything as it was {{ asked.made }}?</h2>
        <p>
          It has {{ asked.holds }}. Jobs made since go among the removed ones. What a job is now stays in its
          history.
        </p>
        <p>A backup of what is here now is made first.</p>
        <div class="acts">
          <v-btn variant="flat" color="primary" data-test="restore-all" @click="restore"
            >Restore everything</v-btn
          >
          <v-btn variant="outlined" @click="asked = undefined">Leave it</v-btn>
        </div>
      </div>
    </v-dialog>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--gap);
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near) var(--gap);
  align-items: center;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--ink);
}
li {
  border-bottom: 1px solid var(--line);
}
.here {
  background: var(--sheet);
}
.row {
  display: flex;
  align-items: center;
  gap: var(--gap);
  padding: var(--near);
}
.made {
  flex: 0 0 170px;
  font-weight: 600;
}
.what {
  flex: 1;
  min-width: 0;
  display: grid;
}
.what > span {
  overflow-wrap: anywhere;
}
small,
.rule {
  font-size: var(--size-note);
}
.rule {
  overflow-wrap: anywhere;
}
.inside {
  margin: 0 0 var(--gap) var(--far);
  border-top: 1px solid var(--line);
}
.inside li:last-child {
  border-bottom: 0;
}
.ask {
  background: var(--sheet);
  color: var(--ink);
  padding: var(--far);
  border-radius: 4px;
  display: grid;
  gap: var(--gap);
}
.acts {
  display: flex;
  gap: var(--gap);
}
@media (max-width: 680px) {
  .row {
    flex-wrap: wrap;
  }
}
</style>
