<script setup lang="ts">
import { mdiAlertOutline, mdiCheck, mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'

import type { CheckPlan, ClassPlan } from '../../api/client'
import LimitGauge from './LimitGauge.vue'

/** What one class of mail asks for: what fails and what is narrow is open, the rest is one line. */
const props = defineProps<{ result: ClassPlan; first?: boolean }>()

const urgent = (c: CheckPlan) => !c.ok || c.close
const all = ref(false)
const open = ref<boolean>() // as the maker left it
const isOpen = computed(() => open.value ?? props.first ?? false)
const narrow = computed(() => props.result.checks.filter(urgent).sort((a, b) => Number(a.ok) - Number(b.ok)))
const passing = computed(() => props.result.checks.filter((c) => !urgent(c)))
const shown = computed(() => [...narrow.value, ...(all.value ? passing.value : [])])

const outcomes: Record<string, string> = {
  goes: 'goes',
  surcharged: 'goes with a surcharge',
  ask: 'ask first',
  refused: 'does not go',
  'not needed': 'a smaller class takes it',
}

function mark(c: CheckPlan) {
  if (c.ok && !c.close) return { icon: mdiCheck, tone: 'tone-fine', word: 'passes' }
  if (c.ok) return { icon: mdiAlertOutline, tone: 'tone-care', word: 'passes, within measuring error' }
  if (c.surcharge) return { icon: mdiAlertOutline, tone: 'tone-care', word: 'fails: surcharge' }
  return { icon: mdiClose, tone: 'tone-trouble', word: 'fails' }
}
</script>

<template>
  <section class="class" :data-test="`class-${result.id}`">
    <button type="button" class="name" :aria-expanded="isOpen" @click="open = !isOpen">
      <strong>{{ result.name }}</strong> <span class="soft">{{ outcomes[result.outcome] }}</span>
    </button>
    <template v-if="isOpen">
      <ul>
        <li v-for="c in shown" :key="c.measure + c.about" :data-test="`check-${c.measure}`">
          <v-icon
            :icon="mark(c).icon"
            :class="mark(c).tone"
            size="20"
            :aria-label="mark(c).word"
            role="img"
          />
          <span class="what"
            ><strong>{{ c.label }}</strong> <small v-if="c.about" class="soft">{{ c.about }}</small><small
              class="soft numbers"
              ><span data-test="measured"
                >{{ c.measured }}<template v-if="c.here"> ({{ c.here.measured }})</template></span
              >, allowed
              <span data-test="limit"
                >{{ c.limit }}<template v-if="c.here"> ({{ c.here.limit }})</template></span
              ></small
            ></span
          >
          <span class="margin" :class="mark(c).tone">
            <LimitGauge v-if="c.margin" :gauge="c.gauge" :ok="c.ok" />
            <span data-test="margin"
              >{{ c.margin || '–' }}<template v-if="c.here"> ({{ c.here.margin }})</template></span
            >
            <small v-if="c.worst !== c.margin" class="soft" data-test="worst">at worst {{ c.worst }}</small>
          </span>
        </li>
      </ul>
      <button
        v-if="passing.length"
        type="button"
        class="rest tone-fine"
        :aria-expanded="all"
        data-test="passing"
        @click="all = !all"
      >
        <v-icon :icon="mdiCheck" size="20" aria-hidden="true" />
        {{ narrow.length ? `${passing.length} other checks pass` : `All ${passing.length} checks pass` }}
      </button>
    </template>
  </section>
</template>

<style scoped>
.class {
  border-top: 1px solid var(--line);
  padding-top: var(--near);
}
button {
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
  padding: 3px 0;
  min-height: 32px;
}
.name strong::first-letter {
  text-transform: uppercase;
}
.name strong {
  display: inline-block;
  margin-right: var(--near);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) auto;
  gap: var(--near);
  align-items: start;
  padding: 4px 0;
  line-height: 1.3;
}
.what strong {
  display: inline-block;
}
.what strong::first-letter {
  text-transform: uppercase;
}
.numbers {
  display: block;
}
.margin {
  display: grid;
  justify-items: end;
  font-weight: 650;
  font-size: var(--size-note);
}
.margin small {
  font-weight: 400;
}
small {
  font-size: var(--size-note);
}
.rest {
  display: flex;
  align-items: center;
  gap: var(--near);
  font-size: var(--size-note);
  font-weight: 600;
}
</style>
