<script setup lang="ts">
import { computed } from 'vue'

import PieceDrawing from '../../drawing/PieceDrawing.vue'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import NoteList from '../../fields/NoteList.vue'
import ReadingRow from '../../fields/ReadingRow.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import StationLayout from '../StationLayout.vue'
import ClassChecks from './ClassChecks.vue'

const props = defineProps<{ job: JobInHand }>()

const { shop } = useShop()
const plan = computed(() => props.job.plan.value!)
const post = computed(() => plan.value.post)

// What the verdict rests on stands beside the drawing, the rest below.
const first = computed(() => post.value.classes.find((c) => c.chosen) ?? post.value.classes[0])
const others = computed(() => post.value.classes.filter((c) => c !== first.value))

function send(destination: string) {
  props.job.choose((j) => ({ ...j, post: { ...j.post, destination } }))
}
</script>

<template>
  <StationLayout :sentence="post.sentence">
    <template #drawing>
      <PieceDrawing :post="post" :unit="plan.unit" />
    </template>
    <ChoiceRow
      label="Where it goes"
      name="destination"
      :choices="shop?.choices.destinations ?? []"
      :model-value="post.destination"
      @update:model-value="send"
    />
    <ClassChecks v-if="first" :key="first.id" :result="first" first />
    <dl v-else class="readings">
      <ReadingRow v-for="r in post.readings" :key="r.id" :reading="r" />
    </dl>
    <NoteList :notes="post.notes" />
    <template #below>
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
  --numbers: 190px;
}
.source {
  font-size: 14px;
}
</style>
