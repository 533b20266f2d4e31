import { useEventListener } from '@vueuse/core'

import { useShop } from '../job/useShop'
import { useLamp } from './theme'

/** Whether keys are taken by what has the focus: something is typed or chosen there. */
const taken = (at: EventTarget | null) =>
  at instanceof Element &&
  at.closest('input, textarea, select, [role=combobox], [role=listbox], [role=menu]') !== null

/** The keys that hold on every page, and those of this one. */
export function useKeys(own: Record<string, (e: KeyboardEvent) => void>) {
  const { shop, choices, set } = useShop()
  const { lamp } = useLamp()
  const everywhere: Record<string, () => void> = {
    l: lamp,
    m() {
      if (shop.value) set('unit', choices('units').find((u) => u.id !== shop.value?.shop.unit)?.id ?? '')
    },
  }
  useEventListener(window, 'keydown', (e: KeyboardEvent) => {
    if (e.ctrlKey || e.metaKey || e.altKey || taken(e.target)) return
    const act = own[e.key] ?? own[e.key.toLowerCase()] ?? everywhere[e.key.toLowerCase()]
    if (!act) return
    if (e.key === '/') e.preventDefault() // the browser's own search
    act(e)
  })
}
