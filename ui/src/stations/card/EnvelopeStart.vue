<script setup lang="ts">
import { computed } from 'vue'

import OfferRow from '../../fields/OfferRow.vue'
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
    <v-select
      :model-value="start?.format ?? null"
      :items="items('formats')"
      label="Envelope"
      placeholder="Choose it, or measure one"
      persistent-placeholder
      clearable
      data-test="start-format"
      @update:model-value="$event ? job.add('start', $event) : job.remove('start')"
    />
    <div v-if="start?.format === 'own'" class="field-grid">
      <TypedField :of="job" path="start.width" />
      <TypedField :of="job" path="start.height" />
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
      <ul class="offers">
        <OfferRow
          v-for="s in plan.schools"
          :key="s.id"
          :name="s.size || '–'"
          :chosen="s.current"
          chosen-as="this card"
          :act="s.size ? 'Make this' : undefined"
          :act-test="`take-${s.id}`"
          :data-test="`school-${s.id}`"
          @take="job.take('start.schools', s.id)"
        >
          <p>
            {{ s.names.join('; ') }}<template v-if="s.flat">, flat {{ s.flat }}</template>
          </p>
          <p class="soft">
            <template v-if="s.said"
              ><strong>{{ s.said }}</strong
              >: </template
            >{{ s.why }}
          </p>
        </OfferRow>
      </ul>
    </template>
    <p v-else-if="start" class="soft">Type what your ruler says. You get the cards that go in it.</p>
    <p v-else class="soft">Choose the envelope that you have. You get the cards that go in it.</p>
  </section>
</template>

<style scoped>
.start {
  display: grid;
  gap: var(--gap);
}
</style>
