import type { Job } from '../api/client'
import type { Clock } from '../api/clock'

/** Keystrokes in one field within this time are one act to undo. */
const oneAct = 1500

/** The steps back and forward of one job, as whole jobs: they are small. */
export class History {
  private back: Job[] = []
  private forward: Job[] = []
  private lastPath = ''
  private lastAt = 0

  constructor(private readonly clock: Clock) {}

  /** Notes the job as it was before a change at a path. */
  note(before: Job, path: string) {
    const now = this.clock.now()
    const same = path !== '' && path === this.lastPath && now - this.lastAt < oneAct
    this.lastPath = path
    this.lastAt = now
    this.forward = []
    if (!same) this.back = [...this.back.slice(-199), before]
  }

  /** Ends the current act, so that the next change is one of its own. */
  seal() {
    this.lastPath = ''
  }

  undo(now: Job): Job | undefined {
    const before = this.back.pop()
    if (before) this.forward.push(now)
    this.seal()
    return before
  }

  redo(now: Job): Job | undefined {
    const after = this.forward.pop()
    if (after) this.back.push(now)
    this.seal()
    return after
  }

  get canUndo() {
    return this.back.length > 0
  }

  get canRedo() {
    return this.forward.length > 0
  }
}
