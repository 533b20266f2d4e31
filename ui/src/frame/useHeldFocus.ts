import { useEventListener } from '@vueuse/core'

const focusable =
  'a[href], button:not([disabled]), input:not([disabled]), select:not([disabled]), textarea:not([disabled]), [tabindex]:not([tabindex="-1"])'

/** How long what a key did is waited for: an answer of the program may bring its list anew. */
const waits = 4000

/** What an element is known by when its list was drawn anew. */
const nameOf = (e: Element) =>
  `${e.getAttribute('data-test') ?? ''}|${e.getAttribute('aria-label') ?? ''}|${e.textContent.trim()}`

/**
 * The focus stays where the hand was: what a key was pressed on may be drawn anew, or be gone. Then it goes to
 * what has its name there, else to what stands in its place.
 */
export function useHeldFocus() {
  let watching: MutationObserver | undefined
  let over = 0

  function stop() {
    watching?.disconnect()
    watching = undefined
    window.clearTimeout(over)
  }

  useEventListener(
    window,
    'keydown',
    (e: KeyboardEvent) => {
      stop()
      const at = e.target
      if ((e.key !== 'Enter' && e.key !== ' ') || !(at instanceof HTMLElement) || at === document.body) return
      // The parents may go with it: each is remembered with the place that it had there.
      const places: { parent: HTMLElement; place: number }[] = []
      for (let p = at.parentElement; p; p = p.parentElement) {
        places.push({ parent: p, place: [...p.querySelectorAll(focusable)].indexOf(at) })
      }
      const name = nameOf(at)
      const path = location.pathname
      const held = () => {
        if (document.activeElement && document.activeElement !== document.body) return
        if (location.pathname !== path) return stop() // another page begins at its beginning
        const found = places.find((p) => p.parent.isConnected)
        if (!found) return
        const all = [...found.parent.querySelectorAll<HTMLElement>(focusable)].filter((c) => c.offsetParent)
        const same = all.find((c) => nameOf(c) === name)
        const next = same ?? all[Math.min(Math.max(found.place, 0), all.length - 1)]
        next?.focus({ preventScroll: true })
      }
      watching = new MutationObserver(held)
      watching.observe(document.body, { subtree: true, childList: true, attributeFilter: ['disabled'] })
      over = window.setTimeout(stop, waits)
    },
    { capture: true },
  )
  useEventListener(window, 'pointerdown', stop, { capture: true })
}
