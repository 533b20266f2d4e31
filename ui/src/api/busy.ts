const root = document.documentElement
let working = 1 // the page itself, until its first view stands

/** One piece of work is done: what comes of it is drawn before the page says that it rests. */
export function rested() {
  window.setTimeout(() => {
    working--
    if (working === 0) delete root.dataset.busy
  })
}

/** Says that the page works on something: a view is fetched, or an answer is on its way. */
export function began() {
  working++
  root.dataset.busy = ''
}

/**
 * Says for as long as something is awaited that the page is busy: what looks at a page can
 * wait until it rests, and need not guess.
 */
export async function during<T>(work: Promise<T>): Promise<T> {
  began()
  try {
    return await work
  } finally {
    rested()
  }
}

/** A function that keeps the page busy while what it gives is awaited. */
export const busily = <F extends (...args: never[]) => Promise<unknown>>(f: F): F =>
  new Proxy(f, { apply: (target, self, args) => during(Promise.resolve(Reflect.apply(target, self, args))) })
