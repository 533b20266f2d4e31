package recipe

import (
	"math"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// FaultID names what is wrong with a note that makes an envelope.
type FaultID string

// The faults, each with the lengths that say so: A, B and C.
const (
	OffCentre   FaultID = "centre" // A what the guide would have to read at the corner
	NarrowSeam  FaultID = "seam"   // A the seam, B the adhesive, C what two scores go further in
	OffMiddle   FaultID = "middle" // A by how much the front lies off the sheet's middle
	LowWalls    FaultID = "walls"  // A the walls, B the card's thickness
	TightSides  FaultID = "sides"  // A what is missing, B what the scores go nearer to their corners
	TightEnds   FaultID = "ends"   // the same of top and bottom
	LongFlap    FaultID = "flap"   // a flap sticks out
	TightAcross FaultID = "across" // of a pocket: A what is missing, B what the tabs' scores go nearer
	TightDown   FaultID = "down"   // the same of flap and back
	NarrowTab   FaultID = "tab"    // A the tab, B the adhesive
	TabsDiffer  FaultID = "differ" // A the left tab, B the right one, C how far off the middle that is
	TabsMeet    FaultID = "meet"   // A both tabs, B the width
	HighBack    FaultID = "back"   // A what it stands over the front, B the front
	ShortFlap   FaultID = "short"  // A what the flap covers, B what the adhesive wants, C the flap for it
	FlapOver    FaultID = "long"   // A the flap, B the front
)

// FaultIDs lists the faults.
func FaultIDs() []FaultID {
	return []FaultID{OffCentre, OffMiddle, LowWalls, NarrowSeam, TightSides, TightEnds, LongFlap, TightAcross, TightDown, NarrowTab, TabsDiffer, TabsMeet, HighBack, ShortFlap, FlapOver}
}

// Fault is one thing that is wrong with a note.
type Fault struct {
	ID      FaultID
	A, B, C measure.Length
}

// flapClear is what a pocket's flap covers beyond its adhesive.
const flapClear = measure.Inch / 8

// Faults is what is wrong with a reading of the note, and by how much which number is
// to be changed.
func (r Recipe) Faults(of Reading) (list []Fault) {
	tell := func(id FaultID, lengths ...measure.Length) {
		f := Fault{ID: id}
		for i, at := range []*measure.Length{&f.A, &f.B, &f.C}[:len(lengths)] {
			*at = lengths[i]
		}
		list = append(list, f)
	}
	nearer := func(ease measure.Length) measure.Length { return (r.Job().Envelope.Ease - ease).Up(r.Style().Tick) }
	glue := r.adhesive()
	if r.note.Form == job.BoxRecipe {
		if of.Depth < r.Thick().Used {
			tell(LowWalls, of.Depth, r.Thick().Used)
		}
	}
	if front, ok := r.OffMiddle(of); ok {
		tell(OffMiddle, front)
	}
	if !r.Form().Pocket {
		if of.As == AtCorner && r.note.Form == job.PairRecipe && r.note.Corner == 0 {
			tell(OffCentre, of.Corner)
		}
		if of.Seam < glue {
			// Every score lengthens two seams by √2 of what it grows; the sheet by what
			// it grows takes as much off.
			tell(NarrowSeam, of.Seam, glue, measure.Round(float64(glue-of.Seam)/math.Sqrt2).Up(r.Style().Tick))
		}
		if of.EaseWidth < 0 {
			tell(TightSides, -of.EaseWidth, nearer(of.EaseWidth))
		}
		if of.EaseHeight < 0 {
			tell(TightEnds, -of.EaseHeight, nearer(of.EaseHeight))
		}
		if of.overhang > smallHole {
			tell(LongFlap)
		}
		return list
	}
	p := r.pocket()
	overlap := of.Seams[2]
	if of.EaseWidth < 0 {
		tell(TightAcross, -of.EaseWidth, nearer(of.EaseWidth))
	}
	if of.EaseHeight < 0 {
		tell(TightDown, -of.EaseHeight, nearer(of.EaseHeight))
	}
	if of.Seam < glue {
		tell(NarrowTab, of.Seam, glue)
	}
	if p.Left != p.Right {
		tell(TabsDiffer, p.Left, p.Right, (p.Left-p.Right).Abs()/2)
	}
	if p.Left+p.Right > of.Width {
		tell(TabsMeet, p.Left+p.Right, of.Width)
	}
	if of.Gap < 0 {
		tell(HighBack, -of.Gap, of.Height)
	}
	if want := glue + flapClear; overlap < want {
		tell(ShortFlap, overlap, want, max(0, of.Gap)+want)
	}
	if p.Flap > of.Height {
		tell(FlapOver, p.Flap, of.Height)
	}
	return list
}

// OffMiddle is by how much the front lies off the middle of a sheet that is scored from its
// own corners: that moves one edge's seam by as much as the other.
func (r Recipe) OffMiddle(of Reading) (measure.Length, bool) {
	if r.note.Form != job.CornersRecipe && (r.note.Form != job.PairRecipe || of.As != AtZero) {
		return 0, false
	}
	b := r.square(of.Corner)
	off := max((b.Left-b.Right).Abs(), (b.Top-b.Bottom).Abs()) / 2
	if r.note.Form == job.PairRecipe {
		sides, ends := b.Centring()
		off = max(sides.Abs(), ends.Abs())
	}
	return off, off > r.Style().Tick/2
}
