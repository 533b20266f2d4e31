<script setup lang="ts">
import type { CheckPlan } from '../../api/client'

defineProps<{ gauge: CheckPlan['gauge']; ok: boolean }>()
</script>

<template>
  <svg width="96" height="18" class="gauge" aria-hidden="true">
    <line x1="0" y1="9" x2="96" y2="9" class="all" />
    <line :x1="gauge.from * 96" y1="9" :x2="gauge.to * 96" y2="9" class="range" />
    <path :d="`M${gauge.at * 96} 1V17`" class="at" :class="{ out: !ok }" />
  </svg>
</template>

<style scoped>
.gauge {
  display: block;
  overflow: visible;
}
.all {
  stroke: var(--line);
  stroke-width: 3;
  stroke-dasharray: 3 4;
}
.range {
  stroke: var(--kraft-deep);
  stroke-width: 8;
}
.at {
  stroke: var(--ink);
  stroke-width: 4;
}
.out {
  stroke: var(--trouble);
}
</style>
