<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'

import type { Job } from '../../api/client'
import LengthField from '../../fields/LengthField.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

/** What lies on the face or in the card besides paper: added, placed, measured, left off. */
const props = defineProps<{ job: JobInHand; at: number }>()
const emit = defineEmits<{ pick: [part: number] }>()

type Part = Job['parts'][number]
const { shop } = useShop()
const list = computed(() =>
  props.job.job.value!.parts.map((part, i) => ({ part, i })).filter((p) => p.part.thing),
)
const none = undefined as string | undefined
const picked = computed(() => list.value.find((p) => p.i === props.at))
const kinds = computed(() => (shop.value?.choices.things ?? []).map((c) => ({ value: c.id, title: c.name })))

function change(at: number, make: (part: Part) => Part | undefined) {
  props.job.choose((j) => ({
    ...j,
    parts: j.parts.flatMap((p, i) => (i === at ? (make(p) ?? []) : p)),
  }))
}

function set(at: number, to: Partial<NonNullable<Part['thing']>>) {
  change(at, (p) => ({ ...p, thing: p.thing && { ...p.thing, ...to } }))
}

function rename(at: number, event: Event) {
  const name = (event.target as HTMLInputElement).value.trim()
  if (name) change(at, (p) => ({ ...p, name }))
}
</script>

<template>
  <section class="things" aria-label="On the face">
    <h2>On the face and in the card</h2>
    <ul v-if="list.length" class="list">
      <li v-for="t in list" :key="t.part.id" :class="{ chosen: t.i === at }">
        <button type="button" class="name" :data-test="`thing-${t.i}`" @click="emit('pick', t.i)">
          {{ t.part.name }}
        </button>
        <v-btn
          :icon="mdiClose"
          size="x-small"
          variant="text"
          :aria-label="`Leave ${t.part.name} off`"
          :data-test="`thing-off-${t.i}`"
          @click="change(t.i, () => undefined)"
        />
      </li>
    </ul>
    <p v-else class="soft">Nothing but paper yet: add what is tied, glued or laid on, or put in.</p>
    <v-select
      :model-value="none"
      :items="kinds"
      label="Add a thing"
      aria-label="Add a thing"
      data-test="pick-thing"
      class="add"
      @update:model-value="job.tell('things.add', $event)"
    />
    <div v-if="picked?.part.thing" :key="picked.part.id" class="fields">
      <p class="named">
        <input
          class="rename"
          :value="picked.part.name"
          maxlength="80"
          :aria-label="`Name of ${picked.part.name}`"
          @change="rename(picked.i, $event)"
        />
      </p>
      <LengthField
        :job="job"
        :path="`parts.${picked.i}.x`"
        label="from the left"
        note="below zero where it sticks out"
      />
      <LengthField :job="job" :path="`parts.${picked.i}.y`" label="from the top" />
      <LengthField
        :job="job"
        :path="`parts.${picked.i}.thingWidth`"
        :label="picked.part.thing.disc ? 'across, round' : 'wide'"
      />
      <LengthField
        v-if="!picked.part.thing.disc"
        :job="job"
        :path="`parts.${picked.i}.thingHeight`"
        label="high"
      />
      <LengthField :job="job" :path="`parts.${picked.i}.caliper`" label="thick" />
      <LengthField :job="job" :path="`parts.${picked.i}.grams`" label="weight" note="g or oz" />
      <div class="ticks">
        <v-checkbox
          :model-value="!!picked.part.thing.draping"
          label="follows what lies under it"
          @update:model-value="set(picked.i, { draping: !!$event })"
        />
        <v-checkbox
          :model-value="!!picked.part.thing.crushable"
          label="is crushed by pressure"
          @update:model-value="set(picked.i, { crushable: !!$event })"
        />
        <v-checkbox
          :model-value="!!picked.part.thing.inside"
          label="lies loose in the card"
          @update:model-value="set(picked.i, { inside: !!$event })"
        />
        <v-checkbox
          :model-value="!!picked.part.thing.keep"
          label="is not to be left off"
          data-test="thing-keep"
          @update:model-value="set(picked.i, { keep: !!$event })"
        />
      </div>
    </div>
  </section>
</template>

<style scoped>
.things,
.fields {
  display: grid;
  gap: 8px;
  --numbers: 130px;
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
}
.list li {
  display: flex;
  align-items: center;
  border-bottom: 2px solid var(--line);
}
.list .chosen {
  border-bottom-color: var(--air-blue);
}
.name {
  font: inherit;
  font-weight: 600;
  color: inherit;
  background: none;
  border: 0;
  min-height: 36px;
  cursor: pointer;
}
.add {
  max-width: 320px;
}
.fields {
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  border-left: 4px solid var(--air-blue);
  padding-left: 14px;
}
.named,
.ticks {
  grid-column: 1 / -1;
}
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
.rename {
  font: 650 20px var(--body);
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 2px solid var(--kraft-deep);
}
</style>
