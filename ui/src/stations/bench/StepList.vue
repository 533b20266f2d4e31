<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'

import type { Worksheet } from '../../api/client'

/** The worksheet, step by step; the one that is looked at is drawn, and open. */
const props = defineProps<{ sheet?: Worksheet; failure: string; at: number; job: string }>()
const emit = defineEmits<{ to: [step: number] }>()

const list = ref<HTMLElement>()
const steps = computed(() => props.sheet?.steps ?? [])
const to = (step: number) => {
  if (step >= 0 && step < steps.value.length) emit('to', step)
}
watch(
  () => [props.at, props.sheet],
  () =>
    void nextTick(() =>
      list.value?.querySelector<HTMLElement>('.open')?.scrollIntoView({ block: 'nearest' }),
    ),
)
</script>

<template>
  <p v-if="failure" role="alert" class="tone-trouble">{{ failure }}</p>
  <p v-else-if="!sheet" class="soft" aria-busy="true">Writing the worksheet…</p>
  <template v-else>
    <p v-if="sheet.missing.length" class="tone-care" data-test="missing-pieces">
      No sheet on your shelf gives {{ sheet.missing.join(', ') }}: get paper for it, cut to size.
    </p>
    <div class="acts">
      <v-btn variant="outlined" size="small" :to="`/jobs/${job}/table`" data-test="to-table"
        >Fill the screen</v-btn
      >
      <span class="soft" data-test="step-place">Step {{ at + 1 }} of {{ steps.length }}</span>
    </div>
    <ol ref="list" class="steps" @keydown.down.prevent="to(at + 1)" @keydown.up.prevent="to(at - 1)">
      <li v-for="(s, i) in steps" :key="i" :class="{ open: i === at }" :data-test="`step-${i + 1}`">
        <button type="button" class="line" :aria-expanded="i === at" :aria-disabled="i === at" @click="to(i)">
          <span class="place">{{ i + 1 }}</span>
          <span class="act">{{ s.name }}</span>
          <span class="short"
            ><template v-for="(span, k) in s.says.spans" :key="k"
              ><mark v-if="span.mark">{{ span.text }}</mark
              ><template v-else>{{ span.text }}</template></template
            ></span
          >
        </button>
        <div v-if="i === at" class="how">
          <p v-for="h in s.how" :key="h">{{ h }}</p>
          <p v-if="i === 0 && sheet.makings.text" data-test="makings">{{ sheet.makings.text }}</p>
          <p v-if="s.check" class="check"><strong>Check</strong> {{ s.check }}</p>
          <p v-if="s.caution" class="caution"><strong>Mind</strong> {{ s.caution }}</p>
          <div class="acts">
            <v-btn
              variant="outlined"
              size="small"
              :disabled="at === 0"
              data-test="step-back"
              @click="to(at - 1)"
              >Back</v-btn
            >
            <v-btn
              variant="flat"
              color="secondary"
              size="small"
              :disabled="at >= steps.length - 1"
              data-test="step-next"
              @click="to(at + 1)"
              >Next step</v-btn
            >
          </div>
        </div>
      </li>
    </ol>
  </template>
</template>

<style scoped>
.acts {
  display: flex;
  gap: var(--near);
  align-items: center;
}
.acts :deep(.v-btn) {
  font-size: var(--size-text);
}
.steps {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-bottom: 1px solid var(--line);
}
li.open {
  background: var(--chosen, color-mix(in srgb, var(--yellow) 22%, transparent));
}
.line {
  display: grid;
  grid-template-columns: 2em 5.5em minmax(0, 1fr);
  gap: var(--near);
  width: 100%;
  padding: var(--near);
  text-align: left;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  cursor: pointer;
}
.place {
  color: var(--soft);
  text-align: right;
}
.act {
  font-weight: 650;
}
mark {
  background: none;
  color: inherit;
  font-weight: 650;
  border-bottom: 3px solid var(--yellow);
}
.how {
  display: grid;
  gap: var(--near);
  padding: 0 var(--near) var(--near) calc(7.5em + 3 * var(--near));
}
.how p {
  margin: 0;
}
.caution {
  color: var(--care);
}
</style>
