import type { paths } from './schema'

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
