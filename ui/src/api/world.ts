import { api } from './client'
import { clock, type Clock } from './clock'
import { onEvents } from './events'

/**
 * What the machines of the screen (planning, saving, typing, undo, following) reach out to: the
 * program, its events, the time, and the end of the page. They take it as an argument, so that
 * a test can give them another one.
 */
export interface World {
  api: typeof api
  clock: Clock
  onEvents: typeof onEvents
  /** Does something when the page is left; what it gives ends that. */
  onLeave: (then: () => void) => () => void
}

export const world: World = {
  api,
  clock,
  onEvents,
  onLeave(then) {
    window.addEventListener('pagehide', then)
    return () => window.removeEventListener('pagehide', then)
  },
}
