<script setup lang="ts">
import { onMounted, ref } from 'vue'

import { api, sentenceOf, unreachable, type ChartPlan } from '../api/client'
import BrandMark from '../frame/BrandMark.vue'

/** What goes into each of one's own envelopes, on one page or in the hand. */
const chart = ref<ChartPlan>()
const failure = ref('')
onMounted(async () => {
  const { data, error } = await api.GET('/api/chart').catch(unreachable)
  if (data) chart.value = data
  else failure.value = sentenceOf(error)
})
</script>

<template>
  <div>
    <main>
      <p class="acts">
        <BrandMark />
        <router-link to="/shelf">Back to the shelf</router-link>
        <v-btn variant="flat" color="secondary" href="/api/chart/pdf" download data-test="print-chart"
          >Print on one page</v-btn
        >
      </p>
      <h1>Pocket chart</h1>
      <p v-if="failure" role="alert" class="tone-trouble">{{ failure }}</p>
      <p v-else-if="!chart" class="soft" aria-busy="true">Looking into your envelopes…</p>
      <template v-else>
        <p>{{ chart.text }}</p>
        <ul class="pockets">
          <li v-for="r in chart.rows" :key="r.name" data-test="pocket">
            <h2>{{ r.name }}</h2>
            <p class="soft">{{ r.envelope }} outside{{ r.mail ? `. ${r.mail}.` : '' }}</p>
            <dl>
              <div class="first">
                <dt>Card</dt>
                <dd>{{ r.card }}</dd>
              </div>
              <div>
                <dt>Side fold</dt>
                <dd>{{ r.flat }}</dd>
              </div>
              <div>
                <dt>Top fold</dt>
                <dd>{{ r.top }}</dd>
              </div>
              <div v-for="(size, i) in r.layers" :key="i">
                <dt>{{ chart.less[i] }} less</dt>
                <dd>{{ size || '–' }}</dd>
              </div>
            </dl>
          </li>
        </ul>
        <p class="soft">Mail is a forecast for a card without layers. Ask your own post office.</p>
      </template>
    </main>
  </div>
</template>

<style scoped>
main {
  padding: var(--near) var(--edge) var(--far);
}
h1 {
  font-size: var(--size-title);
}
h2 {
  font-size: var(--size-number);
  margin: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near) var(--far);
  align-items: center;
}
.pockets {
  list-style: none;
  margin: var(--gap) 0;
  padding: 0;
  display: grid;
  gap: var(--gap);
}
.pockets li {
  border-top: 1px solid var(--line);
  padding-top: var(--near);
}
.pockets p {
  margin: 0;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(8.5em, 1fr));
  gap: var(--near) var(--gap);
  margin: var(--near) 0;
}
dt {
  font-size: var(--size-note);
  color: var(--soft);
}
dd {
  margin: 0;
  font-weight: 600;
}
.first dd {
  font-size: var(--size-number);
}
</style>
