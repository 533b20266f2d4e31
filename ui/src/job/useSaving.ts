import { computed, ref } from 'vue'

import { answered, kept, sentenceOf, unreachable, whyNot, type Edit, type Job } from '../api/client'
import { awaited, tryAgainAfter } from '../api/trying'
import type { World } from '../api/world'
import { mostEdits, type Stored } from './usePlanning'

/** How long typing may pause before the job is saved, and the longest it waits: a kill loses less than a second. */
const saveAfter = 200
const saveWithin = 700
/** How much longer it waits for a plan that is on its way: both at once would hold up the answer to a key. */
const saveAside = 200
/** How many saves without an answer are remembered; the program takes so many. */
const mostUnanswered = 40

/** A save that was sent, and the job as it was sent. */
interface Sent {
  act: string
  job: string
}

interface Of {
  job: () => Job | undefined
  /** Whether acts are on their way, or a plan of them is. */
  busy: () => boolean
  /** What was done and is not answered yet: the job that it was done to, and whether that is as it is stored. */
  unfinished: () => { from: Job | undefined; edits: Edit[]; stored?: Stored }
  /** Shows a stored job in place of the one in hand. */
  show: (stored: Stored) => Promise<void>
  /** Keeps a job one step back in undo. */
  note: (job: Job) => void
  /** The job is stored for the first time. */
  began: (id: string) => void
}

/**
 * Stores the job that is in hand by itself, with the version that it was changed
 * from: so a window that only follows another one has nothing to save, and what two
 * windows changed is asked about and never overwritten.
 */
export function useSaving(asked: string, of: Of, { api, clock }: World) {
  const id = ref(asked) // its own once it is known
  const stored = ref(false) // whether there is a job of this ID in the store
  const removed = ref(false)
  const saving = ref(false)
  const savedJob = ref('') // the job as stored, to know what is unsaved
  const noSave = ref(false) // the program did not carry a save out
  const why = ref('') // the sentence, where it answers and cannot
  const conflict = ref(false)
  const refused = ref('')
  // Saves that no answer came to: what comes next goes on from them, where they were done after all.
  const unanswered = ref<Sent[]>([])
  const dirty = computed(
    () =>
      of.job() !== undefined && (unanswered.value.length > 0 || JSON.stringify(of.job()) !== savedJob.value),
  )

  let version = 0
  let newest = 0 // the newest version heard of
  let callOff = () => {} // the save that is to come
  let unsavedSince = 0
  let flying: Sent[] = [] // saves on their way: one, and where the page is left what it sends last
  let latest: Sent | undefined // the save that was sent last
  let due = false // it waits for a plan that is on its way
  let closed = false

  function adopt(now: Stored, shown: Job = now.job) {
    version = now.version
    newest = Math.max(newest, version)
    removed.value = now.removed
    id.value = now.id
    savedJob.value = JSON.stringify(shown)
    if (version > 0 && !stored.value) {
      stored.value = true
      if (!closed) of.began(now.id)
    }
  }

  /** Nothing is on its way: what is unsaved is saved, and what was heard of is followed. */
  function settled() {
    if (closed) return
    if (due && dirty.value) wait(0)
    else if (dirty.value) soon()
    if (newest > version && stored.value) void follow()
  }

  function soon() {
    if (conflict.value) return
    const now = clock.now()
    if (!unsavedSince) unsavedSince = now
    wait(Math.max(0, Math.min(saveAfter, unsavedSince + saveWithin - now)))
  }

  /** Saves after a time, instead of when it was to be done before. */
  function wait(ms: number) {
    callOff()
    callOff = clock.after(ms, () => void save())
  }

  /** Stores what is in hand; at once where the page is left, with what no answer came to yet. */
  async function save(leaving = closed) {
    callOff()
    const last = leaving ? of.unfinished() : { from: of.job(), edits: [] }
    const job = last.from
    // While the maker is asked which version to keep, nothing is tried again.
    if ((saving.value && !leaving) || !job || conflict.value) return
    if (of.busy() && !due && !leaving) {
      due = true
      wait(saveAside)
      return
    }
    due = false
    unsavedSince = 0
    const mine = JSON.stringify(job)
    const edits = last.edits.slice(0, mostEdits)
    if (edits.length === 0 && (last.stored || !dirty.value || mine === flying.at(-1)?.job)) return
    saving.value = true
    const act = crypto.randomUUID()
    // A page that is left waits for no answer: what it stores last goes on from what is on its way.
    const after = last.stored ? [] : [...unanswered.value, ...flying].map((one) => one.act)
    const mySave = (latest = { act, job: mine })
    flying.push(mySave)
    const body = {
      version: last.stored?.version ?? version,
      job,
      act,
      ...(edits.length ? { edits } : {}),
      ...(after.length ? { after } : {}),
    }
    const { data, error, response } = await awaited(
      clock,
      api
        .PUT('/api/jobs/{id}', { params: { path: { id: id.value } }, body, keepalive: kept(body) })
        .catch(unreachable),
      () => (noSave.value = true),
    )
    // A later save may have gone while this one was on its way: that one tells how things stand.
    const overtaken = latest !== mySave
    flying = flying.filter((one) => one !== mySave)
    saving.value = flying.length > 0
    unanswered.value = answered(response)
      ? unanswered.value.filter((one) => !after.includes(one.act))
      : [...unanswered.value, mySave].slice(-mostUnanswered)
    noSave.value = !answered(response)
    why.value = whyNot(response, error)
    if (data) {
      refused.value = ''
      if (data.version >= version) adopt(data)
      if (closed) {
        if (!leaving) void save() // what was done while it was on its way
        return
      }
      if (leaving && of.busy()) return // the page stays after all, and its answers are still to come
      // Another window may have saved upon this save already.
      if (dirty.value) soon()
      else if (newest > version) void follow()
    } else if (response?.status === 409) {
      if (!overtaken) conflict.value = true
    } else if (!answered(response)) {
      wait(tryAgainAfter)
      // What another window saved meanwhile was heard while this save was on its way.
      if (newest > version) void follow()
    } else {
      refused.value = sentenceOf(error)
    }
  }

  const get = () => api.GET('/api/jobs/{id}', { params: { path: { id: id.value } } }).catch(unreachable)

  /** The stream of events began anew: what was missed of the job is looked for. */
  async function look() {
    if (!stored.value || closed) return
    const { data, response } = await api
      .GET('/api/jobs/{id}/version', { params: { path: { id: id.value } } })
      .catch(unreachable)
    if (data) heard(data.version)
    else if (!answered(response)) clock.after(tryAgainAfter, () => void look())
  }

  /** Another window saved the job: this one follows, or asks when both have changed it. */
  function heard(there: number) {
    newest = Math.max(newest, there)
    // What is being saved or planned is looked at again when it is done.
    if (stored.value && !saving.value && !of.busy()) void follow()
  }

  /** Whether what was heard of is a save of this window that no answer came to: it goes on from there. */
  async function isMine(): Promise<boolean> {
    if (unanswered.value.length === 0) return false
    const { data } = await get()
    if (!data || closed || saving.value || data.version <= version) return true // the next save tells
    const job = JSON.stringify(data.job)
    if (!unanswered.value.some((one) => one.job === job)) return false
    adopt(data)
    unanswered.value = []
    if (dirty.value) soon()
    return true
  }

  let following = false
  async function follow() {
    if (newest <= version || saving.value || following || conflict.value) return
    if (dirty.value) {
      if (!(await isMine())) conflict.value = true
      return
    }
    following = true
    const { data, response } = await get()
    following = false
    if (closed) return
    if (!data) {
      if (!answered(response)) clock.after(tryAgainAfter, () => void follow())
      return
    }
    if (dirty.value || saving.value || of.busy()) {
      // Changed here while it was fetched.
      newest = Math.max(newest, data.version)
      if (!of.busy() && !saving.value) void follow()
      return
    }
    await show(data)
  }

  /** Puts the stored job in the place of this window's; its own stays one step back in undo. */
  async function show(data: Stored) {
    const mine = of.job()
    if (mine) of.note(mine)
    await of.show(data)
  }

  async function takeTheirs() {
    const { data } = await get()
    if (data) await show(data)
  }

  /** Keeps this window's version; the other one stays a step back in undo. */
  async function keepMine() {
    const mine = of.job()
    const { data } = await get()
    if (!data || !mine) return
    adopt(data)
    of.note(data.job)
    conflict.value = false
    await save()
  }

  /** Restores a job that was removed; what is in hand stays as it is. */
  async function restore() {
    const body = { version, removed: false }
    const { data, error, response } = await api
      .PUT('/api/jobs/{id}/removed', { params: { path: { id: id.value } }, body })
      .catch(unreachable)
    why.value = whyNot(response, error)
    if (data) adopt(data, of.job())
    else if (response?.status === 409) void follow()
  }

  return {
    restore,
    id, stored, removed, saving, noSave, why, conflict, refused, dirty,
    adopt, settled, save, heard, look, takeTheirs, keepMine,
    close() {
      closed = true
      void save(true)
    },
  } // prettier-ignore
}
