<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'

import DrawnShapes from '../../drawing/DrawnShapes.vue'
import TrueSizePage from '../../drawing/TrueSizePage.vue'
import TypedField from '../../fields/TypedField.vue'
import WaitingPage from '../../frame/WaitingPage.vue'
import { useJob } from '../../job/useJob'

/** The thickness gauge at its true size, for the piece of card at hand. */
const props = defineProps<{ id: string }>()

const job = useJob(props.id, ref('mail/gauge'))
onMounted(() => job.load())

const gauge = computed(() => job.plan.value?.mail.gauge)
const mm = (nm: number) => nm / 1e6
</script>

<template>
  <WaitingPage v-if="job.plan.value?.waits" :id="id" :waits="job.plan.value.waits" />
  <TrueSizePage
    v-else-if="gauge"
    :title="`Thickness gauge for a ${gauge.class}`"
    :back="`/jobs/${id}/mail`"
    back-name="Mail"
    :width="mm(gauge.width.nm)"
    :height="mm(gauge.height.nm)"
    :words="gauge.text"
    :drawn="gauge.ok"
    name="gauge"
  >
    <template #words>
      <p class="text" :class="{ 'tone-care': !gauge.ok }" data-test="gauge-text">{{ gauge.text }}</p>
    </template>
    <template #fields>
      <TypedField :of="job" path="mail.gaugeWidth" :placeholder="gauge.width.text" />
      <TypedField :of="job" path="mail.gaugeHeight" :placeholder="gauge.height.text" />
    </template>
    <DrawnShapes :shapes="gauge.flat.shapes" fine />
    <text
      v-for="l in gauge.flat.labels"
      :key="l.part"
      class="true-text"
      text-anchor="middle"
      :x="l.at.x"
      :y="l.at.y + 1"
    >
      {{ l.text }}
    </text>
  </TrueSizePage>
  <main v-else class="none">
    <p v-if="job.missing.value" role="alert" class="tone-trouble">{{ job.missing.value }}</p>
    <template v-else-if="job.ready.value">
      <p><router-link :to="`/jobs/${id}/mail`">Back to Mail</router-link></p>
      <p class="soft">There is no limit of thickness where this job goes, so no gauge of it.</p>
    </template>
    <p v-else class="soft" aria-busy="true">Working the gauge out…</p>
  </main>
</template>

<style scoped>
.text {
  max-width: 900px;
}
.none {
  padding: 16px 40px;
}
</style>
