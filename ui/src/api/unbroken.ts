const wholeAndFraction = /(\d) (?=\d+\u2044)/g
const markAndNumber = /([<>]) (?=[−\d])/g

/**
 * The answer of a request as JSON, with every number in its texts kept on one line: no line
 * breaks between a whole and its fraction, or between a mark such as < and its number.
 */
export function unbroken<T>(text: string): T {
  return JSON.parse(text.replace(wholeAndFraction, '$1\u00a0').replace(markAndNumber, '$1\u00a0'))
}
