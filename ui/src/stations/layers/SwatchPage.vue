<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'

import { api, sentenceOf, type Plan } from '../../api/client'
import TrueSizePage from '../../drawing/TrueSizePage.vue'

/** A ladder of swatches for one card size, printed at its true size. */
const props = defineProps<{ id: string }>()

const plan = ref<Plan>()
const name = ref('')
const failure = ref('')

onMounted(async () => {
  const job = await api.GET('/api/jobs/{id}', { params: { path: { id: props.id } } })
  if (!job.data) {
    failure.value = sentenceOf(job.error)
    return
  }
  name.value = job.data.job.name
  const made = await api.POST('/api/plan', { body: { job: job.data.job, edits: [] } })
  if (made.data) plan.value = made.data.plan
  else failure.value = sentenceOf(made.error)
})

const mm = (nm: number) => nm / 1e6
const swatches = computed(() => plan.value?.layers.ladder.swatches ?? [])
const size = computed(() => {
  const first = swatches.value[0]
  return first ? { w: mm(first.width.nm), h: mm(first.height.nm) } : { w: 0, h: 0 }
})
</script>

<template>
  <TrueSizePage
    v-if="plan"
    :title="`Swatches for ${plan.ticket[0]?.value}`"
    :back="`/jobs/${id}/layers`"
    back-name="Layers"
    :width="size.w"
    :height="size.h"
    :words="plan.layers.ladder.drawing"
    drawn
    name="ladder"
  >
    <template #words>
      <p class="soft">{{ name }}. Cut one of each from scrap and lay them on the card.</p>
    </template>
    <g v-for="s in swatches" :key="s.border.nm">
      <rect
        class="true-line"
        x="0"
        :y="size.h - mm(s.height.nm)"
        :width="mm(s.width.nm)"
        :height="mm(s.height.nm)"
        :data-border="s.border.nm"
      />
      <text class="true-text" :x="mm(s.width.nm) - 0.6" :y="size.h - mm(s.height.nm) + 2.6" text-anchor="end">
        {{ s.size }}
      </text>
    </g>
    <template #below>
      <v-table class="numbers list">
        <thead>
          <tr>
            <th scope="col">Swatch</th>
            <th scope="col">Border</th>
            <th scope="col">Covers of the card</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in swatches" :key="s.border.nm" data-test="swatch">
            <th scope="row">{{ s.size }}</th>
            <td>{{ s.border.text }}</td>
            <td>{{ s.share }}</td>
          </tr>
        </tbody>
      </v-table>
    </template>
  </TrueSizePage>
  <main v-else class="none">
    <p v-if="failure" role="alert" class="tone-trouble">{{ failure }}</p>
    <p v-else class="soft" aria-busy="true">Laying out the swatches…</p>
  </main>
</template>

<style scoped>
.true-text {
  font-size: 2.4px;
}
.list {
  max-width: 520px;
}
.none {
  padding: var(--near) var(--edge);
}
</style>
