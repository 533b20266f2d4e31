<script setup lang="ts">
import ShopLength from '../../fields/ShopLength.vue'
</script>

<template>
  <ShopLength
    path="tools.groove"
    label="Grooves every"
    note="for a board that scores in its grooves alone: sizes are chosen to fall in them; 0 for one that scores anywhere"
  />
</template>
