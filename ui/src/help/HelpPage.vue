<script setup lang="ts">
import { nextTick, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'

import { api, unreachable } from '../api/client'
import PageHeader from '../frame/PageHeader.vue'
import { useShop } from '../job/useShop'
import { words } from '../frame/words'

/** What can be said in a line, and what the words of the craft mean here. */
const route = useRoute()
const { load } = useShop()
onMounted(load)

const lines = [
  ['5 3/8 square, 3 layers, 12 cards, to the UK', 'a card with its layers, how many, and where they go'],
  ['what fits A7', 'the cards that an envelope takes'],
  ['6 x 8 envelope', 'the cards for an envelope that you measured'],
  ['card 14 x 10 cm, 6 mm thick, by hand', 'a card that is made already'],
  ['A6 card, side fold, kraft', 'a card by its name, its fold and its paper'],
  ['from letter, top fold', 'the cards that a sheet gives'],
  ['8 3/4 square, score 3 and 8 3/8', 'a recipe to check'],
]
const sums = [
  ['Creases of an envelope', 'card + thickness + ease, for the width and for the height'],
  ['Square for a diamond', 'both creases together ÷ √2 + seam, then up to the next tick'],
  ['Square by a punch board', 'both creases together ÷ √2 + twice the notch'],
  ['Sheet for a pocket', 'tab + crease to crease + tab wide; flap + crease to crease + back high'],
  ['Ease that is left', 'between the scores − card − thickness − what the folds eat'],
  ['What folds eat', 'twice the thickness of the envelope paper'],
  ['Base of a card', 'its panels beside each other; the first score after the first panel'],
  ['Usually left, at worst', 'each cut and score half a tick off: by chance, or all one way'],
]
const changes = [
  ['12 cards', 'how many'],
  ['top fold', 'another fold'],
  ['seam 5/8, ease 3/16', 'numbers of the envelope'],
  ['add a gem 3 mm', 'a thing, and how thick it is'],
  ['2 more layers, borders 1/8', 'layers, and the border of each'],
  ['remove a layer', 'one less'],
  ['pocket', 'another envelope type'],
  ['in A7', 'a bought envelope'],
  ['abroad', 'another destination'],
]
/** The job that was changed last: its own numbers show how everything is worked out. */
const last = ref<{ id: string; name: string }>()
onMounted(async () => {
  const { data } = await api.GET('/api/jobs').catch(unreachable)
  last.value = data?.jobs[0]
  await nextTick()
  if (route.hash) document.querySelector(route.hash)?.scrollIntoView()
})
</script>

<template>
  <div class="page">
    <PageHeader />
    <main>
      <h1>Help</h1>
      <section aria-labelledby="lines">
        <h2 id="lines">Say it in one line</h2>
        <p>Type it as you would say it. Numbers without a unit are in the unit of your table.</p>
        <dl data-test="line-examples">
          <template v-for="[line, what] in lines" :key="line">
            <dt>{{ line }}</dt>
            <dd>{{ what }}</dd>
          </template>
        </dl>
        <h3>On a job in hand: press / and say the change</h3>
        <dl data-test="change-examples">
          <template v-for="[line, what] in changes" :key="line">
            <dt>{{ line }}</dt>
            <dd>{{ what }}</dd>
          </template>
        </dl>
      </section>
      <section aria-labelledby="how">
        <h2 id="how">How it is worked out</h2>
        <dl>
          <template v-for="[what, sum] in sums" :key="what">
            <dt>{{ what }}</dt>
            <dd>{{ sum }}</dd>
          </template>
        </dl>
        <p v-if="last">
          With the numbers and drawings of “{{ last.name }}”:
          <router-link :to="`/jobs/${last.id}/card/sums`" data-test="sums-card">its base</router-link>,
          <router-link :to="`/jobs/${last.id}/envelope/sums`" data-test="sums-envelope"
            >its envelope</router-link
          >. They change as you edit.
        </p>
      </section>
      <section aria-labelledby="words">
        <h2 id="words">Words of the craft</h2>
        <dl class="words">
          <template v-for="w in words" :key="w.word">
            <dt>{{ w.word }}</dt>
            <dd>{{ w.what }}</dd>
          </template>
        </dl>
      </section>
    </main>
  </div>
</template>

<style scoped>
main {
  padding: var(--near) var(--edge) var(--far);
  display: grid;
  gap: var(--far);
  max-width: 1100px;
}
h1 {
  font-size: var(--size-title);
}
section {
  display: grid;
  gap: var(--gap);
}
h3 {
  font-size: var(--size-text);
  padding-top: var(--gap);
}
dl {
  display: grid;
  grid-template-columns: minmax(180px, 420px) minmax(0, 1fr);
  gap: var(--near) var(--far);
  margin: 0;
}
dt {
  font-weight: 650;
}
dd {
  margin: 0;
}
</style>
