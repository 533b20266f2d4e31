<script setup lang="ts">
import { computed } from 'vue'

import type { BasePlan, Drawing } from '../api/client'
import DrawnLabels from './DrawnLabels.vue'
import DrawnShapes from './DrawnShapes.vue'
import LineKey from './LineKey.vue'
import ScaleDrawing from './ScaleDrawing.vue'
import SizeLine from './SizeLine.vue'
import { useSmall } from './useSmall'

const props = defineProps<{ base: BasePlan; drawing: Drawing; unit: 'in' | 'mm'; words: string }>()

const small = useSmall()
const row = 34 // pixels that a size below takes
const column = 90 // pixels that a size at the right takes
const narrow = 56 // pixels under which a panel has no room for its size

const mm = (nm: number) => nm / 1e6
const size = computed(() => ({ w: mm(props.base.width.nm), h: mm(props.base.height.nm) }))

/** The panels with their place along the fold, in millimetres. */
const panels = computed(() => {
  let from = 0
  return props.base.panels.map((p) => {
    const panel = { ...p, from, to: from + mm(p.size.nm) }
    from = panel.to
    return panel
  })
})
const folded = computed(() => panels.value.length > 1)
</script>

<template>
  <ScaleDrawing
    :width="size.w"
    :height="size.h"
    :unit="unit"
    :words="words"
    :right="base.across && folded && !small ? 2 * column : column"
    :below="(folded && !base.across && !small ? 2 : 1) * row + 6"
  >
    <template #default="{ s }">
      <DrawnShapes :shapes="drawing.shapes" :s="s" paper="var(--sheet)" />
      <DrawnLabels :labels="drawing.labels" :s="s" />
      <template v-for="(p, i) in panels" :key="i">
        <SizeLine
          v-if="!small && folded && !base.across && (p.to - p.from) * s > narrow"
          :x1="p.from * s"
          :y1="size.h * s"
          :x2="p.to * s"
          :y2="size.h * s"
          :text="p.size.text"
          :name="`panel-${i}`"
          :shift="row"
          field="card.width"
        />
        <SizeLine
          v-if="!small && folded && base.across && (p.to - p.from) * s > 30"
          :x1="size.w * s"
          :y1="p.from * s"
          :x2="size.w * s"
          :y2="p.to * s"
          :text="p.size.text"
          :name="`panel-${i}`"
          :shift="14"
          field="card.height"
        />
      </template>
      <SizeLine
        :x1="0"
        :y1="size.h * s"
        :x2="size.w * s"
        :y2="size.h * s"
        :text="base.width.text"
        name="width"
        :field="base.across || !folded ? 'card.width' : undefined"
        :shift="folded && !base.across && !small ? 2 * row : row"
      />
      <SizeLine
        :x1="size.w * s"
        :y1="0"
        :x2="size.w * s"
        :y2="size.h * s"
        :text="base.height.text"
        name="height"
        :field="base.across && folded ? undefined : 'card.height'"
        :shift="folded && base.across && !small ? column : 14"
      />
    </template>
    <template #legend>
      <LineKey
        :kinds="[
          'cut',
          ...(folded ? ['score'] : []),
          ...(base.scores.some((x) => x.inside) ? ['inside'] : []),
        ]"
      />
    </template>
  </ScaleDrawing>
</template>
