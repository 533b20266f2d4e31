import { useIntervalFn, useStorage } from '@vueuse/core'
import { computed, ref } from 'vue'

/** A timer for what dries: it runs on while another step is looked at, and over a reload. */
export function useTimer(name: string) {
  const ends = useStorage(`yellow-parcel-timer-${name}`, 0)
  const now = ref(Date.now())
  const second = 1000
  useIntervalFn(() => (now.value = Date.now()), second / 4)

  const left = computed(() => Math.max(0, Math.ceil((ends.value - now.value) / second)))
  const running = computed(() => ends.value > 0)
  const done = computed(() => running.value && left.value === 0)
  const text = computed(() => `${Math.floor(left.value / 60)}:${String(left.value % 60).padStart(2, '0')}`)

  return {
    running,
    done,
    text,
    start(minutes: number) {
      now.value = Date.now()
      ends.value = now.value + minutes * 60 * second
    },
    stop() {
      ends.value = 0
    },
  }
}
