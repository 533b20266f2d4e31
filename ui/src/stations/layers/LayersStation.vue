<script setup lang="ts">
import { computed, ref } from 'vue'

import FrontDrawing from '../../drawing/FrontDrawing.vue'
import NoteList from '../../fields/NoteList.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import ThingList from '../mail/ThingList.vue'
import StationLayout from '../StationLayout.vue'
import ItemList from './ItemList.vue'
import LayerEditor from './LayerEditor.vue'

const props = defineProps<{ job: JobInHand }>()

const { choices } = useShop()
const plan = computed(() => props.job.plan.value!)
const layers = computed(() => plan.value.layers)
const parts = computed(() => props.job.job.value!.parts)

/** The papers from the top down, with their places in the list of parts; liners come last. */
const order = computed(() => layers.value.order.filter((at) => at < parts.value.length))
const picked = ref(-1)
const full = computed(() => props.job.full('parts'))

const row = (at: number) => [...layers.value.rows, ...layers.value.liners].find((r) => r.part === at)
</script>

<template>
  <StationLayout :sentence="layers.sentence" follow>
    <template #drawing>
      <FrontDrawing
        :layers="layers"
        :unit="plan.unit"
        :tick="plan.tick"
        @step="(part, steps, on) => job.step(`parts.${part}.border`, steps, on)"
      />
    </template>
    <NoteList :notes="layers.notes" />
    <ol class="stack" aria-label="Papers from the top down">
      <LayerEditor v-for="at in order" :key="parts[at]!.id" :job="job" :at="at" :row="row(at)" />
    </ol>
    <div class="add">
      <v-btn
        v-for="k in choices('papers')"
        :key="k.id"
        variant="outlined"
        :data-test="`add-${k.id}`"
        :disabled="full"
        @click="job.add('parts', k.id)"
      >
        {{ k.name }}
      </v-btn>
    </div>
    <ThingList :job="job" :at="picked" @pick="picked = $event" />
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
