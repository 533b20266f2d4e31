package mail

import (
	"math"
	"math/bits"
	"slices"
)

// Removal is a set of parts to leave off.
type Removal struct {
	Parts []int
	// Area is what of the face they cover, in square millimetres.
	Area float64
	// Proven is set when no smaller set does.
	Proven bool
}

// mostNodes bounds the search for the smallest set; counted, not timed, so that
// the answer is always the same.
const (
	mostNodes     = 20_000
	mostNodesMany = 300 // with more than manyFree parts to choose from
	manyFree      = 20
	// lumpNodes is what looking for a rise counts as: it takes as many times as long.
	lumpNodes = 5
)

// Allowed is what a card may be at most: its thickness and the rise of a part
// within a distance in millimetres, its parts together in grams. What does not
// count is infinite.
type Allowed struct{ Thick, Grams, Rise, Within float64 }

// LeaveOff finds the smallest set of free parts without which the card is what is
// allowed; among sets of one size the one that covers least. It reports whether
// there is any.
//
// Where a card is too thick, or rises too much, the parts that stand on each other
// at that place keep it so as long as all of them are there: one of them has to
// go. So the sets are searched by their size, branching over those parts alone.
func (r Relief) LeaveOff(a Allowed) (Removal, bool) {
	s := search{r: &Relief{Parts: r.Parts, cells: slices.Clone(r.cells), on: r.on, across: r.across, down: r.down}, Allowed: a, most: mostNodes}
	free := 0
	for i, p := range r.Parts {
		if p.Free {
			s.free |= 1 << i
			free++
		}
		s.weight += p.Grams
		if p.Free {
			s.heavy = append(s.heavy, i)
		}
	}
	slices.SortStableFunc(s.heavy, func(a, b int) int {
		switch {
		case r.Parts[a].Grams > r.Parts[b].Grams:
			return -1
		case r.Parts[a].Grams < r.Parts[b].Grams:
			return 1
		}
		return 0
	})
	if free > manyFree {
		s.most = mostNodesMany
	}
	for size := range free + 1 {
		s.seen = map[uint64]bool{}
		s.try(allParts, s.weight, size)
		if s.found {
			// Every smaller size was searched through.
			return Removal{Parts: set(^s.best & s.free), Area: s.area, Proven: true}, true
		}
		if s.nodes > s.most {
			return r.greedy(&s)
		}
	}
	return Removal{}, false
}

type search struct {
	Allowed
	r           *Relief
	free        uint64
	heavy       []int // free parts, heaviest first
	weight      float64
	nodes, most int
	found       bool
	best        uint64 // kept
	area        float64
	seen        map[uint64]bool
}

// high are parts of which one has to go, since the card as it is laid is too thick
// or rises too much where they stand on each other; none when it does not.
func (s *search) high() (parts uint64) {
	if s.r.Max > s.Thick+slack {
		for _, i := range s.r.Chain {
			parts |= 1 << i
		}
		return parts
	}
	if math.IsInf(s.Rise, 1) {
		return 0
	}
	s.nodes += lumpNodes
	if rise, _, chain := s.r.lump(s.Within); rise > s.Rise+slack {
		return chain
	}
	return 0
}

// slack forgives what rounding adds, in millimetres and grams.
const slack = 1e-9

// try leaves off up to size parts more of those kept.
func (s *search) try(kept uint64, weight float64, size int) {
	if s.nodes++; s.nodes > s.most {
		return
	}
	if s.seen[kept] {
		return
	}
	s.seen[kept] = true
	s.r.lay(kept)
	branch := s.high()
	switch {
	case branch != 0:
	case weight > s.Grams+slack:
		// The heaviest ones bring most: if they do not do, nothing does.
		left, need := weight, size
		for _, i := range s.heavy {
			if kept&(1<<i) != 0 && need > 0 {
				left -= s.r.Parts[i].Grams
				need--
			}
		}
		if left > s.Grams+slack {
			return
		}
		branch = kept
	default:
		if area := s.r.covered(^kept); !s.found || area < s.area {
			s.found, s.best, s.area = true, kept, area
		}
		return
	}
	if size == 0 {
		return
	}
	for b := branch & s.free & kept; b != 0; b &= b - 1 {
		i := bits.TrailingZeros64(b)
		s.try(kept&^(1<<i), weight-s.r.Parts[i].Grams, size-1)
	}
}

// greedy is what is done when the search would take too long: one part after
// the other of those that stand highest, then the heaviest.
func (r Relief) greedy(s *search) (Removal, bool) {
	kept, weight := allParts, s.weight
	for {
		s.r.lay(kept)
		high := s.high()
		worst, gain := -1, -1.0
		for i, p := range r.Parts {
			if s.free&kept&(1<<i) == 0 {
				continue
			}
			g := p.Grams
			if high != 0 {
				if g = -1; high&(1<<i) != 0 {
					g = p.Caliper
				}
			}
			if g > gain {
				worst, gain = i, g
			}
		}
		if high == 0 && weight <= s.Grams+slack {
			return Removal{Parts: set(^kept & s.free), Area: s.r.covered(^kept)}, true
		}
		if worst < 0 {
			return Removal{}, false
		}
		kept &^= 1 << worst
		weight -= r.Parts[worst].Grams
	}
}

// covered is the area of some parts, in square millimetres.
func (r Relief) covered(parts uint64) (area float64) {
	for i, p := range r.Parts {
		if parts&(1<<i) == 0 {
			continue
		}
		a := (p.X1 - p.X0) * (p.Y1 - p.Y0)
		if p.Disc {
			a *= math.Pi / 4
		}
		area += a
	}
	return area
}

func set(parts uint64) (list []int) {
	for ; parts != 0; parts &= parts - 1 {
		list = append(list, bits.TrailingZeros64(parts))
	}
	return list
}

// Without is the greatest height when some parts are left off.
func (r Relief) Without(parts []int) float64 {
	kept := allParts
	for _, i := range parts {
		kept &^= 1 << i
	}
	less := Relief{Parts: r.Parts, cells: slices.Clone(r.cells), on: r.on}
	less.lay(kept)
	return less.Max
}
