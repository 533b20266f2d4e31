package cutting

import (
	"cmp"
	"math/rand/v2"
	"slices"

	"yellowparcel/core/measure"
)

// rule is one way of filling a sheet piece by piece.
type rule struct {
	// order ranks the lines of the order; the first is tried first.
	order []int
	// exact prefers pieces that fill a leaf from edge to edge.
	exact bool
	// split chooses which cut comes first where both are possible.
	split splitRule
}

type splitRule int

const (
	longerRest splitRule = iota // the larger of the two rests stays whole
	acrossRest                  // strips across
	downRest                    // strips down
	chanceRest
	splitRules // those of a search; the plain ways have two more

	smallerRest // the smaller of the two rests stays whole
	longerSide  // the cut lies along the shorter of what is left beside and below
)

// filler fills sheets of one order and counts its steps.
type filler struct {
	order  Order
	steps  int
	chance *rand.Rand
	// tired reports that a fill is to be given up; nil for one that is always
	// finished.
	tired func() bool
}

// givesUp reports whether there are no steps left to go on with.
func (f *filler) givesUp() bool { return f.tired != nil && f.tired() }

// choice is a piece in a leaf.
type choice struct {
	leaf   int // place in the list of leaves
	line   int
	turned bool
	slack  measure.Length
}

// blank is a sheet that nothing is cut from yet. Laying it out costs steps, and so
// does every piece.
func (f *filler) blank() pattern {
	f.steps += 40 + len(f.order.Pieces)
	return blankPattern(f.order.Sheet, len(f.order.Pieces))
}

// placing is what cutting one piece out costs in steps.
const placing = 8

// fill cuts as much as it can from one sheet, of what is left of the order.
func (f *filler) fill(left []int, r rule) pattern {
	p := f.blank()
	leaves := []int32{0}
	for len(leaves) > 0 && !f.givesUp() {
		c, ok := f.choose(&p, leaves, left, r)
		if !ok {
			break
		}
		piece := f.order.Pieces[c.line]
		w, h := piece.Width, piece.Height
		if c.turned {
			w, h = h, w
		}
		f.steps += placing
		at := leaves[c.leaf]
		leaves[c.leaf] = leaves[len(leaves)-1]
		leaves = leaves[:len(leaves)-1]
		leaves = append(leaves, p.put(at, c.line, w, h, c.turned, f.acrossBefore(p.nodes[at].Rect, w, h, r))...)
	}
	return p
}

// choose takes the first line that goes into any leaf, in the leaf that it fits
// best; with exact, any line that fills a leaf from edge to edge goes before.
func (f *filler) choose(p *pattern, leaves []int32, left []int, r rule) (choice, bool) {
	var best choice
	found := false
	for _, line := range r.order {
		if left[line] <= p.used[line] {
			continue
		}
		piece := f.order.Pieces[line]
		for i, at := range leaves {
			leaf := p.nodes[at].Rect
			for _, turned := range [2]bool{false, true} {
				w, h := piece.Width, piece.Height
				if turned {
					if !piece.Turn || w == h {
						break
					}
					w, h = h, w
				}
				f.steps++
				if w > leaf.Width || h > leaf.Height || f.order.Sheet.splits(leaf.Width, leaf.Height, w, h) == 0 {
					continue
				}
				slack := min(leaf.Width-w, leaf.Height-h)
				if r.exact && slack > 0 && (found && best.slack == 0) {
					continue
				}
				if !found || slack < best.slack {
					best, found = choice{i, line, turned, slack}, true
				}
			}
		}
		if found && (!r.exact || best.slack == 0) {
			break
		}
	}
	if found && r.exact && best.slack > 0 {
		// Nothing fills a leaf: fall back to the order of the lines.
		plain := r
		plain.exact = false
		return f.choose(p, leaves, left, plain)
	}
	return best, found
}

func (f *filler) acrossBefore(leaf Rect, w, h measure.Length, r rule) bool {
	switch f.order.Sheet.splits(leaf.Width, leaf.Height, w, h) {
	case downFirst:
		return false
	case acrossFirst:
		return true
	}
	switch r.split {
	case acrossRest:
		return true
	case downRest:
		return false
	case chanceRest:
		return f.chance.IntN(2) == 0
	case longerSide:
		return leaf.Height-h > leaf.Width-w
	}
	// The rest below keeps the full width when the cut across comes first.
	below, beside := float64(leaf.Width)*float64(leaf.Height-h), float64(leaf.Width-w)*float64(leaf.Height)
	if r.split == smallerRest {
		return below <= beside
	}
	return below > beside
}

// sorts are the orders in which lines are tried to begin with.
var sorts = []func(a, b Piece) int{
	func(a, b Piece) int { return cmp.Compare(b.area(), a.area()) },
	func(a, b Piece) int { return cmp.Compare(max(b.Width, b.Height), max(a.Width, a.Height)) },
	func(a, b Piece) int { return cmp.Compare(b.Width, a.Width) },
	func(a, b Piece) int { return cmp.Compare(b.Height, a.Height) },
	func(a, b Piece) int { return cmp.Compare(b.Width+b.Height, a.Width+a.Height) },
	func(a, b Piece) int { return cmp.Compare(min(b.Width, b.Height), min(a.Width, a.Height)) },
}

func (f *filler) sorted(by func(a, b Piece) int) []int {
	order := make([]int, len(f.order.Pieces))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(i, j int) int { return by(f.order.Pieces[i], f.order.Pieces[j]) })
	return order
}

// shaken is an order of lines by area, each area weighted by chance.
func (f *filler) shaken(amount float64) []int {
	weight := make([]float64, len(f.order.Pieces))
	for i, p := range f.order.Pieces {
		weight[i] = p.area() * (1 + amount*f.chance.Float64())
	}
	order := f.sorted(func(Piece, Piece) int { return 0 })
	slices.SortStableFunc(order, func(i, j int) int { return cmp.Compare(weight[j], weight[i]) })
	return order
}

// all cuts everything that is left, sheet after sheet, each way of cutting as
// often as it goes.
func (f *filler) all(left []int, r rule) []repeated {
	return f.sheets(left, func(left []int) pattern { return f.fill(left, r) })
}

// sheets cuts everything that is left, sheet after sheet; nil when it was given
// up.
func (f *filler) sheets(left []int, fill func(left []int) pattern) []repeated {
	left = slices.Clone(left)
	var list []repeated
	for slices.Max(left) > 0 {
		p := fill(left)
		n := p.times(left)
		if n == 0 || f.givesUp() {
			return nil // nothing fits; the lines that never do are sorted out before
		}
		for i, u := range p.used {
			left[i] -= n * u
		}
		list = append(list, repeated{p, n})
	}
	return list
}
