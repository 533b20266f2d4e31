<script setup lang="ts">
import { computed } from 'vue'

import type { Job, PostPlan } from '../../api/client'
import LengthField from '../../fields/LengthField.vue'
import PickRow from '../../fields/PickRow.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'

/** How the piece is closed and addressed, and what is in it that may hurt. */
const props = defineProps<{ job: JobInHand; cautions: PostPlan['cautions']; classes: PostPlan['classes'] }>()

const { shop } = useShop()
const wish = computed(() => props.job.job.value!)
const sides = [
  { id: 'long', name: 'along the long edge' },
  { id: 'short', name: 'along the short edge' },
]

const wanted = computed(
  () => props.classes.find((c) => c.id === wish.value.post.class)?.name ?? wish.value.post.class,
)

function set(change: Partial<Job['post']>) {
  props.job.choose((j) => ({ ...j, post: { ...j.post, ...change } }))
}

type Caution = NonNullable<Job['post']['contents']>[number]

function tick(id: Caution, on: boolean) {
  const now = wish.value.post.contents ?? []
  set({ contents: on ? [...now, id] : now.filter((c) => c !== id) })
}
</script>

<template>
  <section class="options" aria-label="How it is closed and addressed">
    <h2>Closed, addressed, filled</h2>
    <PickRow
      v-if="!wish.post.bare"
      label="Closed with"
      name="closure"
      :choices="shop?.choices.closures ?? []"
      :model-value="wish.post.closure || 'gum'"
      @update:model-value="set({ closure: $event })"
    />
    <PickRow
      label="Address runs"
      name="address"
      :choices="sides"
      :model-value="wish.post.addressShort ? 'short' : 'long'"
      @update:model-value="set({ addressShort: $event === 'short' })"
    />
    <v-checkbox
      :model-value="!!wish.post.bare"
      label="Sent bare, without an envelope"
      data-test="bare"
      @update:model-value="set({ bare: !!$event })"
    />
    <LengthField v-if="wish.post.bare" :job="job" path="post.radius" label="Round corners" note="radius" />
    <v-checkbox
      v-if="wish.post.handCancel"
      :model-value="true"
      label="To be cancelled by hand"
      @update:model-value="set({ handCancel: !!$event })"
    />
    <p v-if="wish.post.class">
      To go at least as <strong>{{ wanted }}</strong>
      <v-btn variant="outlined" size="small" class="back" @click="set({ class: '' })"
        >the cheapest will do</v-btn
      >
    </p>
    <h3>Is any of this in it?</h3>
    <div v-for="c in cautions" :key="c.id" class="caution">
      <v-checkbox
        :model-value="c.set"
        :disabled="c.found !== ''"
        :label="c.found ? `${c.name}: ${c.found}` : c.name"
        :data-test="`caution-${c.id}`"
        @update:model-value="tick(c.id as Caution, !!$event)"
      />
      <p v-if="c.set" class="tone-care" :data-test="`caution-text-${c.id}`">{{ c.text }}</p>
    </div>
  </section>
</template>

<style scoped>
.options {
  display: grid;
  gap: 6px;
  align-content: start;
  --numbers: 130px;
}
h3 {
  font-size: 17px;
  padding-top: 6px;
}
.caution p {
  font-size: 15px;
  padding: 0 0 6px 34px;
}
.back {
  margin-left: 8px;
}
</style>
