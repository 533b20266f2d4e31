package recipe

import (
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// square is the note's square as its scores lie, with what the guide reads at the sheet's
// corner taken off.
func (r Recipe) square(corner measure.Length) blank.Recipe {
	return *compare.NotedFor(r.Piece, r.note, corner).Square
}

// pocket is the note's pocket, each score from the edge next to it.
func (r Recipe) pocket() blank.PocketRecipe { return *compare.NotedFor(r.Piece, r.note, 0).Pocket }

// box is the note's box.
func (r Recipe) box(corner measure.Length) blank.BoxRecipe {
	return *compare.NotedFor(r.Piece, r.note, corner).Box
}

// claimed is what the note says that it is for.
func (r Recipe) claimed() compare.Sized { return compare.Claimed(r.Piece, r.note) }

// claimEase is how much roomier than what it is for an envelope may be meant.
const claimEase = measure.Inch / 2

// Offset is what the board of a note is found to read at the sheet's corner, since at zero
// its scores do not give what it says that it is for.
type Offset struct {
	// Low to High are the readings that do, in ticks; At is the one that leaves the ease
	// nearest to a quarter inch.
	Low, High, At measure.Length
	// Apart is set where the two pairs of scores have nothing in common: then the tighter
	// pair counts, and Roomier is the ease that the other one leaves.
	Apart   bool
	Roomier measure.Length
	// Open is set where a seam stays open even so: no offset explains the note.
	Open bool
}

// Offset is the offset that the note's board implies; false where the note does not say
// what it is for, gives that as it is, or its form shows no offset.
func (r Recipe) Offset() (Offset, bool) {
	n := r.note
	if n.ClaimWidth == 0 || n.Corner != 0 || n.Form != job.CornersRecipe && n.Form != job.BoxRecipe {
		return Offset{}, false
	}
	diag := float64(n.Side1+n.Side2) / math.Sqrt2
	sides, ends := n.Left+n.Right, n.Top+n.Bottom
	depth := measure.Length(0)
	if n.Form == job.BoxRecipe {
		sides, ends, depth = 2*n.Right, 2*n.Bottom, n.Right-n.Left
		diag = float64(2*n.Side1) / math.Sqrt2
	}
	size := r.claimed()
	room := func(l measure.Length) (low, high measure.Length) {
		switch n.For() {
		case job.ForCard:
			return l + max(0, size.Thick-depth), l + max(0, size.Thick-depth) + claimEase
		}
		return l - r.Style().Tick, l + r.Style().Tick // its own size
	}
	// The corner's reading that makes a pair of scores so far apart: less apart, more to
	// read.
	reads := func(both, apart measure.Length) float64 { return (float64(both) + float64(apart) - diag) / 2 }
	type pair struct {
		both      measure.Length
		low, high float64
		claim     measure.Length
	}
	try := func(w, h measure.Length) (a, b pair) {
		lw, hw := room(w)
		lh, hh := room(h)
		return pair{sides, reads(sides, lw), reads(sides, hw), w}, pair{ends, reads(ends, lh), reads(ends, hh), h}
	}
	a, b := try(size.Width, size.Height)
	meet := func(a, b pair) (low, high float64) { return math.Max(a.low, b.low), math.Min(a.high, b.high) }
	if low, high := meet(a, b); low > high { // turned?
		c, d := try(size.Height, size.Width)
		if l, h := meet(c, d); l <= h {
			a, b = c, d
		}
	}
	o := Offset{}
	low, high := meet(a, b)
	tight, other := a, b
	if b.low > a.low {
		tight, other = b, a
	}
	if low > high {
		o.Apart, low, high = true, tight.low, tight.high
	}
	if low <= 0 && high >= 0 {
		return Offset{}, false // as it is
	}
	// A seam closes up to some reading.
	most := r.closesUpTo()
	if o.Open = low > most; o.Open {
		return o, true
	}
	tick := r.Style().Tick
	o.Low, o.High = measure.Round(low).Near(tick), measure.Round(high).Near(tick)
	if most < high { // what opens a seam is no answer
		o.High = measure.Round(most).Down(tick)
		o.Low = min(o.Low, o.High)
	}
	ease := func(at measure.Length, p pair) measure.Length {
		return measure.Round(diag) - p.both + 2*at - p.claim - max(0, size.Thick-depth)
	}
	want := measure.Inch / 4
	if n.For() != job.ForCard {
		want = 0
	}
	o.At = o.Low
	for at := o.Low; at <= o.High; at += tick {
		if (ease(at, tight) - want).Abs() < (ease(o.At, tight) - want).Abs() {
			o.At = at
		}
	}
	o.Roomier = ease(o.At, other)
	return o, true
}

// closesUpTo is the greatest reading at the corner with which every seam still closes.
func (r Recipe) closesUpTo() float64 {
	n := r.note
	if n.Form == job.BoxRecipe {
		// S = (w + h + 2d)/√2, with w and h from the floors' readings and d what the walls'
		// are less.
		return (float64(n.Left+n.Right+n.Top+n.Bottom) - float64(n.Side1)*math.Sqrt2) / 4
	}
	most := math.Inf(1)
	for _, s := range []struct{ a, b, edge measure.Length }{{n.Left, n.Top, n.Side1}, {n.Top, n.Right, n.Side2}, {n.Right, n.Bottom, n.Side1}, {n.Bottom, n.Left, n.Side2}} {
		most = math.Min(most, (float64(s.a+s.b)*math.Sqrt2-float64(s.edge))/(2*math.Sqrt2))
	}
	return most
}

// Longer is by how much a punched square comes out longer one way than the other, where its
// mark is so near to half the sheet that it is meant as a square; false where it is not.
func (r Recipe) Longer() (measure.Length, bool) {
	n := r.note
	off := 2*n.Left - n.Side1
	if n.Form != job.PunchRecipe || off == 0 || off.Abs() > 2*(measure.Inch/16) {
		return 0, false
	}
	return measure.Round(math.Sqrt2 * float64(off.Abs())), true
}
