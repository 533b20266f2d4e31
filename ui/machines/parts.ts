import { answered, kept, sentenceOf, unreachable, whyNot } from '../src/api/client'
import { keptFrom } from '../src/api/kept'
import { linesOf } from '../src/api/streams'
import { unbroken } from '../src/api/unbroken'
import { History } from '../src/job/history'
import { steady, valueAt } from '../src/job/steady'
import { useTyping } from '../src/job/useTyping'
import { asJob } from './program'

/** Which parts of an answer are the very objects of the one before, by their paths. */
function same(before: unknown, after: unknown, at = '', found: string[] = []): string[] {
  if (typeof after !== 'object' || after === null) return found
  if (before === after) return [...found, at || '.']
  for (const [key, value] of Object.entries(after))
    found.push(...same((before as Record<string, unknown> | undefined)?.[key], value, `${at}/${key}`))
  return found
}

/** Small parts of the machines, called by the test with what it makes up. */
export const parts = {
  kept(before: unknown, fresh: unknown) {
    const text = JSON.stringify(fresh)
    const after = keptFrom(before, fresh)
    return { same: same(before, after), whole: JSON.stringify(after) === text }
  },
  unbroken: (text: string) => unbroken<string>(JSON.stringify(text)),
  steady: (doc: unknown, path: string) => steady(doc, path),
  valueAt: (doc: unknown, path: string) => JSON.stringify(valueAt(doc, path)) ?? 'nothing',
  answers: (status: number, detail: string) => {
    const response = status ? ({ status } as Response) : undefined
    const error = detail ? { detail } : undefined
    return [answered(response), whyNot(response, error), sentenceOf(error), unreachable().error.detail]
  },
  keptAlive: (length: number) => kept('x'.repeat(length)),
  /** Lines of a stream that comes in pieces of some bytes. */
  async lines(text: string, piece: number) {
    const bytes = new TextEncoder().encode(text)
    const stream = new ReadableStream<Uint8Array>({
      start(to) {
        for (let i = 0; i < bytes.length; i += piece) to.enqueue(bytes.slice(i, i + piece))
        to.close()
      },
    })
    const list: unknown[] = []
    for await (const line of linesOf('/api/cutting', stream)) list.push(line)
    return JSON.stringify(list)
  },
  /** Acts on a history: what is noted at a time and a path, or a step back or forward. */
  history(acts: [what: string, name: string, path: string, at: number][]) {
    let now = 0
    const history = new History({ now: () => now, after: () => () => {} })
    const job = (name: string) => asJob({ name, width: '', height: '', parts: [] })
    return acts.map(([what, name, path, at]) => {
      now = at
      let back = ''
      if (what === 'note') history.note(job(name), path)
      else if (what === 'seal') history.seal()
      else back = (what === 'undo' ? history.undo(job(name)) : history.redo(job(name)))?.name ?? 'none'
      return `${back}${history.canUndo ? '<' : ''}${history.canRedo ? '>' : ''}`
    })
  },
  /** What stands typed and what is wrong, after each of some acts. */
  typing(acts: [what: string, path: string, text: string, more: string][]) {
    const typing = useTyping()
    return acts.map(([what, path, text, more]) => {
      if (what === 'type') typing.type(path, text)
      if (what === 'leave') typing.leave(path, more === 'awaited')
      if (what === 'done') typing.done()
      if (what === 'clear') typing.clear()
      if (what === 'answer' || what === 'whole') {
        const edits = path ? [{ act: 'type' as const, path, text }] : []
        const found = more.startsWith('!') ? [{ path: more.slice(1), message: 'No', unfinished: more.endsWith('?') }] : []
        typing.answered(edits, found, what === 'whole', (p) => more === `awaits ${p}`)
      }
      const wrong = Object.entries(typing.problems.value).map(([p, q]) => p + (q.unfinished ? '?' : '!'))
      const marks = (typing.unusable.value ? 'u' : '') + (typing.lastUnusable.value ? 'l' : '')
      return [Object.entries(typing.typed.value).map(([p, t]) => `${p}=${t}`).join(), wrong.join(), marks].join(' | ')
    })
  },
} // prettier-ignore
