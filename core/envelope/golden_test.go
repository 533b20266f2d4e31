package envelope

import (
	"fmt"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
	"yellowparcel/internal/golden"
)

// How cards sit in every envelope, in which order, and which card every school makes for
// it, is what it was.
func TestFitsAreTheSame(t *testing.T) {
	r := rand.New(rand.NewPCG(12, 6))
	var lines []string
	list := Formats()
	for i := range list { // some are owned
		list[i].Owned = i%4 == 1
	}
	for range 60 {
		c := Card{Width: measure.Length(40+r.IntN(130)) * in / 16, Height: measure.Length(40+r.IntN(130)) * in / 16, Thickness: measure.Length(r.IntN(12)) * in / 64}
		if r.IntN(4) == 0 { // one that an envelope is sold for
			f := list[r.IntN(len(list))]
			if len(f.Cards) > 0 {
				c.Width, c.Height = f.Cards[0].Width, f.Cards[0].Height
			}
		}
		if r.IntN(3) == 0 {
			c.Takes = &Size{Width: c.Thickness / 2, Height: c.Thickness / 3}
		}
		line := fmt.Sprintf("%v x %v, %v:", c.Width, c.Height, c.Thickness)
		for i, f := range Rank(list, c, measure.Length(r.IntN(3))*90*measure.Micrometre, measure.Length(r.IntN(5))*in/8) {
			if i == 12 {
				break
			}
			line += fmt.Sprintf(" %s %s %v %v %v %v;", f.Format.ID, f.Verdict, f.Turned, f.EaseWidth, f.EaseHeight, f.ShortBy())
		}
		lines = append(lines, line)
	}
	for _, f := range list {
		line := f.ID
		for _, s := range Schools() {
			size, ok := CardFor(s, f, measure.Length(r.IntN(9))*in/32, measure.Length(r.IntN(5))*in/8, in/16)
			line += fmt.Sprintf(" %s %v %v x %v;", s, ok, size.Width, size.Height)
		}
		lines = append(lines, line)
	}
	golden.Check(t, "fits", lines)
}

// The verdicts meet at their very limits.
func TestVerdictsMeet(t *testing.T) {
	const nm = measure.Nanometre
	for _, tt := range []struct {
		ease measure.Length
		want Verdict
	}{
		{-nm, DoesNotFit}, {0, TooTight}, {in/16 - nm, TooTight}, {in / 16, Snug}, {in/8 - nm, Snug}, {in / 8, Right}, {3 * in / 8, Right}, {3*in/8 + nm, Loose}, {3 * in / 4, Loose}, {3*in/4 + nm, Rattles},
	} {
		if got := judge(tt.ease, 0); got != tt.want {
			t.Errorf("an ease of %v is %s, want %s", tt.ease, got, tt.want)
		}
	}
	// At a sixteenth thick the trade's own pairs are counted like any other.
	f := Format{Width: 5*in + in/2, Height: 4*in + in/8, Cards: []Size{{Width: 5*in + in/2 - in/16, Height: 4 * in}}}
	thin, thick := Card{Width: 5*in + in/2 - in/16, Height: 4 * in, Thickness: in/16 - nm}, Card{Width: 5*in + in/2 - in/16, Height: 4 * in, Thickness: in / 16}
	if a, b := FitCard(f, thin, 0), FitCard(f, thick, 0); a.Verdict == b.Verdict {
		t.Errorf("%s under a sixteenth, %s at it", a.Verdict, b.Verdict)
	}
}
