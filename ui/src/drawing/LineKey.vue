<script setup lang="ts">
defineProps<{ kinds: string[] }>()

const names: Record<string, string> = {
  cut: 'cut',
  score: 'score',
  inside: 'score from the inside',
  away: 'cut away',
  sheet: 'sheet',
  mat: 'mat, and what it can cut',
  glue: 'glue',
  card: 'card',
  liner: 'liner',
  hole: 'hole, which nothing covers',
}
</script>

<template>
  <ul class="key" aria-label="Lines of the drawing">
    <li v-for="kind in kinds" :key="kind">
      <svg width="34" height="14" aria-hidden="true">
        <rect v-if="kind === 'card'" class="drawn drawn-card" x="1" y="1" width="32" height="12" />
        <g v-else-if="kind === 'glue'" class="hatch">
          <path d="M5 1V13M13 1V13M21 1V13M29 1V13" />
        </g>
        <line
          v-else-if="kind === 'inside'"
          class="drawn drawn-score from-inside"
          x1="0"
          y1="7"
          x2="34"
          y2="7"
        />
        <line
          v-else
          class="drawn"
          :class="`drawn-${kind === 'sheet' ? 'away' : kind}`"
          x1="0"
          y1="7"
          x2="34"
          y2="7"
        />
      </svg>
      {{ names[kind] }}
    </li>
  </ul>
</template>

<style scoped>
.key {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near) var(--gap);
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  gap: var(--near);
}
.from-inside {
  stroke-dasharray: 3 5;
}
.hatch {
  stroke: var(--glue);
  stroke-width: 1.5;
}
</style>
