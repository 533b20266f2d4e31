package envelope

import (
	"cmp"
	"slices"

	"yellowparcel/core/measure"
)

// Verdict says in the trade's words how a card sits in an envelope.
type Verdict string

// The verdicts, tightest first.
const (
	DoesNotFit Verdict = "does not fit"
	TooTight   Verdict = "too tight"
	Snug       Verdict = "snug"
	Right      Verdict = "right"
	Loose      Verdict = "loose"
	Rattles    Verdict = "rattles"
)

// Verdicts lists the verdicts, tightest first.
func Verdicts() []Verdict { return []Verdict{DoesNotFit, TooTight, Snug, Right, Loose, Rattles} }

var order = map[Verdict]int{DoesNotFit: 0, TooTight: 1, Snug: 2, Right: 3, Loose: 4, Rattles: 5}

// The limits of the ease, total over both sides.
const (
	snugFrom    = measure.Inch / 16
	rightFrom   = measure.Inch / 8
	rightUpTo   = 3 * measure.Inch / 8
	plainLayers = measure.Inch / 16
)

// LooseUpTo is the ease up to which a card is loose; beyond it rattles.
const LooseUpTo = 3 * measure.Inch / 4

// Card is what goes in: the finished size over all that sticks out, and the
// thickness over everything.
type Card struct {
	Width, Height, Thickness measure.Length
	// Takes is how much room the thickness takes in width and height; nil counts
	// it as a block that runs to the edges, the safe upper bound.
	Takes *Size
}

// Room is what the thickness takes of an envelope's width and height.
func (c Card) Room() Size {
	if c.Takes != nil {
		return *c.Takes
	}
	return Size{c.Thickness, c.Thickness}
}

// Fit is how one card sits in one envelope.
type Fit struct {
	Format Format
	// Turned is set when the card goes in a quarter turn round.
	Turned bool
	// EaseWidth and EaseHeight are the extra room along the card's own width
	// and height, total over both sides; the room that thickness takes is off. Negative means too small by that much.
	EaseWidth, EaseHeight measure.Length
	Verdict               Verdict
}

// ShortBy is how much the envelope lacks in its worse dimension, or zero.
func (f Fit) ShortBy() measure.Length { return max(0, -min(f.EaseWidth, f.EaseHeight)) }

// FitCard judges a card in a folded paper envelope of the given caliper, in
// the better of the two orientations. The interior is the outer size less
// twice the caliper.
func FitCard(f Format, c Card, caliper measure.Length) Fit {
	upright := fitAs(f, c, caliper, false)
	if turned := fitAs(f, c, caliper, true); turned.better(upright) {
		return turned
	}
	return upright
}

func fitAs(f Format, c Card, caliper measure.Length, turned bool) Fit {
	w, h := f.Width-2*caliper, f.Height-2*caliper
	if turned {
		w, h = h, w
	}
	t := c.Room()
	fit := Fit{Format: f, Turned: turned, EaseWidth: w - c.Width - t.Width, EaseHeight: h - c.Height - t.Height}
	allow := measure.Length(0)
	if c.Thickness < plainLayers && f.soldFor(c) {
		// The trade's own pairs count the card and the envelope as flat.
		allow = c.Thickness + 2*caliper
	}
	fit.Verdict = together(judge(fit.EaseWidth, allow), judge(fit.EaseHeight, allow))
	return fit
}

// Sits names how a card sits that has so much room, total over both sides.
func Sits(easeWidth, easeHeight measure.Length) Verdict {
	return together(judge(easeWidth, 0), judge(easeHeight, 0))
}

func (f Format) soldFor(c Card) bool {
	for _, s := range f.Cards {
		if (s == Size{max(c.Width, c.Height), min(c.Width, c.Height)}) {
			return true
		}
	}
	return false
}

// judge names one ease; allow comes off the limits of snug.
func judge(ease, allow measure.Length) Verdict {
	switch {
	case ease < 0:
		return DoesNotFit
	case ease < snugFrom-allow:
		return TooTight
	case ease < rightFrom-allow:
		return Snug
	case ease <= rightUpTo:
		return Right
	case ease <= LooseUpTo:
		return Loose
	}
	return Rattles
}

// together joins the verdicts of the two dimensions: the tighter if either is
// snug or worse, else the looser.
func together(a, b Verdict) Verdict {
	if order[a] > order[b] {
		a, b = b, a
	}
	if order[a] <= order[Snug] {
		return a
	}
	return b
}

// rank orders verdicts by how glad a maker is of them.
// One that rattles still carries the card; one that is too tight may not take it.
var rank = map[Verdict]int{Right: 0, Snug: 1, Loose: 2, Rattles: 3, TooTight: 4, DoesNotFit: 5}

// better reports whether a maker would rather have f.
func (f Fit) better(g Fit) bool {
	less := f.EaseWidth + f.EaseHeight - g.EaseWidth - g.EaseHeight
	if f.Verdict == DoesNotFit {
		less = f.ShortBy() - g.ShortBy()
	}
	// Both ways round the same room is left: it lies where that is more even, however it was typed.
	uneven := func(f Fit) measure.Length { return (f.EaseWidth - f.EaseHeight).Abs() }
	return cmp.Or(cmp.Compare(rank[f.Verdict], rank[g.Verdict]), cmp.Compare(less, 0), cmp.Compare(uneven(f), uneven(g))) < 0
}

// Rank judges the card in every format: best verdict first, then the ease
// nearest to the wished one, then those that are owned before those to be
// bought, then the order of the list.
func Rank(list []Format, c Card, caliper, wished measure.Length) []Fit {
	fits := make([]Fit, len(list))
	for i, f := range list {
		fits[i] = FitCard(f, c, caliper)
	}
	slices.SortStableFunc(fits, func(a, b Fit) int {
		owned := map[bool]int{true: 0, false: 1}
		return cmp.Or(cmp.Compare(rank[a.Verdict], rank[b.Verdict]), cmp.Compare(a.off(wished), b.off(wished)), cmp.Compare(owned[a.Format.Owned], owned[b.Format.Owned]))
	})
	return fits
}

// off is how far the two eases are from the wished one; for a card that does
// not fit, by how much it is short.
func (f Fit) off(wished measure.Length) measure.Length {
	if f.Verdict == DoesNotFit {
		return f.ShortBy()
	}
	return (f.EaseWidth - wished).Abs() + (f.EaseHeight - wished).Abs()
}
