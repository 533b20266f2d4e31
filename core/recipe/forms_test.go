package recipe_test

import (
	"math"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/recipe"
	"yellowparcel/demo"
)

// flat is a card of a size that is as thin as paper, with a note.
func flat(w, h measure.Length, n job.Recipe) recipe.Recipe {
	j := demo.Jobs()[0]
	j.Parts = j.Parts[:1]
	thin := 10 * measure.Micrometre
	j.Card.Width, j.Card.Height, j.Card.Thickness, j.Recipe = w, h, &thin, &n
	return recipe.In(maker(j, demo.Shop()))
}

func inches(l measure.Length) float64 { return math.Round(l.Inches()*1000) / 1000 }

// Sheet 10, 5 1/16 and 4 1/16 from each corner, for a 5 3/8 square: at zero 4.017 x 6.017,
// which does not take it. 11/16 to 15/16 at the corner do for the tighter pair; at 13/16 it
// is 5.642 x 7.642 with seams of .607, the other pair 2.27 roomier.
func TestAHiddenOffset(t *testing.T) {
	r := flat(43*in/8, 43*in/8, job.Recipe{Form: job.CornersRecipe, Side1: 10 * in, Left: 81 * in / 16, Top: 65 * in / 16, ClaimWidth: 43 * in / 8})
	o, found := r.Offset()
	if !found || o.Open || !o.Apart || o.Low != 11*in/16 || o.High != 15*in/16 || o.At != 13*in/16 || math.Abs(o.Roomier.Inches()-2.27) > 0.005 {
		t.Fatalf("found %v: %+v", found, o)
	}
	readings, _ := r.Readings()
	if len(readings) != 2 || inches(readings[0].Width) != 4.017 || inches(readings[0].Height) != 6.017 || readings[0].Suits {
		t.Errorf("at zero: %+v", readings[0])
	}
	if b := readings[1]; inches(b.Width) != 5.642 || inches(b.Height) != 7.642 || inches(b.Seam) != 0.607 || b.Corner != 13*in/16 {
		t.Errorf("at 13/16: %v x %v, seam %v", inches(b.Width), inches(b.Height), inches(b.Seam))
	}
	// Kept as the board's, it is read so and nothing is left to find.
	r = flat(43*in/8, 43*in/8, job.Recipe{Form: job.CornersRecipe, Side1: 10 * in, Left: 81 * in / 16, Top: 65 * in / 16, ClaimWidth: 43 * in / 8, Corner: 13 * in / 16})
	if _, found := r.Offset(); found {
		t.Error("found again")
	}
	if k, _ := r.Readings(); len(k) != 1 || inches(k[0].Width) != 5.642 {
		t.Errorf("%+v", k)
	}
}

// What gives what it claims has no offset; what closes at none has none that explains it.
func TestOffsetsThatAreNone(t *testing.T) {
	n := worked(t, job.CornersRecipe)
	n.ClaimWidth = 43 * in / 8
	if o, found := noted(n).Offset(); found {
		t.Errorf("a true note: %+v", o)
	}
	// For a 7 square from 8: whatever the board reads, 14/√2 is more than 8.
	n = job.Recipe{Form: job.CornersRecipe, Side1: 8 * in, Left: 3 * in / 2, Top: 3 * in / 2, ClaimWidth: 7 * in}
	if o, found := flat(7*in, 7*in, n).Offset(); !found || !o.Open {
		t.Errorf("a seam that stays open: %v, %+v", found, o)
	}
}

// Punched at 4 7/16 of 8 7/8, k 3/8: (8 7/8 - 3/4)√2 = 11.490 both ways together, 5.745
// square. A sixteenth off the middle it is √2/8 = .177 longer one way.
func TestPunchRecipe(t *testing.T) {
	n := job.Recipe{Form: job.PunchRecipe, Side1: 71 * in / 8, Left: 71 * in / 16, Notch: 3 * in / 8}
	r := flat(5*in, 5*in, n)
	k, fault := r.Readings()
	if fault != blank.MakesOne || inches(k[0].Width) != 5.745 || inches(k[0].Height) != 5.745 || inches(k[0].Seam) != 0.75 {
		t.Errorf("%s: %+v", fault, k)
	}
	if _, off := r.Longer(); off {
		t.Error("the middle is off the middle")
	}
	n.Left += in / 16
	r = flat(5*in, 5*in, n)
	k, _ = r.Readings()
	more, off := r.Longer()
	if !off || (more-(k[0].Width-k[0].Height).Abs()).Abs() > measure.Micrometre {
		t.Errorf("%v longer, %v and %v", more, k[0].Width, k[0].Height)
	}
}

// Both scores from one end, and with walls: 6 1/4 x 4 1/2 by the finger gap.
func TestPocketForms(t *testing.T) {
	n := job.Recipe{Form: job.EndRecipe, Side1: 15 * in / 2, Side2: 43 * in / 4, Left: in / 2, Top: 7 * in / 4, Bottom: 13 * in / 2}
	k, fault := flat(25*in/4, 9*in/2, n).Readings()
	if fault != blank.MakesOne || k[0].Width != 13*in/2 || k[0].Height != 19*in/4 || !k[0].Suits {
		t.Errorf("%s: %+v", fault, k)
	}
	n = job.Recipe{Form: job.WallsRecipe, Side1: 8 * in, Side2: 45 * in / 4, Left: in / 2, Top: 7 * in / 4, Bottom: 17 * in / 4, Wall: in / 4}
	k, fault = flat(25*in/4, 9*in/2, n).Readings()
	if fault != blank.MakesOne || k[0].Width != 13*in/2 || k[0].Height != 19*in/4 || k[0].Depth != in/4 {
		t.Errorf("%s: %+v", fault, k)
	}
}

// A square alone, folded round a card of 5 x 4 that is 1/4 thick: its seam is 8 less
// (5 + 4 + 1/2)/√2 = 1.283, and no ease is left.
func TestSquareAlone(t *testing.T) {
	j := demo.Jobs()[0]
	thick := in / 4
	j.Card.Width, j.Card.Height, j.Card.Thickness = 5*in, 4*in, &thick
	j.Recipe = &job.Recipe{Form: job.SquareRecipe, Side1: 8 * in}
	k, fault := recipe.In(maker(j, demo.Shop())).Readings()
	if fault != blank.MakesOne || math.Abs(k[0].Seam.Inches()-1.2825) > 1e-3 || !k[0].Suits || inches(k[0].Width) != 5.25 {
		t.Errorf("%s: %+v", fault, k)
	}
}

// A box of 8 1/2, 2 and 2 5/8 from every corner: floor 6.771 both ways, walls 5/8, seam
// 8.5 - (2 x 6.771 + 1 1/4)/√2, below nothing; with the corner at 1/2 it closes less still.
func TestBoxRecipe(t *testing.T) {
	n := job.Recipe{Form: job.BoxRecipe, Side1: 17 * in / 2, Left: 11 * in / 4, Right: 27 * in / 8}
	k, fault := flat(5*in, 5*in, n).Readings()
	if fault != blank.MakesOne || inches(k[0].Width) != 5.271 || k[0].Depth != 5*in/8 || math.Abs(k[0].Seam.Inches()-(8.5-(2*5.2708+1.25)/math.Sqrt2)) > 1e-3 {
		t.Errorf("%s: %+v", fault, k)
	}
	n.Left = 4 * in
	if _, fault := flat(5*in, 5*in, n).Readings(); fault != blank.WallBeyond {
		t.Errorf("a wall beyond its floor: %q", fault)
	}
	n.Left, n.Top, n.Bottom = 11*in/4, 2*in, 27*in/8
	if _, fault := flat(5*in, 5*in, n).Readings(); fault != blank.WallsDiffer {
		t.Errorf("walls that differ: %q", fault)
	}
}

// Every note that works is used as it stands: folded and accepted, with the very sheet and
// readings that it gives.
func TestUsedAsItStands(t *testing.T) {
	for _, form := range []job.RecipeForm{job.PairRecipe, job.CornersRecipe, job.PocketRecipe, job.WallsRecipe, job.BoxRecipe} {
		t.Run(string(form), func(t *testing.T) {
			n := worked(t, form)
			m := noted(n).Maker
			c := m.Candidate(blank.ByID(blank.NotedID))
			if !c.OK || c.Made.Accept() != nil || c.Made.SheetWidth != n.Side1 {
				t.Fatalf("made %v: %v, cut %v", c.OK, c.Made.Accept(), c.Made.SheetWidth)
			}
			if r := c.Made.Way().Scores[0].At; (r - n.Left).Abs() > measure.Micrometre {
				t.Errorf("scored at %v, the note says %v", r, n.Left)
			}
			if k, _ := noted(n).Readings(); (k[0].Ease()-c.Made.Ease()).Abs() > measure.Micrometre || (k[0].Seam-c.Made.Seam).Abs() > in/16 {
				t.Errorf("ease %v and seam %v, read %v and %v", c.Made.Ease(), c.Made.Seam, k[0].Ease(), k[0].Seam)
			}
		})
	}
}

// What suits closes: tabs and the flap's cover as wide as the adhesive, tabs that do not meet,
// a flap no longer than the front, and a card that goes in; a hair less of any does not.
func TestWhatSuits(t *testing.T) {
	shop, hair := demo.Shop(), measure.Length(1)
	glue, _ := shop.Adhesive(demo.Jobs()[0].Envelope.Adhesive)
	g := glue.Width
	// Between the tabs and the scores lie 2 x 2, the back covers all but 1/4.
	pocket := func(tab, flap, gap measure.Length) job.Recipe {
		return job.Recipe{Form: job.PocketRecipe, Side1: 2*in + 2*tab, Side2: flap + 4*in - gap, Left: tab, Top: flap, Bottom: 2*in - gap}
	}
	box := func(side measure.Length) job.Recipe {
		// A floor of 2 x 2 and 1/2 deep closes from a square of 5/√2 on.
		floor := measure.Round((float64(side)*math.Sqrt2 - 2*float64(in)) / 2)
		return job.Recipe{Form: job.BoxRecipe, Side1: side, Left: floor - in/2, Right: floor}
	}
	least := measure.Round(5 / math.Sqrt2 * float64(in))
	for name, tt := range map[string]struct {
		note job.Recipe
		card measure.Length
		want bool
	}{
		"a pocket":                    {pocket(g, in, in/4), in, true},
		"a tab under the adhesive":    {pocket(g-hair, in, in/4), in, false},
		"tabs that just meet":         {pocket(in, in, in/4), in, true},
		"tabs that cross":             {pocket(in+hair, in, in/4), in, false},
		"a cover like the adhesive":   {pocket(g, in/4+g, in/4), in, true},
		"a cover under the adhesive":  {pocket(g, in/4+g-hair, in/4), in, false},
		"a flap as long as the front": {pocket(g, 2*in, in/4), in, true},
		"a flap over the front":       {pocket(g, 2*in+hair, in/4), in, false},
		"a card that is too large":    {pocket(g, in, in/4), 2 * in, false},
		"a box":                       {box(4 * in), in, true},
		"a box that closes":           {box(least + in/100), in, true},
		"a box that is open":          {box(least - in/100), in, false},
		"a box that is too small":     {box(4 * in), 2 * in, false},
	} {
		t.Run(name, func(t *testing.T) {
			k, fault := flat(tt.card, tt.card, tt.note).Readings()
			if fault != blank.MakesOne {
				t.Fatal(fault)
			}
			if k[0].Suits != tt.want {
				t.Errorf("suits: %v; %+v", k[0].Suits, k[0])
			}
		})
	}
}
