import { onMounted, ref, watch } from 'vue'

import { api, sentenceOf, unreachable, type CutPlan } from '../../api/client'

/** The cutter at the table: a load is sent to it, and what came off is shown until the job changes. */
export function useCutter(job: () => string, changed: () => unknown) {
  const simulated = ref(true)
  const cut = ref<CutPlan>()
  const message = ref('')
  const busy = ref(false)

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
    const { data, error } = await api
      .POST('/api/jobs/{id}/cutter/{piece}', { params: { path: { id: job(), piece: load } } })
      .catch(unreachable)
    busy.value = false
    cut.value = data?.cut
    message.value = data ? data.message : sentenceOf(error)
  }

  watch(changed, clear)
  return { simulated, cut, message, busy, send, clear }
}
