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
const post = computed(() => plan.value.post)

const views = [
  { id: 'piece', name: 'Closed' },
  { id: 'relief', name: 'Relief' },
  { id: 'belt', name: 'Belt and drum' },
]
const view = ref('piece')
const at = ref(-1) // the thing in hand, by its place among the parts

// What the verdict rests on stands beside the drawing, the rest below.
const first = computed(() => post.value.classes.find((c) => c.chosen) ?? post.value.classes[0])
const others = computed(() => post.value.classes.filter((c) => c !== first.value))

const send = (destination: string) => props.job.set('post.destination', destination)

function move(part: number, x: number, y: number, on: boolean) {
  props.job.stepAll(
    [
      { path: `parts.${part}.thing.x`, steps: x },
      { path: `parts.${part}.thing.y`, steps: y },
    ],
    on,
  )
}

const rows = computed(() => (view.value === 'belt' ? post.value.beam.rows : post.value.relief.rows))
</script>

<template>
  <StationLayout :sentence="post.sentence">
    <template #drawing>
      <ChoiceRow v-model="view" label="What is drawn" name="post-view" :choices="views" />
      <PieceDrawing v-if="view === 'piece'" :post="post" :unit="plan.unit" />
      <ReliefDrawing
        v-else-if="view === 'relief'"
        :relief="post.relief"
        :unit="plan.unit"
        :tick="plan.tick"
        :at="at"
        @pick="at = $event"
        @move="move"
      />
      <BeltDrawing v-else :beam="post.beam" />
    </template>
    <PickRow
      label="Where it goes"
      name="destination"
      :choices="choices('destinations')"
      :model-value="post.destination"
      @update:model-value="send"
    />
    <template v-if="view === 'piece'">
      <ClassChecks v-if="first" :key="first.id" :result="first" first />
      <dl v-else class="readings">
        <ReadingRow v-for="r in post.readings" :key="r.id" :reading="r" />
      </dl>
      <p v-if="post.postage.each" class="postage" data-test="postage">
        Postage <strong>{{ post.postage.each }}</strong> each, <strong>{{ post.postage.total }}</strong> for
        all
      </p>
      <NoteList :notes="[...post.notes, ...post.postage.notes]" />
    </template>
    <template v-else>
      <dl class="readings">
        <ReadingRow v-for="r in rows" :key="r.id" :reading="r" />
      </dl>
      <p v-if="view === 'belt'" :class="`tone-${post.beam.tone}`" class="verdict" data-test="belt-verdict">
        {{ post.beam.sentence }}
      </p>
      <ThingList v-else :job="job" :at="at" @pick="at = $event" />
    </template>
    <template #below>
      <RemedyList
        v-if="post.remedies.length"
        :remedies="post.remedies"
        @apply="job.take('post.remedies', $event)"
      />
      <EverywhereTable :places="post.everywhere" @choose="send" />
      <div class="two">
        <MeasurePanel :job="job" :measured="post.measured" :weights="post.weights" />
        <PieceOptions :job="job" :cautions="post.cautions" :options="post.options" />
      </div>
      <section v-if="post.gauge" class="gauge" aria-label="Thickness gauge">
        <h2>Thickness gauge for a {{ post.gauge.class }}</h2>
        <p :class="{ 'tone-care': !post.gauge.ok }" data-test="gauge-text">{{ post.gauge.text }}</p>
        <router-link :to="`/jobs/${job.id}/gauge`" data-test="to-gauge">Draw it at its true size</router-link>
      </section>
      <ClassChecks v-for="c in others" :key="c.id" :result="c" />
      <p v-if="post.source" class="soft source">{{ post.source }}</p>
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
