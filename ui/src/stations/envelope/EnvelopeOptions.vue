<script setup lang="ts">
import { computed } from 'vue'

import type { Job } from '../../api/client'
import LengthField from '../../fields/LengthField.vue'
import PickRow from '../../fields/PickRow.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

/** What a maker may add to an envelope, as far as its construction carries it. */
const props = defineProps<{ job: JobInHand; kind: string }>()

const { shop } = useShop()
const wish = computed(() => props.job.job.value!.envelope)
const pocket = computed(() => props.kind === 'pocket' || props.kind === 'gusset')
const flaps = computed(() =>
  pocket.value
    ? shop.value?.choices.flaps
    : props.kind === 'diamond' || props.kind === 'box'
      ? shop.value?.choices.diamondFlaps
      : undefined,
)
const tips = [
  { id: 'cut', name: 'cut off' },
  { id: 'fold', name: 'folded in' },
]
const sides = [
  { id: 'out', name: 'outside' },
  { id: 'in', name: 'inside' },
]

function set(change: Partial<Job['envelope']>) {
  props.job.choose((j) => ({ ...j, envelope: { ...j.envelope, ...change } }))
}
</script>

<template>
  <div class="options">
    <PickRow
      v-if="flaps"
      label="Flap ends"
      name="flap"
      :choices="flaps"
      :model-value="flaps.some((f) => f.id === wish.flapShape) ? wish.flapShape! : 'square'"
      @update:model-value="set({ flapShape: $event as Job['envelope']['flapShape'] })"
    />
    <PickRow
      v-if="kind === 'diamond'"
      label="Long tips are"
      name="tips"
      :choices="tips"
      :model-value="wish.foldTips ? 'fold' : 'cut'"
      @update:model-value="set({ foldTips: $event === 'fold' })"
    />
    <LengthField
      v-if="kind !== 'cutdown'"
      :job="job"
      path="envelope.corner"
      label="Round corners"
      note="radius, of flaps and back; 0 for none"
    />
    <LengthField
      v-if="pocket"
      :job="job"
      path="envelope.notch"
      label="Thumb notch"
      note="radius, in the back; 0 for none"
    />
    <v-checkbox
      v-if="kind === 'pocket'"
      :model-value="!!wish.tabsOnBack"
      label="Tabs on the back, glued inside the front"
      data-test="tabs-on-back"
      @update:model-value="set({ tabsOnBack: !!$event })"
    />
    <v-checkbox
      v-if="kind === 'pocket' || kind === 'diamond'"
      :model-value="!!wish.double"
      label="Two creases in place of each, as far apart as the card is thick"
      data-test="double"
      @update:model-value="set({ double: !!$event })"
    />
    <PickRow
      label="Liner"
      name="liner"
      :choices="[{ id: '', name: 'none' }, ...(shop?.choices.stocks ?? [])]"
      :model-value="wish.liner ?? ''"
      @update:model-value="set({ liner: $event })"
    />
    <PickRow
      v-if="kind !== 'cutdown'"
      label="Pattern shows"
      name="pattern-side"
      :choices="sides"
      :model-value="wish.patternInside ? 'in' : 'out'"
      @update:model-value="set({ patternInside: $event === 'in' })"
    />
  </div>
</template>

<style scoped>
.options {
  --numbers: 190px;
  display: grid;
  gap: 8px;
}
</style>
