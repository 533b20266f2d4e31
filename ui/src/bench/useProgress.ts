import { onScopeDispose, ref } from 'vue'

import { answered, unreachable } from '../api/client'
import { tryAgainAfter } from '../api/trying'
import { world } from '../api/world'

/** How far one is with a job at the bench: kept by the program, and followed by every window. */
export function useProgress(id: () => string, { api, clock } = world) {
  const at = ref(0)
  const kept = ref(true) // what is looked at is what the program keeps
  let callOff = () => {}
  let wanted = -1 // the step that is on its way
  let closed = false

  async function load() {
    const { data } = await api
      .GET('/api/jobs/{id}/progress', { params: { path: { id: id() } } })
      .catch(unreachable)
    if (data && wanted < 0) at.value = data.step
  }

  async function keep() {
    callOff()
    const step = at.value
    wanted = step
    const { response } = await api
      .PUT('/api/jobs/{id}/progress', { params: { path: { id: id() } }, body: { step } })
      .catch(unreachable)
    if (closed) return
    kept.value = answered(response)
    if (at.value !== step) return void keep() // one went on meanwhile
    wanted = -1
    if (!kept.value) callOff = clock.after(tryAgainAfter, () => void keep())
  }

  function to(step: number) {
    if (step === at.value) return
    at.value = step
    if (wanted < 0) void keep()
  }

  /** Another window went on, or back. */
  function heard(step: number) {
    if (wanted < 0 && kept.value) at.value = step
  }

  onScopeDispose(() => {
    closed = true
    callOff()
  })
  return { at, kept, to, heard, load }
}
