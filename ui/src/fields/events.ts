/** The text that stands in the field that an event is of. */
export function textAt(event: Event): string {
  const at = event.target
  return at instanceof HTMLInputElement ||
    at instanceof HTMLTextAreaElement ||
    at instanceof HTMLSelectElement
    ? at.value
    : ''
}

/** Marks all that stands in the field that an event is of. */
export function markAll(event: Event) {
  if (event.target instanceof HTMLInputElement) event.target.select()
}

/** The file that was chosen in a field, which is emptied, so that it can be chosen anew. */
export function fileAt(event: Event): File | undefined {
  const at = event.target
  if (!(at instanceof HTMLInputElement)) return undefined
  const file = at.files?.[0]
  at.value = ''
  return file
}

/** Keeps a pointer that went down on something, wherever it is moved. */
export function keepPointer(event: PointerEvent) {
  if (event.currentTarget instanceof Element) event.currentTarget.setPointerCapture(event.pointerId)
}
