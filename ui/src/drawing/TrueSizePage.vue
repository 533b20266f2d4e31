<script setup lang="ts">
import CheckBar from './CheckBar.vue'

/** A page with one drawing at its true size, to be printed and measured. Sizes are millimetres. */
const props = defineProps<{
  title: string
  /** Where one came from, and what that is called. */
  back: string
  backName: string
  width: number
  height: number
  /** What is drawn, in words. */
  words: string
  /** There is nothing to draw as long as it cannot be. */
  drawn: boolean
  name: string
}>()

const margin = 2 // round the outlines
const upright = 180 // what every page has room for across

function print() {
  window.print()
}
</script>

<template>
  <main class="true-size" :class="{ lying: props.width > upright }">
    <p class="bar">
      <router-link :to="back">Back to {{ backName }}</router-link>
      <v-btn variant="flat" color="secondary" :disabled="!drawn" @click="print">Print at 100 %</v-btn>
    </p>
    <h1>{{ title }}</h1>
    <slot name="words" />
    <div class="fields"><slot name="fields" /></div>
    <!-- Never made smaller: what does not go on the screen is scrolled to. -->
    <div v-if="drawn" class="sheet" tabindex="0">
      <svg
        role="img"
        :aria-label="words"
        :width="`${width + 2 * margin}mm`"
        :height="`${height + 2 * margin}mm`"
        :viewBox="`${-margin} ${-margin} ${width + 2 * margin} ${height + 2 * margin}`"
        :data-test="name"
      >
        <slot />
      </svg>
    </div>
    <CheckBar />
    <p class="soft bar">Print without fitting to the page, then measure the bar.</p>
    <slot name="below" />
  </main>
</template>

<style scoped>
h1 {
  font-size: var(--size-title);
}
.true-size {
  padding: var(--near) var(--edge) var(--far);
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--gap);
  justify-items: start;
}
.bar {
  display: flex;
  gap: var(--far);
  align-items: center;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  width: min(100%, 420px);
  gap: var(--near) var(--gap);
}
.fields:empty {
  display: none;
}
.sheet {
  max-width: 100%;
  overflow-x: auto;
}
@page lying {
  size: landscape;
  margin: 10mm;
}
@media print {
  .lying {
    page: lying;
  }
  .bar,
  .fields {
    display: none;
  }
  .sheet {
    overflow: visible;
  }
  .true-size {
    padding: 0;
    --ink: #000;
    --soft: #000;
    background: #fff;
    color: #000;
  }
}
</style>
