<script setup lang="ts">
import { computed, inject, ref, watchEffect, type Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'

import type { Choice, Note, Sentence } from '../api/client'
import HeadLine from '../frame/HeadLine.vue'
import NoteList from '../fields/NoteList.vue'
import { useDrawer } from './useDrawer'
import { offerViews } from '../drawing/views'

/**
 * One station on one screen: what to do in a sentence, the drawing, and beside it one drawer
 * at a time, each with an address; under them what matters now.
 */
const props = withDefaults(
  defineProps<{
    station: string
    sentence: Sentence
    notes: Note[]
    /** The ways to look at the drawing. */
    views?: Choice[]
    /** Drawers in which something is set that most cards leave alone. */
    set?: string[]
  }>(),
  { views: () => [], set: () => [] },
)
const view = defineModel<string>('view', { default: '' })
offerViews({ list: props.views, chosen: view })

const route = useRoute()
const router = useRouter()
const { drawers, drawer } = useDrawer(() => props.station)
const open = (id: unknown) => {
  if (id !== drawer.value)
    void router.replace(`/jobs/${String(route.params.id)}/${props.station}/${String(id)}`)
}
/** The drawer that the plan is of: another one is asked for, and comes in a moment. */
const planned = inject<Ref<string>>('planned')
const there = computed(() => planned?.value === `${props.station}/${drawer.value}`)
/** The drawing stays as it was until the other one can be drawn. */
const drawn = ref('')
watchEffect(() => {
  if (there.value) drawn.value = drawer.value
})

/** Whether something typed could not be used, so that what is drawn is not of it. */
const behind = inject<Ref<boolean>>('behind')
</script>

<template>
  <div class="station">
    <HeadLine :sentence="sentence" aria-live="polite" />
    <div class="sides">
      <div class="picture" :class="{ behind }">
        <slot name="drawing" :drawer="drawn" />
        <p v-if="behind" class="note" role="status" data-test="behind">
          Drawn as before: what you typed cannot be used yet.
        </p>
      </div>
      <div class="panel">
        <v-tabs
          :model-value="drawer"
          density="compact"
          :show-arrows="false"
          class="drawers"
          :aria-label="`Drawers of ${station}`"
          @update:model-value="open"
        >
          <v-tab v-for="d in drawers" :key="d.id" :value="d.id" :data-test="`drawer-${d.id}`">
            {{ d.name }}<span v-if="set.includes(d.id)" class="set"><span class="sr">, set</span></span>
          </v-tab>
        </v-tabs>
        <section
          :key="drawer"
          class="drawer"
          role="tabpanel"
          tabindex="0"
          :aria-label="drawers.find((d) => d.id === drawer)?.name"
          data-test="drawer"
          :data-drawer="drawer"
        >
          <slot v-if="there" :name="drawer" />
          <p v-else class="soft" aria-busy="true">Looking into it…</p>
        </section>
        <NoteList class="foot" :notes="notes" few />
      </div>
    </div>
  </div>
</template>

<style scoped>
.drawer:focus-visible {
  outline: 3px solid var(--air-blue);
  outline-offset: -3px;
}
.station {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: var(--near);
  height: 100%;
  min-height: 0;
}
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(340px, 38%);
  grid-template-rows: minmax(0, 1fr);
  gap: var(--gap) var(--far);
  min-height: 0;
}
/* What changes in one of them moves nothing in the others: the page is not laid out anew for it. */
.picture,
.panel {
  contain: layout style;
}
.picture {
  position: relative;
  min-width: 0;
  min-height: 0;
}
.note {
  position: absolute;
  right: 0;
  bottom: 0;
  z-index: 2;
  padding: 4px 10px;
  background: var(--sheet);
  border: 2px dashed var(--trouble);
  color: var(--trouble);
  font-weight: 600;
  pointer-events: none;
}
.panel {
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.drawers {
  flex: none;
  height: auto;
  border-bottom: 1px solid var(--line);
}
.drawers :deep(.v-slide-group__content) {
  flex: 1 1 100%;
  width: 100%;
  white-space: normal;
  flex-wrap: wrap;
  gap: 0 var(--gap);
  transform: none !important;
}
.drawers :deep(.v-slide-group__prev),
.drawers :deep(.v-slide-group__next) {
  display: none;
}
.drawers :deep(.v-tab) {
  min-width: 0;
  height: 36px;
  padding: 0;
  font: 500 var(--size-text) var(--body);
  letter-spacing: 0;
  color: var(--soft);
}
.drawers :deep(.v-tab--selected) {
  color: var(--ink);
  font-weight: 650;
}
.drawers :deep(.v-tab__slider) {
  height: 3px;
  color: var(--yellow);
}
.drawers :deep(.v-tab--selected .v-tab__slider) {
  opacity: 1;
}
.set {
  width: 7px;
  height: 7px;
  margin: 0 0 10px 3px;
  border-radius: 50%;
  background: var(--crease);
}
.drawer {
  flex: 1 1 auto;
  min-height: 0;
  overflow: hidden auto;
  /* The mark of what is focused is not cut off at the left. */
  padding: var(--gap) var(--near);
  margin-left: calc(-1 * var(--near));
  display: grid;
  gap: var(--gap);
  align-content: start;
  scrollbar-width: thin;
  scrollbar-color: var(--kraft-deep) transparent;
}
.foot {
  flex: none;
  max-height: 40%;
  overflow-y: auto;
  border-top: 1px solid var(--line);
  padding: var(--near) 0;
}
/* Standing screens: the drawing above, the drawer below. */
@media (max-width: 960px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 60fr) minmax(0, 40fr);
  }
}
/* Where there is too little room for that the page scrolls, and the drawing stays. */
@media (max-height: 560px), (max-width: 680px) {
  .station,
  .sides {
    height: auto;
    grid-template-rows: auto;
  }
  .picture {
    position: sticky;
    top: 0;
    z-index: 3;
    background: var(--paper);
    height: max(170px, 45vh);
  }
  .drawer,
  .foot {
    overflow: visible;
    max-height: none;
  }
}
</style>
