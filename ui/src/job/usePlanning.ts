import { ref, shallowRef } from 'vue'

import {
  answered,
  sentenceOf,
  unreachable,
  whyNot,
  type Edit,
  type Job,
  type Plan,
  type PlanBody,
  type Problem,
} from '../api/client'
import { keptFrom } from '../api/kept'
import { awaited, later } from '../api/trying'
import { unbroken } from '../api/unbroken'
import type { World } from '../api/world'
import { History } from './history'

/** A job as it is stored, with its version. */
export interface Stored {
  id: string
  version: number
  removed: boolean
  job: Job
}

/** One act on the job: edits, or a whole job put in its place; with its version when it comes from the store,
    or while what was refused stands typed. */
export type Act = { edits: Edit[] } | { put: Job; stored?: Stored; typed?: boolean }

/** How many edits the program takes at a time. */
export const mostEdits = 300

interface On {
  /** The drawer that is open: what only others show is not asked for. */
  open: () => string
  /** A stored job is shown now; nothing was done to it since where it is as it was stored. */
  adopted: (stored: Stored, shown: Job, asStored: boolean) => void
  answered: (edits: Edit[], problems: Problem[], whole: boolean, awaited: (path: string) => boolean) => void
  /** Nothing is on its way any more. */
  settled: () => void
}

/**
 * The job as it is edited: every act goes to the program, which answers with the job
 * and its plan. While an answer is awaited acts gather and go together, in order; what
 * the program does not answer is kept and tried again.
 *
 * The job that is shown and what is known to be stored change together, when the plan
 * is there, or not at all.
 */
export function usePlanning(on: On, { api, clock }: World) {
  const job = shallowRef<Job>()
  const plan = shallowRef<Plan>()
  const shopVersion = ref(0)
  const unanswered = ref(0) // acts that are on their way or wait
  const noAnswer = ref(false)
  const why = ref('') // the sentence, where the program answers and cannot
  const refused = ref('') // the sentence, when the job as a whole was refused
  const undoable = ref({ undo: false, redo: false })
  const history = new History(clock)
  const waiting: Act[] = []
  let flying: Act[] = [] // what was sent and has no answer yet
  let planning = false
  let apart = 0 // how many of those that wait go one by one, since together they were refused
  let closed = false

  function noteHistory() {
    undoable.value = { undo: history.canUndo, redo: history.canRedo }
  }

  async function act(next: Act) {
    waiting.push(next)
    unanswered.value++
    if (planning) return
    planning = true
    while (waiting.length > 0 && !closed) {
      flying = waiting.splice(0, apart > 0 ? 1 : atATime())
      const came = await answer(flying)
      if (came === 'refused' && flying.length > 1) {
        // One of them cannot be carried out: the others can.
        apart = flying.length
      } else if (came !== 'unanswered') {
        apart = Math.max(0, apart - flying.length)
        unanswered.value -= flying.length
        flying = []
        continue
      }
      waiting.unshift(...flying)
      flying = []
      if (came === 'unanswered') await later(clock)
    }
    planning = false
    on.settled()
  }

  /** How many of the acts that wait go together. */
  function atATime() {
    let edits = 0
    const over = waiting.findIndex((a) => (edits += 'edits' in a ? a.edits.length : 0) > mostEdits)
    return over < 0 ? waiting.length : Math.max(1, over)
  }

  /** Acts as one: the job that they begin from and what is done to it; whether it was put there, and is stored. */
  function together(acts: Act[]) {
    let from = job.value
    let edits: Edit[] = []
    let put = false
    let stored: Stored | undefined
    let typed = false
    for (const a of acts) {
      if ('put' in a) [from, edits, put, stored, typed] = [a.put, [], true, a.stored, a.typed === true]
      else edits.push(...a.edits)
    }
    return { from, edits, put, stored, typed }
  }

  /** Sends acts, and says what came of them; no answer is one that the program could not be reached for. */
  async function answer(acts: Act[]): Promise<'done' | 'refused' | 'unanswered'> {
    const before = job.value
    const { from, edits, put, stored, typed } = together(acts)
    if (!from) return 'done'
    const {
      data: text,
      error,
      response,
    } = await awaited(
      clock,
      api
        .POST('/api/plan', { body: { job: from, edits, open: on.open() }, parseAs: 'text' })
        .catch(unreachable),
      () => (noAnswer.value = true),
    )
    const data = text === undefined ? undefined : unbroken<PlanBody>(text)
    noAnswer.value = !answered(response)
    why.value = whyNot(response, error)
    // A page that was left shows nothing any more: what it did last is stored as it is.
    if (noAnswer.value || closed) return 'unanswered'
    if (!data) {
      refused.value = sentenceOf(error)
      return 'refused'
    }
    // What was refused beside others is told until something else is done.
    if (apart === 0) refused.value = ''
    // From here to the end nothing is awaited: job, version and what is stored
    // change together.
    if (stored) {
      on.adopted(stored, data.job, edits.length === 0)
      if (edits.length > 0) history.note(stored.job, '')
    } else if (before && !put && JSON.stringify(before) !== JSON.stringify(data.job)) {
      history.note(before, edits[edits.length - 1]?.path ?? '')
    }
    noteHistory()
    job.value = data.job
    plan.value = keptFrom(plan.value, data.plan)
    shopVersion.value = data.shopVersion
    on.answered(edits, data.problems, put && !typed, onItsWay)
    return 'done'
  }

  /** Whether something typed in a field is on its way or waits. */
  const onItsWay = (path: string) => waiting.some((a) => 'edits' in a && a.edits.some((e) => e.path === path))

  function travel(to: Job | undefined): boolean {
    noteHistory()
    if (to) void act({ put: to })
    return to !== undefined
  }

  return {
    job, plan, shopVersion, unanswered, noAnswer, why, refused, undoable, act,
    /** Ends the current act, so that the next change is one of its own. */
    seal: () => history.seal(),
    /** Keeps a job one step back in undo. */
    note(of: Job) {
      history.note(of, '')
      noteHistory()
    },
    undo: () => job.value !== undefined && travel(history.undo(job.value)),
    redo: () => job.value !== undefined && travel(history.redo(job.value)),
    get busy() {
      return planning
    },
    /** What was done and is not answered: a page that is left stores it so. */
    unfinished: () => together([...flying, ...waiting]),
    close() {
      closed = true
    },
  } // prettier-ignore
}
