package cutting

import "context"

// YieldSteps is what counting the pieces that one sheet gives may use at most.
const YieldSteps = 40_000

// Effort is what several searches together have used and may still use, in steps: a
// step is one look at whether something fits somewhere, some ten nanoseconds. One
// goroutine at a time draws on it.
type Effort struct {
	ctx  context.Context
	used int
	most int
}

// NewEffort is an effort of so many steps at most, for somebody who may leave.
func NewEffort(ctx context.Context, most int) *Effort { return &Effort{ctx: ctx, most: most} }

// Share is how many steps the next search may use, at most so many.
func (e *Effort) Share(most int) int { return max(0, min(most, e.most-e.used)) }

// Left is all that may still be used, Used what was, and Use takes some of it.
func (e *Effort) Left() int     { return e.Share(e.most) }
func (e *Effort) Used() int     { return e.used }
func (e *Effort) Use(steps int) { e.used += steps }

// Unwanted reports that nobody waits for the answer any more, Err why.
func (e *Effort) Unwanted() bool { return e.ctx.Err() != nil }
func (e *Effort) Err() error     { return e.ctx.Err() }

// Yield is how many pieces of one size a sheet gives.
func (e *Effort) Yield(s Sheet, p Piece) int {
	n, used := Most(s, p, e.Share(YieldSteps))
	e.used += used
	return n
}

// Search looks for a plan of an order in so many steps at most.
func (e *Effort) Search(o Order, most int, tell func(Progress)) Plan {
	p := Search(e.ctx, o, e.Share(most), tell)
	e.used += p.Searched
	return p
}
