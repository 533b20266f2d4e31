package recipe

import (
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// Wish is what is wished for an envelope that follows the recipe: its own seam, as
// long as the adhesive has room on it, and of a pocket its thumb gap.
func (r Recipe) Wish() job.EnvelopeWish {
	e := r.Job().Envelope
	least := r.adhesive()
	e.Double, e.Flap = false, 0
	if r.note.Pocket {
		e.Construction, e.Pocket = blank.PocketID, blank.ExactPocket
		if p := r.note.AsPocket(); p.Fault() == blank.MakesOne {
			made := p.Make()
			if made.Tab >= least {
				e.Seam = made.Tab
			}
			e.ThumbGap = max(0, min(made.Gap, r.Outer().Height/2))
		}
		return e
	}
	e.Construction, e.School, e.Way, e.FlapShape = blank.DiamondID, blank.ExactSeam, blank.PairWay, ""
	if d := r.note.Blank(); d.Fault() == blank.MakesOne {
		sides, ends := d.Centring()
		if seam := d.Make(sides, ends).Seam(); seam >= least {
			e.Seam = seam
		}
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

// Begin is a recipe to begin with, in one of the ways of giving scores: what there is
// already of a square, its scores given in the other way; else the job's own diamond or
// pocket.
func Begin(m compare.Maker, scores string) job.Recipe {
	j := m.Job()
	s := m.BlankSpec()
	if scores == job.PocketRecipe {
		s.Pocket, s.Double = blank.ExactPocket, false
		made := blank.NewPocket(s)
		return noted(job.Recipe{Pocket: true, Side1: made.SheetWidth, Side2: made.SheetHeight}, made.Ways[0].Readings(blank.LeftTab, blank.RightTab, blank.FlapScore, blank.BackScore))
	}
	paired := scores == job.PairRecipe
	if j.Recipe != nil && !j.Recipe.Pocket {
		r := *j.Recipe
		if d := measure.Round(float64(r.Side1+r.Side2) / math.Sqrt2); r.Paired != paired {
			r.Paired, r.Right, r.Bottom = paired, d-r.Right, d-r.Bottom
		}
		return r
	}
	s.School, s.Way = blank.ExactSeam, blank.PairWay
	d := blank.NewDiamond(s)
	r := noted(job.Recipe{Side1: d.Sheet, Side2: d.Sheet, Paired: true}, d.Ways[0].Readings(blank.SidesNear, blank.SidesFar, blank.EndsNear, blank.EndsFar))
	if !paired {
		diagonal := measure.Round(d.Diagonal())
		r.Paired, r.Right, r.Bottom = false, diagonal-r.Right, diagonal-r.Bottom
	}
	return r
}

// noted is a recipe with its four scores.
func noted(r job.Recipe, set []measure.Length) job.Recipe {
	r.Left, r.Right, r.Top, r.Bottom = set[0], set[1], set[2], set[3]
	return r
}
