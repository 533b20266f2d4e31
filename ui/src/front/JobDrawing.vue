<script setup lang="ts">
import { computed } from 'vue'

import type { ListedJob } from '../api/client'

/** A card with its layers, drawn out of its envelope so that both are seen; all of a list to one scale. */
const props = defineProps<{ job: ListedJob; scale: number; width: number; height: number }>()

const fills = ['sheet', 'kraft', 'kraft-deep']
const out = 0.5 // of the card's height stands above the envelope

const card = computed(() => ({ w: props.job.width / 1e6, h: props.job.height / 1e6 }))
const envelope = computed(() => props.job.envelope)
/** Where things lie, in millimetres from the top of the card. */
const laid = computed(() => {
  const e = envelope.value
  const { w, h } = card.value
  if (!e) return { width: w, height: h, x: 0, top: h, e: undefined }
  const top = h * out
  return { width: Math.max(e.width, w), height: top + e.height, x: (e.width - w) / 2, top, e }
})
const at = computed(
  () =>
    `translate(${(props.width - laid.value.width * props.scale) / 2} ${(props.height - laid.value.height * props.scale) / 2}) scale(${props.scale})`,
)
/** The envelope's front, with the edge that the card slips under. */
const pocket = computed(() => {
  const { e, top } = laid.value
  return e
    ? `M0 ${top} L${e.width / 2} ${top + e.height * 0.4} L${e.width} ${top} V${top + e.height} H0 Z`
    : ''
})
</script>

<template>
  <svg class="shape" aria-hidden="true" :width="width" :height="height">
    <g v-if="card.w > 0 && card.h > 0" :transform="at">
      <rect
        v-if="laid.e"
        class="drawn drawn-cut inside"
        x="0"
        :y="laid.top"
        :width="laid.e.width"
        :height="laid.e.height"
      />
      <g :transform="`translate(${laid.x} 0)`">
        <template v-for="(p, i) in job.papers" :key="i">
          <ellipse
            v-if="p.disc"
            class="drawn drawn-cut thing"
            :cx="p.x + p.width / 2"
            :cy="p.y + p.height / 2"
            :rx="p.width / 2"
            :ry="p.height / 2"
          />
          <rect
            v-else
            class="drawn drawn-cut"
            :class="{ thing: p.thing }"
            :style="
              p.thing ? undefined : { fill: p.colour ? `var(--c-${p.colour})` : `var(--${fills[i % 3]})` }
            "
            :x="p.x"
            :y="p.y"
            :width="p.width"
            :height="p.height"
          />
        </template>
      </g>
      <path
        v-if="pocket"
        class="drawn drawn-cut pocket"
        :style="{ '--of': `var(--c-${laid.e?.colour ?? 'kraft'})` }"
        :d="pocket"
      />
    </g>
  </svg>
</template>

<style scoped>
.shape {
  display: block;
}
.shape .drawn {
  stroke-width: 1;
}
.thing {
  fill: var(--air-blue);
}
.inside {
  fill: var(--kraft-deep);
}
.pocket {
  fill: color-mix(in srgb, var(--of) 90%, transparent);
}
</style>
