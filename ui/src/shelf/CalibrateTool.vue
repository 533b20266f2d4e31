<script setup lang="ts">
import { reactive, ref } from 'vue'

import { api, sentenceOf, unreachable, type FoundBody, type ToolBody } from '../api/client'
import { useShop } from '../job/useShop'

/** Two minutes with a scrap find what a tool reads. */
const props = defineProps<{ tool: ToolBody }>()

const shelf = useShop()
const open = ref(false)
const typed = reactive<Record<string, string>>({})
const found = ref<FoundBody>()
const failure = ref('')

const problem = (name: string) => found.value?.problems.find((p) => p.path === name)?.message

async function ask() {
  const body = { tool: props.tool.id, typed: { ...typed } }
  const { data, error } = await api.POST('/api/shop/calibration', { body }).catch(unreachable)
  found.value = data
  failure.value = data ? '' : sentenceOf(error)
}

async function use() {
  await shelf.edit(found.value!.edits)
  close()
}

function close() {
  open.value = false
  found.value = undefined
}
</script>

<template>
  <v-btn
    class="calibrate-it"
    variant="outlined"
    size="small"
    :data-test="`calibrate-${tool.id}`"
    @click="open = true"
    >Calibrate with a scrap</v-btn
  >
  <v-dialog v-model="open" max-width="640" @update:model-value="close">
    <section class="calibrate" data-test="calibrate">
      <h2>{{ tool.name }}: two minutes with a scrap</h2>
      <ol>
        <li v-for="s in tool.calibration?.steps" :key="s">{{ s }}</li>
      </ol>
      <form @submit.prevent="ask">
        <v-text-field
          v-for="a in tool.calibration?.asks"
          :key="a.name"
          v-model="typed[a.name]"
          :label="a.label"
          :hint="a.note"
          persistent-hint
          autocomplete="off"
          :error-messages="problem(a.name)"
          :data-test="`measured-${a.name}`"
        />
        <v-btn type="submit" variant="flat" color="secondary" data-test="calibrate-ask">Work it out</v-btn>
      </form>
      <p v-if="failure" class="tone-trouble" role="alert">{{ failure }}</p>
      <div v-if="found?.found.length" role="status" data-test="calibrate-found">
        <p v-for="f in found.found" :key="f.label" class="value">
          {{ f.label }}: <strong>{{ f.text }}</strong>
        </p>
        <p v-if="found.told" class="tone-care">{{ found.told }}</p>
        <v-btn variant="flat" color="primary" data-test="calibrate-use" @click="use">Use on the shelf</v-btn>
      </div>
      <p><v-btn variant="text" data-test="calibrate-close" @click="close">Close</v-btn></p>
    </section>
  </v-dialog>
</template>

<style scoped>
.calibrate-it {
  margin-top: var(--gap);
}
.calibrate {
  background: var(--paper);
  color: var(--ink);
  padding: var(--far);
  display: grid;
  gap: var(--gap);
}
h2,
p {
  margin: 0;
}
ol {
  margin: 0;
  padding-left: 1.4em;
}
form {
  display: grid;
  gap: var(--gap);
}
form .v-btn {
  justify-self: start;
}
.value {
  font-size: var(--size-number);
}
</style>
