package mail

import (
	"cmp"
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
	// Nodes is how many sets were looked at.
	Nodes int
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
// go. So the sets are searched by their size, branching over the shortest such
// chain; chains with no part in common need one each, and a set is tried once.
func (r Relief) LeaveOff(a Allowed) (Removal, bool) { return r.LeaveOffIn(a, mostNodes) }

// LeaveOffIn is LeaveOff looking at no more than so many sets; where they do not
// suffice, something that does is proposed and not proven to be the least.
func (r Relief) LeaveOffIn(a Allowed, most int) (Removal, bool) {
	s := search{r: &Relief{Parts: r.Parts, cells: slices.Clone(r.cells), on: r.on, across: r.across, down: r.down}, Allowed: a, most: min(most, mostNodes)}
	weight := 0.0
	for i, p := range r.Parts {
		if p.Free {
			s.free |= 1 << i
			s.heavy = append(s.heavy, i)
		}
		weight += p.Grams
		s.areas = append(s.areas, r.covered(1<<i))
	}
	slices.SortStableFunc(s.heavy, func(a, b int) int { return cmp.Compare(r.Parts[b].Grams, r.Parts[a].Grams) })
	if len(s.heavy) > manyFree {
		s.most = min(most, mostNodesMany)
	}
	for size := range len(s.heavy) + 1 {
		s.try(allParts, 0, weight, 0, size)
		if s.found {
			// Every smaller size was searched through.
			return Removal{Parts: set(^s.best & s.free), Area: s.area, Proven: true, Nodes: s.nodes}, true
		}
		if s.nodes > s.most {
			return r.greedy(&s, weight)
		}
	}
	return Removal{Nodes: s.nodes}, false
}

type search struct {
	Allowed
	r           *Relief
	free        uint64
	heavy       []int     // free parts, heaviest first
	areas       []float64 // what each part covers
	nodes, most int
	found       bool
	best        uint64 // kept
	area        float64
	chains      []uint64 // those of the card as it is laid
}

// high are the sets of parts, each once, of which one has to go, since the card as
// it is laid is too thick or rises too much where they stand on each other; none
// when it does not.
func (s *search) high() []uint64 {
	s.chains = s.chains[:0]
	if s.r.Max > s.Thick+slack {
		for i := range s.r.cells {
			if c := &s.r.cells[i]; c.height > s.Thick+slack {
				s.chains = append(s.chains, c.chain)
			}
		}
	}
	if !math.IsInf(s.Rise, 1) {
		s.nodes += lumpNodes
		s.chains = s.r.rises(s.Within, s.Rise+slack, s.chains)
	}
	slices.Sort(s.chains)
	s.chains = slices.Compact(s.chains)
	return s.chains
}

// slack forgives what rounding adds, in millimetres and grams.
const slack = 1e-9

// try leaves off up to size parts more of those kept, none of those fixed.
func (s *search) try(kept, fixed uint64, weight, area float64, size int) {
	if s.nodes++; s.nodes > s.most || s.found && area >= s.area {
		return
	}
	s.r.lay(kept)
	loose := s.free & kept &^ fixed
	chains := s.high()
	if len(chains) == 0 && weight <= s.Grams+slack {
		s.found, s.best, s.area = true, kept, area
		return
	}
	for i := range chains {
		if chains[i] &= loose; chains[i] == 0 {
			return // nothing may go there
		}
	}
	slices.SortFunc(chains, func(a, b uint64) int {
		return cmp.Or(cmp.Compare(bits.OnesCount64(a), bits.OnesCount64(b)), cmp.Compare(a, b))
	})
	least, taken := 0, uint64(0)
	for _, c := range chains {
		if c&taken == 0 {
			least, taken = least+1, taken|c
		}
	}
	// The heaviest ones bring most: if they do not do, nothing does.
	left, need := weight, size
	for _, i := range s.heavy {
		if loose&(1<<i) != 0 && need > 0 {
			left -= s.r.Parts[i].Grams
			need--
		}
	}
	if size == 0 || least > size || left > s.Grams+slack {
		return
	}
	branch := loose
	if len(chains) > 0 {
		branch = chains[0]
	}
	for _, i := range s.heavy {
		if branch&(1<<i) != 0 {
			s.try(kept&^(1<<i), fixed, weight-s.r.Parts[i].Grams, area+s.areas[i], size-1)
			fixed |= 1 << i // sets with it were all tried
		}
	}
}

// greedy is what is done when the search would take too long: one part after
// the other of those that stand highest, then the heaviest.
func (r Relief) greedy(s *search, weight float64) (Removal, bool) {
	kept := allParts
	for {
		s.r.lay(kept)
		high := uint64(0)
		for _, c := range s.high() {
			high |= c
		}
		if high == 0 && weight <= s.Grams+slack {
			return Removal{Parts: set(^kept & s.free), Area: s.r.covered(^kept), Nodes: s.nodes}, true
		}
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
		if worst < 0 {
			return Removal{Nodes: s.nodes}, false
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
