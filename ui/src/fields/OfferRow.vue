<script setup lang="ts">
/** One thing that may be taken with one act: a small drawing, what it is called, a line or two about it, and the act. */
defineProps<{
  name: string
  /** A word or two that sets it apart, as “best fit”. */
  chip?: string
  /** It is the one in use; then there is no act, but what is said instead. */
  chosen?: boolean
  chosenAs?: string
  /** The act's button; none where it cannot be taken. */
  act?: string
  actTest?: string
}>()
defineEmits<{ take: [] }>()
</script>

<template>
  <li class="offer" :class="{ chosen }">
    <div v-if="$slots.picture" class="picture"><slot name="picture" /></div>
    <div class="about">
      <p class="head">
        <strong>{{ name }}</strong> <span v-if="chip" class="chip">{{ chip }}</span>
      </p>
      <slot />
    </div>
    <span v-if="chosen" class="soft state">{{ chosenAs }}</span>
    <v-btn
      v-else-if="act"
      variant="outlined"
      size="small"
      :aria-label="`${act}: ${name}`"
      :data-test="actTest"
      @click="$emit('take')"
      >{{ act }}</v-btn
    >
  </li>
</template>

<style scoped>
.offer {
  display: flex;
  align-items: center;
  gap: var(--gap);
  padding: var(--near);
  border-bottom: 1px solid var(--line);
  font-size: var(--size-note);
  line-height: 1.35;
}
.chosen {
  background: color-mix(in srgb, var(--mark) 28%, transparent);
}
.picture {
  flex: none;
  display: grid;
  place-items: center;
}
.about {
  flex: 1 1 auto;
  min-width: 0;
}
.head {
  font-size: var(--size-text);
}
.chip {
  margin-left: 6px;
  padding: 1px 7px;
  background: var(--mark);
  border-radius: 3px;
  font-size: var(--size-note);
  font-weight: 600;
}
.state {
  flex: none;
}
</style>
