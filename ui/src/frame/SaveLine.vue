<script setup lang="ts">
/** Whether what was done last is stored, in words. */
defineProps<{
  state: string
  /** Why nothing is stored, where the program says so. */
  why?: string
}>()

const words: Record<string, string> = {
  saved: 'saved',
  fresh: 'a new card: it is kept from your first change on',
  saving: 'saving',
  typed: 'not saved: what you typed cannot be used yet',
  unreachable: 'not saved: the program does not answer; trying again',
  conflict: 'changed in another window',
  refused: 'not saved',
}
</script>

<template>
  <span class="state" role="status" data-test="state" :data-state="state">{{
    (state === 'unreachable' && why ? 'not saved: trying again' : words[state]) ?? state
  }}</span>
</template>

<style scoped>
.state {
  color: var(--soft);
  font-size: var(--size-note);
  font-weight: 400;
}
.state[data-state='typed'],
.state[data-state='unreachable'],
.state[data-state='conflict'],
.state[data-state='refused'] {
  color: var(--trouble);
  font-weight: 600;
}
</style>
