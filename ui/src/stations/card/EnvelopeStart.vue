<script setup lang="ts">
import { computed } from 'vue'

import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

const props = defineProps<{ job: JobInHand }>()

const { items } = useShop()
const start = computed(() => props.job.job.value?.start)
const plan = computed(() => props.job.plan.value?.start)
</script>

<template>
  <section class="start" aria-label="I have an envelope" data-test="start">
    <h2>I have an envelope</h2>
    <div class="which">
      <v-select
        class="format"
        :model-value="start?.format ?? null"
        :items="items('formats')"
        placeholder="which one?"
        aria-label="The envelope you have"
        clearable
        data-test="start-format"
        @update:model-value="$event ? job.add('start', $event) : job.remove('start')"
      />
      <template v-if="start?.format === 'own'">
        <TypedField :of="job" path="start.width" />
        <TypedField :of="job" path="start.height" />
      </template>
    </div>
    <template v-if="plan">
      <p data-test="start-sentence">
        {{ plan.sentence.text }}
        <v-btn
          v-if="!plan.taken"
          variant="outlined"
          size="small"
          data-test="start-take"
          @click="job.take('envelope', `bought:${start!.format}`)"
          >Use this envelope</v-btn
        >
      </p>
      <table class="numbers-table">
        <thead>
          <tr>
            <th scope="col" class="words">How to choose</th>
            <th scope="col">Card</th>
            <th scope="col">Flat</th>
            <th scope="col" class="words">In the envelope</th>
            <th scope="col"><span class="sr">Take it</span></th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="s in plan.schools"
            :key="s.id"
            :class="{ here: s.current }"
            :data-test="`school-${s.id}`"
          >
            <th scope="row" class="words">{{ s.name }}</th>
            <td class="number">{{ s.size || '–' }}</td>
            <td>{{ s.flat }}</td>
            <td class="words">
              <template v-if="s.verdict"
                ><strong>{{ s.verdict }}</strong
                >: </template
              >{{ s.why }}
            </td>
            <td>
              <span v-if="s.current" class="soft">this card</span>
              <v-btn
                v-else-if="s.size"
                variant="outlined"
                size="small"
                :aria-label="`Make the card ${s.size}`"
                :data-test="`take-${s.id}`"
                @click="job.take('start.schools', s.id)"
              >
                Make it this
              </v-btn>
            </td>
          </tr>
        </tbody>
      </table>
    </template>
    <p v-else class="soft">
      Choose it, or measure one from an unlabelled pile: you get the card in every way of choosing one.
    </p>
  </section>
</template>

<style scoped>
.start {
  display: grid;
  gap: 10px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.which {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 32px;
  align-items: end;
  --numbers: 120px;
}
.format {
  flex: 0 1 320px;
}
.number {
  font-size: 20px;
  font-weight: 650;
  white-space: nowrap;
}
</style>
