<script setup lang="ts">
/** Where there is no Undo, what becomes of the version that is not kept is said otherwise. */
defineProps<{ noUndo?: boolean }>()
defineEmits<{ theirs: []; mine: [] }>()
</script>

<template>
  <div class="conflict" role="alert" data-test="conflict">
    <p>
      <strong>This job was changed in another window as well.</strong> Nothing was overwritten.
      {{
        noUndo
          ? 'Taking the other drops what was changed here; keeping this one leaves the other in the history.'
          : 'The version you do not keep stays one step back in Undo.'
      }}
    </p>
    <v-btn variant="flat" color="primary" data-test="take-theirs" @click="$emit('theirs')"
      >Take the other</v-btn
    >
    <v-btn variant="outlined" data-test="keep-mine" @click="$emit('mine')">Keep this one</v-btn>
  </div>
</template>

<style scoped>
.conflict {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap);
  margin: 4px 40px;
  padding: 10px 14px;
  background: var(--sheet);
  border-left: 5px solid var(--trouble);
}
p {
  flex: 1 1 320px;
}
</style>
