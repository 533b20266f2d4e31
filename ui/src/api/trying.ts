import { ref } from 'vue'

import { answered, whyNot, type Trouble } from './client'

export const tryAgainAfter = 1000

export const later = () => new Promise<void>((done) => window.setTimeout(done, tryAgainAfter))

/** How long an answer may take before it is said that nothing is stored. */
const lateAfter = 5000

/** Waits for an answer, and says so when it is late; the request itself goes on. */
export async function awaited<T>(request: Promise<T>, late: () => void): Promise<T> {
  const timer = window.setTimeout(late, lateAfter)
  try {
    return await request
  } finally {
    window.clearTimeout(timer)
  }
}

/** Requests that are kept and tried again, for as long as the program does not answer or cannot store. */
export function useTrying() {
  const noAnswer = ref(false)
  const why = ref('') // the sentence, where it answers and cannot

  async function ask<T extends { response?: Response; error?: Pick<Trouble, 'detail'> }>(
    request: () => Promise<T>,
  ): Promise<T> {
    for (;;) {
      const answer = await awaited(request(), () => (noAnswer.value = true))
      noAnswer.value = !answered(answer.response)
      why.value = whyNot(answer.response, answer.error)
      if (!noAnswer.value) return answer
      await later()
    }
  }

  return { noAnswer, why, ask }
}
