package mail

import (
	"cmp"
	"math"
	"math/bits"
	"slices"
)

// Lump is the greatest rise of a part over any place of the face within a
// distance, in millimetres, and the part that rises.
func (r Relief) Lump(within float64) (rise float64, part int) {
	tops, _ := r.seen()
	// The highest first: what rises less than one that was found is not looked at.
	var places [MostParts]int
	order := places[:len(r.Parts)]
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(tops[b], tops[a]) })
	for _, i := range order {
		if tops[i]-r.Min <= rise {
			break
		}
		low := func(c *cell) bool { return tops[i]-c.height > rise }
		r.near(&r.Parts[i], within, low, func(c *cell) bool {
			rise, part = tops[i]-c.height, i
			return true
		})
	}
	return rise, part
}

// rises adds, for every part that rises more than a limit over a place of the face
// within a distance, the parts that stand on each other where it is highest.
func (r Relief) rises(within, limit float64, list []uint64) []uint64 {
	tops, chains := r.seen()
	for i := range r.Parts {
		if tops[i]-r.Min <= limit {
			continue
		}
		low := func(c *cell) bool { return tops[i]-c.height > limit }
		r.near(&r.Parts[i], within, low, func(*cell) bool {
			list = append(list, chains[i])
			return false
		})
	}
	return list
}

// seen are the heights of what of each part is seen from above, and the parts that
// stand on each other there.
func (r Relief) seen() (tops [MostParts]float64, chains [MostParts]uint64) {
	for _, c := range r.cells {
		if i := 63 - bits.LeadingZeros64(c.chain); i >= 0 && c.height > tops[i] {
			tops[i], chains[i] = c.height, c.chain
		}
	}
	return tops, chains
}

// near finds the low places of the face within a distance of a part, as long as it
// is told to go on.
func (r Relief) near(p *Part, within float64, low, found func(*cell) bool) {
	for _, s := range r.across {
		if s.from > p.X1+within || s.to < p.X0-within {
			continue
		}
		for _, run := range s.runs {
			if c := &r.cells[run.cell]; c.parts&1 != 0 && low(c) && p.far(s, run) <= within && !found(c) {
				return
			}
		}
	}
}

// far is how far a run of a strip lies from a part.
func (p *Part) far(s slab, n run) float64 {
	if !p.Disc {
		return math.Hypot(math.Max(0, math.Max(s.from-p.X1, p.X0-s.to)), math.Max(0, math.Max(n.from-p.Y1, p.Y0-n.to)))
	}
	cx, cy, r := (p.X0+p.X1)/2, (p.Y0+p.Y1)/2, (p.X1-p.X0)/2
	x, y := math.Min(s.to, math.Max(s.from, cx)), math.Min(n.to, math.Max(n.from, cy))
	return math.Max(0, math.Hypot(x-cx, y-cy)-r)
}

// beside reports whether a cell lies outside a box since a disc that it is part of does: a strip of the
// face counts as wide as the disc is in its middle.
func (r Relief) beside(c *cell, x0, y0, x1, y1 float64) bool {
	for i := range r.Parts {
		p := &r.Parts[i]
		if !p.Disc || c.parts&(1<<i) == 0 {
			continue
		}
		cx, cy, radius := (p.X0+p.X1)/2, (p.Y0+p.Y1)/2, (p.X1-p.X0)/2
		if math.Hypot(cx-math.Min(x1, math.Max(x0, cx)), cy-math.Min(y1, math.Max(y0, cy))) >= radius-touch {
			return true
		}
	}
	return false
}

// Uneven is the greatest height less the least of what lies in a box, for
// instance an inch in from the edges of an envelope; outside the card it is
// nothing high.
func (r Relief) Uneven(x0, y0, x1, y1 float64) float64 {
	low, high := math.Inf(1), 0.0
	if f := r.Parts[0]; x0 < f.X0-touch || y0 < f.Y0-touch || x1 > f.X1+touch || y1 > f.Y1+touch {
		low = 0
	}
	for _, s := range r.across {
		if s.to <= x0+touch || s.from >= x1-touch {
			continue
		}
		for _, n := range s.runs {
			if n.to > y0+touch && n.from < y1-touch {
				h := r.cells[n.cell].height
				if r.beside(&r.cells[n.cell], x0, y0, x1, y1) {
					continue // the place is of the box round a disc that itself lies beside it
				}
				low, high = math.Min(low, h), math.Max(high, h)
			}
		}
	}
	if high == 0 {
		return 0
	}
	return high - low
}
