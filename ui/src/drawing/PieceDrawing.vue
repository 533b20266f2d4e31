<script setup lang="ts">
import { computed } from 'vue'

import type { MailPlan } from '../api/client'
import ScaleDrawing from './ScaleDrawing.vue'
import SizeLine from './SizeLine.vue'

const props = defineProps<{ mail: MailPlan; unit: 'in' | 'mm' }>()

const gap = 14 // millimetres between the face and its edge view
const mm = (nm: number) => nm / 1e6

const face = computed(() => ({ w: mm(props.mail.width.nm), h: mm(props.mail.height.nm) }))
const thick = computed(() => mm(props.mail.thickness.nm))
const other = computed(() =>
  props.mail.rectangle
    ? { w: mm(props.mail.rectangle.width.nm), h: mm(props.mail.rectangle.height.nm) }
    : { w: 0, h: 0 },
)
const box = computed(() => ({
  w: Math.max(face.value.w, other.value.w) + gap + Math.max(thick.value, 6),
  h: Math.max(face.value.h, other.value.h),
}))
// The address lies in a frame of its own, turned where it runs along the upright edge.
const frame = computed(() =>
  props.mail.addressUpright ? { w: face.value.h, h: face.value.w } : { w: face.value.w, h: face.value.h },
)
const turned = (s: number) =>
  props.mail.addressUpright ? `translate(0 ${face.value.h * s}) rotate(-90)` : undefined
const edgeAt = computed(() => box.value.w - Math.max(thick.value, 6) / 2 - thick.value / 2)
</script>

<template>
  <ScaleDrawing :width="box.w" :height="box.h" :unit="unit" :words="mail.drawing" :right="94" :below="40">
    <template #default="{ s }">
      <rect
        v-if="mail.rectangle"
        class="drawn drawn-away"
        x="0"
        y="0"
        :width="other.w * s"
        :height="other.h * s"
        data-part="rectangle"
      />
      <rect
        class="drawn drawn-cut drawn-paper"
        x="0"
        y="0"
        :width="face.w * s"
        :height="face.h * s"
        data-part="piece"
      />
      <g class="address" data-part="address" :transform="turned(s)">
        <line
          :x1="frame.w * 0.42 * s"
          :y1="frame.h * 0.5 * s"
          :x2="frame.w * 0.82 * s"
          :y2="frame.h * 0.5 * s"
        />
        <line
          :x1="frame.w * 0.42 * s"
          :y1="frame.h * 0.57 * s"
          :x2="frame.w * 0.76 * s"
          :y2="frame.h * 0.57 * s"
        />
        <line
          :x1="frame.w * 0.42 * s"
          :y1="frame.h * 0.64 * s"
          :x2="frame.w * 0.7 * s"
          :y2="frame.h * 0.64 * s"
        />
        <rect :x="frame.w * s - 62" y="14" width="46" height="54" class="drawn stamp" />
      </g>
      <rect
        class="drawn drawn-cut drawn-paper"
        :x="edgeAt * s"
        y="0"
        :width="thick * s"
        :height="face.h * s"
        data-part="edge"
      />
      <SizeLine
        :x1="0"
        :y1="face.h * s"
        :x2="face.w * s"
        :y2="face.h * s"
        :text="mail.width.text"
        name="width"
        :shift="box.h * s - face.h * s + 34"
      />
      <SizeLine
        :x1="box.w * s"
        :y1="0"
        :x2="box.w * s"
        :y2="face.h * s"
        :text="mail.height.text"
        name="height"
        :shift="14"
      />
      <text v-if="mail.rectangle && other.w > face.w + 12" class="drawing-label" :x="(face.w + 4) * s" :y="24"
        >plain shape</text
      >
    </template>
  </ScaleDrawing>
</template>

<style scoped>
.address line {
  stroke: var(--soft);
  stroke-width: 2;
}
.stamp {
  stroke: var(--soft);
  stroke-dasharray: 2 3;
}
</style>
