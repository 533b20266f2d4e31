<script setup lang="ts">
import { computed } from 'vue'

import type { Job } from '../../api/client'
import NetDrawing from '../../drawing/NetDrawing.vue'
import LengthField from '../../fields/LengthField.vue'
import NoteList from '../../fields/NoteList.vue'
import PickRow from '../../fields/PickRow.vue'
import ReadingRow from '../../fields/ReadingRow.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import StationLayout from '../StationLayout.vue'
import BoughtList from './BoughtList.vue'
import WaysOfScoring from './WaysOfScoring.vue'

const props = defineProps<{ job: JobInHand }>()

const { shop } = useShop()
const plan = computed(() => props.job.plan.value!)
const envelope = computed(() => plan.value.envelope)
const blank = computed(() => envelope.value.blank)
const wish = computed(() => props.job.job.value!)
const card = computed(() => ({ width: wish.value.card.width / 1e6, height: wish.value.card.height / 1e6 }))

function set(change: Partial<Job['envelope']>) {
  props.job.choose((j) => ({ ...j, envelope: { ...j.envelope, ...change } }))
}
</script>

<template>
  <StationLayout :sentence="blank.sentence">
    <template #drawing>
      <NetDrawing
        :net="blank.net"
        :dimensions="blank.dimensions"
        :card="card"
        :unit="plan.unit"
        :words="blank.drawing"
      />
    </template>
    <NoteList :notes="blank.notes" />
    <dl class="readings">
      <ReadingRow v-for="r in blank.readings" :key="r.id" :reading="r" />
    </dl>
    <div class="wishes">
      <LengthField
        :job="job"
        path="envelope.ease"
        label="Ease wanted"
        note="room round the card, both sides together"
      />
      <LengthField
        :job="job"
        path="envelope.seam"
        label="Seam wanted"
        :note="wish.envelope.school === 'exact' ? 'overlap to be glued' : 'this school sets its own seam'"
      />
      <LengthField :job="job" path="envelope.thumbGap" label="Thumb gap" note="back stays below the throat" />
    </div>
    <PickRow
      label="Size by"
      name="school"
      :choices="shop?.choices.schools ?? []"
      :model-value="wish.envelope.school"
      @update:model-value="set({ school: $event as Job['envelope']['school'] })"
    />
    <PickRow
      label="Paper"
      name="envelope-stock"
      :choices="shop?.choices.stocks ?? []"
      :model-value="wish.envelope.stock"
      @update:model-value="set({ stock: $event })"
    />
    <PickRow
      label="Glued with"
      name="adhesive"
      :choices="shop?.choices.adhesives ?? []"
      :model-value="wish.envelope.adhesive"
      @update:model-value="set({ adhesive: $event })"
    />
    <template #below>
      <WaysOfScoring
        :ways="blank.ways"
        :way="blank.way"
        :school="wish.envelope.school"
        @choose="set({ way: $event })"
      />
      <BoughtList :sentence="envelope.fitsSentence" :fits="envelope.fits" :misses="envelope.misses" />
    </template>
  </StationLayout>
</template>

<style scoped>
.readings {
  margin: 0;
  display: grid;
  gap: 6px;
  padding-bottom: 10px;
  border-bottom: 1px solid var(--line);
}
.wishes {
  display: grid;
  gap: 8px;
}
.readings,
.wishes {
  --numbers: 190px;
}
</style>
