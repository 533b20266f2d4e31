import { ref } from 'vue'

export const tryAgainAfter = 1000

export const later = () => new Promise<void>((done) => window.setTimeout(done, tryAgainAfter))

/** Requests that are kept and tried again, for as long as the program does not answer. */
export function useTrying() {
  const noAnswer = ref(false)

  async function ask<T extends { response?: Response }>(request: () => Promise<T>): Promise<T> {
    for (;;) {
      const answer = await request()
      noAnswer.value = !answer.response
      if (answer.response) return answer
      await later()
    }
  }

  return { noAnswer, ask }
}
