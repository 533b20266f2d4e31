<script setup lang="ts">
import { mdiKeyboardOutline, mdiLightbulbOutline, mdiRedo, mdiUndo } from '@mdi/js'
import { computed, onMounted, onUnmounted, provide, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useTheme } from 'vuetify'

import { newJob, useJob } from '../job/useJob'
import { useShop } from '../job/useShop'
import CardStation from '../stations/card/CardStation.vue'
import EnvelopeStation from '../stations/envelope/EnvelopeStation.vue'
import LayersStation from '../stations/layers/LayersStation.vue'
import PaperStation from '../stations/paper/PaperStation.vue'
import MailStation from '../stations/mail/MailStation.vue'
import { keep } from '../theme'
import BrandMark from './BrandMark.vue'
import ConflictBar from './ConflictBar.vue'
import MissingBar from './MissingBar.vue'
import SaveLine from './SaveLine.vue'
import ShortcutSheet from './ShortcutSheet.vue'
import TypedField from '../fields/TypedField.vue'
import TicketStrip from './TicketStrip.vue'
import UnitSwitch from './UnitSwitch.vue'

const props = defineProps<{ id: string; station: string }>()

const job = useJob(props.id)
const { shop, choices, set: setShop } = useShop()
const router = useRouter()
const theme = useTheme()
const sheet = ref(false)

onMounted(job.load)
provide('behind', job.behind)

// A new card has its address once it is stored.
watch(job.stored, (stored) => {
  if (stored && props.id === newJob) void router.replace(`/jobs/${job.id}/${props.station}`)
})

const stations = ['card', 'layers', 'envelope', 'mail', 'paper']
const station = computed(() => {
  if (props.station === 'layers') return LayersStation
  if (props.station === 'envelope') return EnvelopeStation
  if (props.station === 'mail') return MailStation
  if (props.station === 'paper') return PaperStation
  return CardStation
})

watch(
  () => job.job.value?.name,
  (name) => {
    document.title = name ? `${name} · Yellow Parcel` : 'Yellow Parcel'
  },
)

function lamp() {
  const next = theme.global.name.value === 'day' ? 'lamp' : 'day'
  theme.change(next)
  keep(next)
}

function press(e: KeyboardEvent) {
  const undoing = (e.ctrlKey || e.metaKey) && !e.altKey && e.key.toLowerCase() === 'z'
  const redoing = (e.ctrlKey || e.metaKey) && !e.altKey && e.key.toLowerCase() === 'y'
  if (undoing || redoing) {
    e.preventDefault()
    if (redoing || e.shiftKey) job.redo()
    else job.undo()
    return
  }
  const at = e.target
  if (
    e.ctrlKey ||
    e.metaKey ||
    e.altKey ||
    (at instanceof Element && at.closest('input, textarea, [role=combobox], [role=listbox]'))
  )
    return
  const n = Number(e.key)
  if (n >= 1 && n <= stations.length) void router.push(`/jobs/${props.id}/${stations[n - 1]}`)
  else if (e.key === '?') sheet.value = true
  else if (e.key.toLowerCase() === 'l') lamp()
  else if (e.key.toLowerCase() === 'm' && shop.value)
    setShop('unit', choices('units').find((u) => u.id !== shop.value?.shop.unit)?.id ?? '')
}
onMounted(() => window.addEventListener('keydown', press))
onUnmounted(() => window.removeEventListener('keydown', press))
</script>

<template>
  <div class="counter">
    <header>
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
      <SaveLine v-if="job.ready.value" :state="job.state.value" />
      <span class="tools">
        <v-btn
          :icon="mdiUndo"
          density="comfortable"
          aria-label="Undo"
          data-test="undo"
          :disabled="!job.undoable.value.undo"
          @click="job.undo()"
        />
        <v-btn
          :icon="mdiRedo"
          density="comfortable"
          aria-label="Redo"
          data-test="redo"
          :disabled="!job.undoable.value.redo"
          @click="job.redo()"
        />
        <router-link class="shelf" to="/shelf" data-test="to-shelf">Shelf</router-link>
        <UnitSwitch />
        <v-btn :icon="mdiLightbulbOutline" density="comfortable" aria-label="Light or dark" @click="lamp" />
        <v-btn :icon="mdiKeyboardOutline" density="comfortable" aria-label="Keys" @click="sheet = true" />
      </span>
    </header>
    <ConflictBar v-if="job.state.value === 'conflict'" @theirs="job.takeTheirs()" @mine="job.keepMine()" />
    <p v-if="job.refused.value && job.ready.value" class="refused" role="alert">{{ job.refused.value }}</p>
    <MissingBar v-if="job.plan.value" :missing="job.plan.value.missing" @take="job.set" />
    <p v-if="job.removed.value" class="refused" role="alert">
      This job was taken off the list. Put it back from the list of jobs to keep working on it.
    </p>

    <main v-if="job.ready.value">
      <component :is="station" :job="job" />
    </main>
    <main v-else-if="job.missing.value" class="empty" data-test="missing">
      <h1>This job cannot be opened.</h1>
      <p>{{ job.missing.value }}</p>
      <router-link to="/">All jobs</router-link>
    </main>
    <main v-else class="empty" aria-busy="true"><p class="soft">Laying out the job…</p></main>

    <TicketStrip v-if="job.plan.value" :job-id="id" :lines="job.plan.value.ticket" :station="props.station" />
    <ShortcutSheet v-model="sheet" />
  </div>
</template>

<style scoped>
.counter {
  min-height: 100vh;
  display: grid;
  grid-template-rows: auto auto 1fr auto;
}
header {
  grid-row: 1;
  display: flex;
  align-items: center;
  gap: 4px 18px;
  padding: 10px 40px 4px;
  flex-wrap: wrap;
}
.name {
  font: 500 17px var(--body);
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
  padding: 4px 2px;
  flex: 1 1 220px;
  min-width: 120px;
  max-width: 420px;
  text-overflow: ellipsis;
}
.name:hover,
.name:focus {
  border-bottom-color: var(--line);
}
.tools {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 4px;
}
.shelf {
  padding: 8px 10px;
  font-weight: 600;
}
.refused {
  margin: 4px 40px;
  padding: 8px 14px;
  border-left: 5px solid var(--trouble);
  background: var(--sheet);
}
main {
  grid-row: 3;
  padding: 6px 40px 28px;
  min-width: 0;
}
.empty {
  display: grid;
  gap: 12px;
  align-content: center;
  justify-items: start;
}
.strip {
  grid-row: 4;
}
@media (max-width: 1000px) {
  header,
  main {
    padding-left: 16px;
    padding-right: 16px;
  }
}
</style>
