<script setup lang="ts">
import { useFormats } from './useFormats'

/** The files of one piece or mat: a button a format. */
defineProps<{
  job: string
  piece: string
  /** Files are made of what is stored. */
  saved: boolean
}>()

const { drawn } = useFormats()
</script>

<template>
  <v-btn
    v-for="f in drawn"
    :key="f.id"
    variant="outlined"
    size="small"
    :href="saved ? `/api/jobs/${job}/pieces/${piece}/${f.id}` : undefined"
    :disabled="!saved"
    :title="`${f.name}: ${f.for}`"
    download
    :data-test="`file-${f.id}`"
    >{{ f.id === 'pdf' ? 'Print: PDF' : f.name }}</v-btn
  >
</template>
