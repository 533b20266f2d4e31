<script setup lang="ts">
import { ref, watch } from 'vue'

import { api, sentenceOf, unreachable, type TemplatePlan } from '../../api/client'
import type { JobInHand } from '../../job/useJob'

/** A ready-made envelope of a file, held against the card: nothing of it is stored. */
const props = defineProps<{ job: JobInHand }>()
const found = defineModel<TemplatePlan>()

const mostBytes = 2 << 20
const problem = ref('')
const text = ref('')

async function look() {
  const job = props.job.job.value
  if (!text.value || !job) return
  const body = { text: text.value, job }
  const { data, error } = await api.POST('/api/template', { body }).catch(unreachable)
  found.value = data
  problem.value = data ? '' : sentenceOf(error)
}

async function choose(chosen: File | File[] | null) {
  const file = Array.isArray(chosen) ? chosen[0] : chosen
  if (!file) return
  if (file.size > mostBytes) {
    drop()
    problem.value = `“${file.name}” is larger than 2 MB: leave only the envelope in it, and save it anew.`
    return
  }
  text.value = await file.text()
  await look()
}

function drop() {
  text.value = ''
  problem.value = ''
  found.value = undefined
}

watch(() => props.job.job.value, look)
</script>

<template>
  <section aria-label="Template" class="template" data-test="template">
    <h3 class="part">A template from a file</h3>
    <v-file-input
      label="SVG or DXF of an envelope"
      accept=".svg,.dxf"
      :model-value="null"
      data-test="template-file"
      @update:model-value="choose"
    />
    <p v-if="problem" class="tone-trouble" role="alert" data-test="template-problem">{{ problem }}</p>
    <template v-if="found">
      <p data-test="template-sentence" :class="found.suits ? 'tone-fine' : 'tone-trouble'">
        <template v-for="(span, i) in found.sentence.spans" :key="i">
          <strong v-if="span.mark">{{ span.text }}</strong>
          <template v-else>{{ span.text }}</template>
        </template>
      </p>
      <p data-test="template-facts">{{ found.creases }} {{ found.inside }} {{ found.seam }}</p>
      <p v-for="n in found.notes" :key="n.text" :class="`tone-${n.tone}`">{{ n.text }}</p>
      <ul class="stretches" data-test="template-stretched">
        <li v-for="s in found.stretched" :key="s.name">
          <strong>{{ s.name }}</strong> <span :class="`tone-${s.tone}`">{{ s.text }}</span>
        </li>
      </ul>
      <p v-if="found.instead" data-test="template-instead">{{ found.instead }}</p>
      <v-btn variant="outlined" size="small" class="away" data-test="template-drop" @click="drop"
        >Put the template away</v-btn
      >
    </template>
  </section>
</template>

<style scoped>
.template {
  display: grid;
  gap: var(--near);
  margin-top: var(--gap);
}
p,
.part {
  margin: 0;
}
.stretches {
  margin: 0;
  padding-left: 1.2em;
}
.away {
  justify-self: start;
}
</style>
