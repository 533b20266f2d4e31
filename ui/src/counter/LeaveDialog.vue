<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { shallowRef } from 'vue'
import { onBeforeRouteLeave } from 'vue-router'

/** Asks before a page is left on which something is not stored. */
const props = defineProps<{
  /** What would be lost on any other page, in words; empty where nothing would. */
  lost: string
  /** It would be lost with the window: on another page of it, it is still stored. */
  waits: boolean
}>()

const decide = shallowRef<(leave: boolean) => void>()
onBeforeRouteLeave(() => !props.lost || new Promise<boolean>((done) => (decide.value = done)))
// The words are the browser's own.
useEventListener(window, 'beforeunload', (e: BeforeUnloadEvent) => {
  if (props.lost || props.waits) e.preventDefault()
})

function answer(leave: boolean) {
  decide.value?.(leave)
  decide.value = undefined
}
</script>

<template>
  <v-dialog
    :model-value="decide !== undefined"
    max-width="460"
    @update:model-value="(open: boolean) => open || answer(false)"
  >
    <div class="ask" data-test="leaving">
      <h2>Not everything here is saved.</h2>
      <p>{{ lost }}</p>
      <div class="acts">
        <v-btn variant="flat" color="primary" data-test="stay" @click="answer(false)">Stay here</v-btn>
        <v-btn variant="outlined" data-test="leave" @click="answer(true)">Leave without it</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.ask {
  display: grid;
  gap: var(--gap);
  padding: 20px 24px;
  background: var(--sheet);
  color: var(--ink);
  border-radius: 4px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
}
</style>
