import { began, during, rested } from '../src/api/busy'
import {
  answered,
  kept,
  sentenceOf,
  whyNot,
  type Edit,
  type Input,
  type Job,
  type Problem,
} from '../src/api/client'
import { onEvents } from '../src/api/events'
import { keptFrom } from '../src/api/kept'
import { linesOf } from '../src/api/streams'
import { useTrying } from '../src/api/trying'
import { unbroken } from '../src/api/unbroken'
import { fileAt, textAt } from '../src/fields/events'
import { useLit } from '../src/fields/useLit'
import { useTyped } from '../src/fields/useTyped'
import type { World } from '../src/api/world'
import { History } from '../src/job/history'
import { useLongSearch } from '../src/job/longSearch'
import { steady, under, valueAt } from '../src/job/steady'
import type { FieldsInHand } from '../src/job/useFields'
import { useTyping } from '../src/job/useTyping'

// The small parts of the machines, each called with what a line of e2e/testdata/parts.txt gives it; what
// comes back is held against that line.

type Act = [what: string, ...of: unknown[]]
const response = (status: number | null) => (status === null ? undefined : new Response(null, { status }))
const job = (name: string): Job => JSON.parse(JSON.stringify({ name }))
const path = (of: unknown) => under(String(of))

/** A clock that stands until it is moved; what is due is done at once. */
function standing() {
  let now = 1000
  const waits: number[] = []
  const clock = {
    now: () => now,
    after(wait: number, then: () => void) {
      waits.push(wait)
      if (wait <= 1000) queueMicrotask(then)
      return () => undefined
    },
  }
  return { clock, waits, move: (by: number) => (now += by) }
}

export const parts = {
  steady: (doc: unknown, at: string) => steady(doc, at),
  valueAt: (doc: unknown, at: string) => valueAt(doc, at) ?? null,
  under: (place: string, leaf?: 'min') => under(place, leaf),
  unbroken: (text: string) => unbroken(text),
  sentenceOf: (detail: string | null) => sentenceOf(detail === null ? undefined : { detail }),
  answered: (status: number | null) => answered(response(status)),
  whyNot: (status: number | null, detail: string) => whyNot(response(status), { detail }),
  kept: (long: number) => kept('x'.repeat(long)),

  /** Which of these places are the very same object as before; and whether all is as it was asked for. */
  keptFrom(before: unknown, fresh: unknown, places: string[]) {
    const asked = JSON.stringify(fresh)
    const now = keptFrom(before, fresh)
    const same = (at: string) => (at ? valueAt(now, at) === valueAt(before, at) : now === before)
    return [JSON.stringify(now) === asked, ...places.filter(same)]
  },

  /** What undo and redo bring back, in order; what can be undone and redone in the end. */
  history(acts: Act[]) {
    const { clock, move } = standing()
    const history = new History(clock)
    const came: unknown[] = []
    for (const [what, a, b] of acts) {
      if (what === 'note') history.note(job(String(a)), String(b))
      if (what === 'wait') move(Number(a))
      if (what === 'seal') history.seal()
      if (what === 'undo') came.push(history.undo(job(String(a)))?.name ?? null)
      if (what === 'redo') came.push(history.redo(job(String(a)))?.name ?? null)
    }
    return [...came, history.canUndo, history.canRedo]
  },

  /** What stands typed, what is wrong with it, and whether that and the last of it cannot be used. */
  typing(acts: Act[]) {
    const t = useTyping()
    const edits = (of: unknown): Edit[] => JSON.parse(JSON.stringify(of))
    const problems = (of: unknown): Problem[] => JSON.parse(JSON.stringify(of))
    for (const [what, a, b, c, d] of acts) {
      if (what === 'type') t.type(String(a), String(b))
      if (what === 'leave') t.leave(String(a), b === true)
      if (what === 'done') t.done()
      if (what === 'clear') t.clear()
      if (what === 'answered') t.answered(edits(a), problems(b), c === true, () => d === true)
    }
    const wrong = Object.entries(t.problems.value).map(
      ([at, p]) => `${at}: ${p.message}${p.unfinished ? '…' : ''}`,
    )
    return [t.typed.value, wrong, t.unusable.value, t.lastUnusable.value]
  },

  async lines(chunks: string[]) {
    const body = new ReadableStream<Uint8Array>({
      start(c) {
        for (const chunk of chunks) c.enqueue(new TextEncoder().encode(chunk))
        c.close()
      },
    })
    const came: unknown[] = []
    for await (const line of linesOf('/api/cutting', body)) came.push(line)
    return came
  },

  /** Asks until one of the answers is one: how often, what was said on the way, how long it waited. */
  async trying(statuses: (number | null)[]) {
    const { clock, waits } = standing()
    const { noAnswer, why, ask } = useTrying({ clock })
    const said: unknown[] = []
    let at = 0
    const wanted = () => {
      said.push([noAnswer.value, why.value])
      return at < statuses.length
    }
    await ask(
      () => Promise.resolve({ response: response(statuses[at++] ?? null), error: { detail: 'Full.' } }),
      wanted,
    )
    return [at, noAnswer.value, why.value, said, waits]
  },

  /** What a field shows, and what its keys and leaving it do. */
  field(input: Input | null, typed: string, keys: [key: string, shift: boolean][]) {
    const did: unknown[] = []
    const of: FieldsInHand = {
      inputAt: () => input ?? undefined,
      full: () => false,
      textOf: () => typed || (input?.text ?? ''),
      problemOf: () => '',
      type: () => undefined,
      leave: (at) => did.push(['leave', at]),
      step: (at, steps) => did.push(['step', at, steps]),
      stepAll: () => undefined,
      set: (at, id) => did.push(['set', at, id]),
      add: () => undefined,
      remove: () => undefined,
      move: () => undefined,
      take: () => undefined,
      carry: () => undefined,
    }
    const f = useTyped({ of, path: path('card.width') }, () => true)
    for (const [key, shiftKey] of keys) {
      const e = new KeyboardEvent('keydown', { key, shiftKey, cancelable: true })
      f.press(e)
      did.push(e.defaultPrevented)
    }
    f.entered(new FocusEvent('focus'))
    const lit = [f.focused.value, f.lit.value]
    f.left()
    f.choose(null)
    f.choose('a7')
    return [
      f.kind.value,
      f.called.value,
      f.text.value,
      f.unit.value,
      f.test.value,
      f.exact.value,
      f.hint.value,
      f.chosen.value,
      lit,
      f.focused.value,
      f.lit.value,
      did,
    ]
  },

  /** A longer search that is answered with these chunks, refused, or not answered: what is told on the way, and comes of it. */
  async search(answer: string[] | string | null, stops: boolean) {
    const told: unknown[] = []
    let aborted = false
    const POST = (_: string, init: { signal: AbortSignal }) => {
      init.signal.addEventListener('abort', () => (aborted = true))
      if (answer === null) return Promise.reject(new TypeError('lost'))
      if (typeof answer === 'string')
        return Promise.resolve({ error: { detail: answer }, response: response(422) })
      const body = new ReadableStream<Uint8Array>({
        pull(c) {
          told.push([progress.value?.sheets ?? null, waits.value])
          const chunk = answer.shift()
          if (chunk === 'broken') c.error(new TypeError('lost'))
          else if (chunk) c.enqueue(new TextEncoder().encode(chunk))
          else c.close()
        },
      })
      return Promise.resolve({ data: body, response: response(200) })
    }
    const { progress, waits, failure, search, stop } = useLongSearch({ api: { POST } } as unknown as World)
    const done = search(job('x'), 'card', 'letter')
    const began = progress.value?.of ?? null
    if (stops) stop()
    const plan = await done
    return [began, told, plan ?? null, failure.value, progress.value ?? null, waits.value, aborted]
  },

  /** What is heard: of another page's stream, when the page is looked at again, and nothing once it is closed. */
  async events() {
    const came: string[] = []
    const { close } = onEvents((e) => {
      if (e.kind !== 'lost') came.push(`${e.kind} ${e.version}`) // there is no program here
    })
    const other = new BroadcastChannel('yellow-parcel-events')
    const rest = () => new Promise((done) => setTimeout(done, 20))
    /** A message between pages takes its time. */
    const until = async (many: number) => {
      for (let i = 0; i < 200 && came.length < many; i++) await rest()
    }
    other.postMessage({ kind: 'job', version: 3 })
    await until(1)
    document.dispatchEvent(new Event('visibilitychange'))
    await until(2)
    close()
    other.postMessage({ kind: 'job', version: 4 })
    await rest()
    other.close()
    return came
  },

  lit() {
    const { lit, light, dim } = useLit()
    const came: string[] = []
    light('card.width')
    came.push(lit.value)
    dim('card.height')
    came.push(lit.value)
    dim('card.width')
    came.push(lit.value)
    light(undefined)
    return [...came, lit.value]
  },

  textAt(tag: string, value: string) {
    const e = document.createElement(tag)
    if ('value' in e) e.value = value
    if (e instanceof HTMLSelectElement) e.append(new Option(value, value))
    const event = new Event('input')
    e.dispatchEvent(event)
    return [textAt(event), fileAt(event) === undefined]
  },

  /** Whether the page says that it is busy: while two things are awaited, one of them, none, and after one that failed. */
  async busy() {
    const says = () => 'busy' in document.documentElement.dataset
    const drawn = () => new Promise((done) => setTimeout(done))
    rested()
    await drawn()
    const came = [says()]
    began()
    began()
    came.push(says())
    rested()
    await drawn()
    came.push(says())
    const work = during(Promise.reject(new Error()))
    rested()
    await drawn()
    came.push(says())
    await work.catch(() => undefined)
    await drawn()
    return [...came, says()]
  },
}
