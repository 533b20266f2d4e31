<script setup lang="ts">
import { computed, ref } from 'vue'

import { api, sentenceOf, unreachable, type OutlinePlan } from '../../api/client'
import { fileAt } from '../../fields/events'
import type { JobInHand } from '../../job/useJob'

const props = defineProps<{ job: JobInHand }>()

const mostBytes = 2 << 20
const small = 150 // pixels of a preview

const typed = ref('')
const found = ref<OutlinePlan>()
const problem = ref('')
const kept = computed(() => (props.job.job.value?.card.outline?.length ?? 0) > 0)

async function read(text: string) {
  const { data, error } = await api.POST('/api/outline', { body: { text } }).catch(unreachable)
  found.value = data
  problem.value = data ? '' : sentenceOf(error)
}

async function choose(event: Event) {
  const file = fileAt(event)
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
  <section class="odd" aria-label="The card is an odd shape" data-test="odd">
    <h2>The card is an odd shape</h2>
    <p v-if="kept">
      The envelope is made for the rectangle round it.
      <v-btn variant="outlined" size="small" data-test="drop-outline" @click="job.remove('card.outline')"
        >It is a rectangle after all</v-btn
      >
    </p>
    <p v-else class="soft">
      Type its corners, one pair a line, across and down; or choose an SVG or DXF with its outline.
    </p>
    <div class="input">
      <textarea
        v-model="typed"
        rows="4"
        aria-label="Corners of the outline"
        placeholder="0, 0&#10;3 1/2, 0&#10;1 3/4, 3"
        data-test="outline-text"
      ></textarea>
      <v-btn variant="outlined" data-test="read-outline" @click="read(typed)">Work it out</v-btn>
      <label class="file"
        >or a file
        <input type="file" accept=".svg,.dxf,.txt" data-test="outline-file" @change="choose" />
      </label>
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
  gap: 10px;
  justify-items: start;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.input {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
  align-items: center;
}
textarea {
  font: 16px var(--body);
  color: inherit;
  background: var(--sheet);
  border: 1px solid var(--line);
  padding: 6px 10px;
  min-width: 260px;
}
.covers {
  display: flex;
  gap: 30px;
}
figure {
  margin: 0;
  display: grid;
  gap: 6px;
  justify-items: center;
}
</style>
