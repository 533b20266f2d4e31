<script setup lang="ts">
import ChoiceRow from '../../fields/ChoiceRow.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

/** Whether the card is still to make, or finished: asked before its size, since it decides what is cut. */
defineProps<{ job: JobInHand }>()

const { choices } = useShop()
</script>

<template>
  <ChoiceRow
    label="The card is"
    name="made"
    :choices="choices('states')"
    :model-value="job.textOf('card.made')"
    @update:model-value="job.set('card.made', $event)"
  />
</template>
