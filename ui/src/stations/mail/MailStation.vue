<script setup lang="ts">
import { computed, ref } from 'vue'

import BeltDrawing from '../../drawing/BeltDrawing.vue'
import PieceDrawing from '../../drawing/PieceDrawing.vue'
import ReliefDrawing from '../../drawing/ReliefDrawing.vue'
import ReadingRow from '../../fields/ReadingRow.vue'
import TypedField from '../../fields/TypedField.vue'
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

const { items } = useShop()
const plan = computed(() => props.job.plan.value!)
const mail = computed(() => plan.value.mail)
const at = ref(-1) // the thing in hand, by its place among the parts

// The class that it goes as is read first, then the others.
const classes = computed(() => [...mail.value.classes].sort((a, b) => Number(b.chosen) - Number(a.chosen)))
const notes = computed(() => [...mail.value.notes, ...mail.value.postage.notes])
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
</script>

<template>
  <StationLayout station="mail" :sentence="mail.sentence" :notes="notes">
    <template #drawing="{ drawer }">
      <ReliefDrawing
        v-if="drawer === 'things'"
        :relief="mail.relief"
        :unit="plan.unit"
        :tick="plan.tick"
        :at="at"
        @pick="at = $event"
        @move="move"
      />
      <BeltDrawing v-else-if="drawer === 'bending'" :beam="mail.beam" />
      <PieceDrawing v-else :mail="mail" :unit="plan.unit" />
    </template>
    <template #checks>
      <v-select
        label="Destination"
        :model-value="mail.destination"
        :items="items('destinations')"
        data-test="pick-destination"
        @update:model-value="send"
      />
      <dl class="readings">
        <ReadingRow v-for="r in mail.readings" :key="r.id" :reading="r" />
      </dl>
      <p v-if="mail.postage.each" data-test="postage">
        Postage <strong>{{ mail.postage.each }}</strong> each, <strong>{{ mail.postage.total }}</strong> for
        all
      </p>
      <ClassChecks v-for="(c, i) in classes" :key="c.id" :result="c" :first="i === 0" />
      <PieceOptions :job="job" :cautions="mail.cautions" :options="mail.options" />
      <p v-if="mail.source" class="soft source">{{ mail.source }}</p>
    </template>
    <template #fixes>
      <RemedyList
        v-if="mail.remedies.length"
        :remedies="mail.remedies"
        @apply="job.take('mail.remedies', $event)"
      />
      <p v-if="mail.fixesNote" class="soft" data-test="fixes-note">{{ mail.fixesNote }}</p>
    </template>
    <template #destinations><EverywhereTable :places="mail.everywhere" @choose="send" /></template>
    <template #things>
      <dl class="readings">
        <ReadingRow v-for="r in mail.relief.rows" :key="r.id" :reading="r" />
      </dl>
      <ThingList :job="job" :at="at" @pick="at = $event" />
    </template>
    <template #bending>
      <p :class="`tone-${mail.beam.tone}`" class="verdict" data-test="belt-verdict">
        {{ mail.beam.sentence }}
      </p>
      <dl class="readings">
        <ReadingRow v-for="r in mail.beam.rows" :key="r.id" :reading="r" />
      </dl>
    </template>
    <template #measure>
      <MeasurePanel :job="job" :measured="mail.measured" :weights="mail.weights" />
    </template>
    <template #gauge>
      <template v-if="mail.gauge">
        <p :class="{ 'tone-care': !mail.gauge.ok }" data-test="gauge-text">{{ mail.gauge.text }}</p>
        <div class="field-grid">
          <TypedField :of="job" path="mail.gaugeWidth" :placeholder="mail.gauge.width.text" />
          <TypedField :of="job" path="mail.gaugeHeight" :placeholder="mail.gauge.height.text" />
          <TypedField :of="job" path="mail.gaugeSlot" :placeholder="mail.gauge.slotHeight" />
          <TypedField :of="job" path="mail.measured.through" />
        </div>
        <router-link :to="`/jobs/${job.id}/gauge`" data-test="to-gauge">Draw it at true size</router-link>
      </template>
      <p v-else class="soft">This destination has no thickness limit, so it needs no gauge.</p>
    </template>
  </StationLayout>
</template>

<style scoped>
.verdict {
  font-weight: 600;
}
.source {
  font-size: var(--size-note);
}
</style>
