<script setup lang="ts">
import { computed, ref } from 'vue'

import type { FitPlan, Sentence } from '../../api/client'
import OfferRow from '../../fields/OfferRow.vue'

const props = defineProps<{
  sentence: Sentence
  fits: FitPlan[]
  misses: FitPlan[]
  /** The card over all that sticks out, in millimetres. */
  card: { width: number; height: number }
  /** The one in use is measured with a ruler: its fields stand in the slot. */
  own: boolean
}>()
const emit = defineEmits<{ choose: [id: string] }>()

const few = 6
const all = ref(false)
// One that is only just too tight is looked for by its name, so it is never hidden.
const shown = computed(() => [
  ...props.fits.filter((f, i) => all.value || i < few || f.chosen || f.verdict === 'too tight'),
  ...props.misses,
])

const wide = 56 // pixels
const tall = 44
const mm = (nm: number) => nm / 1e6
/** All are drawn to one scale, so that they can be compared. */
const scale = computed(() =>
  Math.min(...shown.value.map((f) => Math.min(wide / mm(f.outer.width), tall / mm(f.outer.height)))),
)
</script>

<template>
  <section class="bought" aria-label="Bought envelopes">
    <h3 class="part">Bought envelopes</h3>
    <p data-test="fits-sentence">
      <template v-for="(span, i) in sentence.spans" :key="i">
        <strong v-if="span.mark">{{ span.text }}</strong>
        <template v-else>{{ span.text }}</template>
      </template>
    </p>
    <ul v-if="shown.length" class="offers">
      <OfferRow
        v-for="f in shown"
        :key="f.id"
        :name="f.name"
        :chosen="f.chosen"
        chosen-as="in use"
        act="Use this"
        :act-test="`use-${f.id}`"
        :data-test="`fit-${f.id}`"
        @take="emit('choose', f.id)"
      >
        <template #picture>
          <svg :width="wide + 2" :height="tall + 2" aria-hidden="true">
            <g
              :transform="`translate(${(wide - mm(f.outer.width) * scale) / 2 + 1} ${(tall - mm(f.outer.height) * scale) / 2 + 1})`"
            >
              <rect
                class="drawn drawn-cut drawn-paper thin"
                :width="mm(f.outer.width) * scale"
                :height="mm(f.outer.height) * scale"
              />
              <rect
                class="drawn drawn-card"
                :x="((mm(f.outer.width) - card.width) / 2) * scale"
                :y="((mm(f.outer.height) - card.height) / 2) * scale"
                :width="card.width * scale"
                :height="card.height * scale"
              />
            </g>
          </svg>
        </template>
        <p>{{ f.size }} · ease {{ f.easeWidth.text }} in width, {{ f.easeHeight.text }} in height</p>
        <p class="soft">
          <strong>{{ f.said }}</strong>: {{ f.why }}
        </p>
      </OfferRow>
    </ul>
    <v-btn v-if="fits.length > few" variant="outlined" size="small" @click="all = !all">
      {{ all ? 'Fewer' : `All ${fits.length} that take it` }}
    </v-btn>
    <slot v-if="own" />
    <v-btn
      v-else
      class="ruler"
      variant="outlined"
      size="small"
      data-test="use-ruler"
      @click="emit('choose', 'own')"
      >Measured with a ruler</v-btn
    >
  </section>
</template>

<style scoped>
.bought {
  display: grid;
  gap: var(--near);
  justify-items: stretch;
}
.ruler {
  justify-self: start;
}
.thin {
  stroke-width: 1.25;
}
</style>
