<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'

import NetDrawing from '../../drawing/NetDrawing.vue'
import TypedField from '../../fields/TypedField.vue'
import NoteList from '../../fields/NoteList.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

const props = defineProps<{ job: JobInHand; card: { width: number; height: number }; unit: 'in' | 'mm' }>()

const { items } = useShop()

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
const begin = () => props.job.add('recipe')
const pasted = ref('')
function read() {
  props.job.add('recipe.text', pasted.value)
  pasted.value = ''
}
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
      <div v-if="plan.line" class="line" data-test="recipe-line">
        <span v-for="(c, i) in plan.line.chips" :key="i" class="chip"
          ><strong>{{ c.text }}</strong> {{ c.means }}</span
        >
        <span v-for="u in plan.line.unread" :key="u" class="chip odd" data-test="recipe-unread">{{ u }}</span>
      </div>
      <div class="sides">
        <div class="fields">
          <v-select
            label="The recipe gives"
            :model-value="plan.form"
            :items="items('recipes')"
            data-test="recipe-form"
            @update:model-value="job.add('recipe', $event)"
          />
          <TypedField v-for="p in plan.asks" :key="p" :of="job" :path="p" />
          <TypedField :of="job" path="recipe.claimWidth" />
          <template v-if="recipe.claimWidth">
            <TypedField :of="job" path="recipe.claimHeight" />
            <TypedField :of="job" path="recipe.claimOf" />
          </template>
          <TypedField v-if="recipe.corner" :of="job" path="recipe.corner" />
          <TypedField :of="job" path="recipe.quoted" />
          <TypedField v-if="recipe.quoted" :of="job" path="recipe.quotedOf" />
          <v-btn variant="outlined" size="small" class="away" @click="job.remove('recipe')"
            >Remove the recipe</v-btn
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
          <v-btn
            v-if="plan.corner"
            variant="outlined"
            class="away"
            data-test="take-corner"
            @click="job.take('recipe', 'corner')"
            >Keep {{ plan.corner }} as its board’s</v-btn
          >
          <v-btn
            v-if="plan.works"
            variant="outlined"
            class="away"
            data-test="take-as-it-stands"
            @click="job.take('recipe', 'as it stands')"
            >Use it as it stands</v-btn
          >
          <template v-if="plan.rescaled">
            <p data-test="rescaled">{{ plan.rescaled }}</p>
            <v-btn variant="outlined" class="away" data-test="take-recipe" @click="job.take('recipe')"
              >Use this for my card</v-btn
            >
          </template>
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
        Paste a recipe whole, or type its sheet and scores: you see the envelope that it really makes.
      </p>
      <v-textarea
        v-model="pasted"
        label="The recipe, as it is written"
        placeholder="Cut 8 3/4 square, score at 3 and 8 3/8, turn, repeat"
        rows="2"
        data-test="recipe-paste"
      />
      <div class="begin">
        <v-btn variant="outlined" :disabled="!pasted.trim()" data-test="recipe-read" @click="read"
          >Read it</v-btn
        >
        <v-btn variant="outlined" data-test="check-recipe" @click="begin">Type it instead</v-btn>
      </div>
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
.line,
.begin {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.chip {
  padding: 2px 10px;
  border: 1px solid var(--line);
  border-radius: 4px;
}
.odd {
  border-color: var(--trouble);
  color: var(--trouble);
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
