<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'

import WaitingPage from '../frame/WaitingPage.vue'
import { useJob } from '../job/useJob'

/** Card and envelope as large as they are, on a screen that was held against a ruler once. */
const props = defineProps<{ id: string }>()

const job = useJob(props.id, ref('card/base'))
onMounted(() => job.load())

const plan = computed(() => job.plan.value)
const name = computed(() => job.job.value?.name)
const failure = computed(() => job.missing.value || job.refused.value)

const usual = 96 / 25.4 // what a browser takes a millimetre for
const perMM = useStorage('yellow-parcel-pixels-a-millimetre', usual)
const bar = 100 // millimetres that are held against a ruler
const step = 0.5 // millimetres by which it is changed
const longer = (by: number) => (perMM.value = Math.max(1, Math.min(20, perMM.value * (1 + by / bar))))

const mm = (nm: number) => nm / 1e6
const card = computed(() => ({
  w: mm(plan.value?.card.width.nm ?? 0),
  h: mm(plan.value?.card.height.nm ?? 0),
  text: `${plan.value?.card.width.text} × ${plan.value?.card.height.text}`,
}))
const envelope = computed(() => {
  const closed = plan.value?.envelope.blank.closed
  const lies = plan.value?.envelope.blank.lies
  if (!closed || !lies) return undefined
  // It is drawn as the card stands.
  const turned = mm(lies.width) !== card.value.w && mm(lies.width) === card.value.h
  const [w, h] = [mm(closed.width.nm), mm(closed.height.nm)]
  return { w: turned ? h : w, h: turned ? w : h, text: `${closed.width.text} × ${closed.height.text}` }
})
const wide = computed(() => Math.max(card.value.w, envelope.value?.w ?? 0))
const high = computed(() => Math.max(card.value.h, envelope.value?.h ?? 0))
</script>

<template>
  <WaitingPage v-if="plan?.waits" :id="id" :waits="plan.waits" />
  <main v-else class="true-size">
    <p class="row">
      <router-link :to="`/jobs/${id}/bench/pieces`">Back to the bench</router-link>
      <strong>{{ name }}</strong>
    </p>
    <p v-if="failure" role="alert" class="tone-trouble">{{ failure }}</p>
    <p v-else-if="!plan" class="soft" aria-busy="true">Laying it out…</p>
    <template v-else>
      <div class="row">
        <svg
          role="img"
          aria-label="A bar of 100 mm, to be held against a ruler"
          :width="bar * perMM + 4"
          height="22"
          data-test="ruler-bar"
        >
          <path class="drawn drawn-size" :d="`M2 4V18M2 11H${bar * perMM + 2}M${bar * perMM + 2} 4V18`" />
        </svg>
        <v-btn
          variant="outlined"
          size="small"
          aria-label="Bar shorter"
          data-test="bar-shorter"
          @click="longer(-step)"
          >Shorter</v-btn
        >
        <v-btn
          variant="outlined"
          size="small"
          aria-label="Bar longer"
          data-test="bar-longer"
          @click="longer(step)"
          >Longer</v-btn
        >
        <v-btn variant="text" size="small" data-test="bar-usual" @click="perMM = usual">As it was</v-btn>
        <span class="soft">Hold a ruler to the bar once, and make it 100 mm long.</span>
      </div>
      <div class="scroll" tabindex="0">
        <svg
          role="img"
          :aria-label="`The card, ${card.text}, in its envelope, ${envelope?.text}, at true size`"
          :width="(wide + 2) * perMM"
          :height="(high + 2) * perMM"
          :viewBox="`-1 -1 ${wide + 2} ${high + 2}`"
        >
          <rect
            v-if="envelope"
            class="drawn drawn-cut drawn-paper"
            x="0"
            y="0"
            :width="envelope.w"
            :height="envelope.h"
            data-test="true-envelope"
          />
          <rect
            class="drawn drawn-card"
            :x="(wide - card.w) / 2"
            :y="(high - card.h) / 2"
            :width="card.w"
            :height="card.h"
            data-test="true-card"
          />
        </svg>
      </div>
      <p class="soft">Card {{ card.text }}. Envelope closed {{ envelope?.text }}.</p>
    </template>
  </main>
</template>

<style scoped>
.true-size {
  padding: var(--near) var(--edge) var(--far);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap);
  align-items: center;
}
.scroll {
  overflow: auto;
  max-width: 100%;
}
</style>
