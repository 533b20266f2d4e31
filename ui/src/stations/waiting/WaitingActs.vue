<script setup lang="ts">
import { useRoute, useRouter } from 'vue-router'

import type { Plan } from '../../api/client'
import type { JobInHand } from '../../job/useJob'

/** What a station waits for, and the ways on: the card that is offered first, and where others are. */
const props = defineProps<{ job: JobInHand; waits: NonNullable<Plan['waits']> }>()

const route = useRoute()
const router = useRouter()
function go(act: { edits: Parameters<JobInHand['carry']>[0]; to?: string }) {
  if (act.to) void router.push(`/jobs/${String(route.params.id)}/${act.to}`)
  else props.job.carry(act.edits)
}
</script>

<template>
  <div class="waits" data-test="waits">
    <p>{{ waits.text }}</p>
    <p class="acts">
      <v-btn
        v-for="(a, i) in waits.acts"
        :key="a.label"
        :variant="i === 0 && !a.to ? 'flat' : 'outlined'"
        :color="i === 0 && !a.to ? 'primary' : undefined"
        :data-test="a.to ? `waits-to-${a.to.split('/')[1]}` : 'waits-take'"
        @click="go(a)"
        >{{ a.label }}</v-btn
      >
    </p>
  </div>
</template>

<style scoped>
.waits {
  display: grid;
  gap: var(--gap);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
}
</style>
