<script setup lang="ts">
import { ref, watch } from 'vue'

import { api, sentenceOf, unreachable, type Job, type Saying } from '../api/client'

/**
 * One field that takes what a maker would say: a job to begin, or a change of the one in hand. What of it
 * is understood stands under it, what is not is underlined, with what it is like.
 */
const props = defineProps<{
  /** The job in hand, which a line changes. */
  job?: Job
  label: string
  examples: string[]
  /** What is wrong with what was entered last. */
  failure?: string
}>()
const emit = defineEmits<{ enter: [text: string, said: Saying] }>()

const text = defineModel<string>({ required: true })
const said = ref<Saying>()
const trouble = ref('')
const sure = ref('') // the line that was entered although not all of it is understood
const saidOf = ref('') // the line that it was said of
const field = ref<{ focus: () => void }>()
defineExpose({ focus: () => field.value?.focus() })

let asking = false
async function read(): Promise<void> {
  if (asking) return
  asking = true
  try {
    while (saidOf.value !== text.value) {
      const line = text.value
      if (!line.trim()) {
        said.value = undefined
        saidOf.value = line
        continue
      }
      const { data, error } = await api
        .POST('/api/line', { body: { text: line, job: props.job } })
        .catch(unreachable)
      trouble.value = data ? '' : sentenceOf(error)
      said.value = data
      saidOf.value = line
    }
  } finally {
    asking = false
  }
}
watch(text, () => {
  sure.value = ''
  void read()
})

async function enter() {
  await read()
  const now = said.value
  if (!now || now.edits.length === 0) return
  // What is not understood is not dropped without a word.
  if (!now.whole && sure.value !== text.value) {
    sure.value = text.value
    return
  }
  emit('enter', text.value, now)
}

/** Puts the word that is known in the place of the one that is not. */
function mend(at: number, near: string) {
  text.value = (said.value?.text ?? []).map((s, i) => (i === at ? near : s.text)).join('')
  field.value?.focus()
}
</script>

<template>
  <div class="line">
    <v-text-field
      ref="field"
      v-model="text"
      class="field"
      :label="label"
      :placeholder="examples[0]"
      persistent-placeholder
      autocomplete="off"
      spellcheck="false"
      maxlength="600"
      :error-messages="failure || trouble"
      data-test="line"
      @keydown.enter.prevent="enter"
    >
      <template v-if="said?.edits.length" #append-inner>
        <v-btn variant="flat" color="secondary" size="small" data-test="line-go" @click="enter">{{
          job ? 'Change it' : 'Start it'
        }}</v-btn>
      </template>
    </v-text-field>
    <div v-if="said && text.trim()" class="understood" role="status" data-test="line-said">
      <span v-for="(c, i) in said.chips" :key="i" class="chip" :class="{ wrong: c.why }"
        >{{ c.text }}<span v-if="c.why" class="why">: {{ c.why }}</span></span
      >
      <template v-for="(s, i) in said.text" :key="`u${i}`">
        <span v-if="s.unread" class="odd" data-test="line-unread"
          ><span class="word">{{ s.text }}</span>
          <button v-if="s.near" type="button" class="near" @click="mend(i, s.near)">{{ s.near }}?</button>
          <span v-else>{{ s.why || 'is not known here' }}</span></span
        >
      </template>
      <span v-if="sure === text" class="soft">Press Enter again to go on without the rest.</span>
    </div>
    <div v-else class="understood">
      <button v-for="e in examples" :key="e" type="button" class="example" @click="text = e">{{ e }}</button>
    </div>
  </div>
</template>

<style scoped>
.field :deep(input) {
  font: 600 var(--size-number) / 1.3 var(--body);
}
.field :deep(input::placeholder) {
  color: var(--soft);
  opacity: 1;
  font-weight: 450;
}
.field :deep(.v-label) {
  opacity: 1;
  color: var(--soft);
}
.understood {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near) var(--gap);
  align-items: baseline;
  min-height: 30px;
  padding-top: var(--near);
  font-size: var(--size-note);
}
.chip {
  padding: 1px 8px;
  background: color-mix(in srgb, var(--mark) 45%, transparent);
  border-radius: 3px;
  font-weight: 600;
}
.chip.wrong {
  background: none;
  border: 1px solid var(--trouble);
  color: var(--trouble);
}
.why {
  font-weight: 400;
}
.odd {
  color: var(--trouble);
}
.word {
  text-decoration: underline wavy 1.5px;
  text-underline-offset: 3px;
  margin-right: 6px;
}
.near,
.example {
  border: 0;
  background: none;
  padding: 4px 2px;
  font: inherit;
  color: var(--ink);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.example {
  color: var(--soft);
}
</style>
