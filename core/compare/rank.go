package compare

import (
	"cmp"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// Sort is what matters to the maker when constructions are compared.
func (m Maker) Sort() job.CompareSort {
	if s := m.Job().Envelope.Sort; slices.Contains([]job.CompareSort{job.Quickest, job.Neatest, job.Cheapest}, s) {
		return s
	}
	return job.LeastPaper
}

// PaperUsed is the paper that goes into a construction, in square inches; for a
// bought envelope what it was made of, for one that lies on the shelf and is taken whole
// none.
func (c Candidate) PaperUsed() float64 {
	switch {
	case c.Kind.Whole && c.Made.From.Owned:
		return 0
	case c.Kind.Bought:
		return c.Made.Net.Sheet.Area() / (25.4 * 25.4)
	}
	return c.Made.SheetWidth.Inches() * c.Made.SheetHeight.Inches()
}

// Work counts cuts and folds.
func (c Candidate) Work() int { return c.Made.Cuts + c.Made.Folds }

// spoiling are the faults that keep a maker from an envelope.
var spoiling = []blank.FaultID{blank.SeamUnderAdhesive, blank.SeamRounded, blank.OpenBack, blank.TabsMeet, blank.FlapTooLong}

// Sound reports whether nothing is wrong with a construction that would keep a
// maker from it.
func (m Maker) Sound(c Candidate) bool {
	if !c.OK || c.Refused != nil || !c.Found || c.Mail.Refused() || c.Made.Way().EaseLeft().Usual < 0 {
		return false
	}
	if m.Holding(c) == UsuallyFails {
		return false
	}
	if !c.Strip && max(c.Made.EaseWidth, c.Made.EaseHeight) > max(m.Job().Envelope.Ease, envelope.LooseUpTo) {
		return false // the card rattles in it
	}
	for _, f := range c.Made.Faults {
		if slices.Contains(spoiling, f.ID) {
			return false
		}
	}
	if c.Kind.Whole && c.Fit.Verdict != envelope.Right && c.Fit.Verdict != envelope.Snug {
		return false
	}
	// A card too thick for single creases wants walls.
	return c.Made.Depth > 0 || m.Thick().Used <= measure.Inch/4
}

// Hold is how surely there is room for an adhesive.
type Hold int

// The holds, from the surest on.
const (
	Holds        Hold = iota
	FailsAtWorst      // only where every cut and score is off the wrong way
	MadeUnder         // it is made a little narrower than its adhesive, so that this shows
	UsuallyFails
)

// Holding is how surely the seams take their adhesive. A seam that is made as wide as that holds, however little it
// is off: the adhesive lies on it as it was asked for.
func (m Maker) Holding(c Candidate) Hold {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	switch made := c.Made; {
	case c.Kind.Whole || made.Seam == a.Width:
		return Holds
	case made.Seam < a.Width && !made.Faulty(blank.SeamUnderAdhesive) && !made.Faulty(blank.SeamRounded):
		return MadeUnder
	default:
		return m.hold(made.Way().SeamLeft())
	}
}

// Closing is how surely the closing flap takes the adhesive, where that is reckoned and not a fault already.
func (m Maker) Closing(c Candidate) Hold {
	left, ok := c.Made.Way().OverlapLeft()
	if !ok || c.Kind.Whole || c.Made.Faulty(blank.FlapShort) {
		return Holds
	}
	return m.hold(left)
}

func (m Maker) hold(left blank.Left) Hold {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	switch {
	case left.Usual < a.Width:
		return UsuallyFails
	case left.Worst < a.Width:
		return FailsAtWorst
	}
	return Holds
}

// Surely is how many of them serve even when all is off.
func (m Maker) Surely(list []Candidate) (n int) {
	for _, c := range list {
		if m.Sound(c) && m.HoldsAtWorst(c) {
			n++
		}
	}
	return n
}

// HoldsAtWorst reports whether the card goes in and the seams hold even when all is off.
func (m Maker) HoldsAtWorst(c Candidate) bool {
	if !c.OK {
		return false
	}
	return c.Made.Way().EaseLeft().Worst >= 0 && m.Holding(c) == Holds && m.Closing(c) == Holds
}

// Serving is how many of them serve.
func (m Maker) Serving(list []Candidate) (n int) {
	for _, c := range list {
		if m.Sound(c) {
			n++
		}
	}
	return n
}

// Order sorts constructions: those that serve first, then by what matters.
func (m Maker) Order(list []Candidate) []Candidate {
	sorted := slices.Clone(list)
	key := func(c Candidate) float64 {
		switch m.Sort() {
		case job.Quickest:
			return float64(c.Work())
		case job.Neatest:
			return float64(len(c.Made.Faults))*1e6 + c.Made.Folded.Hole + float64(c.Made.Folded.Layers)
		case job.Cheapest:
			return float64(c.Mail.Rank)*1e6 + c.PaperUsed()
		}
		return c.PaperUsed()
	}
	slices.SortStableFunc(sorted, func(a, b Candidate) int {
		no := map[bool]int{true: 0, false: 1}
		return cmp.Or(cmp.Compare(no[m.Sound(a)], no[m.Sound(b)]), cmp.Compare(no[a.OK], no[b.OK]), cmp.Compare(no[m.HoldsAtWorst(a)], no[m.HoldsAtWorst(b)]), cmp.Compare(key(a), key(b)))
	})
	return sorted
}
