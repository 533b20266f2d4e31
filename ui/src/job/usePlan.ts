import { onScopeDispose, ref } from 'vue'

import { sentenceOf, unreachable, type Job, type Trouble } from '../api/client'
import { useTrying } from '../api/trying'
import { world } from '../api/world'
import { usePlanning } from './usePlanning'

/** What asks for a job: as it was once, or as it is. */
type Asks = () => Promise<{ data?: { job: Job }; error?: Pick<Trouble, 'detail'>; response?: Response }>

/**
 * The plan of a job that is looked at and not changed, with what one drawer shows. What the program
 * does not answer is asked again; an answer that was overtaken by another question is dropped.
 */
export function usePlan(open: string, within = world) {
  const missing = ref('') // why there is no such job
  const planning = usePlanning({ open: () => open, adopted() {}, answered() {}, settled() {} }, within)
  const { ask, noAnswer } = useTrying(within)
  let asked = 0

  async function show(asks: Asks) {
    const mine = ++asked
    const { data, error } = await ask(
      () => asks().catch(unreachable),
      () => mine === asked,
    )
    if (mine !== asked) return
    missing.value = data ? '' : sentenceOf(error)
    if (data) await planning.act({ put: data.job })
  }

  onScopeDispose(() => {
    asked++
    planning.close()
  })
  return { job: planning.job, plan: planning.plan, missing, refused: planning.refused, noAnswer, show }
}
