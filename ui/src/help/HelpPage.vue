<script setup lang="ts">
import { onMounted } from 'vue'

import PageHeader from '../front/PageHeader.vue'
import { useShop } from '../job/useShop'

/** What can be said in a line, and what the words of the craft mean here. */
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
const words = [
  ['Ease', 'Room between card and envelope, both sides together.'],
  ['Seam', 'Where two flaps overlap and are glued.'],
  ['Score', 'A pressed line, so that paper folds cleanly. Use a bone folder or a score board.'],
  ['Grain', 'The direction of the fibres. Paper folds best along it.'],
  ['Throat', 'The open edge where the card goes in.'],
  ['Finger gap', 'How far the back stays below the throat, so that a finger can reach the card.'],
  ['Liner', 'A thin sheet inside: in a card to write on, in an envelope for its pattern.'],
  ['Corner reading', 'What the ruler of your score board reads at the corner of the sheet.'],
  ['Overhang', 'What stands out past the edge of the card, such as a bow.'],
]
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
      <section aria-labelledby="words">
        <h2 id="words">Words of the craft</h2>
        <dl class="words">
          <template v-for="[word, what] in words" :key="word">
            <dt>{{ word }}</dt>
            <dd>{{ what }}</dd>
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
