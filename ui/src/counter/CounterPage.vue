<script setup lang="ts">
import {
  mdiHistory,
  mdiKeyboardOutline,
  mdiLightbulbOutline,
  mdiRedo,
  mdiTextBoxEditOutline,
  mdiUndo,
} from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { computed, onMounted, provide, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import type { FieldPath } from '../api/client'
import { newJob, useJob } from '../job/useJob'
import BenchStation from '../stations/bench/BenchStation.vue'
import CardStation from '../stations/card/CardStation.vue'
import EnvelopeStation from '../stations/envelope/EnvelopeStation.vue'
import LayersStation from '../stations/layers/LayersStation.vue'
import PaperStation from '../stations/paper/PaperStation.vue'
import MailStation from '../stations/mail/MailStation.vue'
import WaitingStation from '../stations/waiting/WaitingStation.vue'
import { useDrawer } from '../stations/useDrawer'
import { stored } from '../frame/pageOf'
import { useLamp } from '../frame/theme'
import BrandMark from '../frame/BrandMark.vue'
import ConflictBar from '../frame/ConflictBar.vue'
import LeaveDialog from './LeaveDialog.vue'
import LineDialog from './LineDialog.vue'
import MissingBar from './MissingBar.vue'
import SaveLine from '../frame/SaveLine.vue'
import ShortcutSheet from '../frame/ShortcutSheet.vue'
import TypedField from '../fields/TypedField.vue'
import TicketStrip from './TicketStrip.vue'
import UnitSwitch from '../frame/UnitSwitch.vue'
import WhyBar from '../frame/WhyBar.vue'
import { useKeys } from '../frame/useKeys'

const props = defineProps<{ id: string; station: string }>()

const { drawer } = useDrawer(() => props.station)
const job = useJob(
  props.id,
  computed(() => `${props.station}/${drawer.value}`),
)
provide(
  'planned',
  computed(() => job.plan.value?.open ?? ''),
)
const router = useRouter()
const { lamp } = useLamp()
const sheet = ref(false)
const saying = ref(false)

onMounted(job.load)
provide('behind', job.behind)
provide('take', (path: FieldPath, id: string) => job.take(path, id))

// A new card has its address once it is stored.
watch(job.stored, (isStored) => {
  if (!isStored || props.id !== newJob) return
  stored(job.id)
  const { drawer: asked } = router.currentRoute.value.params
  void router.replace(`/jobs/${job.id}/${props.station}${asked ? `/${String(asked)}` : ''}`)
})

// What is stored by itself as soon as the program answers is not lost on another page.
const losses: Record<string, string> = {
  conflict: 'This job was changed in another window as well: choose first which of the two you keep.',
  typed: 'What you typed last cannot be used yet, so it is not part of the job.',
  refused: 'The last change was refused, so it is not part of the job.',
}
const lost = computed(() => losses[job.state.value] ?? '')

const stations = ['card', 'layers', 'envelope', 'mail', 'paper', 'bench']
const station = computed(() => {
  if (props.station === 'layers') return LayersStation
  if (props.station === 'envelope') return EnvelopeStation
  if (props.station === 'mail') return MailStation
  if (props.station === 'paper') return PaperStation
  if (props.station === 'bench') return BenchStation
  return CardStation
})

watch(
  () => job.job.value?.name,
  (name) => {
    document.title = name ? `${name} · Yellow Parcel` : 'Yellow Parcel'
  },
)

useEventListener(window, 'keydown', (e: KeyboardEvent) => {
  const undoing = (e.ctrlKey || e.metaKey) && !e.altKey && e.key.toLowerCase() === 'z'
  const redoing = (e.ctrlKey || e.metaKey) && !e.altKey && e.key.toLowerCase() === 'y'
  if (!undoing && !redoing) return
  e.preventDefault()
  if (redoing || e.shiftKey) job.redo()
  else job.undo()
})
const keys: Record<string, () => void> = { '?': () => (sheet.value = true), '/': () => (saying.value = true) }
stations.forEach((s, i) => (keys[String(i + 1)] = () => void router.push(`/jobs/${props.id}/${s}`)))
useKeys(keys)

/** Past the head and the drawing: to the drawer that is open. */
const toDrawers = () =>
  document.querySelector<HTMLElement>('.drawers [role=tab][aria-selected=true]')?.focus()
</script>

<template>
  <div class="counter">
    <header>
      <a v-if="job.ready.value" class="skip" href="#drawers" data-test="skip" @click.prevent="toDrawers"
        >To the drawers</a
      >
      <BrandMark />
      <TypedField
        v-if="job.job.value"
        :of="job"
        path="name"
        as="name"
        class="name"
        label="Name of this job"
        name="name"
      />
      <SaveLine v-if="job.ready.value" :state="job.state.value" :why="job.why.value" />
      <span class="tools">
        <v-btn
          :icon="mdiUndo"
          density="comfortable"
          aria-label="Undo"
          data-test="undo"
          :aria-disabled="!job.undoable.value.undo"
          :class="{ idle: !job.undoable.value.undo }"
          @click="job.undo()"
        />
        <v-btn
          :icon="mdiRedo"
          density="comfortable"
          aria-label="Redo"
          data-test="redo"
          :aria-disabled="!job.undoable.value.redo"
          :class="{ idle: !job.undoable.value.redo }"
          @click="job.redo()"
        />
        <v-btn
          :icon="mdiTextBoxEditOutline"
          density="comfortable"
          aria-label="Say a change"
          data-test="say"
          @click="saying = true"
        />
        <v-btn
          v-if="job.stored.value"
          :icon="mdiHistory"
          density="comfortable"
          aria-label="History of this job"
          data-test="history"
          :to="`/jobs/${job.id}/history`"
        />
        <router-link class="to" to="/shelf" data-test="to-shelf">Shelf</router-link>
        <router-link class="to" to="/rules" data-test="to-rules">Rules</router-link>
        <router-link class="to" to="/backups" data-test="to-backups">Backups</router-link>
        <router-link class="to" to="/help" data-test="to-help">Help</router-link>
        <UnitSwitch />
        <v-btn :icon="mdiLightbulbOutline" density="comfortable" aria-label="Light or dark" @click="lamp" />
        <v-btn :icon="mdiKeyboardOutline" density="comfortable" aria-label="Keys" @click="sheet = true" />
      </span>
    </header>
    <div class="says">
      <WhyBar :why="job.why.value" />
      <ConflictBar v-if="job.state.value === 'conflict'" @theirs="job.takeTheirs()" @mine="job.keepMine()" />
      <p v-if="job.refused.value && job.ready.value" class="refused" role="alert">{{ job.refused.value }}</p>
      <MissingBar v-if="job.plan.value" :missing="job.plan.value.missing" @take="job.set" />
      <p v-if="job.removed.value" class="refused" role="alert">
        This job was removed.
        <v-btn variant="outlined" size="small" data-test="restore" @click="job.restore()">Restore it</v-btn>
      </p>
    </div>

    <main v-if="job.ready.value">
      <WaitingStation v-if="job.plan.value?.waits" :job="job" :station="props.station" />
      <component :is="station" v-else :job="job" />
    </main>
    <main v-else-if="job.missing.value" class="empty" data-test="missing">
      <h1>This job cannot be opened.</h1>
      <p>{{ job.missing.value }}</p>
      <router-link to="/">All jobs</router-link>
    </main>
    <main v-else class="empty" aria-busy="true"><p class="soft">Laying out the job…</p></main>

    <TicketStrip v-if="job.plan.value" :job-id="id" :lines="job.plan.value.ticket" :station="props.station" />
    <ShortcutSheet v-model="sheet" />
    <LeaveDialog :lost="lost" :waits="job.state.value === 'unreachable'" />
    <LineDialog v-if="job.ready.value" v-model="saying" :job="job" :job-id="id" />
  </div>
</template>

<style scoped>
.counter {
  height: 100dvh;
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  grid-template-columns: minmax(0, 1fr);
  overflow: hidden;
}
header {
  grid-row: 1;
  display: flex;
  align-items: center;
  gap: 0 var(--gap);
  padding: var(--near) var(--edge) 0;
}
/* Seen where a key leads to it. */
.skip {
  position: absolute;
  left: var(--edge);
  top: -60px;
  z-index: 5;
  padding: 10px 16px;
  background: var(--yellow);
  color: #23211c;
  font-weight: 650;
}
.skip:focus {
  top: 4px;
}
.idle {
  opacity: 0.38;
}
.says {
  grid-row: 2;
}
.name {
  flex: 0 1 300px;
  min-width: 90px;
}
.tools {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 0 var(--near);
}
.to {
  padding: 8px 6px;
  font-weight: 600;
  text-decoration: none;
}
.to:hover {
  text-decoration: underline;
}
.refused {
  margin: 4px var(--edge);
  padding: 6px 14px;
  border-left: 5px solid var(--trouble);
  background: var(--sheet);
}
main {
  grid-row: 3;
  padding: var(--near) var(--edge) var(--near);
  min-width: 0;
  min-height: 0;
}
.empty {
  display: grid;
  gap: var(--gap);
  align-content: center;
  justify-items: start;
}
.strip {
  grid-row: 4;
}
@media (max-width: 900px) {
  .tools {
    gap: 0;
  }
  .to {
    padding: 8px 4px;
  }
}
@media (max-width: 780px) {
  header {
    flex-wrap: wrap;
  }
}
@media (max-height: 560px), (max-width: 680px) {
  .counter {
    height: auto;
    min-height: 100dvh;
    overflow: visible;
  }
  header {
    flex-wrap: wrap;
  }
}
</style>
