<script setup lang="ts">
import { reactive, watch } from 'vue'

import type { TicketLine } from '../api/client'

const props = defineProps<{ jobId: string; lines: TicketLine[]; station: string }>()

/** How long a changed number stays marked, with what it was before. */
const markedFor = 4000

/** A longer value is written smaller, and in two lines where it has to be. */
const mostChars = 24

const was = reactive<Record<string, string>>({})
const timers: Record<string, number> = {}

watch(
  () => props.lines,
  (now, before) => {
    for (const line of now) {
      const old = before?.find((l) => l.id === line.id)
      if (!old || old.value === line.value) continue
      was[line.id] ??= old.value
      window.clearTimeout(timers[line.id])
      timers[line.id] = window.setTimeout(() => delete was[line.id], markedFor)
    }
  },
)
</script>

<template>
  <nav class="strip" aria-label="Ticket: the numbers of this job">
    <div class="airmail" aria-hidden="true"></div>
    <ol>
      <li
        v-for="line in lines"
        :key="line.id"
        :class="{
          here: line.station === station,
          changed: line.id in was,
          second: lines.find((l) => l.station === line.station) !== line,
        }"
      >
        <router-link
          :to="`/jobs/${jobId}/${line.station}`"
          :aria-current="line.station === station ? 'page' : undefined"
          :data-test="`ticket-${line.id}`"
        >
          <span class="label">{{ line.label }}</span>
          <span class="value" :class="[`ticket-${line.tone}`, { long: line.value.length > mostChars }]">
            <span v-if="line.tone !== 'fine'" class="flagged" aria-hidden="true">!</span>{{ line.value }}
          </span>
          <span v-if="line.id in was" class="was">was {{ was[line.id] }}</span>
        </router-link>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.strip {
  contain: layout style;
  position: sticky;
  bottom: 0;
  z-index: 5;
  background: var(--strip);
  color: var(--strip-ink);
}
ol {
  display: grid;
  grid-template-columns: repeat(8, auto);
  margin: 0;
  padding: 0 16px;
  list-style: none;
}
li {
  border-left: 2px dotted #6d6656;
}
li.here {
  background: var(--yellow);
  color: #23211c;
  border-left-color: transparent;
}
li.here .label,
li.here .was {
  color: #4a3600;
}
a {
  display: grid;
  grid-template-columns: auto 1fr;
  column-gap: var(--gap);
  padding: 9px 12px 11px;
  text-decoration: none;
  min-height: 66px;
  align-content: center;
}
a:focus-visible {
  outline-color: var(--strip-ink);
  outline-offset: -4px;
}
.here a:focus-visible {
  outline-color: #23211c;
}
.label {
  font-size: var(--size-note);
  color: var(--strip-soft);
  white-space: nowrap;
}
/* What was there before takes the room that is left: it is cut short before a number is. */
.was {
  grid-row: 1;
  grid-column: 2;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 1;
  overflow: hidden;
  word-break: break-all;
  font-size: var(--size-small);
  color: var(--strip-soft);
}
.value {
  grid-column: 1 / -1;
  min-width: min-content;
  font-size: var(--size-number);
  font-weight: 650;
  white-space: nowrap;
}
.value.long {
  font-size: var(--size-text);
  line-height: 1.2;
  white-space: normal;
}
.changed .value {
  animation: arrive 1.2s ease-out;
}
li.here.changed .value {
  animation-name: arrive-here;
}
@keyframes arrive-here {
  from {
    box-shadow: 0 7px 0 -1px #23211c;
  }
}
@keyframes arrive {
  from {
    box-shadow: 0 7px 0 -1px var(--yellow);
  }
}
.flagged {
  display: inline-block;
  width: 1.15em;
  line-height: 1.15em;
  text-align: center;
  border-radius: 50%;
  background: var(--yellow);
  color: #23211c;
  font-size: 0.75em;
  margin-right: 0.4em;
  vertical-align: 0.12em;
}
.here .flagged {
  background: #23211c;
  color: var(--yellow);
}
/* A verdict is long: on a smaller screen it takes two lines before it meets the next number. */
@media (max-width: 1200px) {
  .value {
    font-size: var(--size-text);
    line-height: 1.2;
    white-space: normal;
  }
}
@media (max-width: 960px) {
  ol {
    grid-template-columns: repeat(4, 1fr);
    padding: 0 8px;
  }
  a {
    min-height: 48px;
    padding: 4px 10px 5px;
  }
  .value {
    font-size: var(--size-text);
  }
}
/* Where there is little room it folds to one line: where one is, with its number, and the others by name. */
@media (max-height: 560px), (max-width: 680px) {
  .airmail {
    height: 3px;
  }
  ol {
    display: flex;
    padding: 0;
  }
  li {
    flex: 0 1 auto;
    min-width: 0;
  }
  li.second,
  li:not(.here) .value {
    display: none;
  }
  a {
    min-height: 32px;
    padding: 2px 4px;
    column-gap: var(--near);
  }
  .label {
    font-size: var(--size-small);
    white-space: nowrap;
  }
  .was {
    display: none;
  }
  .value {
    grid-column: 2;
    overflow: hidden;
    text-overflow: ellipsis;
  }
}
</style>
