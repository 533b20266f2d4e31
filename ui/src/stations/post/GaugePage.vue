<script setup lang="ts">
import { computed, onMounted } from 'vue'

import CheckBar from '../../drawing/CheckBar.vue'
import LengthField from '../../fields/LengthField.vue'
import { useJob } from '../../job/useJob'

/** The thickness gauge at its true size, for the piece of card at hand. */
const props = defineProps<{ id: string }>()

const job = useJob(props.id)
onMounted(() => job.load())

const gauge = computed(() => job.plan.value?.post.gauge)
const mm = (nm: number) => nm / 1e6
const size = computed(() =>
  gauge.value ? { w: mm(gauge.value.width.nm), h: mm(gauge.value.height.nm) } : { w: 0, h: 0 },
)
const margin = 2 // mm round the outline
const upright = 180 // mm that every page has room for across

function print() {
  window.print()
}
</script>

<template>
  <main class="gauge" :class="{ wide: size.w > upright }">
    <p v-if="job.missing.value" role="alert" class="tone-trouble">{{ job.missing.value }}</p>
    <template v-else-if="job.ready.value">
      <p class="bar">
        <router-link :to="`/jobs/${id}/post`">Back to Post</router-link>
        <v-btn variant="flat" color="secondary" :disabled="!gauge?.ok" @click="print">Print at 100 %</v-btn>
      </p>
      <template v-if="gauge">
        <h1>Thickness gauge for a {{ gauge.class }}</h1>
        <p class="text" :class="{ 'tone-care': !gauge.ok }" data-test="gauge-text">{{ gauge.text }}</p>
        <div class="fields">
          <LengthField
            :job="job"
            path="post.gaugeWidth"
            :placeholder="gauge.width.text"
            label="length of the card at hand"
          />
          <LengthField
            :job="job"
            path="post.gaugeHeight"
            :placeholder="gauge.height.text"
            label="width of it"
          />
        </div>
        <div v-if="gauge.ok" class="true-size" tabindex="0">
          <svg
            role="img"
            :aria-label="gauge.text"
            :width="`${size.w + 2 * margin}mm`"
            :height="`${size.h + 2 * margin}mm`"
            :viewBox="`${-margin} ${-margin} ${size.w + 2 * margin} ${size.h + 2 * margin}`"
            data-test="gauge"
          >
            <rect class="line" x="0" y="0" :width="size.w" :height="size.h" />
            <rect
              class="line"
              :x="mm(gauge.left.nm)"
              :y="mm(gauge.top.nm)"
              :width="mm(gauge.right.nm - gauge.left.nm)"
              :height="mm(gauge.bottom.nm - gauge.top.nm)"
              data-part="slot"
            />
            <text :x="mm(gauge.left.nm)" :y="mm(gauge.top.nm) - 1.5">
              {{ gauge.slot }}: {{ gauge.left.text }} to {{ gauge.right.text }} along, {{ gauge.top.text }} to
              {{ gauge.bottom.text }} across
            </text>
          </svg>
        </div>
        <CheckBar />
        <p class="soft bar">Print without fitting to the page, then measure the bar.</p>
      </template>
      <p v-else class="soft">There is no limit of thickness where this job goes, so no gauge of it.</p>
    </template>
    <p v-else class="soft" aria-busy="true">Working the gauge out…</p>
  </main>
</template>

<style scoped>
.gauge {
  padding: 16px 40px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  justify-items: start;
}
/* Never made smaller: what does not go on the screen is scrolled to. */
.true-size {
  max-width: 100%;
  overflow-x: auto;
}
.bar {
  display: flex;
  gap: 24px;
  align-items: center;
}
.text {
  max-width: 900px;
}
.fields {
  display: grid;
  gap: 8px;
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.25;
}
text {
  fill: var(--ink);
  font: 3.6px var(--body);
}
@page lying {
  size: landscape;
  margin: 10mm;
}
@media print {
  .wide {
    page: lying;
  }
  .true-size {
    overflow: visible;
  }
  .bar,
  .fields {
    display: none;
  }
  .gauge {
    padding: 0;
    --ink: #000;
    --soft: #000;
    background: #fff;
    color: #000;
  }
}
@media (max-width: 1000px) {
  .gauge {
    padding: 16px;
  }
}
</style>
