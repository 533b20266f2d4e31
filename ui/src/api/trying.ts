import { ref } from 'vue'

import { answered, whyNot, type Trouble } from './client'
import { clock as real, type Clock } from './clock'

export const tryAgainAfter = 1000

export const later = (clock: Clock) => new Promise<void>((done) => clock.after(tryAgainAfter, done))

/** How long an answer may take before it is said that nothing is stored. */
const lateAfter = 5000

/** Waits for an answer, and says so when it is late; the request itself goes on. */
export async function awaited<T>(clock: Clock, request: Promise<T>, late: () => void): Promise<T> {
  const inTime = clock.after(lateAfter, late)
  try {
    return await request
  } finally {
    inTime()
  }
}

/** Requests that are kept and tried again, for as long as the program does not answer or cannot store. */
export function useTrying({ clock } = { clock: real }) {
  const noAnswer = ref(false)
  const why = ref('') // the sentence, where it answers and cannot

  /** Asks until there is an answer, or nobody waits for it any more. */
  async function ask<T extends { response?: Response; error?: Pick<Trouble, 'detail'> }>(
    request: () => Promise<T>,
    wanted = () => true,
  ): Promise<T> {
    for (;;) {
      const answer = await awaited(clock, request(), () => (noAnswer.value = true))
      noAnswer.value = !answered(answer.response)
      why.value = whyNot(answer.response, answer.error)
      if (!noAnswer.value || !wanted()) return answer
      await later(clock)
    }
  }

  return { noAnswer, why, ask }
}
