import type { Face } from '../api/client'

export const nameOf = (f: Face) => `face-${f.colour ?? 'white'}-${f.pattern ?? 'plain'}`

/** What a paper is filled with, the side that is up; its pattern is defined by FaceDefs. Where nobody said a colour: with what is given. */
export function fillOf(f: Face, or: string): string {
  if (f.pattern && f.pattern !== 'plain') return `url(#${nameOf(f)})`
  return f.colour ? `var(--c-${f.colour})` : or
}

/** The colour of a side as a value of a style; nothing where nobody said one. */
export const colourOf = (f: Face | undefined) => (f?.colour ? `var(--c-${f.colour})` : undefined)
