import { useStorage } from '@vueuse/core'
import { computed, watch, type ComputedRef } from 'vue'
import { useRoute } from 'vue-router'

import { useShop } from '../job/useShop'

/** The drawers of a station, and the one that is open: what its address says, or the one that was open last. */
export function useDrawer(station: () => string) {
  const { choices } = useShop()
  const route = useRoute()
  const last = useStorage<Record<string, string>>('yellow-parcel-drawers', {})
  const drawers = computed(() => choices(`drawers.${station()}`))
  const drawer: ComputedRef<string> = computed(() => {
    const asked = String(route.params.drawer ?? '')
    const kept = last.value[station()] ?? ''
    // Before the drawers are known the address is believed.
    const known = (id: string) =>
      id !== '' && (!drawers.value.length || drawers.value.some((d) => d.id === id))
    return known(asked) ? asked : known(kept) ? kept : (drawers.value[0]?.id ?? '')
  })
  watch(drawer, (now) => {
    if (now && last.value[station()] !== now) last.value = { ...last.value, [station()]: now }
  })
  return { drawers, drawer }
}
