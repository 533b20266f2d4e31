package cutting

import (
	"math"
	"slices"

	"yellowparcel/core/measure"
)

// fitRule says how well a piece fits into a free rectangle: the less, the better.
type fitRule func(leaf Rect, w, h measure.Length) float64

// The ways of choosing among the free rectangles of all sheets.
func smallest(leaf Rect, _, _ measure.Length) float64 { return leaf.area() }
func tightest(leaf Rect, w, h measure.Length) float64 {
	return float64(min(leaf.Width-w, leaf.Height-h))
}
func closest(leaf Rect, w, h measure.Length) float64 {
	return float64(max(leaf.Width-w, leaf.Height-h))
}

// bestWays are the plain ways that look over all sheets begun, the one that saves most first: of 84 orders on
// which one of 288 plain ways beat a search, they left 7.
var bestWays = []struct {
	sort  int // place in sorts
	fit   fitRule
	split splitRule
}{
	{2, smallest, downRest}, {4, tightest, smallerRest}, {4, smallest, longerSide}, {4, closest, smallerRest},
	{3, smallest, acrossRest}, {0, smallest, longerSide}, {0, tightest, smallerRest}, {4, tightest, downRest}, {0, closest, acrossRest},
	{5, tightest, smallerRest}, {0, tightest, acrossRest}, {5, smallest, longerSide}, {2, closest, downRest}, {5, smallest, smallerRest}, {4, tightest, longerSide}, {0, closest, longerSide},
}

// Of orders of so many pieces at most every free rectangle is looked at for each, in so many steps together; more
// pieces are repeated sheet by sheet, where it gains little.
const (
	bestPieces = 300
	bestSteps  = 160_000
)

// pieces counts those that are wanted.
func (s *searcher) pieces() (n int) {
	for _, want := range s.want {
		n += want
	}
	return n
}

// open is a free rectangle of a sheet that was begun.
type open struct {
	sheet int
	leaf  int32
	rect  Rect
}

// looks is how many free rectangles are compared for one step.
const looks = 4

// bestFit cuts everything, lines in their order, every piece from the free rectangle of all sheets that it fits
// best; a new sheet only where none takes it. Nil where it would take more than so many steps in all.
func (f *filler) bestFit(want, order []int, fit fitRule, split splitRule, most int) []repeated {
	var sheets []pattern
	var free []open
	best := func(piece Piece) (at int, turned bool) {
		at, least := -1, math.Inf(1)
		f.steps += len(free)/looks + 1
		for i, o := range free {
			for _, turn := range [2]bool{false, true} {
				w, h := piece.Width, piece.Height
				if turn {
					if w, h = h, w; !piece.Turn || w == h {
						break
					}
				}
				if w > o.rect.Width || h > o.rect.Height {
					continue
				}
				if score := fit(o.rect, w, h); score < least && f.order.Sheet.lies(o.rect, w, h) {
					at, turned, least = i, turn, score
				}
			}
		}
		return at, turned
	}
	for _, line := range order {
		piece := f.order.Pieces[line]
		for range want[line] {
			at, turned := best(piece)
			if at < 0 {
				sheets = append(sheets, f.blank())
				free = append(free, open{sheet: len(sheets) - 1, rect: Rect{Width: f.order.Sheet.Width, Height: f.order.Sheet.Height}})
				at, turned = best(piece)
			}
			if at < 0 || f.steps > most {
				return nil
			}
			w, h := piece.Width, piece.Height
			if turned {
				w, h = h, w
			}
			f.steps += placing
			o := free[at]
			p := &sheets[o.sheet]
			free = slices.Delete(free, at, at+1)
			for _, leaf := range p.put(o.leaf, line, w, h, turned, f.acrossBefore(o.rect, w, h, rule{split: split})) {
				free = append(free, open{o.sheet, leaf, p.nodes[leaf].Rect})
			}
		}
	}
	list := make([]repeated, len(sheets))
	for i, p := range sheets {
		list[i] = repeated{p, 1}
	}
	return alike(list)
}

// alike counts sheets of the same cuts as one pattern.
func alike(list []repeated) (grouped []repeated) {
	for _, r := range list {
		if i := slices.IndexFunc(grouped, func(g repeated) bool { return slices.Equal(g.nodes, r.nodes) }); i >= 0 {
			grouped[i].n++
			continue
		}
		grouped = append(grouped, r)
	}
	return grouped
}
