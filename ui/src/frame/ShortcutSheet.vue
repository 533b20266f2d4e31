<script setup lang="ts">
import { computed } from 'vue'

/** The keys of the pages, and those of a worksheet that fills the screen: those of where one is stand first. */
const props = defineProps<{ worksheet?: boolean }>()
const open = defineModel<boolean>({ required: true })

const pages = [
  ['1 … 6', 'go to Card, Layers, Envelope, Mail, Paper, Bench'],
  ['↑  ↓', 'move the focused measure by one tick'],
  ['Shift + ↑  ↓', 'move it by eight ticks'],
  ['←  →  ↑  ↓', 'move the focused edge of a drawing'],
  ['Ctrl + Z', 'undo'],
  ['Ctrl + Shift + Z', 'redo'],
  ['/', 'say a change of the job'],
  ['M', 'switch between inches and millimetres'],
  ['L', 'lamp: light or dark'],
  ['?', 'this sheet'],
]
const bench = [
  ['Space, Enter, →  ↓', 'next step'],
  ['Page down', 'next step: a pedal sends it'],
  ['←  ↑, Backspace', 'step back'],
  ['Page up', 'step back: a pedal sends it'],
  ['Esc', 'close what is open, then back to the job'],
  ['?', 'this sheet'],
]
const groups = computed(() => {
  const list = [
    { name: 'On every page', keys: pages },
    { name: 'On a worksheet', keys: bench },
  ]
  return props.worksheet ? list.reverse() : list
})
</script>

<template>
  <v-dialog v-model="open" max-width="560" scrollable>
    <div class="keys" data-test="keys">
      <h2>Keys</h2>
      <section v-for="g in groups" :key="g.name">
        <h3>{{ g.name }}</h3>
        <dl>
          <template v-for="[key, what] in g.keys" :key="key">
            <dt>{{ key }}</dt>
            <dd>{{ what }}</dd>
          </template>
        </dl>
      </section>
      <p class="soft">Type any length as you say it: 5 1/2, 5½, 5.5, 140 mm, 14,5 cm.</p>
      <v-btn variant="outlined" @click="open = false">Close</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
.keys {
  background: var(--sheet);
  color: var(--ink);
  padding: 24px 28px;
  border-radius: 4px;
  display: grid;
  gap: var(--gap);
  justify-items: start;
  overflow-y: auto;
}
h3 {
  font-size: var(--size-text);
  margin: 0 0 var(--near);
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: var(--near) var(--far);
  margin: 0;
}
dt {
  font-weight: 650;
  white-space: pre;
}
dd {
  margin: 0;
}
</style>
