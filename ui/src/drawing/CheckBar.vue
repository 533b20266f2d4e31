<script setup lang="ts">
/** A bar to measure on paper: whether a print came out at its true size. */
const check = { mm: 100, inches: 4 }
</script>

<template>
  <svg
    role="img"
    aria-label="Check bar, 100 mm and 4 in"
    :width="`${check.inches * 25.4 + 4}mm`"
    height="17mm"
    :viewBox="`-2 0 ${check.inches * 25.4 + 4} 17`"
    data-test="check-bar"
  >
    <path class="check" :d="`M0 2V6M0 4H${check.mm}M${check.mm} 2V6`" />
    <text x="1" y="8.8">100 mm</text>
    <path class="check" :d="`M0 10.5V14.5M0 12.5H${check.inches * 25.4}M${check.inches * 25.4} 10.5V14.5`" />
    <text x="1" y="16.6">4 in</text>
  </svg>
</template>

<style scoped>
.check {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.25;
}
/* In the drawing's own millimetres. */
text {
  fill: var(--ink);
  font: 3.6px var(--body);
}
</style>
