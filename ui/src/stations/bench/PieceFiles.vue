<script setup lang="ts">
import type { BenchPiece } from '../../api/client'
import OfferRow from '../../fields/OfferRow.vue'
import FileButtons from './FileButtons.vue'
import { useFormats } from './useFormats'

/** The pieces of a job, one of which is looked at, and the files of that one. */
const props = defineProps<{
  job: string
  pieces: BenchPiece[]
  chosen: string
  /** Files are made of what is stored. */
  saved: boolean
}>()
defineEmits<{ choose: [id: string] }>()

const { drawn, listed } = useFormats()

const file = (piece: string, format: string) => `/api/jobs/${props.job}/pieces/${piece}/${format}`
const list = (name: string, format: string) => `/api/jobs/${props.job}/lists/${name}/${format}`
const prints = [
  { id: 'job', name: 'Print the job on one page' },
  { id: 'worksheet', name: 'Print the worksheet' },
]
const lists = [
  { id: 'pieces', name: 'Pieces' },
  { id: 'cuts', name: 'Cuts' },
]
</script>

<template>
  <ul class="offers">
    <OfferRow
      v-for="p in pieces"
      :key="p.id"
      :name="p.name"
      :chip="p.count ? `${p.count} ×` : ''"
      :chosen="p.id === chosen"
      chosen-as="shown"
      act="Show"
      :act-test="`show-${p.id}`"
      :data-test="`piece-${p.id}`"
      @take="$emit('choose', p.id)"
    >
      <span class="size">{{ p.size }}</span> <span v-if="p.paper" class="soft">{{ p.paper }}</span>
      <p v-if="p.id === chosen && drawn.length" class="files">
        <FileButtons :job="job" :piece="p.id" :saved="saved" />
      </p>
      <p v-if="p.id === chosen && p.singles?.length && saved" class="files" data-test="singles">
        Print one:
        <a
          v-for="s in p.singles"
          :key="s.id"
          :href="file(s.id, 'pdf')"
          download
          :data-test="`single-${s.id}`"
          >{{ s.name }}</a
        >
      </p>
    </OfferRow>
  </ul>
  <section aria-label="Lists and prints" class="lists">
    <template v-for="f in listed" :key="f.id">
      <v-btn
        v-for="l in lists"
        :key="l.id"
        variant="outlined"
        size="small"
        :href="saved ? list(l.id, f.id) : undefined"
        :disabled="!saved"
        download
        :data-test="`list-${l.id}`"
        >{{ l.name }} as {{ f.name }}</v-btn
      >
    </template>
    <v-btn
      v-for="p in prints"
      :key="p.id"
      variant="outlined"
      size="small"
      :href="saved ? `/api/jobs/${job}/prints/${p.id}/pdf` : undefined"
      :disabled="!saved"
      download
      :data-test="`print-${p.id}`"
      >{{ p.name }}</v-btn
    >
    <v-btn variant="outlined" size="small" to="/chart" data-test="to-chart">Pocket chart</v-btn>
    <v-btn variant="outlined" size="small" :to="`/jobs/${job}/true-size`" data-test="to-true-size"
      >True size on the screen</v-btn
    >
    <span v-if="!saved" class="soft" role="status">Files wait until the job is saved.</span>
  </section>
</template>

<style scoped>
.files,
.lists {
  display: flex;
  flex-wrap: wrap;
  gap: var(--near);
  align-items: center;
  margin: var(--near) 0 0;
}
.size {
  font-weight: 600;
}
</style>
