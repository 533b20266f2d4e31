<script setup lang="ts">
import { computed, ref } from 'vue'

import BeltDrawing from '../../drawing/BeltDrawing.vue'
import PieceDrawing from '../../drawing/PieceDrawing.vue'
import ReliefDrawing from '../../drawing/ReliefDrawing.vue'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import NoteList from '../../fields/NoteList.vue'
import PickRow from '../../fields/PickRow.vue'
import ReadingRow from '../../fields/ReadingRow.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import StationLayout from '../StationLayout.vue'
import ClassChecks from './ClassChecks.vue'
import EverywhereTable from './EverywhereTable.vue'
import MeasurePanel from './MeasurePanel.vue'
import PieceOptions from './PieceOptions.vue'
import RemedyList from './RemedyList.vue'
import ThingList from './ThingList.vue'

const props = defineProps<{ job: JobInHand }>()

const { choices } = useShop()
const plan = computed(() => props.job.plan.value!)
const mail = computed(() => plan.value.mail)

const views = [
  { id: 'piece', name: 'Closed' },
  { id: 'relief', name: 'Relief' },
  { id: 'belt', name: 'Belt and drum' },
]
const view = ref('piece')
const at = ref(-1) // the thing in hand, by its place among the parts

// What the verdict rests on stands beside the drawing, the rest below.
const first = computed(() => mail.value.classes.find((c) => c.chosen) ?? mail.value.classes[0])
const others = computed(() => mail.value.classes.filter((c) => c !== first.value))

const send = (destination: string) => props.job.set('mail.destination', destination)

function move(part: number, x: number, y: number, on: boolean) {
  props.job.stepAll(
    [
      { path: `parts.${part}.thing.x`, steps: x },
      { path: `parts.${part}.thing.y`, steps: y },
    ],
    on,
  )
}

const rows = computed(() => (view.value === 'belt' ? mail.value.beam.rows : mail.value.relief.rows))
</script>

<template>
  <StationLayout :sentence="mail.sentence">
    <template #drawing>
      <ChoiceRow v-model="view" label="What is drawn" name="mail-view" :choices="views" />
      <PieceDrawing v-if="view === 'piece'" :mail="mail" :unit="plan.unit" />
      <ReliefDrawing
        v-else-if="view === 'relief'"
        :relief="mail.relief"
        :unit="plan.unit"
        :tick="plan.tick"
        :at="at"
        @pick="at = $event"
        @move="move"
      />
      <BeltDrawing v-else :beam="mail.beam" />
    </template>
    <PickRow
      label="Where it goes"
      name="destination"
      :choices="choices('destinations')"
      :model-value="mail.destination"
      @update:model-value="send"
    />
    <template v-if="view === 'piece'">
      <ClassChecks v-if="first" :key="first.id" :result="first" first />
      <dl v-else class="readings">
        <ReadingRow v-for="r in mail.readings" :key="r.id" :reading="r" />
      </dl>
      <p v-if="mail.postage.each" class="postage" data-test="postage">
        Postage <strong>{{ mail.postage.each }}</strong> each, <strong>{{ mail.postage.total }}</strong> for
        all
      </p>
      <NoteList :notes="[...mail.notes, ...mail.postage.notes]" />
    </template>
    <template v-else>
      <dl class="readings">
        <ReadingRow v-for="r in rows" :key="r.id" :reading="r" />
      </dl>
      <p v-if="view === 'belt'" :class="`tone-${mail.beam.tone}`" class="verdict" data-test="belt-verdict">
        {{ mail.beam.sentence }}
      </p>
      <ThingList v-else :job="job" :at="at" @pick="at = $event" />
    </template>
    <template #below>
      <RemedyList
        v-if="mail.remedies.length"
        :remedies="mail.remedies"
        @apply="job.take('mail.remedies', $event)"
      />
      <EverywhereTable :places="mail.everywhere" @choose="send" />
      <div class="two">
        <MeasurePanel :job="job" :measured="mail.measured" :weights="mail.weights" />
        <PieceOptions :job="job" :cautions="mail.cautions" :options="mail.options" />
      </div>
      <section v-if="mail.gauge" class="gauge" aria-label="Thickness gauge">
        <h2>Thickness gauge for a {{ mail.gauge.class }}</h2>
        <p :class="{ 'tone-care': !mail.gauge.ok }" data-test="gauge-text">{{ mail.gauge.text }}</p>
        <router-link :to="`/jobs/${job.id}/gauge`" data-test="to-gauge">Draw it at its true size</router-link>
      </section>
      <ClassChecks v-for="c in others" :key="c.id" :result="c" />
      <p v-if="mail.source" class="soft source">{{ mail.source }}</p>
    </template>
  </StationLayout>
</template>

<style scoped>
.readings {
  margin: 0;
  display: grid;
  gap: 6px;
  --numbers: 150px;
}
.postage {
  font-size: 18px;
}
.verdict {
  font-size: 18px;
  font-weight: 600;
}
.source {
  font-size: 14px;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(380px, 1fr));
  gap: 18px 48px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.gauge {
  border-top: 1px solid var(--line);
  padding-top: 14px;
  display: grid;
  gap: 6px;
  max-width: 900px;
}
@media (max-width: 820px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
