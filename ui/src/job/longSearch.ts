import { ref } from 'vue'

import { sentenceOf, unreachable, type CuttingLine, type Job, type StockPlan } from '../api/client'
import { linesOf } from '../api/streams'
import { world } from '../api/world'

/** A longer search for the cutting of one paper, that tells how far it is and can be stopped. */
export function useLongSearch({ api } = world) {
  const progress = ref<CuttingLine['progress']>()
  const failure = ref('')
  const waits = ref(false) // another search is under way
  let running: AbortController | undefined

  async function search(job: Job, stock: string, sheet: string): Promise<StockPlan | undefined> {
    stop()
    const mine = (running = new AbortController())
    failure.value = ''
    progress.value = { steps: 0, of: 1, sheets: 0, bound: 0 }
    try {
      const { data, error } = await api
        .POST('/api/cutting', { body: { job, stock, sheet }, parseAs: 'stream', signal: mine.signal })
        .catch(unreachable)
      if (!data) {
        if (!mine.signal.aborted) failure.value = sentenceOf(error)
        return undefined
      }
      for await (const line of linesOf('/api/cutting', data)) {
        if (mine.signal.aborted) return undefined
        if (line.plan) return line.plan
        waits.value = line.waits === true
        if (line.progress) progress.value = line.progress
      }
      return undefined
    } catch {
      if (!mine.signal.aborted) failure.value = sentenceOf(unreachable().error)
      return undefined
    } finally {
      if (running === mine) {
        progress.value = undefined
        waits.value = false
      }
    }
  }

  function stop() {
    running?.abort()
    running = undefined
    progress.value = undefined
    waits.value = false
  }

  return { progress, waits, failure, search, stop }
}
