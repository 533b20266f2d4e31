<script setup lang="ts">
import type { FieldPath } from '../../api/client'
import TypedField from '../../fields/TypedField.vue'
import { useShop } from '../../job/useShop'

/** What the files for a cutter and a printer go by: they are the same in every job. */
defineProps<{ paths: FieldPath[] }>()

const shelf = useShop()
</script>

<template>
  <p class="soft">Your cutter and your printer are the same in every job.</p>
  <div class="field-grid">
    <TypedField v-for="p in [...paths, 'printsOn']" :key="p" :of="shelf" :path="p" />
  </div>
  <p class="soft">
    Score before you cut, on a mat that holds the paper flat. Mind the blade, and keep hands off while it
    moves.
  </p>
</template>
