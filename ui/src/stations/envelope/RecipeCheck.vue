<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'

import NetDrawing from '../../drawing/NetDrawing.vue'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import TypedField from '../../fields/TypedField.vue'
import NoteList from '../../fields/NoteList.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

const props = defineProps<{ job: JobInHand; card: { width: number; height: number }; unit: 'in' | 'mm' }>()

const { choices } = useShop()

// Somebody who came with a recipe finds a note begun, in sight.
const route = useRoute()
const section = ref<HTMLElement>()
onMounted(() => {
  if (route.query.with !== 'recipe') return
  if (!recipe.value) begin()
  section.value?.scrollIntoView({ block: 'start' })
})

const recipe = computed(() => props.job.job.value?.recipe)
const plan = computed(() => props.job.plan.value?.recipe)
const scores = ['left', 'right', 'top', 'bottom']
const begin = () => props.job.add('recipe')
</script>

<template>
  <section ref="section" class="recipe" aria-label="Check a recipe" data-test="recipe">
    <h2>Check a recipe</h2>
    <template v-if="recipe && plan">
      <p class="sum" data-test="recipe-sentence">
        <template v-for="(span, i) in plan.sentence.spans" :key="i">
          <strong v-if="span.mark">{{ span.text }}</strong>
          <template v-else>{{ span.text }}</template>
        </template>
      </p>
      <div class="sides">
        <div class="fields">
          <ChoiceRow
            label="How its scores are read"
            name="recipe"
            :choices="choices('recipes')"
            :model-value="plan.scores"
            @update:model-value="job.add('recipe', $event)"
          />
          <TypedField :of="job" path="recipe.side1" />
          <TypedField :of="job" path="recipe.side2" />
          <TypedField v-for="p in scores" :key="p" :of="job" :path="`recipe.${p}`" />
          <TypedField :of="job" path="recipe.quoted" />
          <TypedField v-if="recipe.quoted" :of="job" path="recipe.quotedOf" />
          <v-btn variant="outlined" size="small" class="away" @click="job.remove('recipe')"
            >Put the note away</v-btn
          >
        </div>
        <div class="found">
          <NoteList :notes="plan.notes" />
          <article v-for="r in plan.readings" :key="r.name" data-test="recipe-reading">
            <h3>{{ capital(r.name) }}</h3>
            <p>
              <strong class="big">{{ r.inside }}</strong> inside, ease {{ r.ease }};
              <span :class="r.suits ? 'tone-fine' : 'tone-trouble'">{{
                r.suits
                  ? 'your card goes in and it closes'
                  : r.fits
                    ? 'it does not close'
                    : 'your card does not go in'
              }}</span>
            </p>
            <p class="soft">
              seams
              <template v-for="(s, i) in r.seams" :key="i"
                >{{ i ? ', ' : '' }}{{ r.seamNames[i] }} {{ s }}</template
              >; open: {{ r.hole }}
            </p>
          </article>
          <p data-test="rescaled">{{ plan.rescaled }}</p>
          <v-btn variant="outlined" class="away" data-test="take-recipe" @click="job.take('recipe')"
            >Make mine so</v-btn
          >
        </div>
      </div>
      <div class="nets">
        <NetDrawing
          v-for="r in plan.readings"
          :key="`net-${r.name}`"
          :net="r.net"
          :dimensions="[]"
          :card="card"
          :unit="unit"
          :words="r.drawing"
          :max-height="330"
        />
      </div>
    </template>
    <template v-else>
      <p class="soft">
        Type a sheet and its scores from somebody's note, and see the envelope it really makes.
      </p>
      <v-btn variant="outlined" class="away" data-test="check-recipe" @click="begin">Type a note</v-btn>
    </template>
  </section>
</template>

<script lang="ts">
function capital(s: string) {
  return s.charAt(0).toUpperCase() + s.slice(1)
}
</script>

<style scoped>
.recipe {
  display: grid;
  gap: 10px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.sum {
  font-size: 18px;
}
.sides {
  display: grid;
  grid-template-columns: minmax(320px, 1fr) minmax(0, 1.4fr);
  gap: 16px 36px;
}
.fields,
.found {
  display: grid;
  gap: 8px;
  align-content: start;
}
.big {
  font-size: 22px;
}
.nets {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
}
.away {
  justify-self: start;
}
@media (max-width: 1000px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
