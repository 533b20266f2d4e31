<script setup lang="ts">
import { computed, ref } from 'vue'

import NoteList from '../../fields/NoteList.vue'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

/** Somebody's recipe: pasted or typed in, what it makes, and what may be made of it. */
const props = defineProps<{ job: JobInHand }>()
const emit = defineEmits<{
  /** Which way of reading it is to be drawn. */
  look: [reading: number]
}>()

const { items } = useShop()
const recipe = computed(() => props.job.job.value?.recipe)
const plan = computed(() => props.job.plan.value?.recipe)
const pasted = ref('')
function read() {
  props.job.add('recipe.text', pasted.value)
  pasted.value = ''
}

const capital = (s: string) => s.charAt(0).toUpperCase() + s.slice(1)
</script>

<template>
  <section class="recipe" aria-label="Recipe" data-test="recipe">
    <template v-if="recipe && plan">
      <p data-test="recipe-sentence">
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
      <div class="acts">
        <v-btn
          v-if="plan.card"
          variant="flat"
          color="primary"
          size="small"
          data-test="take-recipe-card"
          @click="job.take('recipe', 'card')"
          >Make {{ plan.card }}</v-btn
        >
        <v-btn
          v-if="plan.corner"
          variant="outlined"
          size="small"
          data-test="take-corner"
          @click="job.take('recipe', 'corner')"
          >Keep {{ plan.corner }} as its board’s</v-btn
        >
        <v-btn
          v-if="plan.works"
          variant="outlined"
          size="small"
          data-test="take-as-it-stands"
          @click="job.take('recipe', 'as it stands')"
          >Use it as it stands</v-btn
        >
      </div>
      <NoteList :notes="plan.notes" />
      <article v-for="(r, i) in plan.readings" :key="r.name" data-test="recipe-reading">
        <p>
          {{ capital(r.name) }}: <strong class="big">{{ r.inside }}</strong> inside<template v-if="r.ease"
            >, ease {{ r.ease }}</template
          >.
          <span :class="r.suits ? 'tone-fine' : 'tone-trouble'">{{ r.said }}</span>
        </p>
        <p class="soft">
          seams
          <template v-for="(s, k) in r.seams" :key="k"
            >{{ k ? ', ' : '' }}{{ r.seamNames[k] }} {{ s }}</template
          >; open: {{ r.hole }}
        </p>
        <v-btn
          v-if="plan.readings.length > 1"
          size="small"
          variant="outlined"
          :aria-label="`Draw it ${r.name}`"
          @click="emit('look', i)"
          >Draw this</v-btn
        >
      </article>
      <template v-if="plan.rescaled">
        <p data-test="rescaled">{{ plan.rescaled }}</p>
        <v-btn
          variant="outlined"
          size="small"
          class="away"
          data-test="take-recipe"
          @click="job.take('recipe')"
          >Use this for my card</v-btn
        >
      </template>
      <v-select
        label="The recipe gives"
        :model-value="plan.form"
        :items="items('recipes')"
        data-test="recipe-form"
        @update:model-value="job.add('recipe', $event)"
      />
      <div class="field-grid">
        <TypedField v-for="p in plan.asks" :key="p" :of="job" :path="p" />
        <TypedField :of="job" path="recipe.claimWidth" />
        <template v-if="recipe.claimWidth">
          <TypedField :of="job" path="recipe.claimHeight" />
          <TypedField :of="job" path="recipe.claimOf" />
        </template>
        <TypedField v-if="recipe.corner" :of="job" path="recipe.corner" />
        <TypedField :of="job" path="recipe.quoted" />
        <TypedField v-if="recipe.quoted" :of="job" path="recipe.quotedOf" />
      </div>
      <v-btn
        variant="outlined"
        size="small"
        class="away"
        data-test="remove-recipe"
        @click="job.remove('recipe')"
        >Remove the recipe</v-btn
      >
    </template>
    <template v-else>
      <p class="soft">Paste a recipe, or type its sheet and scores. You see what it really makes.</p>
      <v-textarea
        v-model="pasted"
        label="Recipe, as written"
        placeholder="Cut 8 3/4 square, score at 3 and 8 3/8, turn, repeat"
        persistent-placeholder
        rows="3"
        data-test="recipe-paste"
      />
      <div class="acts">
        <v-btn variant="flat" color="primary" :disabled="!pasted.trim()" data-test="recipe-read" @click="read"
          >Read it</v-btn
        >
        <v-btn variant="outlined" data-test="check-recipe" @click="job.add('recipe')">Type it instead</v-btn>
      </div>
    </template>
  </section>
</template>

<style scoped>
.recipe {
  display: grid;
  gap: var(--gap);
}
.line,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
}
.acts:empty {
  display: none;
}
.chip {
  padding: 1px 8px;
  border: 1px solid var(--line);
  border-radius: 4px;
  font-size: var(--size-note);
}
.odd {
  border-color: var(--trouble);
  color: var(--trouble);
}
.big {
  font-size: var(--size-number);
}
.away {
  justify-self: start;
}
</style>
