<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'

import {
  api,
  type FieldPath,
  type Instrument,
  type MailPlan,
  sentenceOf,
  unreachable,
} from '../../api/client'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'

/** What is measured of the finished piece: with the caliper and the scale at the table, or by hand. */
const props = defineProps<{ job: JobInHand; measured: MailPlan['measured']; weights: MailPlan['weights'] }>()

const devices = ref<Instrument[]>([])
const busy = ref('')
const said = ref('')
const reads = ref(false) // what is said is a reading, and no trouble
const rows = computed(() => props.measured)

onMounted(async () => {
  const { data } = await api.GET('/api/devices').catch(unreachable)
  devices.value = data ?? []
})

async function ask(device: Instrument, act: 'read' | 'tare') {
  const job = props.job.job.value
  if (!job) return
  busy.value = device.id
  said.value = ''
  reads.value = false
  // Done once by this name, however often it is asked what came of it.
  const body = { job, name: crypto.randomUUID() }
  const params = { path: { device: device.id, act } }
  const once = () => api.POST('/api/devices/{device}/{act}', { params, body }).catch(unreachable)
  let { data, error } = await once()
  while (data?.going) ({ data, error } = await once())
  busy.value = ''
  if (!data) {
    said.value = sentenceOf(error)
  } else if (data.message) {
    said.value = data.last ? `${data.message} The last good reading was ${data.last}.` : data.message
  } else if (act === 'read') {
    props.job.type(device.field, data.text)
    props.job.leave(device.field)
  } else {
    reads.value = true
    said.value = `The ${device.name} reads ${data.text}.`
  }
}

const piece: FieldPath[] = ['mail.measured.thickness', 'mail.measured.grams', 'mail.measured.through']
const stiffness: FieldPath[] = [
  'mail.measured.overhang',
  'mail.measured.droop',
  'mail.measured.apart',
  'mail.measured.load',
  'mail.measured.sag',
]
</script>

<template>
  <section class="measure" aria-label="Measure it">
    <v-table density="compact" class="numbers">
      <thead>
        <tr>
          <th scope="col">Closed piece</th>
          <th scope="col">Predicted</th>
          <th scope="col">Measured</th>
          <th scope="col">Off by</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.id" :data-test="`measured-${r.id}`">
          <th scope="row">{{ r.label }}</th>
          <td>{{ r.predicted }}</td>
          <td>
            <strong>{{ r.measured || '–' }}</strong>
          </td>
          <td>{{ r.off || '–' }}</td>
        </tr>
        <tr v-for="r in rows.filter((row) => row.about)" :key="`${r.id} about`">
          <td colspan="4" class="soft small" :data-test="`about-${r.id}`">{{ r.label }}: {{ r.about }}</td>
        </tr>
      </tbody>
    </v-table>
    <div class="taking">
      <template v-for="d in devices" :key="d.id">
        <v-btn
          variant="flat"
          color="secondary"
          size="small"
          :loading="busy === d.id"
          :data-test="`take-${d.id}`"
          @click="ask(d, 'read')"
          >Read the {{ d.name }}</v-btn
        >
        <v-btn v-if="d.tares" variant="outlined" size="small" data-test="tare" @click="ask(d, 'tare')"
          >Set the {{ d.name }} to zero</v-btn
        >
      </template>
    </div>
    <p v-if="said" role="alert" :class="reads ? 'soft' : 'tone-care'" data-test="device-said">
      {{ said }}
    </p>
    <div class="field-grid">
      <TypedField v-for="f in piece" :key="f" :of="job" :path="f" />
    </div>
    <v-expansion-panels variant="accordion" class="more" multiple>
      <v-expansion-panel elevation="0" data-test="stiffness">
        <v-expansion-panel-title>Stiffness, measured</v-expansion-panel-title>
        <v-expansion-panel-text>
          <div class="field-grid">
            <TypedField v-for="f in stiffness" :key="f" :of="job" :path="f" />
          </div>
        </v-expansion-panel-text>
      </v-expansion-panel>
      <v-expansion-panel elevation="0" data-test="weights">
        <v-expansion-panel-title>Weight by part</v-expansion-panel-title>
        <v-expansion-panel-text>
          <v-table density="compact" class="numbers">
            <tbody>
              <tr v-for="w in weights" :key="w.name" data-test="weight">
                <th scope="row">{{ w.name }}</th>
                <td>{{ w.grams }}</td>
                <td class="soft">{{ w.share }}</td>
              </tr>
            </tbody>
          </v-table>
        </v-expansion-panel-text>
      </v-expansion-panel>
    </v-expansion-panels>
    <p class="soft small">
      The caliper and scale here are simulated. They read the predicted values, a little off.
    </p>
  </section>
</template>

<style scoped>
.measure {
  display: grid;
  gap: var(--gap);
}
.taking {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
}
.small {
  font-size: var(--size-note);
}
.more {
  --v-theme-surface: var(--v-theme-background);
}
.more :deep(.v-expansion-panel-title) {
  padding: 0;
  min-height: 36px;
  font: 600 var(--size-text) var(--body);
}
.more :deep(.v-expansion-panel-text__wrapper) {
  padding: var(--near) 0 var(--gap);
}
</style>
