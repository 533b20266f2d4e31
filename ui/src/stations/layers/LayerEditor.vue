<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiClose } from '@mdi/js'
import { computed } from 'vue'

import type { FieldPath, LayerRow } from '../../api/client'
import TypedField from '../../fields/TypedField.vue'
import type { JobInHand } from '../../job/useJob'
import { useShop } from '../../job/useShop'
import RungSlider from './RungSlider.vue'

/** One paper of the card in a line; its fields where it is the one in hand. */
const props = defineProps<{ job: JobInHand; at: number; row: LayerRow | undefined; open: boolean }>()
defineEmits<{ open: [] }>()

const { choices, items } = useShop()
const part = computed(() => props.job.job.value!.parts[props.at]!)
const isLayer = computed(() => part.value.kind === 'layer')
const path = computed<`parts.${number}`>(() => `parts.${props.at}`)
const border = computed(() => props.job.inputAt(`${path.value}.border`))
const sizing = computed(() => (part.value.own ? 'own' : part.value.edges ? 'edges' : ''))
const edited = computed<FieldPath[]>(() => props.row?.edited ?? [`${path.value}.border`])

function size(how: string) {
  if (how === 'own' || how === 'edges') props.job.add(`${path.value}.${how}`)
  else if (sizing.value) props.job.remove(`${path.value}.${sizing.value}`)
}
</script>

<template>
  <li class="layer" :class="{ open }" :data-test="`layer-${at}`" @focusin="$emit('open')">
    <div class="line">
      <button
        type="button"
        class="fold"
        :aria-expanded="open"
        :aria-disabled="open"
        :data-test="`open-layer-${at}`"
        @click="$emit('open')"
      >
        <span class="share" data-test="share">{{
          part.kind === 'liner' ? 'inside' : (row?.share ?? 'none')
        }}</span>
        <span class="what">
          <strong>{{ part.name }}</strong>
          <span class="soft"
            ><span data-test="layer-size">{{ row?.size ?? 'nothing left' }}</span
            >, {{ row?.mount }}</span
          >
        </span>
      </button>
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
    <div v-if="open" class="fields">
      <div class="field-grid">
        <TypedField :of="job" :path="`${path}.name`" />
        <TypedField :of="job" :path="`${path}.stock`" :label="`Paper of ${part.name}`" />
      </div>
      <v-btn
        variant="outlined"
        size="small"
        class="turn"
        :data-test="`turn-${at}`"
        @click="job.set(`${path}.turned`, part.turned ? 'no' : 'yes')"
        >Turn the paper over</v-btn
      >
      <TypedField :of="job" :path="`${path}.embossed`" :name="`embossed-${at}`" />
      <RungSlider v-if="row && row.rungs.length > 1" :row="row" @take="job.take('layers.rungs', $event)" />
      <template v-if="part.kind !== 'base'">
        <div class="field-grid">
          <v-select
            :model-value="sizing"
            :items="items('sizings')"
            label="Sized by"
            :data-test="`sizing-${at}`"
            @update:model-value="size"
          />
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
.turn {
  justify-self: start;
}
.layer {
  border-bottom: 1px solid var(--line);
}
.open {
  background: color-mix(in srgb, var(--mark) 14%, transparent);
}
.line {
  display: flex;
  align-items: center;
}
.fold {
  flex: 1;
  min-width: 0;
  display: grid;
  grid-template-columns: 62px minmax(0, 1fr);
  gap: var(--gap);
  align-items: center;
  padding: var(--near) 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.share {
  font-size: var(--size-number);
  font-weight: 650;
  text-align: right;
  white-space: nowrap;
}
.what {
  display: grid;
  line-height: 1.25;
}
.what .soft {
  font-size: var(--size-note);
}
.fields {
  display: grid;
  gap: var(--gap);
  padding: var(--near) 0 var(--gap);
}
.habits {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
}
</style>
