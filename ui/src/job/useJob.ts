import { computed, onScopeDispose, ref, shallowRef } from 'vue'

import { api, kept, sentenceOf, type Edit, type Job, type Plan, type Problem } from '../api/client'
import { unbroken } from '../api/unbroken'
import { History } from './history'

/** How long typing may pause before the job is saved, and the longest it waits. */
const saveAfter = 200
const saveWithin = 600
const tryAgainAfter = 1000

/** One act on the job: fields edited, something chosen, or a whole job put in its place. */
type Act = { edits: Edit[] } | { choose: (job: Job) => Job } | { put: Job }

export type SaveState = 'saved' | 'saving' | 'unsaved' | 'unreachable' | 'conflict' | 'refused'

/**
 * One job as it is edited: every change goes to the program, which answers with
 * the job and its plan; what it accepts is saved by itself.
 */
export function useJob(id: string) {
  const job = shallowRef<Job>()
  const plan = shallowRef<Plan>()
  const typed = ref<Record<string, string>>({}) // texts that stand in fields, by path
  const problems = ref<Record<string, Problem>>({})
  const missing = ref('')
  const removed = ref(false)
  const state = ref<SaveState>('saved')
  const stateSentence = ref('')
  const history = new History()
  const undoable = ref({ undo: false, redo: false })
  const shopVersion = ref(0)

  let version = 0
  let savedJob = '' // the job as stored, to know what is unsaved
  const waiting: Act[] = []
  let planning = false
  let saving = false
  let closed = false
  let saveTimer = 0
  let unsavedSince = 0
  let newest = 0 // the newest version heard of

  const dirty = () => job.value !== undefined && JSON.stringify(job.value) !== savedJob

  function noteHistory() {
    undoable.value = { undo: history.canUndo, redo: history.canRedo }
  }

  async function load() {
    const { data, error } = await api.GET('/api/jobs/{id}', { params: { path: { id } } }).catch(unreachable)
    if (!data) {
      missing.value = sentenceOf(error)
      return
    }
    adopt(data)
    await act({ put: data.job })
  }

  function unreachable() {
    return {
      data: undefined,
      error: { detail: 'The program does not answer: is it still running?' },
      response: undefined,
    }
  }

  function adopt(stored: { version: number; removed: boolean; job: Job }) {
    version = stored.version
    newest = Math.max(newest, version)
    removed.value = stored.removed
    savedJob = JSON.stringify(stored.job)
  }

  /** Carries out an act; while an answer is awaited acts gather and go together, in order. */
  async function act(next: Act) {
    waiting.push(next)
    // What was done is not saved from the moment it is done, not from its answer on.
    const does = !('edits' in next) || next.edits.length > 0
    if (does && job.value && state.value === 'saved') state.value = 'unsaved'
    if (planning) return
    planning = true
    while (waiting.length > 0 && !closed) {
      const acts = waiting.splice(0)
      if (await answer(acts)) continue
      // The program does not answer: keep what was done, and try again.
      waiting.unshift(...acts)
      await new Promise((done) => window.setTimeout(done, tryAgainAfter))
    }
    planning = false
  }

  /** Sends acts; false when the program could not be reached. */
  async function answer(acts: Act[]): Promise<boolean> {
    const before = job.value
    let from = before
    let edits: Edit[] = []
    let put = false
    for (const a of acts) {
      if ('edits' in a) edits.push(...a.edits)
      else if ('put' in a) [from, edits, put] = [a.put, [], true]
      else if (from) from = a.choose(from)
    }
    if (!from) return true
    const { data, error, response } = await api
      .POST('/api/plan', { body: { job: from, edits } })
      .catch(unreachable)
    if (!response) {
      state.value = 'unreachable'
      return false
    }
    if (!data) {
      state.value = 'refused'
      stateSentence.value = sentenceOf(error)
      if (!job.value) missing.value = stateSentence.value
      return true
    }
    if (state.value === 'refused' || (state.value === 'unreachable' && !saving)) state.value = 'saved'
    if (before && !put && JSON.stringify(before) !== JSON.stringify(data.job)) {
      history.note(before, edits[edits.length - 1]?.path ?? '')
    }
    noteHistory()
    job.value = data.job
    plan.value = unbroken(data.plan)
    shopVersion.value = data.shopVersion
    const asked = new Set(edits.map((e) => e.path))
    const still = Object.entries(problems.value).filter(([path]) => !put && !asked.has(path))
    problems.value = Object.fromEntries([...still, ...data.problems.map((p) => [p.path, p] as const)])
    if (dirty()) saveSoon()
    else if (state.value === 'unsaved' && waiting.length === 0) state.value = 'saved'
    return true
  }

  /** What somebody types in a field. */
  function type(path: string, text: string) {
    typed.value = { ...typed.value, [path]: text }
    void act({ edits: [{ path, text }] })
  }

  /** Moves a field by ticks; while a drag goes on its steps are one act to undo. */
  function step(path: string, steps: number, on = false) {
    if (!on) leave(path)
    void act({ edits: [{ path, steps }] })
  }

  /** Moves several fields by ticks at once, as when something is dragged about. */
  function stepAll(steps: { path: string; steps: number }[], on = false) {
    if (!on) history.seal()
    void act({ edits: steps })
  }

  /** The field is left: a text that was read shows as the program writes it. */
  function leave(path: string) {
    history.seal()
    const problem = problems.value[path]
    if (problem && path in typed.value) {
      problems.value = { ...problems.value, [path]: { ...problem, unfinished: false } }
      return
    }
    typed.value = Object.fromEntries(Object.entries(typed.value).filter(([p]) => p !== path))
  }

  /** An act at a field rather than a text that stands in it: it is left as soon as it is done. */
  function tell(path: string, text: string) {
    type(path, text)
    leave(path)
  }

  /** Changes what is chosen rather than typed. */
  function choose(make: (job: Job) => Job) {
    history.seal()
    void act({ choose: make })
  }

  function travel(to: Job | undefined) {
    noteHistory()
    if (!to) return
    typed.value = {}
    problems.value = {}
    void act({ put: to })
  }

  const undo = () => job.value && travel(history.undo(job.value))
  const redo = () => job.value && travel(history.redo(job.value))

  function saveSoon() {
    if (state.value === 'conflict') return
    if (state.value !== 'unreachable') state.value = 'unsaved'
    const now = Date.now()
    if (!unsavedSince) unsavedSince = now
    window.clearTimeout(saveTimer)
    saveTimer = window.setTimeout(save, Math.max(0, Math.min(saveAfter, unsavedSince + saveWithin - now)))
  }

  async function save() {
    window.clearTimeout(saveTimer)
    // While the maker is asked which version to keep, nothing is tried again.
    if (saving || !job.value || state.value === 'conflict') return
    unsavedSince = 0
    if (!dirty()) {
      // Undone before it was saved: the job is as stored.
      if (state.value === 'unsaved') state.value = 'saved'
      return
    }
    saving = true
    state.value = 'saving'
    const body = { version, job: job.value }
    const { data, error, response } = await api
      .PUT('/api/jobs/{id}', { params: { path: { id } }, body, keepalive: kept(body) })
      .catch(unreachable)
    saving = false
    if (data) {
      adopt(data)
      state.value = planning ? 'unsaved' : 'saved' // what is unanswered is not saved
      if (dirty()) saveSoon()
      else if (newest > version) void heard(newest)
    } else if (response?.status === 409) {
      state.value = 'conflict'
    } else if (!response) {
      state.value = 'unreachable'
      saveTimer = window.setTimeout(save, tryAgainAfter)
    } else {
      state.value = 'refused'
      stateSentence.value = sentenceOf(error)
    }
  }

  /** Another window saved the job: follow it, or ask when both have changed it. */
  async function heard(there: number) {
    newest = Math.max(newest, there)
    if (saving || newest <= version) return
    if (dirty()) {
      state.value = 'conflict'
      return
    }
    await takeTheirs()
  }

  async function takeTheirs() {
    const { data } = await api.GET('/api/jobs/{id}', { params: { path: { id } } }).catch(unreachable)
    if (!data) return
    if (job.value) history.note(job.value, '')
    noteHistory()
    adopt(data)
    typed.value = {}
    problems.value = {}
    state.value = 'saved'
    await act({ put: data.job })
  }

  /** Keeps this window's version; the other one stays a step back in undo. */
  async function keepMine() {
    const mine = job.value
    const { data } = await api.GET('/api/jobs/{id}', { params: { path: { id } } }).catch(unreachable)
    if (!data || !mine) return
    adopt(data)
    history.note(data.job, '')
    noteHistory()
    state.value = 'unsaved'
    await save()
  }

  const stream = new EventSource(`/api/jobs/${encodeURIComponent(id)}/events`)
  stream.onmessage = (m: MessageEvent<string>) => {
    const event = JSON.parse(m.data) as { kind: string; version: number }
    if (event.kind === 'job') void heard(event.version)
    else if (event.version !== shopVersion.value && job.value) void act({ edits: [] })
  }
  const flush = () => void save()
  window.addEventListener('pagehide', flush)
  onScopeDispose(() => {
    closed = true
    stream.close()
    window.removeEventListener('pagehide', flush)
    void save()
  })

  /** What a field shows: what stands typed in it, or the program's own text. */
  const textOf = (path: string) => typed.value[path] ?? plan.value?.fields[path]?.text ?? ''

  return {
    id, job, plan, problems, missing, removed, state, stateSentence, undoable, shopVersion,
    ready: computed(() => job.value !== undefined && plan.value !== undefined),
    load, type, step, stepAll, leave, tell, choose, undo, redo, takeTheirs, keepMine, textOf,
  } // prettier-ignore
}

export type JobInHand = ReturnType<typeof useJob>
