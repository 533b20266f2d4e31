<script setup lang="ts">
import { onMounted, ref } from 'vue'

import { api, sentenceOf, unreachable, type Removed } from '../api/client'
import { under } from '../job/steady'
import { useShop } from '../job/useShop'

/** Everything that was removed, in one list, the latest first: each can be restored. */
const list = ref<Removed[]>()
const failure = ref('')
const shelf = useShop()

async function load() {
  const { data, error } = await api.GET('/api/removed').catch(unreachable)
  if (data) list.value = data
  failure.value = data ? '' : sentenceOf(error)
}
onMounted(load)
defineExpose({ load })

async function restore(r: Removed) {
  if (r.path) {
    shelf.set(under(r.path, 'off'), 'no')
    await shelf.settled()
  } else {
    const params = { path: { id: r.id } }
    const body = { version: r.version, removed: false }
    const { error, response } = await api.PUT('/api/jobs/{id}/removed', { params, body }).catch(unreachable)
    if (!response?.ok) failure.value = sentenceOf(error)
  }
  await load()
}
</script>

<template>
  <section aria-label="Removed">
    <h2>Removed</h2>
    <p v-if="failure" class="tone-trouble" role="alert">{{ failure }}</p>
    <p v-if="list && !list.length" class="soft" data-test="nothing-removed">
      Nothing is removed. Jobs, papers, envelopes and rules that you remove stay here.
    </p>
    <ul v-else data-test="removed">
      <li v-for="r in list" :key="r.path || r.id">
        <span class="what">
          <span>{{ r.name }}</span>
          <small class="soft">{{ r.kind }}{{ r.when && ` · ${r.when}` }}</small>
        </span>
        <v-btn size="small" variant="outlined" data-test="restore-removed" @click="restore(r)">Restore</v-btn>
      </li>
    </ul>
    <p v-if="list?.length" class="soft">They stay here until you restore them.</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--gap);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--ink);
  max-height: 420px;
  overflow-y: auto;
}
li {
  display: flex;
  align-items: center;
  gap: var(--gap);
  padding: var(--near) 0;
  border-bottom: 1px solid var(--line);
}
.what {
  flex: 1;
  min-width: 0;
  display: grid;
  overflow-wrap: anywhere;
}
small {
  font-size: var(--size-note);
}
</style>
