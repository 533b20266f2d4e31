<script setup lang="ts">
import type { MailPlan } from '../../api/client'
import OfferRow from '../../fields/OfferRow.vue'

/** The verdict of every rulebook on the piece, under each other. */
defineProps<{ places: MailPlan['everywhere'] }>()
const emit = defineEmits<{ choose: [id: string] }>()
</script>

<template>
  <section aria-label="Compare destinations">
    <ul class="offers">
      <OfferRow
        v-for="p in places"
        :key="p.id"
        :name="p.name"
        :chip="p.price"
        :chosen="p.chosen"
        chosen-as="here"
        act="Send here"
        :data-test="`place-${p.id}`"
        @take="emit('choose', p.id)"
      >
        <p>
          <strong :class="`tone-${p.tone}`">{{ p.short }}</strong><span v-if="p.why" class="soft">
            · {{ p.why }}</span
          >
        </p>
      </OfferRow>
    </ul>
    <p class="more"><router-link to="/rules">Read and edit the rules</router-link></p>
  </section>
</template>

<style scoped>
.more {
  padding-top: var(--gap);
}
</style>
