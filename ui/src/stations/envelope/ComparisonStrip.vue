<script setup lang="ts">
import { computed } from 'vue'

import type { ComparisonPlan, Sketch } from '../../api/client'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import { useShop } from '../../job/useShop'

const props = defineProps<{ comparison: ComparisonPlan; mailable: boolean }>()
const emit = defineEmits<{
  choose: [id: string]
  sort: [id: string]
  mailable: [on: boolean]
  match: [id: string]
}>()

const { choices } = useShop()

const wide = 150 // pixels
const tall = 120

/** All nets are drawn to one scale, so that they can be compared. */
const scale = computed(() =>
  Math.min(
    ...props.comparison.rows
      .filter((r) => r.ok)
      .map((r) => Math.min(wide / right(r.net), tall / Math.max(...r.net.sheet.map((p) => p.y)))),
  ),
)
const right = (n: Sketch) => Math.max(...n.sheet.map((p) => p.x))
const path = (points: { x: number; y: number }[]) =>
  points.map((p, i) => `${i ? 'L' : 'M'}${p.x * scale.value} ${p.y * scale.value}`).join('') + 'Z'
</script>

<template>
  <section class="compare" aria-label="Ways to make it">
    <div class="head">
      <h2>Ways to make it</h2>
      <ChoiceRow
        label="What matters"
        name="sort"
        :choices="choices('sorts')"
        :model-value="comparison.sort"
        @update:model-value="emit('sort', $event)"
      />
    </div>
    <p class="why" data-test="comparison-sentence">{{ comparison.sentence }}</p>
    <p v-if="comparison.rectangle || mailable" data-test="rectangle">
      {{ comparison.rectangle }}
      <v-btn variant="outlined" size="small" data-test="take-rectangle" @click="emit('mailable', !mailable)">
        {{ mailable ? 'Back to an envelope of the card’s shape' : 'Make it a plain rectangle' }}
      </v-btn>
    </p>
    <p v-for="k in comparison.matches" :key="k.id" data-test="match">
      {{ k.text }}
      <v-btn variant="outlined" size="small" @click="emit('match', k.id)">Make them match</v-btn>
    </p>
    <ul class="ways">
      <li v-for="r in comparison.rows" :key="r.id" :class="{ chosen: r.chosen }" :data-test="`way-${r.id}`">
        <svg v-if="r.ok" role="img" :aria-label="r.drawing" :width="wide + 4" :height="tall + 4">
          <g :transform="`translate(${(wide - right(r.net) * scale) / 2 + 2} 2)`">
            <path class="drawn drawn-away" :d="path(r.net.sheet)" />
            <path class="drawn drawn-cut drawn-paper" :d="path(r.net.outline)" />
            <line
              v-for="c in r.net.creases"
              :key="`${c.from.x} ${c.from.y} ${c.to.x} ${c.to.y}`"
              class="drawn drawn-score"
              :x1="c.from.x * scale"
              :y1="c.from.y * scale"
              :x2="c.to.x * scale"
              :y2="c.to.y * scale"
            />
          </g>
        </svg>
        <h3>{{ r.name }} <span v-if="r.recommended" class="mark">proposed</span></h3>
        <template v-if="r.ok">
          <p class="sheet">{{ r.sheet }}</p>
          <dl>
            <dt>from</dt>
            <dd :class="{ 'tone-trouble': !r.fits }">{{ r.fitText }}</dd>
            <dt>seam</dt>
            <dd>{{ r.seam }}</dd>
            <dt>work</dt>
            <dd>{{ r.work }}</dd>
            <dt>takes</dt>
            <dd>{{ r.depth }} thick</dd>
            <dt>closed</dt>
            <dd>{{ r.closed }}</dd>
            <template v-if="r.opens">
              <dt>opens on</dt>
              <dd>{{ r.opens }}</dd>
            </template>
            <template v-if="r.price">
              <dt>costs</dt>
              <dd>{{ r.price }}</dd>
            </template>
            <dt>goes as</dt>
            <dd :class="`tone-${r.tone}`">{{ r.mail }}</dd>
          </dl>
          <details v-if="r.sizes.length" class="sizes">
            <summary>Smaller or roomier</summary>
            <ul>
              <li v-for="z in r.sizes" :key="z.name" data-test="size">
                <strong>{{ z.name }}</strong> {{ z.sheet }}: ease {{ z.ease }}, seam {{ z.seam
                }}{{ z.fits ? '' : ', no sheet gives it' }}
              </li>
            </ul>
          </details>
          <span v-if="r.chosen" class="soft">this one</span>
          <v-btn
            v-else
            variant="outlined"
            size="small"
            :aria-label="`Make it as ${r.name}`"
            :data-test="`choose-${r.id}`"
            @click="emit('choose', r.id)"
            >{{ r.id.startsWith('bought') ? 'Use this envelope' : 'Use this type' }}</v-btn
          >
        </template>
        <p v-else class="soft">{{ r.text }}</p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.compare {
  display: grid;
  gap: 8px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
}
.why {
  font-size: 18px;
}
.sizes {
  font-size: 15px;
}
.sizes ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.sizes li {
  border: 0;
  padding: 2px 0;
}
.ways {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(184px, 1fr));
  gap: 8px 0;
}
li {
  padding: 10px 14px 12px;
  border-left: 2px dotted var(--line);
  display: grid;
  align-content: start;
  justify-items: start;
  gap: 3px;
}
.chosen {
  background: color-mix(in srgb, var(--mark) 28%, transparent);
}
h3 {
  font-size: 17px;
}
.sheet {
  font-size: 20px;
  font-weight: 650;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0 10px;
  margin: 0;
  font-size: 15px;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
  font-weight: 600;
}
</style>
