import { ref } from 'vue'

import { answered, whyNot, type Trouble } from './client'

export const tryAgainAfter = 1000

export const later = () => new Promise<void>((done) => window.setTimeout(done, tryAgainAfter))

/** Requests that are kept and tried again, for as long as the program does not answer or cannot store. */
export function useTrying() {
  const noAnswer = ref(false)
  const why = ref('') // the sentence, where it answers and cannot

  async function ask<T extends { response?: Response; error?: Pick<Trouble, 'detail'> }>(
    request: () => Promise<T>,
  ): Promise<T> {
    for (;;) {
      const answer = await request()
      noAnswer.value = !answered(answer.response)
      why.value = whyNot(answer.response, answer.error)
      if (!noAnswer.value) return answer
      await later()
    }
  }

  return { noAnswer, why, ask }
}
