<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiClose } from '@mdi/js'
import { computed } from 'vue'

import type { LayerRow } from '../../api/client'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import RungSlider from './RungSlider.vue'

const props = defineProps<{ job: JobInHand; at: number; row: LayerRow | undefined }>()

const { choices, items } = useShop()
const part = computed(() => props.job.job.value!.parts[props.at]!)
const isLayer = computed(() => part.value.kind === 'layer')
const path = computed(() => `parts.${props.at}`)
const border = computed(() => props.job.inputAt(`${path.value}.border`))
const sizing = computed(() => (part.value.own ? 'own' : part.value.edges ? 'edges' : ''))
const edited = computed(() => props.row?.edited ?? [`${path.value}.border`])

function size(how: string) {
  if (how) props.job.add(`${path.value}.${how}`)
  else props.job.remove(`${path.value}.${sizing.value}`)
}
</script>

<template>
  <li class="layer" :data-test="`layer-${at}`">
    <p class="share" data-test="share">{{ part.kind === 'liner' ? 'inside' : (row?.share ?? 'none') }}</p>
    <div class="paper">
      <div class="line">
        <TypedField
          :of="job"
          :path="`${path}.name`"
          as="name"
          :label="`Name of ${part.name}`"
          class="called"
        />
        <template v-if="part.kind !== 'base'">
          <v-btn
            v-if="isLayer"
            :icon="mdiArrowUp"
            size="x-small"
            :disabled="!row?.mayRise"
            :aria-label="`${part.name} one up`"
            @click="job.move(path, 1)"
          />
          <v-btn
            v-if="isLayer"
            :icon="mdiArrowDown"
            size="x-small"
            :disabled="!row?.maySink"
            :aria-label="`${part.name} one down`"
            @click="job.move(path, -1)"
          />
          <v-btn
            :icon="mdiClose"
            size="x-small"
            :aria-label="`Remove ${part.name}`"
            data-test="remove-layer"
            @click="job.remove(path)"
          />
        </template>
      </div>
      <p class="soft">
        <strong data-test="layer-size">{{ row?.size ?? 'nothing left' }}</strong>, {{ row?.mount }}
      </p>
      <TypedField :of="job" :path="`${path}.stock`" as="cell" :label="`Paper of ${part.name}`" />
      <RungSlider v-if="row && row.rungs.length > 1" :row="row" @take="job.take('layers.rungs', $event)" />
      <template v-if="part.kind !== 'base'">
        <div class="fields">
          <TypedField v-for="p in edited" :key="p" :of="job" :path="p" />
        </div>
        <div v-if="sizing === ''" class="habits" role="group" aria-label="Usual borders">
          <v-btn
            v-for="b in choices('borders')"
            :key="b.id"
            variant="outlined"
            size="small"
            :active="border?.usual === b.id"
            :data-test="`border-${b.id}`"
            @click="job.set(`${path}.border`, b.id)"
          >
            {{ b.name }}
          </v-btn>
        </div>
        <v-select
          :model-value="sizing"
          :items="items('sizings')"
          :aria-label="`How ${part.name} is sized`"
          :data-test="`sizing-${at}`"
          @update:model-value="size"
        />
        <TypedField
          v-if="row?.window"
          :of="job"
          :path="`${path}.window`"
          :label="`Cut the middle out: ${row.window}`"
          :name="`window-${at}`"
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
.called {
  flex: 1;
  min-width: 0;
  font: 600 17px var(--body);
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
