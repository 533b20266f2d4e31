package recipe_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/recipe"
	"yellowparcel/demo"
)

// thick is a card of a size and a thickness, with a note.
func thick(w, h, t measure.Length, n job.Recipe) recipe.Recipe {
	j := demo.Jobs()[0]
	j.Parts = j.Parts[:1]
	j.Card.Width, j.Card.Height, j.Card.Thickness, j.Recipe = w, h, &t, &n
	return recipe.In(maker(j, demo.Shop()))
}

// A note is worked out for a card, a floor or an envelope and read off a board whose corner
// does not stand at zero. That corner is among the offsets that are found, each of them gives
// what the note says that it is for, and two ticks beyond them none does, or a seam opens.
func TestAnyBoardsOffset(t *testing.T) {
	r := rand.New(rand.NewPCG(13, 57))
	tick := in / 16
	found := map[string]int{}
	for i := range 900 {
		form := []job.RecipeForm{job.CornersRecipe, job.BoxRecipe}[r.IntN(2)]
		claim := job.Claims()[r.IntN(3)]
		some := func(least, most int) measure.Length { return measure.Length(least+r.IntN(most-least+1)) * tick }
		w, h, t0, deep := some(48, 96), some(48, 96), some(0, 8), some(4, 12)
		corner := some(1, 14)
		if r.IntN(2) == 0 {
			corner = -corner
		}
		if form == job.CornersRecipe {
			deep = 0
		}
		// What lies between the creases: the card's with ease, or the very size.
		inside := func(l measure.Length) measure.Length { return l }
		if claim == job.ForCard {
			ease := some(2, 6)
			inside = func(l measure.Length) measure.Length { return l + max(0, t0-deep) + ease }
		}
		iw, ih := inside(w), inside(h)
		side := measure.Round(float64(iw+ih+4*deep)/math.Sqrt2).Up(tick) + in/2
		diag := float64(2*side) / math.Sqrt2
		a, b := measure.Round((diag-float64(iw))/2).Near(tick)+corner, measure.Round((diag-float64(ih))/2).Near(tick)+corner
		n := job.Recipe{Form: form, Side1: side, Left: a, Top: b, ClaimWidth: w, ClaimHeight: h, ClaimOf: claim}
		if form == job.BoxRecipe {
			n.Left, n.Right, n.Top, n.Bottom = a-deep, a, b-deep, b
		}
		if min(n.Left, n.Top) < in/4 || min(n.Left-corner, n.Top-corner) < in/4 {
			continue
		}
		if (w-h).Abs() > 3*in/4 && r.IntN(2) == 0 { // else it might do either way round
			n.ClaimWidth, n.ClaimHeight = h, w
		}
		// The room that a reading at the corner leaves beyond what the note is for, by hand.
		room := func(at measure.Length) (most, least float64) {
			x, y := diag-2*float64(a-at)-float64(w), diag-2*float64(b-at)-float64(h)
			if claim == job.ForCard {
				x, y = x-float64(max(0, t0-deep)), y-float64(max(0, t0-deep))
			}
			return max(x, y) / float64(in), min(x, y) / float64(in)
		}
		gives := func(at measure.Length) bool {
			most, least := room(at)
			if claim == job.ForCard {
				return least > -1.0/8 && most < 5.0/8
			}
			return least > -1.0/8 && most < 1.0/8
		}
		name := fmt.Sprintf("%d: %s for %s %v x %v, %v thick, %v deep, corner %v", i, form, claim, w.Inches(), h.Inches(), t0.Inches(), deep.Inches(), corner.Inches())
		note := thick(w, h, t0, n)
		o, ok := note.Offset()
		if !ok {
			if !gives(0) {
				t.Errorf("%s: none is found", name)
			}
			continue
		}
		found[string(form)+" "+string(claim)]++
		if o.Open || o.Apart || corner < o.Low || corner > o.High || o.At < o.Low || o.At > o.High {
			t.Errorf("%s: found %+v", name, o)
			continue
		}
		seam := func(at measure.Length) measure.Length {
			n := n
			n.Corner = at
			k, fault := thick(w, h, t0, n).Readings()
			if fault != blank.MakesOne {
				return 0
			}
			return k[0].Seam
		}
		for at := o.Low; at <= o.High; at += tick {
			if !gives(at) || seam(at) < -tick {
				t.Errorf("%s: %v does not give it: %+v, seam %v", name, at, o, seam(at))
			}
		}
		for _, at := range []measure.Length{o.Low - 2*tick, o.High + 2*tick} {
			if most, least := room(at); claim == job.ForCard && least > 0.001 && most < 0.499 && seam(at) > 0 {
				t.Errorf("%s: %v would do too: %+v", name, at, o)
			}
		}
		// None of them leaves the tighter pair's ease nearer to a quarter, or to the size.
		want := 0.25
		if claim != job.ForCard {
			want = 0
		}
		_, best := room(o.At)
		for at := o.Low; at <= o.High; at += tick {
			if _, least := room(at); math.Abs(least-want) < math.Abs(best-want)-1e-6 {
				t.Errorf("%s: %v leaves %v, %v only %v", name, at, least, o.At, best)
			}
		}
		if most, least := room(o.At); math.Abs(max(o.Roomier.Inches(), least)-most) > 1e-6 && math.Abs(o.Roomier.Inches()-least) > 1e-6 {
			t.Errorf("%s: the other pair is said to leave %v, it leaves %v or %v", name, o.Roomier, most, least)
		}
	}
	for _, form := range []job.RecipeForm{job.CornersRecipe, job.BoxRecipe} {
		for _, claim := range job.Claims() {
			if found[string(form)+" "+string(claim)] < 20 {
				t.Errorf("only %d of %s for %s", found[string(form)+" "+string(claim)], form, claim)
			}
		}
	}
}

// A box closes its back up to another reading than it makes whole glue squares: 4 x 4 and 1/2
// deep closes from a square of 6.364 on, and has whole squares from 7.071 on. Of 6 3/4, scored
// to the floor at 2.773 and with a corner at 1/4, it still closes.
func TestABoxThatJustCloses(t *testing.T) {
	n := job.Recipe{Form: job.BoxRecipe, Side1: 27 * in / 4, ClaimWidth: 4 * in, ClaimOf: job.ForFloor}
	n.Right = measure.Round((27.0/4*math.Sqrt2-4)/2*float64(in)) + in/4
	n.Left = n.Right - in/2
	o, ok := thick(4*in, 4*in, in/2, n).Offset()
	if !ok || o.Open || o.At != in/4 {
		t.Errorf("found %v: %+v", ok, o)
	}
}
