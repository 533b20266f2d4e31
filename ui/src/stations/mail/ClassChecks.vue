<script setup lang="ts">
import { mdiAlertOutline, mdiCheck, mdiChevronRight, mdiClose } from '@mdi/js'
import { computed } from 'vue'

import type { CheckPlan, ClassPlan } from '../../api/client'
import LimitGauge from './LimitGauge.vue'

const props = defineProps<{ result: ClassPlan; first?: boolean }>()

// What is broken is read first, then what is close.
const urgency = (c: CheckPlan) => (!c.ok ? 0 : c.close ? 1 : 2)
const checks = computed(() => [...props.result.checks].sort((a, b) => urgency(a) - urgency(b)))

const outcomes: Record<string, string> = {
  goes: 'goes',
  surcharged: 'goes, with a surcharge',
  refused: 'not taken',
  'not needed': 'not needed: a smaller class takes it',
}

function mark(c: CheckPlan) {
  if (c.ok && !c.close) return { icon: mdiCheck, tone: 'tone-fine', word: 'kept' }
  if (c.ok) return { icon: mdiAlertOutline, tone: 'tone-care', word: 'kept, but within measuring error' }
  if (c.surcharge) return { icon: mdiAlertOutline, tone: 'tone-care', word: 'broken: surcharge' }
  return { icon: mdiClose, tone: 'tone-trouble', word: 'broken' }
}
</script>

<template>
  <details class="class" :open="first" :data-test="`class-${result.id}`">
    <summary>
      <v-icon :icon="mdiChevronRight" class="turn" />
      <h2>{{ result.name }}</h2>
      <span>{{ outcomes[result.outcome] }}</span>
    </summary>
    <table class="numbers-table">
      <thead>
        <tr>
          <th scope="col" class="words">Measure</th>
          <th scope="col">Measured</th>
          <th scope="col">Limit</th>
          <th scope="col">Margin</th>
          <th scope="col" class="words gauge">In the range</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(c, i) in checks" :key="i" :data-test="`check-${c.measure}`">
          <th scope="row" class="words">
            <v-icon
              :icon="mark(c).icon"
              :class="mark(c).tone"
              size="20"
              :aria-label="mark(c).word"
              role="img"
            />
            {{ c.label }} <small v-if="c.about" class="soft">{{ c.about }}</small>
          </th>
          <td class="number" data-test="measured">
            {{ c.measured }}<small v-if="c.here" class="here soft">{{ c.here.measured }}</small>
          </td>
          <td data-test="limit">
            {{ c.limit }}<small v-if="c.here" class="here soft">{{ c.here.limit }}</small>
          </td>
          <td :class="mark(c).tone" data-test="margin">
            {{ c.margin || '–' }}
            <small v-if="c.here" class="here soft">{{ c.here.margin }}</small>
            <small v-if="c.worst !== c.margin" class="worst soft" data-test="worst"
              >at worst {{ c.worst }}</small
            >
          </td>
          <td class="gauge">
            <LimitGauge v-if="c.margin" :gauge="c.gauge" :ok="c.ok" /><template v-else>yes or no</template>
          </td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
.here {
  display: block;
}
.class {
  border-top: 1px solid var(--line);
  padding-top: 10px;
}
summary {
  display: flex;
  gap: 16px;
  align-items: baseline;
  cursor: pointer;
  padding: 4px 0;
}
summary::-webkit-details-marker {
  display: none;
}
.turn {
  align-self: center;
  margin-right: -8px;
}
[open] > summary .turn {
  transform: rotate(90deg);
}
h2::first-letter {
  text-transform: uppercase;
}
td {
  white-space: nowrap;
}
.numbers-table :is(th, td) {
  padding: 6px 9px 6px 0;
}
small {
  font-size: 13px;
  font-weight: 400;
  white-space: nowrap;
}
th.words::first-letter {
  text-transform: uppercase;
}
.number {
  font-size: 19px;
  font-weight: 650;
}
.worst {
  display: block;
  font-size: 12px;
}
.gauge {
  width: 96px;
}
</style>
