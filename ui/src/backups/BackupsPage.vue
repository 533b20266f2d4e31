<script setup lang="ts">
import { onMounted, ref } from 'vue'

import WhyBar from '../frame/WhyBar.vue'
import PageHeader from '../frame/PageHeader.vue'
import { useShop } from '../job/useShop'
import BackupList from './BackupList.vue'
import FileSection from './FileSection.vue'
import RemovedList from './RemovedList.vue'
import { useBackups } from './useBackups'

/** What is kept beside the data: backups, what was removed, and everything in one file. */
const backups = useBackups()
const { page, busy, done, failure } = backups
const shelf = useShop()
const removed = ref<{ load: () => void }>()
onMounted(backups.load)
onMounted(shelf.load)
shelf.listen(() => removed.value?.load())
onMounted(() => (document.title = 'Backups · Yellow Parcel'))
</script>

<template>
  <div class="page">
    <PageHeader />
    <WhyBar />
    <main v-if="page">
      <h1>Backups</h1>
      <div class="says" aria-live="polite">
        <p v-if="busy" data-test="busy">{{ busy }}</p>
        <p v-else-if="done" class="tone-fine" data-test="done">{{ done }}</p>
        <p v-if="failure" class="tone-trouble" role="alert" data-test="failure">{{ failure }}</p>
        <p v-if="page.trouble" class="tone-trouble" role="alert" data-test="backup-trouble">
          {{ page.trouble }}
        </p>
      </div>
      <div class="columns">
        <BackupList :of="backups" />
        <div class="beside">
          <FileSection :of="backups" />
          <RemovedList ref="removed" />
        </div>
      </div>
    </main>
    <main v-else>
      <p :class="failure ? 'tone-trouble' : 'soft'" :role="failure ? 'alert' : undefined">
        {{ failure || 'Looking for your backups…' }}
      </p>
    </main>
  </div>
</template>

<style scoped>
main {
  padding: var(--near) var(--edge) var(--far);
  display: grid;
  gap: var(--gap);
}
h1 {
  font-size: var(--size-title);
}
.says:empty {
  display: none;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: var(--far);
  align-items: start;
}
.beside {
  display: grid;
  gap: var(--far);
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
