import { computed, ref } from 'vue'

import type { Edit, Problem } from '../api/client'

/** What stands typed in the fields of a job, and what of it cannot be used. */
export function useTyping() {
  const typed = ref<Record<string, string>>({}) // texts that stand in fields, by path
  const problems = ref<Record<string, Problem>>({})
  const last = ref('') // the field, when typing was the last thing done
  const left = new Set<string>() // fields that were left before their answer came

  /** Something typed stands in a field that could not be used. */
  const unusable = computed(() => Object.keys(problems.value).some((path) => path in typed.value))
  /** The last thing done was to type what could not be used. */
  const lastUnusable = computed(() => last.value in typed.value && last.value in problems.value)

  const without = <T>(of: Record<string, T>, path: string): Record<string, T> =>
    Object.fromEntries(Object.entries(of).filter(([p]) => p !== path))

  function type(path: string, text: string) {
    typed.value = { ...typed.value, [path]: text }
    last.value = path
    left.delete(path)
    // What was wrong with the text before is not wrong with this one.
    problems.value = without(problems.value, path)
  }

  /** The field is left; while its answer is awaited it is settled when that comes. */
  function leave(path: string, awaited: boolean) {
    if (awaited && path in typed.value && !(path in problems.value)) left.add(path)
    else settle(path)
  }

  /** A text that was read shows as the program writes it; what is wrong with another one is told. */
  function settle(path: string) {
    const problem = problems.value[path]
    if (problem && path in typed.value) {
      problems.value = { ...problems.value, [path]: { ...problem, unfinished: false } }
      return
    }
    typed.value = without(typed.value, path)
  }

  /**
   * Takes an answer: of the problems that it found it keeps those that are about
   * what stands in their fields now. Of a whole job put in place nothing is left of
   * what was wrong before.
   */
  function answered(edits: Edit[], found: Problem[], whole: boolean, awaited: (path: string) => boolean) {
    const sent = new Map<string, string>(edits.map((e) => [e.path, e.text ?? '']))
    // What was said of a text stands as long as that stands in its field.
    const stands = (path: string) => path in typed.value && typed.value[path] !== sent.get(path)
    const still = Object.entries(problems.value).filter(
      ([path]) => !whole && (!sent.has(path) || stands(path)),
    )
    const about = found
      .filter((p) => !(p.path in typed.value) || typed.value[p.path] === sent.get(p.path))
      .map((p): [string, Problem] => [p.path, p])
    problems.value = Object.fromEntries([...still, ...about])
    for (const path of [...left]) {
      if (sent.has(path) && !awaited(path)) {
        left.delete(path)
        settle(path)
      }
    }
  }

  /** Something else was done than typing: what was refused before, and stands in no field, is over. */
  function done() {
    last.value = ''
    problems.value = Object.fromEntries(
      Object.entries(problems.value).filter(([path]) => path in typed.value),
    )
  }

  function clear() {
    typed.value = {}
    problems.value = {}
  }

  return { typed, problems, unusable, lastUnusable, type, leave, answered, done, clear }
}
