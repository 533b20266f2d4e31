/** What a letter and a line of a name take, in pixels. */
export const letter = 6.6
export const lineHigh = 16

/** A name in as many lines as it takes in so many pixels, at most so many lines; none where it does not go in. */
export function wrapped(text: string, room: number, most: number): string[] {
  const lines: string[] = []
  for (const word of text.split(' ')) {
    const longer = lines.length ? `${lines[lines.length - 1]} ${word}` : word
    if (lines.length && longer.length * letter <= room) lines[lines.length - 1] = longer
    else lines.push(word)
  }
  return lines.length <= most && lines.every((l) => l.length * letter <= room) ? lines : []
}
