package recipe

import (
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// Wish is what is wished for an envelope that follows the recipe: made as it is, with the
// seam that the maker wants, as long as the adhesive has room on it, and of a pocket its
// finger gap.
func (r Recipe) Wish() job.EnvelopeWish {
	e := r.Job().Envelope
	e.Seam = max(e.Seam, r.adhesive())
	e.Double, e.Flap = false, 0
	if r.Form().Pocket {
		e.Construction, e.Pocket = blank.PocketID, blank.ExactPocket
		switch r.note.Form {
		case job.WallsRecipe:
			e.Construction = blank.GussetID
		case job.EndRecipe:
			e.Way = blank.OneEdge
		case job.PocketRecipe:
			e.Way = blank.NextEdge
		}
		if p := r.pocket(); p.Fault() == blank.MakesOne {
			made := p.Make()
			e.ThumbGap = max(0, min(made.Gap, r.Outer().Height/2))
		}
		return e
	}
	if r.note.Form == job.BoxRecipe {
		e.Construction, e.Way, e.Depth = blank.BoxID, "", 0
		return e
	}
	e.Construction, e.School, e.Way, e.FlapShape = blank.DiamondID, blank.ExactSeam, blank.PairWay, ""
	if r.note.Form == job.CornersRecipe {
		e.Way = blank.CornerWay
	}
	return e
}

// Rescaled is the envelope that follows the recipe, made for the job's card.
func (r Recipe) Rescaled() blank.Made {
	j := r.Job()
	j.Envelope = r.Wish()
	m := r.With(j)
	m.SizeOnly = true // its scores are asked for, not its net
	made, _ := blank.ByID(j.Envelope.Construction).Make(m.BlankSpec())
	return made
}

// Take is the job whose envelope follows its recipe.
func (r Recipe) Take() job.Job {
	j := r.Job()
	j.Envelope = r.Wish()
	return j
}

// Stretch is what becomes of a reading that is enlarged or reduced as a whole until the
// card goes in, as copiers and cutters do.
type Stretch struct {
	// Factor is by what; Seam becomes Grown, and the looser side has Loose of ease.
	Factor             float64
	Seam, Grown, Loose measure.Length
}

// sameSize is within what of one a factor is none.
const sameSize = 0.02

// Stretched is what would become of a reading that is stretched as a whole; false where
// it is of the card's size as it is.
func (r Recipe) Stretched(of Reading) (Stretch, bool) {
	stock, _ := r.Shop().Stock(r.Job().Envelope.Stock)
	outer, ease := r.Outer(), r.Job().Envelope.Ease
	need := 2*stock.Caliper + r.Thick().Used + ease
	factor := func(w, h measure.Length) float64 {
		return max(float64(outer.Width+need)/float64(w), float64(outer.Height+need)/float64(h))
	}
	w, h := of.Width, of.Height
	if factor(h, w) < factor(w, h) {
		w, h = h, w
	}
	f := factor(w, h)
	if math.Abs(f-1) < sameSize {
		return Stretch{}, false
	}
	grown := func(l measure.Length) measure.Length { return measure.Round(float64(l) * f) }
	return Stretch{Factor: f, Seam: of.Seam, Grown: grown(of.Seam), Loose: max(grown(w)-outer.Width-need, grown(h)-outer.Height-need) + ease}, true
}

// Begin is an empty recipe in a form; what was typed of one before stays, its scores given
// in the other way where a square's are.
func Begin(m compare.Maker, form job.RecipeForm) job.Recipe {
	if m.Job().Recipe == nil {
		return job.Recipe{Form: form}
	}
	r := *m.Job().Recipe
	was := r.Form
	r.Form = form
	turns := map[job.RecipeForm]bool{job.PairRecipe: true, job.CornersRecipe: true}
	if was != form && turns[was] && turns[form] {
		w := m.Job().Recipe.Whole()
		d := measure.Round(float64(w.Side1+w.Side2) / math.Sqrt2)
		if r.Right > 0 {
			r.Right = d - r.Right
		}
		if r.Bottom > 0 {
			r.Bottom = d - r.Bottom
		}
	}
	return r
}
