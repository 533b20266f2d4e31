package cutting

import (
	"cmp"
	"slices"

	"yellowparcel/core/measure"
)

// Plain ways of packing cost next to nothing and are tried however few steps a
// search has, so that its plan never takes more sheets than any of them:
// the largest piece first, each into the first place that takes it. The places
// are what is free of a sheet, cut into two by each piece; or shelves, one above
// the other.

// plainSteps is what the plain ways may take together, whatever the budget, before
// the rest of them is left out: an order of dozens of sizes and thousands of pieces
// has the first of them alone, or half its budget's worth.
const plainSteps = 60_000

// plainest returns the plan of the plain way that takes the fewest sheets; of as
// many, the one that leaves the fullest and the emptiest ones.
func (s *searcher) plainest() []repeated {
	var best []repeated
	keep := func(list []repeated) {
		if list == nil {
			return
		}
		if best == nil || sheetsOf(list) < sheetsOf(best) || sheetsOf(list) == sheetsOf(best) && squares(list) > squares(best) {
			best = list
		}
	}
	most := max(plainSteps, s.budget/2)
	first := func(splits ...splitRule) {
		for _, by := range sorts {
			order := s.sorted(by)
			for _, split := range splits {
				if best == nil || s.steps <= most {
					keep(s.sheets(s.want, func(left []int) pattern { return s.firstFit(left, order, split) }))
				}
			}
		}
	}
	first(longerRest)
	before := s.steps
	for _, way := range bestWays { // of no use where it takes no sheet too many
		if s.single() < 0 && sheetsOf(best) > s.bound && s.pieces() <= bestPieces && s.steps-before < bestSteps {
			keep(s.bestFit(s.want, s.sorted(sorts[way.sort]), way.fit, way.split, before+bestSteps))
		}
	}
	most += s.steps - before
	first(acrossRest, downRest)
	for _, flat := range []bool{true, false} {
		for _, down := range []bool{false, true} {
			if s.steps > most {
				return best
			}
			lie := s.lying(flat)
			order := s.sorted(func(Piece, Piece) int { return 0 })
			slices.SortStableFunc(order, func(a, b int) int {
				if down {
					return cmp.Compare(lie[b].w, lie[a].w)
				}
				return cmp.Compare(lie[b].h, lie[a].h)
			})
			keep(s.sheets(s.want, func(left []int) pattern { return s.shelves(left, order, lie, down) }))
		}
	}
	if s.single() < 0 && sheetsOf(best) > s.bound {
		first(smallerRest, longerSide)
	}
	return best
}

// firstFit fills a sheet with the lines in their order, every piece into the
// first free rectangle that takes it.
func (f *filler) firstFit(left, order []int, split splitRule) pattern {
	p := f.blank()
	leaves := []int32{0}
	for _, line := range order {
		piece := f.order.Pieces[line]
		for from := 0; p.used[line] < left[line]; {
			at, turned := f.first(&p, leaves, from, piece)
			if at < 0 {
				break // what is free only gets smaller
			}
			w, h := piece.Width, piece.Height
			if turned {
				w, h = h, w
			}
			f.steps += placing
			leaf := leaves[at]
			rest := p.put(leaf, line, w, h, turned, f.acrossBefore(p.nodes[leaf].Rect, w, h, rule{split: split}))
			leaves = slices.Replace(leaves, at, at+1, rest...)
			from = at // no rectangle before took this piece
		}
	}
	return p
}

// first is the first free rectangle, from one on, that takes a piece; -1 for
// none.
func (f *filler) first(p *pattern, leaves []int32, from int, piece Piece) (at int, turned bool) {
	for i := from; i < len(leaves); i++ {
		r := p.nodes[leaves[i]].Rect
		f.steps++
		if f.order.Sheet.lies(r, piece.Width, piece.Height) {
			return i, false
		}
		if piece.Turn && f.order.Sheet.lies(r, piece.Height, piece.Width) {
			return i, true
		}
	}
	return -1, false
}

// lies reports whether a piece can be cut from the corner of a rectangle.
func (s Sheet) lies(r Rect, w, h measure.Length) bool {
	return w <= r.Width && h <= r.Height && s.splits(r.Width, r.Height, w, h) != 0
}

// lain is how a line's pieces lie on shelves.
type lain struct {
	w, h   measure.Length
	turned bool
}

// lying lays every line flat, or upright, where it may be turned and fits so.
func (f *filler) lying(flat bool) []lain {
	list := make([]lain, len(f.order.Pieces))
	for i, p := range f.order.Pieces {
		list[i] = lain{p.Width, p.Height, false}
		whole := Rect{Width: f.order.Sheet.Width, Height: f.order.Sheet.Height}
		as, turned := f.order.Sheet.lies(whole, p.Width, p.Height), p.Turn && f.order.Sheet.lies(whole, p.Height, p.Width)
		if turned && (!as || flat != (p.Width >= p.Height) && p.Width != p.Height) {
			list[i] = lain{p.Height, p.Width, true}
		}
	}
	return list
}

// shelves fills a sheet with shelves, across it or down: every piece goes on the
// first shelf that is deep enough and has room, else on a new one. What is free
// beside a piece on its shelf stays empty.
func (f *filler) shelves(left, order []int, lie []lain, down bool) pattern {
	p := f.blank()
	rest := []int32{0} // what no shelf is cut from yet; one leaf, or none
	var free []int32   // what is free of each shelf
	// put cuts a piece from a leaf and returns what is left along the cut that is
	// made first, and beyond.
	put := func(at int32, line int, acrossBefore bool) (below, beside []int32, ok bool) {
		l, r := lie[line], p.nodes[at].Rect
		f.steps++
		if !f.order.Sheet.lies(r, l.w, l.h) {
			return nil, nil, false
		}
		way := downFirst
		if acrossBefore {
			way = acrossFirst
		}
		if l.w < r.Width && l.h < r.Height && f.order.Sheet.splits(r.Width, r.Height, l.w, l.h)&way == 0 {
			return nil, nil, false
		}
		f.steps += placing
		for _, n := range p.put(at, line, l.w, l.h, l.turned, acrossBefore) {
			if p.nodes[n].Y > r.Y {
				below = append(below, n)
			} else {
				beside = append(beside, n)
			}
		}
		return below, beside, true
	}
	onShelf := func(line int) bool {
		for i, at := range free {
			if below, beside, ok := put(at, line, down); ok {
				along := beside
				if down {
					along = below
				}
				free = slices.Replace(free, i, i+1, along...)
				return true
			}
		}
		return false
	}
	onNewShelf := func(line int) bool {
		if len(rest) == 0 {
			return false
		}
		below, beside, ok := put(rest[0], line, !down)
		if !ok {
			return false
		}
		if down {
			below, beside = beside, below
		}
		rest, free = below, append(free, beside...)
		return true
	}
	for _, line := range order {
		for p.used[line] < left[line] && (onShelf(line) || onNewShelf(line)) {
			continue
		}
	}
	return p
}
