import { effectScope, ref, watch, type EffectScope, type Ref } from 'vue'

import type { World } from '../src/api/world'
import { useProgress } from '../src/bench/useProgress'
import { under } from '../src/job/steady'
import { useJob, type JobInHand } from '../src/job/useJob'
import { usePlan } from '../src/job/usePlan'
import { makeShop } from '../src/job/useShop'
import { parts } from './parts'
import { Program, type Request } from './program'

/** One thing that happens; the test makes them up. */
type Step = [what: string, ...of: (string | number)[]]

/** What is seen after a step: what the window says of itself, the job that it shows, what is stored. */
interface Seen {
  state: string
  shown: string
  stored: string
  shop: string
  shopVersion: number
  kept: boolean
}

/** Everything that was ever shown or stored, in order, with the step that it came of. */
interface Trace {
  seen: Seen[]
  shows: [step: number, doc: string][]
  saves: [step: number, mine: boolean, doc: string][]
  adds: number
  entries: string[]
  unit: string
  shownUnit: string
  bench: number
  shownBench: number
  /** Saves that were sent while another one was on its way, and while the maker was asked which to keep. */
  twice: number
  unasked: number
}

/** Until nothing more comes of what was done: no chain of answers is longer. */
async function settled() {
  for (let i = 0; i < 60; i++) await undefined
}

/** One window on the stand-in of the program, with a clock that goes when it is told to. */
class Bench {
  program = new Program()
  requests: Request[] = []
  private now = 1_000_000
  private due: { at: number; then: () => void }[] = []
  private hears = new Set<(event: never) => void>()
  private leaving = new Set<() => void>()
  private scope: EffectScope | undefined
  private open: Ref<string> = ref('card/base')
  job: JobInHand | undefined
  progress: ReturnType<typeof useProgress> | undefined
  looking: ReturnType<typeof usePlan> | undefined
  shows: [number, string][] = []
  at = 0
  adds = 0
  twice = 0
  unasked = 0
  /** What was asked, and for how long something waits, in order. */
  asked: string[] = []
  private acts: string[] = []

  private world: World = {
    api: {
      GET: this.asks('GET'),
      POST: this.asks('POST'),
      PUT: this.asks('PUT'),
      PATCH: this.asks('PATCH'),
    } as unknown as World['api'],
    clock: {
      now: () => this.now,
      after: (ms, then) => {
        this.asked.push(`${ms}`)
        const one = { at: this.now + ms, then }
        this.due.push(one)
        return () => (this.due = this.due.filter((d) => d !== one))
      },
    },
    onEvents: (each) => {
      this.hears.add(each as never)
      return { close: () => void this.hears.delete(each as never) }
    },
    onLeave: (then) => {
      this.leaving.add(then)
      return () => void this.leaving.delete(then)
    },
  }
  shop = makeShop(this.world)

  private asks(method: string) {
    return (path: string, init: { body?: Record<string, unknown> } = {}) =>
      new Promise((done, lost) => {
        const body = structuredClone(init.body ?? {})
        if (method === 'PUT' && path === '/api/jobs/{id}') {
          if (this.requests.some((r) => r.method === 'PUT' && r.path === path)) this.twice++
          if (this.job?.state.value === 'conflict') this.unasked++
        }
        const { act, after, ...rest } = body
        this.asked.push(
          [method, path.split('/').pop(), this.ordinals([act, after]), JSON.stringify(rest)].join(' '),
        )
        this.requests.push({
          method,
          path,
          body,
          back: done as never,
          lost: () => lost(new TypeError('lost')),
        })
      })
  }

  /** Acts by the order in which they were first sent: their names are made up anew each time. */
  private ordinals(acts: unknown[]): string {
    const known = (act: unknown) => {
      if (!this.acts.includes(String(act))) this.acts.push(String(act))
      return this.acts.indexOf(String(act))
    }
    return acts.flat().filter(Boolean).map(known).join()
  }

  begin() {
    this.scope = effectScope()
    this.scope.run(() => {
      const job = useJob('one', this.open, this.world, this.shop)
      watch(job.job, (doc) => this.shows.push([this.at, JSON.stringify(doc)]), { flush: 'sync' })
      this.job = job
      this.shop.listen()
      this.progress = useProgress(() => 'one', this.world)
      this.looking = usePlan('history', this.world)
      void job.load()
      const progress = this.progress
      this.world.onEvents((event) => {
        if (event.kind === 'bench') progress.heard(event.version)
        if (event.kind === 'opened') void progress.load()
      })
      void progress.load()
    })
  }

  private take(k: number): Request | undefined {
    return this.requests.length ? this.requests.splice(k % this.requests.length, 1)[0] : undefined
  }

  private hear(event: unknown) {
    for (const each of [...this.hears]) each(event as never)
  }

  private tick(ms: number) {
    const end = this.now + ms
    for (;;) {
      const next = this.due.filter((d) => d.at <= end).sort((a, b) => a.at - b.at)[0]
      if (!next) break
      this.due = this.due.filter((d) => d !== next)
      this.now = Math.max(this.now, next.at)
      next.then()
    }
    this.now = end
  }

  /** Everything is answered, in order, and told, until nothing is left to do. */
  private async calm() {
    for (let rounds = 0; rounds < 500; rounds++) {
      await settled()
      const request = this.take(0)
      const event = request ? undefined : this.program.events.shift()
      if (request) {
        this.program.carryOut(request)
        request.back(request.answer!)
      } else if (event) this.hear(event)
      else if (this.due.length) this.tick(2000)
      else return
    }
  }

  async step([what, a, b]: Step): Promise<void> {
    const { program } = this
    // What is not there yet cannot be worked with.
    const job = this.job?.ready.value ? this.job : undefined
    const text = String(b ?? '')
    const path = under(String(a ?? ''))
    switch (what) {
      case 'type': return job?.type(path, text)
      case 'left': return job?.leave(path)
      case 'step': return job?.step(path, Number(b))
      case 'add':
        if (job) this.adds++
        return job?.add('parts')
      case 'carry': return job?.carry([{ act: 'type', path, text }])
      case 'undo': return job?.undo()
      case 'redo': return job?.redo()
      case 'theirs': return void (job?.state.value === 'conflict' && job.takeTheirs())
      case 'mine': return void (job?.state.value === 'conflict' && job.keepMine())
      case 'drawer': this.open.value = String(a ?? ''); return
      case 'arrive': { const r = this.requests[Number(a) % this.requests.length]; if (r) program.carryOut(r); return }
      case 'answer': { const r = this.take(Number(a)); if (r) { program.carryOut(r); r.back(r.answer!) } return }
      case 'lose': return this.take(Number(a))?.lost()
      case 'full': { const r = this.take(Number(a)); return r?.answer ? r.back(r.answer) : r?.back({ error: { detail: 'The disk is full.' }, response: { status: 507 } }) }
      case 'other': return program.other(String(a) as 'width', text)
      case 'otherShop': return program.otherShop()
      case 'event': { const e = program.events.shift(); return e && this.hear(e) }
      case 'deaf': program.events = []; return
      case 'opened': return this.hear({ kind: 'opened', version: 0 })
      case 'lost': return this.hear({ kind: 'lost', version: 0 })
      case 'tick': return this.tick(Number(a))
      case 'die': // the page is closed: what it sent comes to the program, and nothing comes back
        for (const then of [...this.leaving]) then()
        this.leaving.clear()
        this.hears.clear()
        this.due = []
        for (const r of this.requests.splice(0)) if (r.method !== 'GET') program.carryOut(r)
        this.scope?.stop()
        await settled()
        this.requests = []
        this.job = undefined
        return
      case 'hide': for (const then of [...this.leaving]) then(); return
      case 'leave': this.scope?.stop(); this.job = undefined; return
      case 'return': if (!this.job) this.begin(); return
      case 'calm': return this.calm()
      case 'shopAdd': return this.shop.add(under('entries'), text)
      case 'shopType': return this.shop.type('unit', text)
      case 'shopLeft': return this.shop.leave('unit')
      case 'shopLoad': return void this.shop.load()
      case 'load': return void this.job?.load()
      case 'set': return job?.set(path, text)
      case 'stepAll': return job?.stepAll([{ path, steps: 1 }, { path: under('width'), steps: -1 }], b === 'on')
      case 'drag': return job?.step(path, Number(b), true)
      case 'absent': return this.take(Number(a))?.back({ error: { detail: 'There is no such job.' }, response: { status: 404 } })
      case 'remove': return job?.remove(under('parts.0'))
      case 'gone': program.removed = true; return
      case 'look': return void this.looking?.show(() => this.world.api.GET('/api/jobs/{id}', { params: { path: { id: 'one' } } }))
      case 'restore': return void (job?.stored.value && job.restore())
      case 'shopSet': return this.shop.set('unit', text)
      case 'bench': return this.progress?.to(Number(a))
      case 'benchOther': program.step = Number(a); program.events.push({ kind: 'bench', job: 'one', version: Number(a) }); return
      case 'benchHeard': return this.progress?.heard(program.step)
      default: throw new Error(`there is no step ${what}`)
    }
  } // prettier-ignore

  end() {
    this.scope?.stop()
  }

  /** All that the window says of the job, the shelf and the bench. */
  says(): unknown[] {
    const { job, shop, progress, looking } = this
    const { undo, redo } = job?.undoable.value ?? {}
    const fields = ['name', 'width', 'height', 'parts.0.border']
      .map((place) => under(place))
      .map((at) => (job ? `${job.textOf(at)}${job.problemOf(at)}${job.inputAt(at)?.text ?? '-'}` : ''))
    return [
      job?.state.value,
      job?.refused.value,
      job?.why.value,
      job?.missing.value,
      job?.behind.value,
      job?.stored.value,
      job?.removed.value,
      job?.full(under('parts')),
      job?.full(under('items')),
      `${undo}${redo}`,
      ...fields,
      shop.state.value,
      shop.refusals.value.join(),
      shop.why.value,
      shop.textOf('unit'),
      shop.shop.value?.version,
      progress?.kept.value,
      progress?.at.value,
      job?.benchStep.value,
      looking?.job.value?.name,
      looking?.missing.value,
      looking?.refused.value,
      looking?.noAnswer.value,
    ].map((said) => (said === true ? 'yes' : said || ''))
  }

  seen(): Seen {
    return {
      state: this.job?.state.value ?? 'gone',
      shown: JSON.stringify(this.job?.job.value) ?? '',
      stored: this.program.versions[this.program.version - 1]!.doc,
      shop: this.shop.state.value,
      shopVersion: this.shop.shop.value?.version ?? 0,
      kept: this.progress?.kept.value ?? true,
    }
  }
}

/** Runs interleavings, one after the other, each from the beginning. */
async function run(scripts: Step[][]): Promise<Trace[]> {
  const traces: Trace[] = []
  for (const script of scripts) {
    const bench = new Bench()
    bench.begin()
    const saves: Trace['saves'] = []
    const seen: Seen[] = []
    let counted = 0
    for (const [i, step] of script.entries()) {
      bench.at = i
      await bench.step(step)
      await settled()
      for (const v of bench.program.versions.slice(counted)) saves.push([i, v.mine, v.doc])
      counted = bench.program.version
      seen.push(bench.seen())
    }
    const { program, shop, progress } = bench
    traces.push({
      seen,
      shows: bench.shows,
      saves,
      adds: bench.adds,
      entries: program.shop.entries,
      unit: program.shop.unit,
      shownUnit: String((shop.shop.value?.shop as { unit?: string } | undefined)?.unit ?? ''),
      bench: program.step,
      shownBench: progress?.at.value ?? -1,
      twice: bench.twice,
      unasked: bench.unasked,
    })
    bench.end()
  }
  return traces
}

/** What is seen at each "see" of a script: the state, what is shown, what is stored, what is on its way, what can be undone and redone. */
async function scene(script: Step[]): Promise<unknown[]> {
  const bench = new Bench()
  bench.begin()
  await settled()
  const came: unknown[] = []
  const short = (doc: string) => {
    const { name, width, height, parts } = JSON.parse(doc || '{}')
    return `${width} × ${height} ${name}${parts?.length ? ` +${parts.length}` : ''}`
  }
  for (const step of script) {
    if (step[0] !== 'see') await bench.step(step)
    await settled()
    if (step[0] !== 'see') continue
    const { state, shown, stored } = bench.seen()
    const way = bench.requests.map((r) => `${r.method} ${r.path.split('/').pop()}`).join()
    const { undo, redo } = bench.job?.undoable.value ?? {}
    came.push([state, short(shown), short(stored), way, `${undo ? 'undo' : ''}${redo ? ' redo' : ''}`])
  }
  bench.end()
  return came
}

/** All that interleavings come to, a line each: what was asked, waited for, said and shown after every step. */
async function ways(scripts: Step[][]): Promise<string[]> {
  const lines: string[] = []
  for (const script of scripts) {
    const bench = new Bench()
    bench.begin()
    const line: string[] = []
    for (const step of script) {
      await bench.step(step)
      await settled()
      line.push(`${step.join(' ')}: ${[...bench.asked.splice(0), ...bench.says()].join('; ')}`)
    }
    lines.push(line.join(' | '))
    bench.end()
  }
  return lines
}

Object.assign(window, { run, ways, parts: { ...parts, scene } })
