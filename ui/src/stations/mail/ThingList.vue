<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'

import type { FieldPath } from '../../api/client'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

/** What lies on the face or in the card besides paper: added, placed, measured, left off. */
const props = defineProps<{ job: JobInHand; at: number }>()
const emit = defineEmits<{ pick: [part: number] }>()

const { items } = useShop()
const list = computed(() =>
  props.job.job.value!.parts.map((part, i) => ({ part, i })).filter((p) => p.part.thing),
)
const overlaps = computed(() => props.job.plan.value?.card.overlaps ?? [])
const none = ref<string>() // what was added is not kept chosen
const picked = computed(() => list.value.find((p) => p.i === props.at))

const asked = computed(
  () => props.job.plan.value?.card.parts.find((p) => p.part === picked.value?.i)?.edited ?? [],
)
const isFlag = (path: FieldPath) => props.job.inputAt(path)?.kind === 'flag'
const edited = computed(() => asked.value.filter((p) => !isFlag(p)))
const flags = computed(() => asked.value.filter(isFlag))
</script>

<template>
  <section class="things" aria-label="Things">
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
          @click="job.remove(`parts.${t.i}`)"
        />
      </li>
    </ul>
    <p v-else class="soft">Nothing but paper yet: add what is tied, glued or laid on, or put in.</p>
    <div v-for="o in overlaps" :key="o.path" class="overlap tone-care" data-test="overlap">
      <span>{{ o.text }}</span>
      <v-btn variant="outlined" size="small" data-test="overlap-glued" @click="job.set(o.path, 'yes')"
        >Yes, glued</v-btn
      >
      <v-btn variant="outlined" size="small" data-test="overlap-apart" @click="job.take('things', o.id)"
        >Move apart</v-btn
      >
    </div>
    <v-select
      :model-value="none"
      :items="items('things')"
      :disabled="job.full('parts')"
      label="Add a thing"
      data-test="pick-thing"
      @update:model-value="$event && job.add('parts', $event)"
    />
    <div v-if="picked?.part.thing" :key="picked.part.id" class="fields">
      <div class="field-grid">
        <TypedField :of="job" :path="`parts.${picked.i}.name`" />
        <TypedField v-for="p in edited" :key="p" :of="job" :path="p" />
      </div>
      <div class="ticks">
        <TypedField v-for="f in flags" :key="f" :of="job" :path="f" />
      </div>
    </div>
  </section>
</template>

<style scoped>
.things {
  display: grid;
  gap: var(--gap);
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: var(--near) var(--gap);
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
.fields {
  display: grid;
  gap: var(--gap);
  border-left: 4px solid var(--air-blue);
  padding-left: var(--gap);
}
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--gap);
}
.overlap {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
  align-items: center;
}
</style>
