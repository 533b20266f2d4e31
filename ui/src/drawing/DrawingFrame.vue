<script setup lang="ts">
import { mdiTextLong } from '@mdi/js'
import { useId } from 'vue'

import ChoiceRow from '../fields/ChoiceRow.vue'
import { useViews } from './views'

/** What every drawing has round it: other views of it, its key, its description in words, and the room that it fills. */
defineProps<{ words: string }>()

const id = useId()
const views = useViews()
</script>

<template>
  <figure class="figure">
    <figcaption>
      <ChoiceRow
        v-if="views && views.list.length > 1"
        v-model="views.chosen.value"
        class="views"
        label="What is drawn"
        name="view"
        :choices="views.list"
        tabs
      />
      <slot name="key" />
      <v-menu :close-on-content-click="false" max-width="520" location="bottom end">
        <template #activator="{ props: opens }">
          <v-btn
            v-bind="opens"
            :icon="mdiTextLong"
            density="compact"
            class="tell"
            aria-label="Description"
            data-test="description"
          />
        </template>
        <p class="words">{{ words }}</p>
      </v-menu>
      <p :id="id" class="sr" data-test="words">{{ words }}</p>
    </figcaption>
    <div class="room"><slot :id="id" /></div>
  </figure>
</template>

<style scoped>
.figure {
  margin: 0;
  min-width: 0;
  min-height: 0;
  height: 100%;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  align-items: center;
  gap: 0 var(--gap);
  min-height: 36px;
  font-size: var(--size-note);
  color: var(--soft);
}
.views {
  margin-right: auto;
}
.tell {
  color: var(--soft);
}
.words {
  background: var(--sheet);
  color: var(--ink);
  padding: var(--gap);
}
.room {
  position: relative;
  min-height: 0;
}
</style>
