<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'

import { api, sentenceOf, type Plan } from '../../api/client'
import CheckBar from '../../drawing/CheckBar.vue'

/** A ladder of swatches for one card size, printed at its true size. */
const props = defineProps<{ id: string }>()

const plan = ref<Plan>()
const name = ref('')
const failure = ref('')
const margin = 2 // mm round the outlines

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

function print() {
  window.print()
}
</script>

<template>
  <main class="swatches">
    <p v-if="failure" role="alert" class="tone-trouble">{{ failure }}</p>
    <template v-else-if="plan">
      <p class="bar">
        <router-link :to="`/jobs/${id}/layers`">Back to Layers</router-link>
        <v-btn variant="flat" color="secondary" @click="print">Print at 100 %</v-btn>
      </p>
      <h1>Swatches for {{ plan.ticket[0]?.value }}</h1>
      <p class="soft">
        {{ name }}. Cut one of each from scrap and lay them on the card. Print without fitting to the page,
        then measure the bar.
      </p>
      <svg
        role="img"
        :aria-label="plan.layers.ladder.drawing"
        :width="`${size.w + 2 * margin}mm`"
        :height="`${size.h + 2 * margin}mm`"
        :viewBox="`${-margin} ${-margin} ${size.w + 2 * margin} ${size.h + 2 * margin}`"
        data-test="ladder"
      >
        <g v-for="s in swatches" :key="s.border.nm">
          <rect
            class="outline"
            x="0"
            :y="size.h - mm(s.height.nm)"
            :width="mm(s.width.nm)"
            :height="mm(s.height.nm)"
            :data-border="s.border.nm"
          />
          <text :x="mm(s.width.nm) - 0.6" :y="size.h - mm(s.height.nm) + 2.6" text-anchor="end">
            {{ s.size }}
          </text>
        </g>
      </svg>
      <CheckBar />
      <table class="numbers-table list">
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
      </table>
    </template>
    <p v-else class="soft" aria-busy="true">Laying out the swatches…</p>
  </main>
</template>

<style scoped>
.swatches {
  padding: 16px 40px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.bar {
  display: flex;
  gap: 24px;
  align-items: center;
}
.outline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.2;
}
text {
  fill: var(--ink);
  font: 2.4px var(--body);
}
.list {
  max-width: 520px;
}
@media print {
  .bar {
    display: none;
  }
  .swatches {
    padding: 0;
    --ink: #000;
    --soft: #000;
    background: #fff;
    color: #000;
  }
}
</style>
