<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import type { Saying } from '../api/client'
import LineField from '../front/LineField.vue'
import type { JobInHand } from '../job/useJob'

/** Changes the job in hand by what is said of it in one line. */
const props = defineProps<{ job: JobInHand; jobId: string }>()
const open = defineModel<boolean>({ required: true })

const examples = ['12 cards', 'top fold', 'seam 5/8', 'add a gem 3 mm']
const text = ref('')
const field = ref<{ focus: () => void }>()
const router = useRouter()

watch(open, async (now) => {
  if (!now) return
  text.value = ''
  await nextTick()
  field.value?.focus()
})

function enter(_: string, said: Saying) {
  props.job.carry(said.edits)
  open.value = false
  if (said.station) void router.push(`/jobs/${props.jobId}/${said.station}/${said.drawer}`.replace(/\/$/, ''))
}
</script>

<template>
  <v-dialog v-model="open" max-width="720" location="top">
    <div class="say" data-test="say-dialog">
      <LineField
        ref="field"
        v-model="text"
        :job="job.job.value"
        label="What should change?"
        :examples="examples"
        @enter="enter"
      />
    </div>
  </v-dialog>
</template>

<style scoped>
.say {
  background: var(--sheet);
  color: var(--ink);
  padding: var(--far);
  border-radius: 4px;
}
</style>
