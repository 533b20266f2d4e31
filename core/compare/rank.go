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
	if a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive); !c.Kind.Whole && c.Made.Way().SeamLeft().Usual < a.Width {
		return false // it usually fails
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

// holdsAtWorst reports whether the card goes in and the seams hold even when all is off.
func (m Maker) holdsAtWorst(c Candidate) bool {
	if !c.OK {
		return false
	}
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	w := c.Made.Way()
	return w.EaseLeft().Worst >= 0 && (c.Kind.Whole || w.SeamLeft().Worst >= a.Width)
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
		return cmp.Or(cmp.Compare(no[m.Sound(a)], no[m.Sound(b)]), cmp.Compare(no[a.OK], no[b.OK]), cmp.Compare(no[m.holdsAtWorst(a)], no[m.holdsAtWorst(b)]), cmp.Compare(key(a), key(b)))
	})
	return sorted
}
