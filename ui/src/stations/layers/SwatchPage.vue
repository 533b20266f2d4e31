<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'

import DrawnShapes from '../../drawing/DrawnShapes.vue'
import TrueSizePage from '../../drawing/TrueSizePage.vue'
import WaitingPage from '../../frame/WaitingPage.vue'
import { useJob } from '../../job/useJob'

/** A ladder of swatches for one card size, printed at its true size. */
const props = defineProps<{ id: string }>()

const job = useJob(props.id, ref(''))
onMounted(() => job.load())

const plan = computed(() => job.plan.value)
const name = computed(() => job.job.value?.name)
const failure = computed(() => job.missing.value || job.refused.value)

const swatches = computed(() => plan.value?.layers.ladder.swatches ?? [])
</script>

<template>
  <WaitingPage v-if="plan?.waits" :id="id" :waits="plan.waits" />
  <TrueSizePage
    v-else-if="plan"
    :title="`Swatches for ${plan.ticket[0]?.value}`"
    :back="`/jobs/${id}/layers`"
    back-name="Layers"
    :width="plan.layers.ladder.flat.width"
    :height="plan.layers.ladder.flat.height"
    :words="plan.layers.ladder.drawing"
    drawn
    name="ladder"
  >
    <template #words>
      <p class="soft">{{ name }}. Cut one of each from scrap and lay them on the card.</p>
    </template>
    <DrawnShapes :shapes="plan.layers.ladder.flat.shapes" fine />
    <text
      v-for="l in plan.layers.ladder.flat.labels"
      :key="l.part"
      class="true-text"
      text-anchor="middle"
      :x="l.at.x"
      :y="l.at.y + 0.9"
    >
      {{ l.text }}
    </text>
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
  /* stylelint-disable-next-line declaration-property-value-allowed-list -- printed at its true size */
  font-size: 2.4px;
}
.list {
  max-width: 520px;
}
.none {
  padding: var(--near) var(--edge);
}
</style>
