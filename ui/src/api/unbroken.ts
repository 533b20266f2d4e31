const wholeAndFraction = /(\d) (?=\d+\u2044)/g
const markAndNumber = /([≈<]) (?=\d)/g

/**
 * The same value with every number in its texts kept on one line: no line breaks
 * between a whole and its fraction, or between a mark such as ≈ and its number.
 */
export function unbroken<T>(value: T): T {
  if (typeof value === 'string') {
    return value.replace(wholeAndFraction, '$1\u00a0').replace(markAndNumber, '$1\u00a0') as T
  }
  if (Array.isArray(value)) return value.map(unbroken) as T
  if (value !== null && typeof value === 'object') {
    return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, unbroken(part)])) as T
  }
  return value
}
