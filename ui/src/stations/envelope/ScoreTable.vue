<script setup lang="ts">
import { computed, ref } from 'vue'

import type { ScoreText, ScoreWayPlan } from '../../api/client'
import ChoiceRow from '../../fields/ChoiceRow.vue'
import TypedField from '../../fields/TypedField.vue'
import { useShop } from '../../job/useShop'

/** The scores of a blank with straight edges, in each way of setting them. */
const props = defineProps<{ scores: ScoreText[]; ways: ScoreWayPlan[] }>()

const shelf = useShop()
const chosen = ref('0')
const choices = computed(() => props.ways.map((w, i) => ({ id: String(i), name: w.name })))
const way = computed(() => props.ways[Number(chosen.value)])
const shown = computed(() => way.value?.scores ?? props.scores)
</script>

<template>
  <section class="scoring" aria-label="Where to score">
    <ChoiceRow v-if="ways.length" v-model="chosen" label="Scores set" name="score-way" :choices="choices" />
    <table class="numbers-table">
      <tbody>
        <tr v-for="s in shown" :key="s.name + s.edge" data-test="score">
          <th scope="row" class="words">{{ s.name }}</th>
          <td class="at">{{ s.at.text }}</td>
          <td class="words soft">{{ s.edge }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="way" class="float-left" data-test="score-left">
      Left when all is off: ease {{ way.easeRss.text }} likely, {{ way.easeWorst.text }} at worst; seam
      {{ way.seamRss.text }} likely, {{ way.seamWorst.text }} at worst<strong v-if="way.safer"
        >: the safer way</strong
      >.
    </p>
    <TypedField v-if="ways.length" :of="shelf" path="tools.groove" as="line" />
  </section>
</template>

<style scoped>
.scoring {
  display: grid;
  gap: 8px;
  max-width: 560px;
}
.at {
  font-size: 22px;
  font-weight: 650;
}
.left {
  font-size: 15px;
}
</style>
