import type { Face } from '../api/client'

export const nameOf = (f: Face) => `face-${f.colour ?? 'white'}-${f.pattern ?? 'plain'}`

/** What a paper is filled with, the side that is up; its pattern is defined by FaceDefs. */
export function fillOf(f: Face): string {
  return f.pattern && f.pattern !== 'plain' ? `url(#${nameOf(f)})` : `var(--c-${f.colour ?? 'white'})`
}
