import { computed } from 'vue'

import type { Add, Edit, FieldPath, Input } from '../api/client'
import { steady, valueAt } from './steady'
import { useTyping } from './useTyping'

/** What has fields: the job in hand, the shelf, the rules. */
export interface FieldsInHand {
  /** The field as the program has it; nothing where there is none. */
  inputAt(path: FieldPath): Input | undefined
  /** Whether nothing more can be added to a list. */
  full(path: FieldPath): boolean
  /** What a field shows: what stands typed in it, or the program's own text. */
  textOf(path: FieldPath): string
  /** What is wrong with what stands in a field. */
  problemOf(path: FieldPath): string
  type(path: FieldPath, text: string): void
  /** The field is left: a text that was read shows as the program writes it. */
  leave(path: FieldPath): void
  /** Moves a field by its smallest steps; while a drag goes on its steps are one act to undo. */
  step(path: FieldPath, steps: number, on?: boolean): void
  /** Moves several fields at once, as when something is dragged about. */
  stepAll(steps: { path: FieldPath; steps: number }[], on?: boolean): void
  set(path: FieldPath, id: string): void
  add(path: FieldPath, what?: string): void
  remove(path: FieldPath): void
  move(path: FieldPath, by: number): void
  take(path: FieldPath, id?: string): void
  /** Carries out edits that the program gave, as one act. */
  carry(edits: Edit[]): void
}

interface Of<Doc> {
  /** What the paths are of. */
  doc: () => Doc
  inputs: () => Record<string, Input> | undefined
  adds: () => Add[] | undefined
  /** Carries out edits; a new act is one that can be undone by itself. */
  send: (edits: Edit[], newAct: boolean) => void
  /** Whether an answer is awaited. */
  awaiting: () => boolean
  /** What is typed is sent when the field is left, and not at every keystroke. */
  whenLeft?: boolean
  left?: () => void
  /** Puts what there was before something was typed in its place, since what was typed is refused. */
  restore?: (doc: Doc) => void
}

/** Every way of changing what has fields, and what stands typed in them. */
export function useFields<Doc>(of: Of<Doc>) {
  const typing = useTyping()
  const at = (path: FieldPath) => steady(of.doc(), path)
  const inputAt = (path: FieldPath) => of.inputs()?.[path]

  const before = new Map<string, string>() // what fields showed before something was typed

  // The field that is typed in, and what there was before: what is refused in the end leaves no number
  // behind that was read on the way to it.
  let begun: { path: FieldPath; doc: Doc; back: boolean } | undefined

  function begin(path: FieldPath) {
    if (begun?.path !== path || !(path in typing.typed.value)) {
      begun = of.restore && !of.awaiting() ? { path, doc: of.doc(), back: false } : undefined
    } else begun.back = false
  }

  function takeBack() {
    const problem = begun && typing.problems.value[begun.path]
    if (!begun || begun.back || !problem || problem.unfinished || of.doc() === begun.doc) return
    begun.back = true
    of.restore?.(begun.doc)
  }

  /** What an act is done to, where another window may have been there: a job comes with its edits. */
  const seen = (text: string | undefined) => (of.whenLeft ? text : undefined)

  function act(edits: Edit[], on = false) {
    begun = undefined
    typing.done()
    of.send(
      edits.map((e) => ({ ...e, path: at(e.path) })),
      !on,
    )
  }

  const fields: FieldsInHand = {
    inputAt,
    full: (path) => of.adds()?.find((a) => a.path === path)?.full ?? true,
    textOf: (path) => typing.typed.value[at(path)] ?? inputAt(path)?.text ?? '',
    problemOf: (path) => {
      const p = typing.problems.value[at(path)]
      return p && !p.unfinished ? p.message : ''
    },
    type(path, text) {
      if (!(at(path) in typing.typed.value)) before.set(at(path), inputAt(path)?.text ?? '')
      begin(at(path))
      typing.type(at(path), text)
      if (!of.whenLeft) of.send([{ act: 'type', path: at(path), text }], false)
    },
    leave(path) {
      const key = at(path)
      const text = typing.typed.value[key]
      if (of.whenLeft && text !== undefined && !(key in typing.problems.value)) {
        of.send([{ act: 'type', path: key, text, was: before.get(key) }], true)
        typing.leave(key, true)
        return
      }
      of.left?.()
      typing.leave(key, of.awaiting())
      takeBack()
    },
    step(path, steps, on) {
      if (!on) fields.leave(path) // it steps from what was typed
      act([{ act: 'step', path, steps }], on)
    },
    stepAll(steps, on) {
      act(
        steps.map((s) => ({ act: 'step', ...s })),
        on,
      )
    },
    set: (path, text) => act([{ act: 'set', path, text, was: seen(inputAt(path)?.text) }]),
    add: (path, text) => act([{ act: 'add', path, text }]),
    remove: (path) =>
      act([{ act: 'remove', path, was: seen(JSON.stringify(valueAt(of.doc(), path) ?? null)) }]),
    move: (path, steps) => act([{ act: 'move', path, steps }]),
    take: (path, text) => act([{ act: 'take', path, text }]),
    carry(edits) {
      begun = undefined
      typing.done()
      of.send(edits, true)
    },
  }
  /** What was refused, where no field shows it. */
  const refusals = computed(() => {
    const shown = new Set(Object.keys(of.inputs() ?? {}).map((path) => steady(of.doc(), path)))
    return Object.values(typing.problems.value).filter((p) => !shown.has(p.path))
  })

  /** Takes an answer; what it refuses for good leaves nothing behind. */
  function answered(...answer: Parameters<typeof typing.answered>) {
    typing.answered(...answer)
    takeBack()
  }

  /** Something else is in hand. */
  function clear() {
    begun = undefined
    typing.clear()
  }

  return { fields, typing, refusals, answered, clear }
}
