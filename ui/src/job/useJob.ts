import { computed, onScopeDispose, ref, shallowRef } from 'vue'

import { api, kept, sentenceOf, unreachable, type Edit, type Job, type Plan } from '../api/client'
import { unbroken } from '../api/unbroken'
import { History } from './history'
import { useShop } from './useShop'
import { useTyping } from './useTyping'

/** How long typing may pause before the job is saved, and the longest it waits. */
const saveAfter = 200
const saveWithin = 600
const tryAgainAfter = 1000

/** The path of a job that is not stored yet. */
export const newJob = 'new'

/** A job as it is stored, with its version. */
interface Stored {
  id: string
  version: number
  removed: boolean
  job: Job
}

/**
 * One act on the job: fields edited, something chosen, or a whole job put in its
 * place; with the version it has, when it comes from the store.
 */
type Act = { edits: Edit[] } | { choose: (job: Job) => Job } | { put: Job; stored?: Stored }

export type SaveState = 'saved' | 'fresh' | 'saving' | 'typed' | 'unreachable' | 'conflict' | 'refused'

/**
 * One job as it is edited: every change goes to the program, which answers with
 * the job and its plan; what it accepts is saved by itself.
 *
 * The job that is shown, its version and what is known to be stored change
 * together, when the plan is there, or not at all: so a window that only follows
 * another one has nothing to save, whenever it is left. What the window says of
 * itself follows from facts; nothing sets it.
 */
export function useJob(asked: string) {
  const id = ref(asked) // its own once it is known
  const job = shallowRef<Job>()
  const plan = shallowRef<Plan>()
  const typing = useTyping()
  const missing = ref('')
  const removed = ref(false)
  const stored = ref(false) // whether there is a job of this ID in the store
  const history = new History()
  const undoable = ref({ undo: false, redo: false })
  const shopVersion = ref(0)

  // The facts that the state follows from.
  const unanswered = ref(0) // acts that are on their way or wait
  const saving = ref(false)
  const savedJob = ref('') // the job as stored, to know what is unsaved
  const noAnswer = ref(false) // to a change
  const noSave = ref(false) // the program did not answer a save
  const conflict = ref(false)
  const refused = ref('') // the sentence, when the job as a whole was refused

  let version = 0
  let newest = 0 // the newest version heard of
  const waiting: Act[] = []
  let planning = false
  let closed = false
  let saveTimer = 0
  let unsavedSince = 0
  let stream: EventSource | undefined

  const shopInHand = useShop()
  const dirty = computed(() => job.value !== undefined && JSON.stringify(job.value) !== savedJob.value)
  const state = computed<SaveState>(() => {
    if (conflict.value) return 'conflict'
    if (noAnswer.value || noSave.value) return 'unreachable'
    if (refused.value) return 'refused'
    if (unanswered.value > 0) return 'saving'
    if (typing.lastUnusable.value) return 'typed'
    if (saving.value || dirty.value) return 'saving'
    return stored.value ? 'saved' : 'fresh' // nothing is said to be saved that is not
  })

  function noteHistory() {
    undoable.value = { undo: history.canUndo, redo: history.canRedo }
  }

  async function load() {
    const { data, error } =
      asked === newJob
        ? await api.GET('/api/jobs/new').catch(unreachable)
        : await api.GET('/api/jobs/{id}', { params: { path: { id: asked } } }).catch(unreachable)
    if (!data) {
      missing.value = sentenceOf(error)
      return
    }
    await act({ put: data.job, stored: data })
  }

  function adopt(now: Stored) {
    version = now.version
    newest = Math.max(newest, version)
    removed.value = now.removed
    id.value = now.id
    savedJob.value = JSON.stringify(now.job)
    if (version > 0 && !stored.value) {
      stored.value = true
      listen()
    }
  }

  /** Carries out an act; while an answer is awaited acts gather and go together, in order. */
  async function act(next: Act) {
    waiting.push(next)
    unanswered.value++
    if (planning) return
    planning = true
    while (waiting.length > 0 && !closed) {
      const acts = waiting.splice(0)
      if (await answer(acts)) {
        unanswered.value -= acts.length
        continue
      }
      // The program does not answer: keep what was done, and try again.
      waiting.unshift(...acts)
      await new Promise((done) => window.setTimeout(done, tryAgainAfter))
    }
    planning = false
    if (dirty.value) saveSoon()
    if (newest > version && stored.value) void follow()
  }

  /** Sends acts; false when the program could not be reached. */
  async function answer(acts: Act[]): Promise<boolean> {
    const before = job.value
    let from = before
    let edits: Edit[] = []
    let put = false
    let store: Stored | undefined
    let asStored = false // nothing was done to it since it was fetched
    for (const a of acts) {
      if ('put' in a) {
        ;[from, edits, put, store, asStored] = [a.put, [], true, a.stored, true]
        continue
      }
      if ('edits' in a) edits.push(...a.edits)
      else if (from) from = a.choose(from)
      asStored = false
    }
    if (!from) return true
    const { data, error, response } = await api
      .POST('/api/plan', { body: { job: from, edits } })
      .catch(unreachable)
    noAnswer.value = !response
    if (!response) return false
    if (closed) return true
    if (!data) {
      refused.value = sentenceOf(error)
      if (!job.value) missing.value = refused.value
      return true
    }
    refused.value = ''
    // From here to the end nothing is awaited: job, version and what is stored
    // change together.
    if (store) {
      adopt(store)
      conflict.value = false
      if (asStored) savedJob.value = JSON.stringify(data.job)
      else history.note(store.job, '')
    } else if (before && !put && JSON.stringify(before) !== JSON.stringify(data.job)) {
      history.note(before, edits[edits.length - 1]?.path ?? '')
    }
    noteHistory()
    job.value = data.job
    plan.value = unbroken(data.plan)
    shopVersion.value = data.shopVersion
    typing.answered(edits, data.problems, put, awaited)
    return true
  }

  /** Whether something typed in a field is on its way or waits. */
  const awaited = (path: string) => waiting.some((a) => 'edits' in a && a.edits.some((e) => e.path === path))

  /** What somebody types in a field. */
  function type(path: string, text: string) {
    typing.type(path, text)
    void act({ edits: [{ path, text }] })
  }

  /** Moves a field by ticks; while a drag goes on its steps are one act to undo. */
  function step(path: string, steps: number, on = false) {
    typing.done()
    if (!on) leave(path)
    void act({ edits: [{ path, steps }] })
  }

  /** Moves several fields by ticks at once, as when something is dragged about. */
  function stepAll(steps: { path: string; steps: number }[], on = false) {
    typing.done()
    if (!on) history.seal()
    void act({ edits: steps })
  }

  /** The field is left: a text that was read shows as the program writes it. */
  function leave(path: string) {
    history.seal()
    typing.leave(path, planning)
  }

  /** An act at a field rather than a text that stands in it. */
  function tell(path: string, text: string) {
    typing.done()
    history.seal()
    void act({ edits: [{ path, text }] })
  }

  /** Changes what is chosen rather than typed. */
  function choose(make: (job: Job) => Job) {
    typing.done()
    history.seal()
    void act({ choose: make })
  }

  function travel(to: Job | undefined) {
    noteHistory()
    if (!to) return
    typing.clear()
    void act({ put: to })
  }

  const undo = () => job.value && travel(history.undo(job.value))
  const redo = () => job.value && travel(history.redo(job.value))

  function saveSoon() {
    if (conflict.value) return
    const now = Date.now()
    if (!unsavedSince) unsavedSince = now
    window.clearTimeout(saveTimer)
    saveTimer = window.setTimeout(save, Math.max(0, Math.min(saveAfter, unsavedSince + saveWithin - now)))
  }

  async function save() {
    window.clearTimeout(saveTimer)
    // While the maker is asked which version to keep, nothing is tried again.
    if (saving.value || !job.value || conflict.value) return
    unsavedSince = 0
    if (!dirty.value) return
    saving.value = true
    const mine = JSON.stringify(job.value)
    const body = { version, job: job.value }
    const { data, error, response } = await api
      .PUT('/api/jobs/{id}', { params: { path: { id: id.value } }, body, keepalive: kept(body) })
      .catch(unreachable)
    saving.value = false
    noSave.value = !response
    if (data) {
      adopt(data)
      // Another window may have saved upon this save already.
      if (dirty.value) saveSoon()
      else if (newest > version) void follow()
    } else if (response?.status === 409) {
      await wasItMine(mine)
    } else if (!response) {
      saveTimer = window.setTimeout(save, tryAgainAfter)
    } else {
      refused.value = sentenceOf(error)
    }
  }

  /** A save was refused since the job has moved on: by this very save, when only its answer was lost. */
  async function wasItMine(mine: string) {
    const { data, response } = await get()
    if (!response) {
      noSave.value = true
      saveTimer = window.setTimeout(() => void wasItMine(mine), tryAgainAfter)
      return
    }
    noSave.value = false
    if (data && JSON.stringify(data.job) === mine) {
      adopt(data)
      if (dirty.value) saveSoon()
    } else {
      conflict.value = true
    }
  }

  const get = () => api.GET('/api/jobs/{id}', { params: { path: { id: id.value } } }).catch(unreachable)

  /** Another window saved the job: this one follows, or asks when both have changed it. */
  function heard(there: number) {
    newest = Math.max(newest, there)
    // What is being saved or planned is looked at again when it is done.
    if (!saving.value && !planning) void follow()
  }

  let following = false
  async function follow() {
    if (newest <= version || saving.value || following || conflict.value) return
    if (dirty.value) {
      conflict.value = true
      return
    }
    following = true
    const { data } = await get()
    following = false
    if (!data || closed) return
    if (dirty.value || saving.value || unanswered.value > 0) {
      // Changed here while it was fetched.
      newest = Math.max(newest, data.version)
      if (!planning && !saving.value) void follow()
      return
    }
    await take(data)
  }

  /** Puts the stored job in the place of this window's; its own stays one step back in undo. */
  async function take(data: Stored) {
    if (job.value) history.note(job.value, '')
    typing.clear()
    await act({ put: data.job, stored: data })
  }

  async function takeTheirs() {
    const { data } = await get()
    if (data) await take(data)
  }

  /** Keeps this window's version; the other one stays a step back in undo. */
  async function keepMine() {
    const mine = job.value
    const { data } = await get()
    if (!data || !mine) return
    adopt(data)
    history.note(data.job, '')
    noteHistory()
    conflict.value = false
    await save()
  }

  function listen() {
    if (closed) return
    stream = new EventSource(`/api/jobs/${encodeURIComponent(id.value)}/events`)
    stream.onmessage = (m: MessageEvent<string>) => {
      const event = JSON.parse(m.data) as { kind: string; version: number }
      if (event.kind === 'job') heard(event.version)
      else if (event.kind === 'shop') {
        shopInHand.heard(event.version)
        if (event.version !== shopVersion.value && job.value) void act({ edits: [] })
      }
    }
  }

  const flush = () => void save()
  window.addEventListener('pagehide', flush)
  onScopeDispose(() => {
    closed = true
    stream?.close()
    window.removeEventListener('pagehide', flush)
    void save()
  })

  /** What a field shows: what stands typed in it, or the program's own text. */
  const textOf = (path: string) => typing.typed.value[path] ?? plan.value?.fields[path]?.text ?? ''

  return {
    /** The job's ID: its own, once the program has told it. */
    get id() {
      return id.value
    },
    job, plan, missing, removed, stored, state, refused, undoable, shopVersion,
    problems: typing.problems,
    /** What is drawn is not of what is typed. */
    behind: typing.unusable,
    ready: computed(() => job.value !== undefined && plan.value !== undefined),
    load, type, step, stepAll, leave, tell, choose, undo, redo, takeTheirs, keepMine, textOf,
  } // prettier-ignore
}

export type JobInHand = ReturnType<typeof useJob>
