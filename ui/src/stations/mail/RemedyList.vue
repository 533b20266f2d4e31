<script setup lang="ts">
import { computed } from 'vue'

import type { MailPlan } from '../../api/client'
import OfferRow from '../../fields/OfferRow.vue'

/** Ways to make the piece go better, smallest change first; each is one act, and one to undo. */
const props = defineProps<{ remedies: MailPlan['remedies'] }>()
const emit = defineEmits<{ apply: [id: string] }>()

const wide = 60 // pixels
const tall = 44
/** The closed pieces are drawn to one scale, each with its edge beside it. */
const scale = computed(() =>
  Math.min(
    ...props.remedies.map((r) =>
      Math.min(wide / (r.piece.width + r.piece.thickness + 6), tall / r.piece.height),
    ),
  ),
)
</script>

<template>
  <section aria-label="Ways to fix it">
    <ol class="offers">
      <OfferRow
        v-for="r in remedies"
        :key="r.id"
        :name="r.title"
        :act="r.possible ? 'Apply' : undefined"
        :data-test="`remedy-${r.id}`"
        @take="emit('apply', r.id)"
      >
        <template #picture>
          <svg :width="wide + 2" :height="tall + 2" aria-hidden="true">
            <g :transform="`translate(1 ${(tall - r.piece.height * scale) / 2 + 1})`">
              <rect
                class="drawn drawn-cut drawn-paper thin"
                x="0"
                y="0"
                :width="r.piece.width * scale"
                :height="r.piece.height * scale"
              />
              <rect
                class="drawn drawn-cut edge"
                :x="(r.piece.width + 5) * scale"
                y="0"
                :width="Math.max(1, r.piece.thickness * scale)"
                :height="r.piece.height * scale"
              />
            </g>
          </svg>
        </template>
        <p>
          <strong :class="`tone-${r.tone}`" data-test="remedy-verdict">{{ r.short }}</strong><span
            class="soft"
          >
            · {{ r.text }}</span
          >
        </p>
      </OfferRow>
    </ol>
  </section>
</template>

<style scoped>
.thin {
  stroke-width: 1.25;
}
.edge {
  stroke-width: 0.75;
  fill: var(--kraft-deep);
}
</style>
