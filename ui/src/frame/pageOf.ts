import { newJob } from '../job/useJob'

// Each job has a page of its own, also where one goes from one straight to another: through the
// history of the browser, say. A new card keeps the page that it began on once it has an address.
let begun = 0
const became = new Map<string, string>()

/** The page that shows the job of an address. */
export function pageOf(id: string | string[] | undefined): string {
  const of = String(id ?? '')
  return became.get(of) ?? (of === newJob ? `${newJob} ${begun}` : of)
}

/** The new card on this page is stored as that job. */
export function stored(id: string) {
  became.set(id, pageOf(newJob))
  begun++
}
