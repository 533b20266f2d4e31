<script setup lang="ts">
import { computed } from 'vue'

import type { Sentence } from '../api/client'
import { words } from './words'

/** What to do, its numbers marked; a word of the craft says what it means where it first stands. */
const props = defineProps<{ sentence: Sentence }>()

interface Piece {
  text: string
  mark: boolean
  means?: string
}

const pieces = computed(() => {
  const list: Piece[] = []
  const met = new Set<string>()
  for (const span of props.sentence.spans) {
    let rest = span.text
    while (!span.mark && rest) {
      const next = words
        .filter((w) => !met.has(w.word))
        .map((w) => ({ w, at: w.find.exec(rest) }))
        .filter((f) => f.at !== null)
        .sort((a, b) => a.at!.index - b.at!.index)[0]
      if (!next) break
      const at = next.at!
      met.add(next.w.word)
      list.push({ text: rest.slice(0, at.index), mark: false })
      list.push({ text: at[0], mark: false, means: next.w.what })
      rest = rest.slice(at.index + at[0].length)
    }
    list.push({ text: rest, mark: span.mark })
  }
  return list
})
</script>

<template>
  <h1 class="verdict" data-test="headline">
    <template v-for="(p, i) in pieces" :key="i">
      <span v-if="p.mark" class="mark">{{ p.text }}</span>
      <router-link v-else-if="p.means" class="word" to="/help#words" :title="p.means">{{
        p.text
      }}</router-link>
      <template v-else>{{ p.text }}</template>
    </template>
  </h1>
</template>

<style scoped>
.verdict {
  font-size: var(--size-title);
  font-weight: 700;
  line-height: 1.2;
}
.word {
  text-decoration: underline dotted 2px;
  text-decoration-color: var(--soft);
  text-underline-offset: 4px;
}
</style>
