<script setup lang="ts">
import { computed, ref, watch } from 'vue'

import FrontDrawing from '../../drawing/FrontDrawing.vue'
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
const thing = ref(-1) // the thing in hand
const opened = ref<number>() // the paper whose fields are open; the top one at first
const paper = computed(() =>
  opened.value !== undefined && order.value.includes(opened.value) ? opened.value : order.value[0],
)
// What is put on opens, to be set.
watch(
  () => parts.value.map((p) => p.id),
  (now, before) => {
    const added = now.findIndex((id) => !before.includes(id))
    if (added >= 0 && now.length > before.length) opened.value = added
  },
)
const full = computed(() => props.job.full('parts'))

const row = (at: number) => [...layers.value.rows, ...layers.value.liners].find((r) => r.part === at)
</script>

<template>
  <StationLayout station="layers" :sentence="layers.sentence" :notes="layers.notes">
    <template #drawing="{ drawer }">
      <FrontDrawing
        :layers="layers"
        :unit="plan.unit"
        :tick="plan.tick"
        :lit="drawer === 'layers' ? paper : thing"
        @step="(part, steps, on) => job.step(`parts.${part}.border`, steps, on)"
        @pick="opened = $event"
      />
    </template>
    <template #layers>
      <ol class="stack" aria-label="Papers from the top down">
        <LayerEditor
          v-for="at in order"
          :key="parts[at]!.id"
          :job="job"
          :at="at"
          :row="row(at)"
          :open="at === paper"
          @open="opened = at"
        />
      </ol>
      <div class="add">
        <v-btn
          v-for="k in choices('papers')"
          :key="k.id"
          variant="outlined"
          size="small"
          :data-test="`add-${k.id}`"
          :disabled="full"
          @click="job.add('parts', k.id)"
        >
          {{ k.name }}
        </v-btn>
        <router-link :to="`/jobs/${job.id}/swatches`" data-test="to-swatches">Print swatches</router-link>
      </div>
    </template>
    <template #panel><ItemList :job="job" :items="layers.items" /></template>
    <template #things><ThingList :job="job" :at="thing" @pick="thing = $event" /></template>
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
  align-items: center;
  gap: var(--near) var(--gap);
}
</style>
