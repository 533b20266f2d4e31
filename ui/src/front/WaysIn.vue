<script setup lang="ts">
import { newJob } from '../job/useJob'

/** The four things that a job may begin with. */
const ways = [
  { to: 'card/base', name: 'I have a card', what: 'its size makes the envelope', test: 'new-job' },
  {
    to: 'card/from-envelope',
    name: 'I have an envelope',
    what: 'see the cards it takes',
    test: 'new-envelope',
  },
  { to: 'card/from-paper', name: 'I have paper', what: 'see the cards it gives', test: 'new-paper' },
  { to: 'envelope/recipe', name: 'I have a recipe', what: 'check its sheet and scores', test: 'new-recipe' },
]
</script>

<template>
  <nav class="ways" aria-label="Begin a job">
    <router-link
      v-for="w in ways"
      :key="w.to"
      class="way"
      :to="`/jobs/${newJob}/${w.to}`"
      :data-test="w.test"
    >
      <svg class="small" viewBox="0 0 96 72" width="84" height="63" aria-hidden="true">
        <g v-if="w.test === 'new-job'">
          <path class="drawn drawn-cut deep" d="M30 14 L60 6 V58 L30 66 Z" />
          <rect class="drawn drawn-cut sheet" x="30" y="14" width="44" height="52" />
          <rect class="drawn drawn-cut kraft" x="35" y="19" width="34" height="42" />
          <circle class="drawn drawn-cut gold" cx="52" cy="40" r="8" />
        </g>
        <g v-else-if="w.test === 'new-envelope'">
          <path class="drawn drawn-cut deep" d="M12 28 L48 6 L84 28 Z" />
          <rect class="drawn drawn-cut kraft" x="12" y="28" width="72" height="40" />
          <path class="drawn drawn-cut" d="M12 28 L40 50 M84 28 L56 50 M12 68 L48 42 L84 68" />
        </g>
        <g v-else-if="w.test === 'new-paper'">
          <rect class="drawn drawn-cut deep" x="30" y="6" width="52" height="56" />
          <rect class="drawn drawn-cut sheet" x="22" y="10" width="52" height="56" />
          <path class="drawn drawn-score" d="M22 38 H74" />
          <path class="drawn drawn-cut" d="M58 10 V66" />
        </g>
        <g v-else>
          <path class="drawn drawn-cut kraft" d="M48 4 L80 36 L48 68 L16 36 Z" />
          <path class="drawn drawn-score" d="M34 10 L66 62 M62 10 L30 62" />
          <path class="drawn drawn-size" d="M14 34 L46 2" />
        </g>
      </svg>
      <span
        ><strong>{{ w.name }}</strong
        ><span class="what soft">{{ w.what }}</span></span
      >
    </router-link>
  </nav>
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: var(--gap);
}
.way {
  display: flex;
  align-items: center;
  gap: var(--gap);
  padding: var(--near) 0;
  text-decoration: none;
  border-top: 2px solid var(--ink);
}
.way:hover {
  background: var(--sheet);
  border-color: var(--yellow);
}
.small {
  flex: none;
}
strong {
  display: block;
  white-space: nowrap;
  font: 650 var(--size-number) / 1.15 var(--head);
}
.what {
  font-size: var(--size-note);
}
.small .drawn {
  stroke-width: 1.5;
}
.sheet {
  fill: var(--sheet);
}
.kraft {
  fill: var(--kraft);
}
.deep {
  fill: var(--kraft-deep);
}
.gold {
  fill: var(--mark);
}
@media (max-width: 1100px) {
  .small {
    width: 64px;
    height: 48px;
  }
  strong {
    font-size: var(--size-text);
    white-space: normal;
  }
  .what {
    display: none;
  }
}
@media (max-width: 760px) {
  .ways {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
