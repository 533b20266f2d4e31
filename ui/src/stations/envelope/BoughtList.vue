<script setup lang="ts">
import { computed, ref } from 'vue'

import type { FitPlan, Sentence } from '../../api/client'

const props = defineProps<{ sentence: Sentence; fits: FitPlan[]; misses: FitPlan[] }>()
const emit = defineEmits<{ choose: [id: string] }>()

const few = 6
const all = ref(false)
// One that is only just too tight is looked for by its name, so it is never hidden.
const shown = computed(() => [
  ...props.fits.filter((f, i) => all.value || i < few || f.chosen || f.verdict === 'too tight'),
  ...props.misses,
])
</script>

<template>
  <section class="bought" aria-label="Envelopes that are sold">
    <h2>Bought envelopes</h2>
    <p class="sum" data-test="fits-sentence">
      <template v-for="(span, i) in sentence.spans" :key="i">
        <strong v-if="span.mark">{{ span.text }}</strong>
        <template v-else>{{ span.text }}</template>
      </template>
    </p>
    <table v-if="shown.length" class="numbers-table">
      <thead>
        <tr>
          <th scope="col">Envelope</th>
          <th scope="col">Outside</th>
          <th scope="col">Ease across</th>
          <th scope="col">Ease down</th>
          <th scope="col" class="words">Verdict</th>
          <th scope="col"><span class="sr">Use it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="f in shown"
          :key="f.id"
          :data-test="`fit-${f.id}`"
          :class="{ miss: f.verdict === 'does not fit', here: f.chosen }"
        >
          <th scope="row">{{ f.name }}</th>
          <td>{{ f.size }}</td>
          <td>{{ f.easeWidth.text }}</td>
          <td>{{ f.easeHeight.text }}</td>
          <td class="words">
            <strong>{{ f.verdict }}</strong>: {{ f.why }}
          </td>
          <td>
            <span v-if="f.chosen" class="soft">this one</span>
            <v-btn
              v-else
              variant="outlined"
              size="small"
              :aria-label="`Use the envelope ${f.name}`"
              :data-test="`use-${f.id}`"
              @click="emit('choose', f.id)"
              >Use this envelope</v-btn
            >
          </td>
        </tr>
      </tbody>
    </table>
    <v-btn v-if="fits.length > few" variant="outlined" @click="all = !all">
      {{ all ? 'Fewer' : `All ${fits.length} that take it` }}
    </v-btn>
  </section>
</template>

<style scoped>
.bought {
  display: grid;
  gap: 10px;
  justify-items: start;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.sum {
  font-size: 18px;
}
.miss {
  color: var(--soft);
}
</style>
