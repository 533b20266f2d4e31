<script setup lang="ts">
import type { MailPlan } from '../../api/client'

/** The verdict of every rulebook on the piece, side by side. */
defineProps<{ places: MailPlan['everywhere'] }>()
const emit = defineEmits<{ choose: [id: string] }>()
</script>

<template>
  <section class="everywhere" aria-label="Anywhere else">
    <div class="head">
      <h2>Where it could go</h2>
      <router-link to="/rules" data-test="to-rules">Read and edit the rules</router-link>
    </div>
    <table class="numbers-table">
      <thead>
        <tr>
          <th scope="col" class="words">Mail</th>
          <th scope="col" class="words">Goes as</th>
          <th scope="col" class="words">Why, or what is left</th>
          <th scope="col">Each</th>
          <th scope="col"><span class="sr">Send it here</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="p in places" :key="p.id" :class="{ chosen: p.chosen }" :data-test="`place-${p.id}`">
          <th scope="row" class="words">{{ p.name }}</th>
          <td class="words" :class="`tone-${p.tone}`">
            <strong>{{ p.short }}</strong>
          </td>
          <td class="words soft">{{ p.why || '–' }}</td>
          <td>{{ p.price || '–' }}</td>
          <td>
            <span v-if="p.chosen" class="soft">here</span>
            <v-btn
              v-else
              variant="outlined"
              size="small"
              :aria-label="`Send it: ${p.name}`"
              @click="emit('choose', p.id)"
              >Send here</v-btn
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.everywhere {
  display: grid;
  gap: 6px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
  overflow-x: auto;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
  align-items: baseline;
}
.chosen {
  background: color-mix(in srgb, var(--mark) 28%, transparent);
}
td,
th {
  padding: 5px 14px 5px 6px;
}
</style>
