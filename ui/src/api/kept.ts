/** What has parts, and may be one of those that are asked for. */
function isRecord<T>(value: unknown): value is T & Record<string, unknown> {
  return typeof value === 'object' && value !== null
}

/**
 * A fresh answer with everything that is as it was before taken from the one before: what did not
 * change is the very same object, so that nothing that shows it is drawn anew.
 */
export function keptFrom<T>(before: unknown, fresh: T): T {
  if (Object.is(before, fresh) || !isRecord<T>(before) || !isRecord(fresh)) return fresh
  if (Array.isArray(before) !== Array.isArray(fresh)) return fresh
  const old: Record<string, unknown> = before
  const now: Record<string, unknown> = fresh
  const keys = Object.keys(now)
  let same = keys.length === Object.keys(old).length
  for (const key of keys) {
    const value = now[key]
    const kept = typeof value === 'object' ? keptFrom(old[key], value) : value
    if (kept !== value) now[key] = kept
    if (same && (kept !== old[key] || !(key in old))) same = false
  }
  return same ? before : fresh
}
