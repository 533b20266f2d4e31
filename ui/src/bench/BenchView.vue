<script setup lang="ts">
import { useEventListener, useWakeLock } from '@vueuse/core'
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'

import type { Edit } from '../api/client'
import { onEvents } from '../api/events'
import ConflictBar from '../frame/ConflictBar.vue'
import ShortcutSheet from '../frame/ShortcutSheet.vue'
import DrawnShapes from '../drawing/DrawnShapes.vue'
import WaitingPage from '../frame/WaitingPage.vue'
import { useJob } from '../job/useJob'
import { useShop } from '../job/useShop'
import WrongDialog from './WrongDialog.vue'
import { useProgress } from './useProgress'
import { useTimer } from './useTimer'
import { useWorksheet } from './useWorksheet'

/** One step fills the screen, to be read from a metre off, and driven with a finger, a pedal or a key. */
const props = defineProps<{ id: string }>()

const router = useRouter()
const job = useJob(props.id, ref('bench/steps'))
const { shop, load: loadShop } = useShop()
const { sheet, failure } = useWorksheet(
  () => job.job.value,
  () => job.shopVersion.value,
)
/** What is wrong, in a sentence: with the job, with the worksheet, or with what was done last. */
const trouble = computed(() => job.missing.value || failure.value)
const { at, kept, to, heard, load: loadProgress } = useProgress(() => props.id)
const timer = useTimer(props.id)

onMounted(async () => {
  await loadShop()
  await Promise.all([job.load(), loadProgress()])
})
onEvents((event) => {
  if (event.kind === 'bench' && event.job === props.id) heard(event.version)
  if (event.kind === 'opened' || event.kind === 'everything') void loadProgress()
})

const steps = computed(() => sheet.value?.steps ?? [])
const place = computed(() => Math.min(at.value, Math.max(0, steps.value.length - 1)))
const step = computed(() => steps.value[place.value])
const last = computed(() => place.value >= steps.value.length - 1)
const next = () => {
  if (!last.value) to(place.value + 1)
}
const back = () => {
  if (place.value > 0) to(place.value - 1)
}
const leave = () => void router.push(`/jobs/${props.id}/bench/steps`)

// What lies open over the step: what came out wrong, or the keys.
const wrong = ref(false)
const sheetOfKeys = ref(false)
/** Closes what is open, and leaves where nothing is. */
function close() {
  if (!wrong.value && !sheetOfKeys.value) return leave()
  wrong.value = false
  sheetOfKeys.value = false
}

// The screen stays awake as long as somebody works.
const { isSupported, isActive, request } = useWakeLock()
const wake = () => {
  if (isSupported.value) void request('screen').catch(() => undefined)
}
onMounted(wake)

// A pedal sends the keys of a page turner; some send Enter or the arrows.
const keys: Record<string, () => void> = {
  ' ': next, ArrowRight: next, ArrowDown: next, PageDown: next, Enter: next,
  ArrowLeft: back, ArrowUp: back, PageUp: back, Backspace: back, Escape: close,
  '?': () => (sheetOfKeys.value = true),
} // prettier-ignore
useEventListener(window, 'keydown', (e: KeyboardEvent) => {
  if ((wrong.value || sheetOfKeys.value) && e.key !== 'Escape') return // something is typed, or read
  const act = keys[e.key]
  const button = e.target instanceof HTMLElement && e.target.closest('button, a')
  if (!act || e.ctrlKey || e.metaKey || e.altKey || (button && (e.key === ' ' || e.key === 'Enter'))) return
  e.preventDefault()
  act()
})

// A button that was pressed keeps no key for itself: Space goes on, and starts no timer anew.
const onward = ref<HTMLButtonElement>()
const letGo = () => void nextTick(() => onward.value?.focus({ preventScroll: true }))
useEventListener(window, 'click', (e: MouseEvent) => {
  const pressed = e.target instanceof HTMLElement && e.target.closest('main button')
  if (e.detail > 0 && pressed && !wrong.value && !sheetOfKeys.value) letGo()
})
function dry(minutes: number) {
  timer.start(minutes)
  letGo()
}

// What came out wrong, and what can still be made of it.
const settable = computed(
  () => ['cut', 'score', 'punch'].includes(step.value?.act ?? '') && step.value?.number,
)

/** The job is changed to suit, as at any station; the steps to come follow. */
function take(edits: Edit[]) {
  wrong.value = false
  job.carry(edits)
}

// What is read from a metre off is no longer than its line.
const long = computed(() => (step.value?.number.length ?? 0) > 11)
const stroke = 2 // millimetres kept free round a drawing
</script>

<template>
  <WaitingPage v-if="job.plan.value?.waits" :id="id" :waits="job.plan.value.waits" />
  <main v-else class="table" :class="{ calm: timer.done.value }">
    <div class="top">
      <header>
        <v-btn variant="outlined" data-test="leave" @click="leave">Back to the job</v-btn>
        <span v-if="steps.length" data-test="table-place">Step {{ place + 1 }} of {{ steps.length }}</span>
        <span
          v-if="timer.running.value"
          class="clock"
          :class="{ done: timer.done.value }"
          role="timer"
          data-test="clock"
          >{{ timer.done.value ? 'Dry now' : timer.text.value }}</span
        >
        <v-btn variant="text" aria-label="Keys" data-test="table-keys" @click="sheetOfKeys = true"
          >Keys</v-btn
        >
        <span class="soft end">
          <template v-if="!kept">Your place is not kept yet: the program does not answer.</template>
          <template v-else-if="isActive">The screen stays awake.</template>
          <template v-else-if="isSupported"
            ><button type="button" class="plain" @click="wake">Keep the screen awake</button></template
          >
        </span>
      </header>
      <ConflictBar
        v-if="job.state.value === 'conflict'"
        no-undo
        @theirs="job.takeTheirs()"
        @mine="job.keepMine()"
      />
      <p v-if="job.refused.value" role="alert" class="tone-trouble says">{{ job.refused.value }}</p>
      <p v-if="job.state.value === 'unreachable'" role="status" class="tone-care says">
        What was changed is not saved yet: the program does not answer.
      </p>
    </div>
    <p v-if="trouble" role="alert" class="tone-trouble says">{{ trouble }}</p>
    <p v-else-if="!step || !shop" class="soft says" aria-busy="true">Laying out the bench…</p>
    <template v-else>
      <section class="act" aria-live="polite">
        <p class="name">{{ step.name }}</p>
        <p v-if="step.number" class="number" :class="{ long }" data-test="table-number">{{ step.number }}</p>
        <p class="says" data-test="table-says">{{ step.says.text }}</p>
        <p v-for="h in step.how" :key="h" class="how">{{ h }}</p>
        <p v-if="place === 0 && sheet?.makings.text" class="how">{{ sheet.makings.text }}</p>
        <p v-if="step.check" class="how"><strong>Check</strong> {{ step.check }}</p>
        <p v-if="step.caution" class="how tone-care"><strong>Mind</strong> {{ step.caution }}</p>
        <p v-if="settable" class="clocks">
          <v-btn variant="outlined" size="large" data-test="cut-wrong" @click="wrong = true"
            >It came out wrong</v-btn
          >
        </p>
        <p v-if="step.minutes" class="clocks">
          <v-btn variant="outlined" size="large" data-test="timer-start" @click="dry(step.minutes)"
            >Start {{ step.minutes }} minutes</v-btn
          >
          <v-btn
            v-if="timer.running.value"
            variant="text"
            size="large"
            data-test="timer-stop"
            @click="timer.stop()"
            >Stop the timer</v-btn
          >
        </p>
      </section>
      <svg
        v-if="step.flat.shapes.length"
        class="picture"
        role="img"
        :aria-label="step.drawing"
        :viewBox="`${-stroke} ${-stroke} ${step.flat.width + 2 * stroke} ${step.flat.height + 2 * stroke}`"
        data-test="table-drawing"
        @click="next"
      >
        <DrawnShapes :shapes="step.flat.shapes" paper="var(--sheet)" />
        <text
          v-for="l in step.flat.labels"
          :key="l.part"
          text-anchor="middle"
          class="drawing-text"
          :font-size="step.flat.width / 26"
          :x="l.at.x"
          :y="l.at.y"
        >
          {{ l.text }}
        </text>
      </svg>
      <WrongDialog
        v-if="wrong && job.job.value"
        :job="job.job.value"
        :step="place"
        :wanted="step.number"
        @close="wrong = false"
        @take="take"
      />
      <nav class="turn" aria-label="Steps">
        <button type="button" :disabled="place === 0" data-test="table-back" @click="back">Back</button>
        <button ref="onward" type="button" class="on" :disabled="last" data-test="table-next" @click="next">
          {{ last ? 'That was all' : 'Next step' }}
        </button>
      </nav>
    </template>
    <ShortcutSheet v-model="sheetOfKeys" worksheet />
  </main>
</template>

<style scoped>
.table {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 4fr);
  grid-template-rows: auto minmax(0, 1fr) auto;
  gap: var(--gap) var(--far);
  height: 100vh;
  padding: var(--gap) var(--edge);
  background: var(--paper);
  color: var(--ink);
  font-size: var(--size-text);
}
/* One row, however much is said in it: the step keeps the rest. */
.top {
  grid-column: 1 / -1;
}
header {
  display: flex;
  gap: var(--far);
  align-items: center;
  font-size: 1.25em;
}
.end {
  margin-left: auto;
  font-size: 0.8em;
}
.plain {
  background: none;
  border: 0;
  color: inherit;
  text-decoration: underline;
  cursor: pointer;
  font: inherit;
}
.act {
  overflow-y: auto;
  min-height: 0;
  display: grid;
  align-content: start;
  gap: var(--gap);
}
.act p {
  margin: 0;
}
.name {
  font-size: 2.25em;
  font-weight: 650;
}
.number {
  font-size: 8em;
  font-weight: 700;
  line-height: 1.05;
  white-space: nowrap;
  font-family: var(--body);
}
.number.long {
  font-size: 4.5em;
}
.says {
  font-size: 2em;
  line-height: 1.25;
}
.how {
  font-size: 1.75em;
  line-height: 1.25;
}
.picture {
  width: 100%;
  height: 100%;
  min-height: 0;
  cursor: pointer;
}
.picture :deep(.drawn) {
  stroke-width: 3px;
}
.clock {
  font-size: 2.5em;
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
.clock.done {
  background: var(--yellow);
  color: #23211c;
  padding: 0 12px;
}
.clocks {
  display: flex;
  gap: var(--gap);
}
.turn {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1fr 2fr;
  gap: var(--gap);
}
.turn button {
  min-height: 84px;
  border: 2px solid var(--kraft-deep);
  border-radius: 6px;
  background: var(--sheet);
  color: var(--ink);
  font-family: var(--body);
  font-size: 2em;
  font-weight: 650;
  cursor: pointer;
}
.turn .on:not(:disabled) {
  background: var(--yellow);
  border-color: var(--yellow);
  color: #23211c;
}
.turn button:disabled {
  color: var(--soft);
  cursor: default;
}
@media (max-width: 900px), (max-aspect-ratio: 1) {
  .table {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 3fr) minmax(0, 2fr) auto;
  }
}
</style>
