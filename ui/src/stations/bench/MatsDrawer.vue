<script setup lang="ts">
import type { CutPlan, MatPlan } from '../../api/client'
import OfferRow from '../../fields/OfferRow.vue'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import FileButtons from './FileButtons.vue'

/** The job laid on the mats of the cutter, one load of which is looked at, sent to the cutter or written to a file. */
defineProps<{
  job: JobInHand
  mats: MatPlan
  chosen: string
  saved: boolean
  simulated: boolean
  busy: boolean
  cut?: CutPlan
  message: string
}>()
defineEmits<{ choose: [id: string]; send: [id: string] }>()
/** How many of the lines that were made are shown. */
const shown = defineModel<number>('shown', { required: true })
</script>

<template>
  <div class="field-grid">
    <TypedField :of="job" :path="mats.field" />
  </div>
  <p data-test="mats-say">{{ mats.says }} <router-link to="/shelf#mats">Mats on your shelf</router-link></p>

  <section v-for="m in mats.misfits" :key="m.id" class="misfit" :data-test="`misfit-${m.id}`">
    <p class="tone-trouble">
      {{ m.text }}
      <v-btn
        size="small"
        :disabled="m.id === chosen"
        :data-test="`show-misfit-${m.id}`"
        @click="$emit('choose', m.id)"
        >{{ m.id === chosen ? 'Shown' : 'Show' }}</v-btn
      >
    </p>
    <ul class="offers">
      <OfferRow
        v-for="o in m.offers"
        :key="o.id"
        :name="o.title"
        act="Apply"
        :act-test="`mat-offer-${o.id}`"
        @take="job.take('bench.mats', o.id)"
        ><span class="soft">{{ o.text }}</span></OfferRow
      >
    </ul>
  </section>

  <ul class="offers">
    <OfferRow
      v-for="l in mats.loads"
      :key="l.id"
      :name="l.name"
      :chip="`${l.times} ×`"
      :chosen="l.id === chosen"
      chosen-as="shown"
      act="Show"
      :act-test="`show-${l.id}`"
      :data-test="`load-${l.id}`"
      @take="$emit('choose', l.id)"
    >
      {{ l.holds }} <span class="soft">{{ l.paper }}</span>
      <div v-if="l.id === chosen">
        <p class="files">
          <v-btn
            variant="flat"
            color="secondary"
            size="small"
            :disabled="!saved || busy"
            :loading="busy"
            data-test="cut-mat"
            @click="$emit('send', l.id)"
            >{{ simulated ? 'Try on the simulated cutter' : 'Send to the cutter' }}</v-btn
          >
          <FileButtons :job="job.id" :piece="l.id" :saved="saved" />
        </p>
        <div v-if="cut" aria-live="polite" data-test="came-off">
          <p :class="`tone-${cut.says.tone}`">{{ cut.says.text }}</p>
          <ol class="passes">
            <li v-for="p in cut.passes" :key="p">{{ p }}</li>
          </ol>
          <v-slider
            v-model="shown"
            :min="1"
            :max="cut.flat.shapes.length"
            :step="1"
            density="compact"
            hide-details
            label="Up to line"
            data-test="passes"
          />
        </div>
        <p v-if="message" class="tone-trouble" role="alert" data-test="cutter-says">{{ message }}</p>
      </div>
    </OfferRow>
  </ul>
  <p v-if="!saved" class="soft" role="status">Files wait until the job is saved.</p>
  <p class="soft">Try it on scrap first. Mind the blade, and keep hands off while it moves.</p>
</template>

<style scoped>
.files {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
  margin: var(--near) 0;
}
.passes {
  margin: var(--near) 0;
  padding-left: 1.4em;
}
</style>
