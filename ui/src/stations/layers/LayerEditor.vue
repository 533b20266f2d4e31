<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiClose } from '@mdi/js'
import { computed } from 'vue'

import type { Job, LayerRow } from '../../api/client'
import LengthField from '../../fields/LengthField.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import RungSlider from './RungSlider.vue'

type Part = Job['parts'][number]

const props = defineProps<{
  job: JobInHand
  at: number
  row: LayerRow | undefined
  /** The layer that lies on this one, and the paper that this one lies on. */
  above: number | undefined
  below: number | undefined
}>()
const emit = defineEmits<{
  set: [at: number, to: Partial<Part>]
  swap: [a: number, b: number]
  remove: [at: number]
}>()

const { shop } = useShop()
const stocks = computed(() => (shop.value?.choices.stocks ?? []).map((c) => ({ value: c.id, title: c.name })))
const borders = computed(() => shop.value?.choices.borders ?? [])
const parts = computed(() => props.job.job.value!.parts)
const part = computed(() => parts.value[props.at]!)
const isLayer = computed(() => part.value.kind === 'layer')

const sizings = [
  { value: 'even', title: 'the same border all round' },
  { value: 'edges', title: 'each edge its own border' },
  { value: 'own', title: 'a size of my own' },
]
const sizing = computed(() => (part.value.own ? 'own' : part.value.edges ? 'edges' : 'even'))

function size(how: string) {
  const b = part.value.border
  const row = props.row
  emit('set', props.at, {
    edges: how === 'edges' ? { top: b, right: b, bottom: b, left: b } : undefined,
    own: how === 'own' && row ? { width: row.width, height: row.height } : undefined,
  })
}

function rename(event: Event) {
  const input = event.target as HTMLInputElement
  const name = input.value.trim()
  if (name) emit('set', props.at, { name })
  else input.value = part.value.name
}

/** Only a layer may change places with a layer. */
const mayRise = computed(() => isLayer.value && props.above !== undefined)
const maySink = computed(
  () => isLayer.value && props.below !== undefined && parts.value[props.below]?.kind === 'layer',
)
</script>

<template>
  <li class="layer" :data-test="`layer-${at}`">
    <p class="share" data-test="share">{{ part.kind === 'liner' ? 'inside' : (row?.share ?? 'none') }}</p>
    <div class="paper">
      <div class="line">
        <input
          class="name"
          :value="part.name"
          maxlength="80"
          :aria-label="`Name of ${part.name}`"
          @change="rename"
        />
        <template v-if="part.kind !== 'base'">
          <v-btn
            v-if="isLayer"
            :icon="mdiArrowUp"
            size="x-small"
            :disabled="!mayRise"
            :aria-label="`${part.name} one up`"
            @click="emit('swap', at, above!)"
          />
          <v-btn
            v-if="isLayer"
            :icon="mdiArrowDown"
            size="x-small"
            :disabled="!maySink"
            :aria-label="`${part.name} one down`"
            @click="emit('swap', at, below!)"
          />
          <v-btn
            :icon="mdiClose"
            size="x-small"
            :aria-label="`Take ${part.name} off`"
            data-test="remove-layer"
            @click="emit('remove', at)"
          />
        </template>
      </div>
      <p class="soft">
        <strong data-test="layer-size">{{ row?.size ?? 'nothing left' }}</strong>, {{ row?.mount }}
      </p>
      <v-select
        :model-value="part.stock"
        :items="stocks"
        :aria-label="`Paper of ${part.name}`"
        @update:model-value="emit('set', at, { stock: $event })"
      />
      <RungSlider
        v-if="row && above !== undefined && row.rungs.length > 1"
        :row="row"
        :border="parts[above]!.border"
        @border="emit('set', above!, { border: $event, edges: undefined, own: undefined })"
      />
      <template v-if="part.kind !== 'base'">
        <div class="fields">
          <template v-if="sizing === 'own'">
            <LengthField :job="job" :path="`parts.${at}.ownWidth`" label="across" />
            <LengthField :job="job" :path="`parts.${at}.ownHeight`" label="down" />
          </template>
          <template v-else-if="sizing === 'edges'">
            <LengthField :job="job" :path="`parts.${at}.top`" label="above" />
            <LengthField :job="job" :path="`parts.${at}.bottom`" label="below" />
            <LengthField :job="job" :path="`parts.${at}.left`" label="left" />
            <LengthField :job="job" :path="`parts.${at}.right`" label="right" />
          </template>
          <LengthField v-else :job="job" :path="`parts.${at}.border`" label="border" />
          <LengthField v-if="isLayer" :job="job" :path="`parts.${at}.foam`" label="foam" />
          <LengthField :job="job" :path="`parts.${at}.ready`" label="cut already" />
        </div>
        <div v-if="sizing === 'even'" class="habits" role="group" aria-label="Usual borders">
          <v-btn
            v-for="b in borders"
            :key="b.id"
            variant="outlined"
            size="small"
            :active="part.border === b.width"
            :data-test="`border-${b.id}`"
            @click="emit('set', at, { border: b.width })"
          >
            {{ b.name }}
          </v-btn>
        </div>
        <v-select
          :model-value="sizing"
          :items="sizings"
          :aria-label="`How ${part.name} is sized`"
          :data-test="`sizing-${at}`"
          @update:model-value="size"
        />
        <v-checkbox
          v-if="row?.window"
          :model-value="!!part.window"
          :label="`Cut the middle out: ${row.window}`"
          :data-test="`window-${at}`"
          @update:model-value="emit('set', at, { window: !!$event })"
        />
      </template>
    </div>
  </li>
</template>

<style scoped>
.layer {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  gap: 16px;
  padding: 8px 0 12px;
  border-bottom: 1px solid var(--line);
}
.share {
  font-size: 26px;
  font-weight: 650;
  text-align: right;
  white-space: nowrap;
}
.line {
  display: flex;
  align-items: center;
}
.name {
  flex: 1;
  min-width: 0;
  font: 600 17px var(--body);
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
}
.name:hover {
  border-bottom-color: var(--line);
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 16px;
  --numbers: 90px;
  margin-top: 4px;
}
.habits {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
</style>
