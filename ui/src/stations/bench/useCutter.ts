import { onMounted, ref, watch } from 'vue'

import { api, sentenceOf, unreachable, type CutPlan } from '../../api/client'
import { useTrying } from '../../api/trying'

/** The cutter at the table: a load is sent to it, and what came off is shown until the job changes. */
export function useCutter(job: () => string, changed: () => unknown) {
  const simulated = ref(true)
  const cut = ref<CutPlan>()
  const message = ref('')
  const busy = ref(false)
  const { ask } = useTrying()

  onMounted(async () => {
    const { data } = await api.GET('/api/cutter').catch(unreachable)
    if (data) simulated.value = data.simulated
  })

  function clear() {
    cut.value = undefined
    message.value = ''
  }

  async function send(load: string) {
    clear()
    busy.value = true
    // A mat is cut once by this name, however often it is asked what came of it.
    const body = { act: crypto.randomUUID() }
    const params = { path: { id: job(), piece: load } }
    for (;;) {
      const { data, error } = await ask(() =>
        api.POST('/api/jobs/{id}/cutter/{piece}', { params, body }).catch(unreachable),
      )
      if (data?.going) continue
      busy.value = false
      cut.value = data?.cut
      message.value = data ? data.message : sentenceOf(error)
      return
    }
  }

  watch(changed, clear)
  return { simulated, cut, message, busy, send, clear }
}
