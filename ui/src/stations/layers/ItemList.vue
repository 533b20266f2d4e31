<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'

import type { ItemsPlan } from '../../api/client'
import LengthField from '../../fields/LengthField.vue'
import type { JobInHand } from '../../job/useJob'

const props = defineProps<{ job: JobInHand; items: ItemsPlan }>()

const most = 8
const list = computed(() => props.job.job.value!.items ?? [])

const kinds = [
  { name: 'Stamp', width: 76_200_000, height: 50_800_000 },
  { name: 'Greeting', width: 76_200_000, height: 12_700_000 },
  { name: 'Ribbon', width: 0, height: 12_700_000 },
]

function change(make: (items: typeof list.value) => typeof list.value) {
  props.job.choose((j) => ({ ...j, items: make(j.items ?? []) }))
}

function add(kind: (typeof kinds)[number]) {
  change((now) => {
    const taken = new Set(now.map((i) => i.id))
    let n = 1
    while (taken.has(`item-${n}`)) n++
    return [...now, { ...kind, id: `item-${n}` }]
  })
}

function rename(at: number, event: Event) {
  const name = (event.target as HTMLInputElement).value.trim()
  if (name) change((now) => now.map((i, n) => (n === at ? { ...i, name } : i)))
}
</script>

<template>
  <section class="items" aria-label="On the panel">
    <h2>On the panel</h2>
    <p v-if="items.sentence" data-test="items-sentence">{{ items.sentence }}</p>
    <p v-else class="soft">Type the sizes of stamps, greeting and ribbon: you see which paper takes them.</p>
    <ul v-if="list.length" class="list">
      <li v-for="(item, i) in list" :key="item.id" :data-test="`item-${i}`">
        <input
          class="name"
          :value="item.name"
          maxlength="80"
          :aria-label="`Name of ${item.name}`"
          @change="rename(i, $event)"
        />
        <LengthField
          :job="job"
          :path="`items.${i}.width`"
          label="across"
          :note="item.width === 0 ? 'right across' : ''"
        />
        <LengthField :job="job" :path="`items.${i}.height`" label="down" />
        <v-btn
          :icon="mdiClose"
          size="x-small"
          :aria-label="`Take ${item.name} off`"
          @click="change((now) => now.filter((_, n) => n !== i))"
        />
      </li>
    </ul>
    <ul v-if="items.rungs.length" class="rungs" data-test="item-rungs">
      <li v-for="r in items.rungs" :key="r.name + r.size">
        <strong>{{ r.size }}</strong> {{ r.name }}:
        <span :class="r.all ? 'tone-fine' : 'soft'">{{ r.text }}</span>
      </li>
    </ul>
    <div class="add">
      <v-btn
        v-for="k in kinds"
        :key="k.name"
        variant="outlined"
        size="small"
        :disabled="list.length >= most"
        :data-test="`add-${k.name.toLowerCase()}`"
        @click="add(k)"
      >
        {{ k.name }}
      </v-btn>
    </div>
  </section>
</template>

<style scoped>
.items {
  display: grid;
  gap: 8px;
  border-top: 1px solid var(--line);
  padding-top: 10px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.list li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 180px 140px 32px;
  gap: 12px;
  align-items: baseline;
  --numbers: 84px;
}
.name {
  min-width: 0;
  font: 600 16px var(--body);
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--line);
}
.rungs {
  font-size: 15px;
}
.add {
  display: flex;
  gap: 6px;
}
</style>
