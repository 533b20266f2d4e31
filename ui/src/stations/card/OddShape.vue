<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'

import { api, sentenceOf, unreachable, type OutlinePlan } from '../../api/client'
import type { JobInHand } from '../../job/useJob'

const props = defineProps<{ job: JobInHand }>()

const mostBytes = 2 << 20
const small = 150 // pixels of a preview

const typed = ref('')
const found = ref<OutlinePlan>()
const problem = ref('')
const kept = computed(() => (props.job.job.value?.card.outline?.length ?? 0) > 0)

let asked = 0 // answers that come late are of what was typed before
async function read(text: string) {
  const mine = ++asked
  const { data, error } = await api.POST('/api/outline', { body: { text } }).catch(unreachable)
  if (mine !== asked) return
  found.value = data
  problem.value = data ? '' : sentenceOf(error)
}

/** While corners are typed they are drawn: all of them, or those before the line that is being typed. */
const follow = useDebounceFn(async () => {
  const mine = ++asked
  const lines = typed.value.trimEnd().split('\n')
  for (const text of [lines.join('\n'), lines.slice(0, -1).join('\n')]) {
    if (!text.trim()) break
    const { data } = await api.POST('/api/outline', { body: { text } }).catch(unreachable)
    if (mine !== asked) return
    if (!data) continue
    found.value = data
    problem.value = ''
    return
  }
  found.value = undefined
}, 200)
watch(typed, () => void follow())

async function choose(chosen: File | File[] | null) {
  const file = Array.isArray(chosen) ? chosen[0] : chosen
  if (!file) return
  if (file.size > mostBytes) {
    found.value = undefined
    problem.value = `“${file.name}” is larger than 2 MB: leave only the card's outline in it, and save it anew.`
    return
  }
  await read(await file.text())
}

const take = (outline: OutlinePlan['outline']) => props.job.add('card.outline', JSON.stringify(outline))

const scale = (p: OutlinePlan) => small / Math.max(p.width, p.height, p.uprightWidth, p.uprightHeight)
const path = (points: OutlinePlan['outline'], s: number) =>
  points.map((q, i) => `${i ? 'L' : 'M'}${q.x * s * 1e6} ${q.y * s * 1e6}`).join('') + 'Z'
</script>

<template>
  <section class="odd" aria-label="Odd shape" data-test="odd">
    <h3 class="part">Odd shape</h3>
    <p v-if="kept">
      The envelope is made for the rectangle round it.
      <v-btn variant="outlined" size="small" data-test="drop-outline" @click="job.remove('card.outline')"
        >Back to a rectangle</v-btn
      >
    </p>
    <v-textarea
      v-model="typed"
      rows="3"
      label="Corners of the outline"
      placeholder="0, 0&#10;3 1/2, 0&#10;1 3/4, 3"
      persistent-placeholder
      :messages="['One corner a line: from the left, from the top.']"
      data-test="outline-text"
    />
    <div class="input">
      <v-btn variant="outlined" data-test="read-outline" @click="read(typed)">Read the corners</v-btn>
      <v-file-input
        label="or an SVG or DXF"
        accept=".svg,.dxf,.txt"
        class="file"
        :model-value="null"
        data-test="outline-file"
        @update:model-value="choose"
      />
    </div>
    <p v-if="problem" class="tone-trouble" role="alert" data-test="outline-problem">{{ problem }}</p>
    <template v-if="found">
      <p data-test="outline-sentence">{{ found.sentence }}</p>
      <div class="covers">
        <figure>
          <svg :width="small + 4" :height="small + 4" aria-hidden="true">
            <g transform="translate(2 2)">
              <rect
                class="drawn drawn-away"
                :width="found.width * scale(found)"
                :height="found.height * scale(found)"
              />
              <path class="drawn drawn-cut drawn-paper" :d="path(found.turned, scale(found))" />
            </g>
          </svg>
          <v-btn variant="outlined" size="small" data-test="take-smallest" @click="take(found.turned)"
            >Smallest rectangle</v-btn
          >
        </figure>
        <figure>
          <svg :width="small + 4" :height="small + 4" aria-hidden="true">
            <g transform="translate(2 2)">
              <rect
                class="drawn drawn-away"
                :width="found.uprightWidth * scale(found)"
                :height="found.uprightHeight * scale(found)"
              />
              <path class="drawn drawn-cut drawn-paper" :d="path(found.outline, scale(found))" />
            </g>
          </svg>
          <v-btn variant="outlined" size="small" data-test="take-upright" @click="take(found.outline)"
            >Keep it upright</v-btn
          >
        </figure>
      </div>
    </template>
  </section>
</template>

<style scoped>
.odd {
  display: grid;
  gap: var(--gap);
  border-top: 1px solid var(--line);
  padding-top: var(--gap);
}
.input {
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap);
  align-items: end;
}
.file {
  flex: 1 1 180px;
}
.covers {
  display: flex;
  gap: var(--far);
}
figure {
  margin: 0;
  display: grid;
  gap: var(--near);
  justify-items: center;
}
</style>
