<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'

import type { ItemsPlan } from '../../api/client'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

const props = defineProps<{ job: JobInHand; items: ItemsPlan }>()

const { choices } = useShop()
const list = computed(() => props.job.job.value!.items ?? [])
const full = computed(() => props.job.full('items'))
</script>

<template>
  <section class="items" aria-label="Panel">
    <p v-if="items.sentence" data-test="items-sentence">{{ items.sentence }}</p>
    <p v-else class="soft">Type the sizes of stamps, greeting and ribbon: you see which paper takes them.</p>
    <ul v-if="list.length" class="list">
      <li v-for="(item, i) in list" :key="item.id" :data-test="`item-${i}`">
        <TypedField :of="job" :path="`items.${i}.name`" as="name" :label="`Name of ${item.name}`" />
        <TypedField :of="job" :path="`items.${i}.width`" />
        <TypedField :of="job" :path="`items.${i}.height`" />
        <v-btn
          :icon="mdiClose"
          size="x-small"
          :aria-label="`Remove ${item.name}`"
          @click="job.remove(`items.${i}`)"
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
        v-for="k in choices('items')"
        :key="k.id"
        variant="outlined"
        size="small"
        :disabled="full"
        :data-test="`add-${k.id}`"
        @click="job.add('items', k.id)"
      >
        {{ k.name }}
      </v-btn>
    </div>
  </section>
</template>

<style scoped>
.items {
  display: grid;
  gap: var(--gap);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.list {
  display: grid;
  gap: var(--gap);
}
.list li {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1fr) 32px;
  gap: var(--gap);
  align-items: start;
}
.rungs {
  font-size: var(--size-note);
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
}
</style>
