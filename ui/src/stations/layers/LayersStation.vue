<script setup lang="ts">
import { computed } from 'vue'

import type { Job } from '../../api/client'
import FrontDrawing from '../../drawing/FrontDrawing.vue'
import NoteList from '../../fields/NoteList.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import StationLayout from '../StationLayout.vue'
import ItemList from './ItemList.vue'
import LayerEditor from './LayerEditor.vue'

const props = defineProps<{ job: JobInHand }>()

const { shop } = useShop()
const plan = computed(() => props.job.plan.value!)
const layers = computed(() => plan.value.layers)
const parts = computed(() => props.job.job.value!.parts)
const tick = computed(() => {
  const s = shop.value?.shop
  return (s?.unit === 'mm' ? s.tickMillimetres : s?.tickInches) ?? 1
})

/** The papers from the top down, with their places in the list of parts; liners come last. */
const order = computed(() => layers.value.order.filter((at) => at < parts.value.length))
/** The layer that lies on each part, if any. */
const above = (at: number) => {
  const i = order.value.indexOf(at)
  return i > 0 && parts.value[at]!.kind !== 'liner' ? order.value[i - 1] : undefined
}

function change(make: (parts: Job['parts']) => Job['parts']) {
  props.job.choose((j) => ({ ...j, parts: make(j.parts) }))
}

function set(at: number, to: Partial<Job['parts'][number]>) {
  change((list) => list.map((p, i) => (i === at ? { ...p, ...to } : p)))
}

const add = (kind: 'layer' | 'liner') => props.job.tell('layers.add', kind)

function swap(a: number, b: number) {
  change((list) => list.map((p, i) => (i === a ? list[b]! : i === b ? list[a]! : p)))
}

const row = (at: number) => [...layers.value.rows, ...layers.value.liners].find((r) => r.part === at)
</script>

<template>
  <StationLayout :sentence="layers.sentence" follow>
    <template #drawing>
      <FrontDrawing
        :layers="layers"
        :unit="plan.unit"
        :tick="tick"
        @step="(part, steps, on) => job.step(`parts.${part}.border`, steps, on)"
      />
    </template>
    <NoteList :notes="layers.notes" />
    <ol class="stack" aria-label="Papers from the top down">
      <LayerEditor
        v-for="at in order"
        :key="parts[at]!.id"
        :job="job"
        :at="at"
        :row="row(at)"
        :above="above(at)"
        :below="order[order.indexOf(at) + 1]"
        @set="set"
        @swap="swap"
        @remove="change((list) => list.filter((_, i) => i !== $event))"
      />
    </ol>
    <div class="add">
      <v-btn variant="outlined" data-test="add-layer" :disabled="layers.full" @click="add('layer')">
        Put a layer on top
      </v-btn>
      <v-btn variant="outlined" data-test="add-liner" :disabled="layers.full" @click="add('liner')">
        Put a liner inside
      </v-btn>
    </div>
    <ItemList :job="job" :items="layers.items" />
    <p>
      <router-link :to="`/jobs/${job.id}/swatches`" data-test="to-swatches"
        >Print a ladder of swatches for this card</router-link
      >
    </p>
  </StationLayout>
</template>

<style scoped>
.stack {
  list-style: none;
  margin: 0;
  padding: 0;
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
