<script setup lang="ts">
const open = defineModel<boolean>({ required: true })

const keys = [
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
</script>

<template>
  <v-dialog v-model="open" max-width="520">
    <div class="keys">
      <h2>Keys</h2>
      <dl>
        <template v-for="[key, what] in keys" :key="key">
          <dt>{{ key }}</dt>
          <dd>{{ what }}</dd>
        </template>
      </dl>
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
