// Package recipe works somebody's sheet and scores backwards: what envelope they make,
// whether the job's card goes in, what is wrong with them and which number to change,
// and the same recipe made for the card.
//
// It answers with IDs and lengths (nanometres); what is said of them is plan's. The
// formulas are those of docs/sums.md, "Recipes worked backwards".
//
//	readings, fault := recipe.In(m).Readings()
package recipe

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// Recipe is the note of a job; it must have one.
type Recipe struct {
	compare.Maker
	note job.Recipe // whole
}

// In is the recipe of a maker's job.
func In(m compare.Maker) Recipe { return Recipe{m, m.Job().Recipe.Whole()} }

// Form is what is known of the form that the note comes in.
func (r Recipe) Form() job.RecipeKind { return r.note.Form.Kind() }

// Missing are the labels of what is to be typed before anything can be said of it.
func (r Recipe) Missing() []string { return r.Job().Recipe.Missing() }

// As is a way to read a note.
type As string

// The ways.
const (
	AsWritten As = "written"
	AtZero    As = "zero"   // with the guide's corner at zero
	AtCorner  As = "corner" // with the guide's corner where its scores are centred
)

// Ways lists them.
func Ways() []As { return []As{AsWritten, AtZero, AtCorner} }

// Reading is one way to read a note, with the envelope that it makes.
type Reading struct {
	As As
	// Corner is what the guide reads at the sheet's corner.
	Corner measure.Length
	// Width and Height are the distances of the creases, EaseWidth and EaseHeight the
	// room that they leave for the card, the way round it fits better.
	Width, Height, EaseWidth, EaseHeight measure.Length
	// Depth is that of its walls; zero for none.
	Depth measure.Length
	// Seams are, of a square, those on the edges left-top, top-right, right-bottom and
	// bottom-left; of a pocket its two tabs and the flap over the back. Seam is the
	// narrowest that holds it together.
	Seams []measure.Length
	Seam  measure.Length
	// Gap is how much lower a pocket's back is than its front, Hole the area in mm² that
	// nothing covers of a square's back.
	Gap  measure.Length
	Hole float64
	// Closes is set when nothing of its back stays open, Suits when the card goes in as well.
	Closes, Suits bool
	Net           blank.Net

	overhang float64
}

// Ease is the tighter room for the card.
func (r Reading) Ease() measure.Length { return min(r.EaseWidth, r.EaseHeight) }

// smallHole is the area, in mm², from which a hole is one.
const smallHole = 1

// Readings are the ways to read the note: one, or two where its scores lie off the
// centre, or its board reads something else than zero at the corner; the better one last. A
// note that makes no envelope has none.
func (r Recipe) Readings() ([]Reading, blank.RecipeFault) {
	if r.Form().Pocket {
		return r.pocketReadings()
	}
	at := func(corner measure.Length) (Reading, blank.RecipeFault) {
		if r.note.Form == job.BoxRecipe {
			return r.boxReading(corner)
		}
		b := r.square(corner)
		if fault := b.Fault(); fault != blank.MakesOne {
			return Reading{}, fault
		}
		return r.reading(AsWritten, corner, b.Make(0, 0)), blank.MakesOne
	}
	first, fault := at(r.note.Corner)
	if fault != blank.MakesOne {
		return nil, fault
	}
	if r.note.Corner != 0 {
		first.As = AtCorner
		return []Reading{first}, blank.MakesOne
	}
	if o, ok := r.Offset(); ok && !o.Open {
		if found, fault := at(o.At); fault == blank.MakesOne {
			first.As, found.As = AtZero, AtCorner
			return []Reading{first, found}, blank.MakesOne
		}
	}
	if r.note.Form != job.PairRecipe {
		return []Reading{first}, blank.MakesOne
	}
	b := r.square(0)
	if sides, ends := b.Centring(); max(sides.Abs(), ends.Abs()) > r.Style().Tick {
		first.As = AtZero
		return []Reading{first, r.reading(AtCorner, -sides, b.Make(sides, ends))}, blank.MakesOne
	}
	return []Reading{first}, blank.MakesOne
}

func (r Recipe) reading(as As, corner measure.Length, made blank.RecipeResult) Reading {
	w, h := r.easeIn(made.Width, made.Height, 0)
	if r.note.Form == job.SquareRecipe && r.note.ClaimWidth == 0 {
		w, h = 0, 0 // folded round the very card
	}
	closes := made.Seam() > 0 && made.Folded.Hole < smallHole
	return Reading{
		As: as, Corner: corner, Width: made.Width, Height: made.Height, EaseWidth: w, EaseHeight: h, Seams: made.Seams[:], Seam: made.Seam(), Hole: made.Folded.Hole,
		Closes: closes, Suits: min(w, h) >= 0 && closes, Net: made.Net, overhang: made.Folded.Overhang,
	}
}

// boxReading is the box with the guide reading something at the corner.
func (r Recipe) boxReading(corner measure.Length) (Reading, blank.RecipeFault) {
	b := r.box(corner)
	if fault := b.Fault(); fault != blank.MakesOne {
		return Reading{}, fault
	}
	made := b.Make(r.BlankSpec())
	w, h := r.easeIn(made.Width, made.Height, made.Depth)
	closes := made.Seam > 0 && made.Folded.Hole < smallHole
	return Reading{
		As: AsWritten, Corner: corner, Width: made.Width, Height: made.Height, Depth: made.Depth, EaseWidth: w, EaseHeight: h, Seams: []measure.Length{made.Seam}, Seam: made.Seam,
		Hole: made.Folded.Hole, Closes: closes, Suits: min(w, h) >= 0 && closes, Net: made.Net,
	}, blank.MakesOne
}

func (r Recipe) pocketReadings() ([]Reading, blank.RecipeFault) {
	p := r.pocket()
	if fault := p.Fault(); fault != blank.MakesOne {
		return nil, fault
	}
	made, glue := p.Make(), r.adhesive()
	w, h := r.easeIn(made.Width, made.Height, p.Wall)
	closes := made.Tab >= glue && 2*made.Tab <= made.Width && made.Overlap >= glue && p.Flap <= made.Height
	return []Reading{{
		As: AsWritten, Width: made.Width, Height: made.Height, Depth: p.Wall, EaseWidth: w, EaseHeight: h, Seams: []measure.Length{p.Left, p.Right, made.Overlap}, Seam: made.Tab,
		Gap: made.Gap, Closes: closes, Suits: min(w, h) >= 0 && closes, Net: made.Net,
	}}, blank.MakesOne
}

func (r Recipe) adhesive() measure.Length {
	a, _ := r.Shop().Adhesive(r.Job().Envelope.Adhesive)
	return a.Width
}

// easeIn is the room for the card between creases with walls of a depth, the way round it
// fits better.
func (r Recipe) easeIn(width, height, depth measure.Length) (w, h measure.Length) {
	stock, _ := r.Shop().Stock(r.Job().Envelope.Stock)
	outer, thick := r.Outer(), max(0, r.Thick().Used-depth)
	w, h = width-2*stock.Caliper-outer.Width-thick, height-2*stock.Caliper-outer.Height-thick
	if tw, th := width-2*stock.Caliper-outer.Height-thick, height-2*stock.Caliper-outer.Width-thick; min(tw, th) > min(w, h) {
		return tw, th
	}
	return w, h
}

// Card is the card that the note says it is for; where it names none, the largest that its envelope takes
// with the ease that is wished for, down to a tick.
func (r Recipe) Card() (card.Size, bool) {
	if size, ok := r.Job().Recipe.Claimed(); ok {
		return size, true
	}
	if len(r.Missing()) > 0 {
		return card.Size{}, false
	}
	readings, fault := r.Readings()
	if fault != blank.MakesOne {
		return card.Size{}, false
	}
	best := readings[len(readings)-1]
	stock, _ := r.Shop().Stock(r.Job().Envelope.Stock)
	over, thick := r.Over(), max(0, r.Thick().Used-best.Depth)
	less := 2*stock.Caliper + thick + r.Job().Envelope.Ease
	size := card.Size{Width: (best.Width - less - over.Width).Down(r.Style().Tick), Height: (best.Height - less - over.Height).Down(r.Style().Tick)}
	return size, min(size.Width, size.Height) >= job.LeastCard
}
