import { useEventListener, useEventSource } from '@vueuse/core'
import { effectScope, onScopeDispose } from 'vue'

import type { components } from './schema'
import { tryAgainAfter } from './trying'

/** What a page hears: an event of the program, or that the stream began anew or broke off. */
type Event = Omit<components['schemas']['Event'], 'kind'> & {
  kind: components['schemas']['Event']['kind'] | 'opened' | 'lost'
}

// A browser opens no more than six connections to the program: of all its pages one reads the
// stream, the one that holds the lock, and passes each event on to the others.
const name = 'yellow-parcel-events'
const heard = new Set<(event: Event) => void>()
const pages = new BroadcastChannel(name)

function hear(event: Event) {
  for (const each of [...heard]) each(event)
}

function pass(event: Event) {
  pages.postMessage(event)
  hear(event)
}

/** Reads the stream for all pages, as long as this one is open. */
function lead() {
  effectScope(true).run(() => {
    const { eventSource } = useEventSource('/api/events', [], {
      // Where the program answers that it cannot, the browser itself would give up.
      autoReconnect: { retries: -1, delay: tryAgainAfter },
    })
    // Every message counts, also one that is the same as the last: so they are heard one by one.
    useEventListener(eventSource, 'message', (m: MessageEvent<string>) => pass(JSON.parse(m.data)))
    useEventListener(eventSource, 'open', () => pass({ kind: 'opened', version: 0 }))
    useEventListener(eventSource, 'error', () => pass({ kind: 'lost', version: 0 }))
  })
}

let begun = false

function begin() {
  if (begun) return
  begun = true
  pages.addEventListener('message', (m: MessageEvent<Event>) => hear(m.data))
  // What a page missed while it was asleep it looks for when it is looked at again.
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') hear({ kind: 'opened', version: 0 })
  })
  if ('locks' in navigator)
    void navigator.locks.request(name, () => new Promise(lead)) // never given back
  else lead()
}

/** Hears every event until the scope ends; what an event is of is the listener's to look at. */
export function onEvents(each: (event: Event) => void): { close: () => void } {
  begin()
  heard.add(each)
  const close = () => void heard.delete(each)
  onScopeDispose(close, true)
  return { close }
}
