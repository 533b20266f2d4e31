import { ref } from 'vue'

import type { Job, StockPlan } from '../api/client'

export interface Progress {
  steps: number
  of: number
  sheets: number
  bound: number
}

/** A longer search for the cutting of one paper, that tells how far it is and can be stopped. */
export function useLongSearch() {
  const progress = ref<Progress>()
  const failure = ref('')
  let running: AbortController | undefined

  async function search(job: Job, stock: string, sheet: string): Promise<StockPlan | undefined> {
    stop()
    const mine = (running = new AbortController())
    failure.value = ''
    progress.value = { steps: 0, of: 1, sheets: 0, bound: 0 }
    try {
      const answer = await fetch('/api/cutting', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ job, stock, sheet }),
        signal: mine.signal,
      })
      if (!answer.ok || !answer.body) {
        failure.value = ((await answer.json()) as { detail?: string }).detail ?? 'The search failed.'
        return undefined
      }
      return await read(answer.body)
    } catch {
      if (!mine.signal.aborted) failure.value = 'The program does not answer: is it still running?'
      return undefined
    } finally {
      if (running === mine) progress.value = undefined
    }
  }

  async function read(body: ReadableStream<Uint8Array>): Promise<StockPlan | undefined> {
    const reader = body.getReader()
    const decoder = new TextDecoder()
    let rest = ''
    for (;;) {
      const { done, value } = await reader.read()
      if (done) return undefined
      const lines = (rest + decoder.decode(value, { stream: true })).split('\n')
      rest = lines.pop() ?? ''
      for (const line of lines) {
        const said = JSON.parse(line) as { progress?: Progress; plan?: StockPlan }
        if (said.plan) return said.plan
        if (said.progress) progress.value = said.progress
      }
    }
  }

  function stop() {
    running?.abort()
    running = undefined
    progress.value = undefined
  }

  return { progress, failure, search, stop }
}
