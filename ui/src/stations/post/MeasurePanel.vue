<script setup lang="ts">
import { computed, ref } from 'vue'

import { api, sentenceOf, type PostPlan } from '../../api/client'
import LengthField from '../../fields/LengthField.vue'
import type { JobInHand } from '../../job/useJob'

/** What is measured of the finished piece: with the caliper and the scale at the table, or by hand. */
const props = defineProps<{ job: JobInHand; measured: PostPlan['measured']; weights: PostPlan['weights'] }>()

type Device = 'caliper' | 'scale'
const busy = ref<Device>()
const said = ref('')
const last = ref<Record<Device, string>>({ caliper: '', scale: '' })
const field: Record<Device, string> = { caliper: 'post.thickness', scale: 'post.grams' }
const rows = computed(() => props.measured)

async function ask(device: Device, act: 'read' | 'tare') {
  const job = props.job.job.value
  if (!job) return
  busy.value = device
  said.value = ''
  const { data, error } = await api
    .POST('/api/devices/{device}/{act}', { params: { path: { device, act } }, body: { job } })
    .catch(() => ({
      data: undefined,
      error: { detail: 'The program does not answer: is it still running?' },
    }))
  busy.value = undefined
  if (!data) {
    said.value = sentenceOf(error)
    return
  }
  last.value[device] = data.last
  if (data.message) {
    said.value = data.last ? `${data.message} The last good reading was ${data.last}.` : data.message
  } else if (act === 'read') {
    props.job.tell(field[device], data.text)
  } else {
    said.value = `The ${device} reads ${data.text}.`
  }
}
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
      <v-btn
        variant="flat"
        color="secondary"
        :loading="busy === 'caliper'"
        data-test="take-caliper"
        @click="ask('caliper', 'read')"
        >Take the caliper</v-btn
      >
      <v-btn
        variant="flat"
        color="secondary"
        :loading="busy === 'scale'"
        data-test="take-scale"
        @click="ask('scale', 'read')"
        >Take the scale</v-btn
      >
      <v-btn variant="outlined" data-test="tare" @click="ask('scale', 'tare')">Set the scale to zero</v-btn>
    </div>
    <p
      v-if="said"
      role="alert"
      :class="said.startsWith('The scale reads') ? 'soft' : 'tone-care'"
      data-test="device-said"
    >
      {{ said }}
    </p>
    <p class="soft small">
      The devices that come with the program are simulated: they measure the piece as the sums have it, a
      little off.
    </p>
    <div class="fields">
      <LengthField
        :job="job"
        path="post.thickness"
        label="thickness of the closed piece"
        note="empty for the sums"
      />
      <LengthField
        :job="job"
        path="post.grams"
        label="weight of the closed piece"
        note="empty for the sums"
      />
    </div>
    <details>
      <summary>Stiffness by a droop, or by a weight in the middle</summary>
      <div class="fields">
        <LengthField
          :job="job"
          path="post.overhang"
          label="stands out over the table"
          note="hold the rest down flat"
        />
        <LengthField
          :job="job"
          path="post.droop"
          label="its end hangs"
          note="1 mm to a quarter of what stands out"
        />
        <LengthField :job="job" path="post.apart" label="supports apart" note="two rulers on edge" />
        <LengthField :job="job" path="post.load" label="weight in the middle" note="a few coins, weighed" />
        <LengthField :job="job" path="post.sag" label="its middle sinks" />
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
