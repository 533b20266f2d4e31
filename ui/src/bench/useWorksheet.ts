import { onScopeDispose, ref, watch } from 'vue'

import { answered, api, sentenceOf, unreachable, type Job, type Worksheet } from '../api/client'
import { tryAgainAfter } from '../api/trying'

/** The worksheet of the job in hand, asked for anew whenever the job or the shelf changes. */
export function useWorksheet(job: () => Job | undefined, shop: () => number) {
  const sheet = ref<Worksheet>()
  const failure = ref('')
  let asked = 0
  let timer = 0
  let closed = false

  async function ask() {
    window.clearTimeout(timer)
    const now = job()
    if (!now) return
    const mine = ++asked
    const { data, error, response } = await api
      .POST('/api/worksheet', { body: { job: now } })
      .catch(unreachable)
    if (closed || mine !== asked) return
    if (data) {
      sheet.value = data
      failure.value = ''
    } else if (!answered(response)) {
      timer = window.setTimeout(() => void ask(), tryAgainAfter)
    } else {
      failure.value = sentenceOf(error)
    }
  }

  watch([job, shop], () => void ask(), { immediate: true })
  onScopeDispose(() => {
    closed = true
    window.clearTimeout(timer)
  })
  return { sheet, failure }
}
