import { useEventListener, useEventSource } from '@vueuse/core'

import type { paths } from './schema'
import { tryAgainAfter } from './trying'

/** What the messages of an event stream are, by its path, as the API's document says. */
type Messages = {
  [P in keyof paths]: paths[P] extends {
    get: { responses: { 200: { content: { 'text/event-stream': infer Message } } } }
  }
    ? Message
    : never
}
type StreamPath = { [P in keyof Messages]: Messages[P] extends never ? never : P }[keyof Messages]

/**
 * Follows an event stream until it is closed; it begins anew by itself when it breaks off. Every message
 * counts, also one that is the same as the last: so they are heard one by one.
 */
export function follow<P extends StreamPath>(
  path: P,
  id: string,
  each: (message: Messages[P]) => void,
  on: { open?: () => void; error?: () => void } = {},
): { close: () => void } {
  const { eventSource, close } = useEventSource(path.replace('{id}', encodeURIComponent(id)), [], {
    // Where the program answers that it cannot, the browser itself would give up.
    autoReconnect: { retries: -1, delay: tryAgainAfter },
  })
  useEventListener(eventSource, 'message', (m: MessageEvent<string>) => each(JSON.parse(m.data)))
  useEventListener(eventSource, 'open', () => on.open?.())
  useEventListener(eventSource, 'error', () => on.error?.())
  return { close }
}

/** What the lines of the answer to a request are, where it is a stream of JSON lines. */
type Lines = {
  [P in keyof paths]: paths[P] extends {
    post: { responses: { 200: { content: { 'application/x-ndjson': infer Line } } } }
  }
    ? Line
    : never
}
type LinesPath = { [P in keyof Lines]: Lines[P] extends never ? never : P }[keyof Lines]

/** Reads a stream of JSON lines of a path's answer, one after the other. */
export async function* linesOf<P extends LinesPath>(
  _path: P,
  body: ReadableStream<Uint8Array>,
): AsyncGenerator<Lines[P]> {
  const reader = body.getReader()
  const decoder = new TextDecoder()
  let rest = ''
  for (;;) {
    const { done, value } = await reader.read()
    if (done) return
    const lines = (rest + decoder.decode(value, { stream: true })).split('\n')
    rest = lines.pop() ?? ''
    for (const line of lines) yield JSON.parse(line)
  }
}
