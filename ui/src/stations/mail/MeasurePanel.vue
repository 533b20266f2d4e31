<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'

import { api, sentenceOf, unreachable, type Instrument, type MailPlan } from '../../api/client'
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
  const { data, error } = await api
    .POST('/api/devices/{device}/{act}', { params: { path: { device: device.id, act } }, body: { job } })
    .catch(unreachable)
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

const piece = ['thickness', 'grams', 'through']
const stiffness = ['overhang', 'droop', 'apart', 'load', 'sag']
</script>

<template>
  <section class="measure" aria-label="Measure it">
    <h2>Measure it</h2>
    <table class="numbers-table">
      <thead>
        <tr>
          <th scope="col" class="words">Of the piece</th>
          <th scope="col">Predicted</th>
          <th scope="col">Measured</th>
          <th scope="col">Off by</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.id" :data-test="`measured-${r.id}`">
          <th scope="row" class="words">{{ r.label }}</th>
          <td>{{ r.predicted }}</td>
          <td>
            <strong>{{ r.measured || '–' }}</strong>
          </td>
          <td>{{ r.off || '–' }}</td>
        </tr>
      </tbody>
    </table>
    <div class="taking">
      <template v-for="d in devices" :key="d.id">
        <v-btn
          variant="flat"
          color="secondary"
          :loading="busy === d.id"
          :data-test="`take-${d.id}`"
          @click="ask(d, 'read')"
          >Take the {{ d.name }}</v-btn
        >
        <v-btn v-if="d.tares" variant="outlined" data-test="tare" @click="ask(d, 'tare')"
          >Set the {{ d.name }} to zero</v-btn
        >
      </template>
    </div>
    <p v-if="said" role="alert" :class="reads ? 'soft' : 'tone-care'" data-test="device-said">
      {{ said }}
    </p>
    <p class="soft small">
      The devices that come with the program are simulated: they measure the piece as the sums have it, a
      little off.
    </p>
    <div class="fields">
      <TypedField v-for="f in piece" :key="f" :of="job" :path="`mail.measured.${f}`" />
    </div>
    <details>
      <summary>Stiffness by a droop, or by a weight in the middle</summary>
      <div class="fields">
        <TypedField v-for="f in stiffness" :key="f" :of="job" :path="`mail.measured.${f}`" />
      </div>
    </details>
    <details>
      <summary>Weight part by part</summary>
      <table class="numbers-table narrow">
        <tbody>
          <tr v-for="w in weights" :key="w.name" data-test="weight">
            <th scope="row" class="words">{{ w.name }}</th>
            <td>{{ w.grams }}</td>
            <td class="soft">{{ w.share }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </section>
</template>

<style scoped>
.measure {
  display: grid;
  gap: 8px;
  align-content: start;
  --numbers: 130px;
}
.taking {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.fields {
  display: grid;
  gap: 8px;
  padding: 4px 0;
}
.small {
  font-size: 14px;
}
.narrow {
  max-width: 460px;
}
summary {
  cursor: pointer;
  min-height: 32px;
  font-weight: 600;
}
</style>
