/** The time that the machines of the screen go by, in milliseconds. */
export interface Clock {
  now: () => number
  /** Does something after a time; what it gives calls that off. */
  after: (ms: number, then: () => void) => () => void
}

export const clock: Clock = {
  now: () => Date.now(),
  after(ms, then) {
    const timer = window.setTimeout(then, ms)
    return () => window.clearTimeout(timer)
  },
}
