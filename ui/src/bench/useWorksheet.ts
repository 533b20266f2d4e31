import { onScopeDispose, ref, watch } from 'vue'

import { answered, sentenceOf, unreachable, type Job, type Worksheet } from '../api/client'
import { tryAgainAfter } from '../api/trying'
import { world } from '../api/world'

/** The worksheet of the job in hand, asked for anew whenever the job or the shelf changes. */
export function useWorksheet(job: () => Job | undefined, shop: () => number, { api, clock } = world) {
  const sheet = ref<Worksheet>()
  const failure = ref('')
  let asked = 0
  let callOff = () => {}
  let closed = false

  async function ask() {
    callOff()
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
      callOff = clock.after(tryAgainAfter, () => void ask())
    } else {
      failure.value = sentenceOf(error)
    }
  }

  watch([job, shop], () => void ask(), { immediate: true })
  onScopeDispose(() => {
    closed = true
    callOff()
  })
  return { sheet, failure }
}
