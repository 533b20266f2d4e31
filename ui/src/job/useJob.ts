import { computed, onScopeDispose, ref, watch, type Ref } from 'vue'

import { sentenceOf, unreachable } from '../api/client'
import { useTrying } from '../api/trying'
import { useTrouble } from '../api/useTrouble'
import { world } from '../api/world'
import { useFields } from './useFields'
import { usePlanning } from './usePlanning'
import { useSaving } from './useSaving'
import { useShop } from './useShop'

/** The path of a job that is not stored yet. */
export const newJob = 'new'

/** What follows the shop. */
interface Following {
  heard: (version: number) => void
}

export type SaveState = 'saved' | 'fresh' | 'saving' | 'typed' | 'unreachable' | 'conflict' | 'refused'

/**
 * One job in hand: its fields, its plan, and how it is stored. What the window says of
 * itself follows from facts; nothing sets it.
 */
export function useJob(asked: string, open: Ref<string>, within = world, shop: Following = useShop()) {
  const { api } = within
  const missing = ref('')
  let stream: { close: () => void } | undefined
  const benchStep = ref(0)
  let listening = '' // the job whose events are heard
  let closed = false

  const planning = usePlanning(
    {
      open: () => open.value,
      adopted(stored, shown, asStored) {
        saving.adopt(stored, asStored ? shown : stored.job)
        saving.conflict.value = false
      },
      answered: (...answer) => fieldsInHand.answered(...answer),
      settled: () => saving.settled(),
    },
    within,
  )
  const saving = useSaving(
    asked,
    {
      job: () => planning.job.value,
      busy: () => planning.busy || planning.unanswered.value > 0,
      unfinished: planning.unfinished,
      async show(stored) {
        clear()
        await planning.act({ put: stored.job, stored })
      },
      note: planning.note,
      began: listen,
    },
    within,
  )
  const fieldsInHand = useFields({
    doc: () => planning.job.value,
    inputs: () => planning.plan.value?.fields,
    adds: () => planning.plan.value?.adds,
    awaiting: () => planning.busy,
    left: planning.seal,
    send(edits, newAct) {
      if (newAct) planning.seal()
      void planning.act({ edits })
    },
    restore: (doc) => {
      if (doc) void planning.act({ put: doc, typed: true })
    },
  })
  const { fields, typing, refusals, clear } = fieldsInHand

  const state = computed<SaveState>(() => {
    if (saving.conflict.value) return 'conflict'
    if (planning.noAnswer.value || saving.noSave.value) return 'unreachable'
    if (planning.refused.value || saving.refused.value) return 'refused'
    // What is known to be unusable stays so while something else is on its way, the job before it among that.
    if (typing.lastUnusable.value) return 'typed'
    if (planning.unanswered.value > 0) return 'saving'
    if (saving.saving.value || saving.dirty.value) return 'saving'
    return saving.stored.value ? 'saved' : 'fresh' // nothing is said to be saved that is not
  })

  // What another drawer shows is asked for when it is opened.
  watch(open, () => {
    if (planning.job.value) void planning.act({ edits: [] })
  })

  const { ask, noAnswer } = useTrying(within)
  let loading = false

  /** Reads the job, again and again while the program does not answer, which is said meanwhile. */
  async function load() {
    if (loading) return
    loading = true
    // What another window saves from now on is heard of, also before there is anything to show.
    if (asked !== newJob) listen(asked)
    const { data, error } = await ask(
      () =>
        (asked === newJob
          ? api.GET('/api/jobs/new')
          : api.GET('/api/jobs/{id}', { params: { path: { id: asked } } })
        ).catch(unreachable),
      () => !closed,
    )
    loading = false
    missing.value = data ? '' : sentenceOf(error)
    if (!data || closed) return
    await planning.act({ put: data.job, stored: data })
    if (!planning.job.value) missing.value = planning.refused.value
  }

  function listen(id: string) {
    if (closed || listening === id) return
    listening = id
    stream?.close()
    stream = within.onEvents((event) => {
      const mine = event.job === id
      if (event.kind === 'job' && mine) saving.heard(event.version)
      if (event.kind === 'bench' && mine) benchStep.value = event.version
      if (event.kind === 'opened' || event.kind === 'everything') void saving.look()
      if (event.kind === 'trouble') void useTrouble().look()
      if (event.kind !== 'shop') return
      shop.heard(event.version)
      if (event.version !== planning.shopVersion.value && planning.job.value) void planning.act({ edits: [] })
    })
  }

  const stays = within.onLeave(() => void saving.save(true))
  onScopeDispose(() => {
    closed = true
    planning.close()
    stream?.close()
    stays()
    saving.close()
  })

  return {
    ...fields,
    /** The job's ID: its own, once the program has told it. */
    get id() {
      return saving.id.value
    },
    job: planning.job,
    plan: planning.plan,
    /** Why there is nothing to show: there is no such job, or no answer yet. */
    missing: computed(
      () =>
        missing.value ||
        (!planning.plan.value && (noAnswer.value || planning.noAnswer.value)
          ? sentenceOf(unreachable().error)
          : ''),
    ),
    removed: saving.removed,
    stored: saving.stored,
    state,
    /** Why nothing is stored, where the program says so. */
    why: computed(() => planning.why.value || saving.why.value),
    refused: computed(
      () => planning.refused.value || saving.refused.value || (refusals.value[0]?.message ?? ''),
    ),
    undoable: planning.undoable,
    shopVersion: planning.shopVersion,
    /** The step at the bench that another window went to. */
    benchStep,
    /** What is drawn is not of what is typed. */
    behind: typing.unusable,
    ready: computed(() => planning.job.value !== undefined && planning.plan.value !== undefined),
    load,
    undo() {
      if (planning.undo()) clear()
    },
    redo() {
      if (planning.redo()) clear()
    },
    takeTheirs: saving.takeTheirs,
    keepMine: saving.keepMine,
    restore: saving.restore,
  }
}

export type JobInHand = ReturnType<typeof useJob>
