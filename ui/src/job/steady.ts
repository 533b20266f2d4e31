import type { FieldPath, Leaf } from '../api/client'

const plainID = /^[A-Za-z][\w-]*$/

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null
}

/** The ID of an entry; a rulebook has it in its file. */
function idOf(entry: unknown): string {
  if (!isRecord(entry)) return ''
  const id = isRecord(entry.file) ? entry.file.id : entry.id
  return typeof id === 'string' && plainID.test(id) ? id : ''
}

/** What stands at a path; nothing where it leads nowhere. */
export function valueAt(doc: unknown, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>(
      (v, step) => (Array.isArray(v) ? v[Number(step)] : isRecord(v) ? v[step] : undefined),
      doc,
    )
}

/**
 * A path with the entry of its list named by the ID that it has, so that it means the
 * same entry when others come and go: "parts.2.border" as "parts.lining.border". It leads to
 * the same field, and counts as a path of it.
 */
export function steady(doc: unknown, path: FieldPath): FieldPath
export function steady(doc: unknown, path: string): string
export function steady(doc: unknown, path: string): string {
  const [list, at, ...rest] = path.split('.')
  if (!list || !at || !isRecord(doc)) return path
  const entries = doc[list]
  const id = Array.isArray(entries) && /^\d+$/.test(at) ? idOf(entries[Number(at)]) : ''
  return id ? [list, id, ...rest].join('.') : path
}

/** The path of what stands below one that the program gave, or of that itself: a row, a class of a rulebook. */
export function under(place: string, leaf?: Leaf): FieldPath
export function under(place: string, leaf?: string): string {
  const entry = place.endsWith('.') ? place.slice(0, -1) : place
  return leaf ? `${entry}.${leaf}` : entry
}
