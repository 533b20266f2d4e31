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
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// Recipe is the note of a job; it must have one.
type Recipe struct {
	compare.Maker
	note job.Recipe
}

// In is the recipe of a maker's job.
func In(m compare.Maker) Recipe { return Recipe{m, *m.Job().Recipe} }

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
	// Seams are, of a square, those on the edges left-top, top-right, right-bottom and
	// bottom-left; of a pocket its two tabs and the flap over the back. Seam is the
	// narrowest that holds it together.
	Seams []measure.Length
	Seam  measure.Length
	// Gap is how much lower a pocket's back is than its front, Hole the area in mm² that
	// nothing covers of a square's back.
	Gap  measure.Length
	Hole float64
	// Suits is set when it closes, and the card goes in.
	Suits bool
	Net   blank.Net

	overhang float64
}

// Ease is the tighter room for the card.
func (r Reading) Ease() measure.Length { return min(r.EaseWidth, r.EaseHeight) }

// smallHole is the area, in mm², from which a hole is one.
const smallHole = 1

// Readings are the ways to read the note: one, or two where its scores lie off the
// centre, the better one last. A note that makes no envelope has none.
func (r Recipe) Readings() ([]Reading, blank.RecipeFault) {
	if r.note.Pocket {
		return r.pocketReadings()
	}
	b := r.note.Blank()
	if fault := b.Fault(); fault != blank.MakesOne {
		return nil, fault
	}
	sides, ends := b.Centring()
	if tick := r.Style().Tick; sides.Abs() <= tick && ends.Abs() <= tick {
		return []Reading{r.reading(AsWritten, 0, b.Make(0, 0))}, blank.MakesOne
	}
	return []Reading{r.reading(AtZero, 0, b.Make(0, 0)), r.reading(AtCorner, -sides, b.Make(sides, ends))}, blank.MakesOne
}

func (r Recipe) reading(as As, corner measure.Length, made blank.RecipeResult) Reading {
	w, h := r.easeIn(made.Width, made.Height)
	return Reading{
		As: as, Corner: corner, Width: made.Width, Height: made.Height, EaseWidth: w, EaseHeight: h, Seams: made.Seams[:], Seam: made.Seam(), Hole: made.Folded.Hole,
		Suits: min(w, h) >= 0 && made.Seam() > 0 && made.Folded.Hole < smallHole, Net: made.Net, overhang: made.Folded.Overhang,
	}
}

func (r Recipe) pocketReadings() ([]Reading, blank.RecipeFault) {
	p := r.note.AsPocket()
	if fault := p.Fault(); fault != blank.MakesOne {
		return nil, fault
	}
	made, glue := p.Make(), r.adhesive()
	w, h := r.easeIn(made.Width, made.Height)
	closes := made.Tab >= glue && 2*made.Tab <= made.Width && made.Overlap >= glue && p.Flap <= made.Height
	return []Reading{{
		As: AsWritten, Width: made.Width, Height: made.Height, EaseWidth: w, EaseHeight: h, Seams: []measure.Length{p.Left, p.Right, made.Overlap}, Seam: made.Tab,
		Gap: made.Gap, Suits: min(w, h) >= 0 && closes, Net: made.Net,
	}}, blank.MakesOne
}

// Pocket reports whether the note is of a pocket.
func (r Recipe) Pocket() bool { return r.note.Pocket }

func (r Recipe) adhesive() measure.Length {
	a, _ := r.Shop().Adhesive(r.Job().Envelope.Adhesive)
	return a.Width
}

// easeIn is the room for the card between creases, the way round it fits better.
func (r Recipe) easeIn(width, height measure.Length) (w, h measure.Length) {
	stock, _ := r.Shop().Stock(r.Job().Envelope.Stock)
	outer, thick := r.Outer(), r.Thick().Used
	w, h = width-2*stock.Caliper-outer.Width-thick, height-2*stock.Caliper-outer.Height-thick
	if tw, th := width-2*stock.Caliper-outer.Height-thick, height-2*stock.Caliper-outer.Width-thick; min(tw, th) > min(w, h) {
		return tw, th
	}
	return w, h
}
