<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiClose } from '@mdi/js'
import { computed } from 'vue'

import type { Job } from '../../api/client'
import FrontDrawing from '../../drawing/FrontDrawing.vue'
import LengthField from '../../fields/LengthField.vue'
import NoteList from '../../fields/NoteList.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import StationLayout from '../StationLayout.vue'

const props = defineProps<{ job: JobInHand }>()

const most = 12 // layers

const { shop } = useShop()
const plan = computed(() => props.job.plan.value!)
const layers = computed(() => plan.value.layers)
const parts = computed(() => props.job.job.value!.parts)
const stocks = computed(() => (shop.value?.choices.stocks ?? []).map((c) => ({ value: c.id, title: c.name })))
const borders = computed(() => shop.value?.choices.borders ?? [])

function change(make: (parts: Job['parts']) => Job['parts']) {
  props.job.choose((j) => ({ ...j, parts: make(j.parts) }))
}

function set(at: number, to: Partial<Job['parts'][number]>) {
  change((list) => list.map((p, i) => (i === at ? { ...p, ...to } : p)))
}

function add() {
  change((list) => {
    const taken = new Set(list.map((p) => p.id))
    let n = 1
    while (taken.has(`layer-${n}`)) n++
    const below = list[list.length - 1]!
    const border = borders.value.find((b) => b.id === 'classic')?.width ?? 0
    return [
      ...list,
      { id: `layer-${n}`, name: `Layer ${list.length}`, kind: 'layer', stock: below.stock, border, foam: 0 },
    ]
  })
}

function remove(at: number) {
  change((list) => list.filter((_, i) => i !== at))
}

/** Changes the place of a layer with the one above it. */
function raise(at: number) {
  change((list) => list.map((p, i) => (i === at ? list[at + 1]! : i === at + 1 ? list[at]! : p)))
}

function rename(at: number, event: Event) {
  const input = event.target as HTMLInputElement
  const name = input.value.trim()
  if (name) set(at, { name })
  else input.value = parts.value[at]?.name ?? ''
}

const row = (at: number) => layers.value.rows.find((r) => r.part === at)
</script>

<template>
  <StationLayout :sentence="layers.sentence">
    <template #drawing><FrontDrawing :layers="layers" :unit="plan.unit" /></template>
    <NoteList :notes="layers.notes" />
    <ol class="stack" aria-label="Papers from the top down">
      <li
        v-for="at in parts.map((_, i) => parts.length - 1 - i)"
        :key="parts[at]!.id"
        :data-test="`layer-${at}`"
      >
        <p class="share" data-test="share">{{ row(at)?.share ?? 'none' }}</p>
        <div class="paper">
          <div class="line">
            <input
              class="name"
              :value="parts[at]!.name"
              maxlength="80"
              :aria-label="`Name of ${parts[at]!.name}`"
              @change="rename(at, $event)"
            />
            <template v-if="at > 0">
              <v-btn
                :icon="mdiArrowUp"
                size="x-small"
                :disabled="at === parts.length - 1"
                :aria-label="`${parts[at]!.name} one up`"
                @click="raise(at)"
              />
              <v-btn
                :icon="mdiArrowDown"
                size="x-small"
                :disabled="at === 1"
                :aria-label="`${parts[at]!.name} one down`"
                @click="raise(at - 1)"
              />
              <v-btn
                :icon="mdiClose"
                size="x-small"
                :aria-label="`Take ${parts[at]!.name} off`"
                data-test="remove-layer"
                @click="remove(at)"
              />
            </template>
          </div>
          <p class="soft">
            <strong data-test="layer-size">{{ row(at)?.size ?? 'nothing left' }}</strong>,
            {{ row(at)?.mount }}
          </p>
          <v-select
            :model-value="parts[at]!.stock"
            :items="stocks"
            :aria-label="`Paper of ${parts[at]!.name}`"
            @update:model-value="set(at, { stock: $event })"
          />
          <template v-if="at > 0">
            <div class="fields">
              <LengthField :job="job" :path="`parts.${at}.border`" label="border" />
              <LengthField :job="job" :path="`parts.${at}.foam`" label="foam" />
            </div>
            <div class="habits" role="group" aria-label="Usual borders">
              <v-btn
                v-for="b in borders"
                :key="b.id"
                variant="outlined"
                size="small"
                :active="parts[at]!.border === b.width"
                :data-test="`border-${b.id}`"
                @click="set(at, { border: b.width })"
              >
                {{ b.name }}
              </v-btn>
            </div>
          </template>
        </div>
      </li>
    </ol>
    <v-btn class="add" variant="outlined" data-test="add-layer" :disabled="parts.length > most" @click="add">
      Put a layer on top
    </v-btn>
  </StationLayout>
</template>

<style scoped>
.stack {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  gap: 16px;
  padding: 8px 0 12px;
  border-bottom: 1px solid var(--line);
}
.add {
  justify-self: start;
}
.share {
  font-size: 26px;
  font-weight: 650;
  text-align: right;
  white-space: nowrap;
}
.line {
  display: flex;
  align-items: center;
}
.name {
  flex: 1;
  min-width: 0;
  font: 600 17px var(--body);
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
}
.name:hover {
  border-bottom-color: var(--line);
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
  --numbers: 90px;
  margin-top: 4px;
}
.habits {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
</style>
