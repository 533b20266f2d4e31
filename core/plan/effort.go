package plan

import (
	"context"

	"yellowparcel/core/cutting"
)

// planSteps is what all searches of one plan may use together, so that a plan
// answers while one types. A step is one look at whether something fits somewhere:
// some ten nanoseconds.
const planSteps = 1_000_000

// The shares of what looks for something beside the cutting: what each may use at
// most, however much is left. What they leave goes into the cutting.
const (
	itemSteps  = 300_000 // stamps, greeting and ribbon laid on the papers
	yieldSteps = 40_000  // what one sheet gives of one piece
	leaveSteps = 480_000 // things to leave off
	trySteps   = 40_000  // one sheet tried, before one is chosen
)

// nodeSteps is what looking at one set of things to leave off costs.
const nodeSteps = 40

// effort is what the searches of one plan have used and may still use. One
// goroutine at a time draws on it.
type effort struct {
	ctx  context.Context
	used int
	most int
}

func newEffort(ctx context.Context, most int) *effort { return &effort{ctx: ctx, most: most} }

// share is how many steps the next search may use, at most so many.
func (e *effort) share(most int) int { return max(0, min(most, e.most-e.used)) }

// left is all that may still be used.
func (e *effort) left() int { return e.share(e.most) }

// unwanted reports that nobody waits for the plan any more.
func (e *effort) unwanted() bool { return e.ctx.Err() != nil }

// yield is how many pieces of one size a sheet gives.
func (e *effort) yield(s cutting.Sheet, p cutting.Piece) int {
	n, used := cutting.Most(s, p, e.share(yieldSteps))
	e.used += used
	return n
}

// cut searches for a plan of an order in so many steps at most.
func (e *effort) cut(o cutting.Order, most int, tell func(cutting.Progress)) cutting.Plan {
	p := cutting.Search(e.ctx, o, e.share(most), tell)
	e.used += p.Searched
	return p
}
