package blank

import (
	"testing"

	"yellowparcel/core/measure"
)

// A recipe that is used as it stands, worked by hand: what lies between its creases, what the
// card leaves of that, and how large it is when it is closed.
func TestARecipeAsItStands(t *testing.T) {
	c := in / 64
	for name, tt := range map[string]struct {
		of   Noted
		thin measure.Length // the card's thickness
		want [8]measure.Length
	}{
		// 7 1/2 less two tabs of 1/2 is 6 1/2; 10 3/4 less 1 3/4 and 4 1/4 is 4 3/4. Of a card of
		// 6 x 4 and 1/8 and two papers of 1/64 11/32 and 19/32 are left; tabs 1/2, the flap
		// covers 1 3/4 less the gap of 1/2.
		"a pocket": {Noted{Pocket: &PocketRecipe{Width: 15 * in / 2, Length: 43 * in / 4, Left: in / 2, Right: in / 2, Flap: 7 * in / 4, Bottom: 17 * in / 4}}, in / 8,
			[8]measure.Length{13 * in / 2, 19 * in / 4, 11 * in / 32, 19 * in / 32, 0, in / 2, 5 * in / 4, 7 * in / 4}},
		// The same with walls of 1/4: the 1/8 counts no more, the room is 1/2 less both ways.
		"with walls": {Noted{Pocket: &PocketRecipe{Width: 15 * in / 2, Length: 43 * in / 4, Left: in / 2, Right: in / 2, Flap: 7 * in / 4, Bottom: 4 * in, Wall: in / 4}}, in / 8,
			[8]measure.Length{6 * in, 9 * in / 2, -in / 32, 15 * in / 32, in / 4, in / 2, 5 * in / 4, 7 * in / 4}},
		// Walls of 1/16 hold half of 1/8.
		"with low walls": {Noted{Pocket: &PocketRecipe{Width: 15 * in / 2, Length: 43 * in / 4, Left: in / 2, Right: in / 2, Flap: 7 * in / 4, Bottom: 4 * in, Wall: in / 16}}, in / 8,
			[8]measure.Length{51 * in / 8, 39 * in / 8, 9 * in / 32, 25 * in / 32, in / 16, in / 2, 7 * in / 8, 7 * in / 4}},
		// A flap of 5 over a front of 4 1/2 stands out below it, tabs of 1/2 and 1 do not.
		"a long flap": {Noted{Pocket: &PocketRecipe{Width: 8 * in, Length: 13 * in, Left: in / 2, Right: in, Flap: 5 * in, Bottom: 7 * in / 2}}, 0,
			[8]measure.Length{13 * in / 2, 5 * in, 15 * in / 32, 15 * in / 32, 0, in / 2, 4 * in, 5 * in}},
		// 8 3/4 square, 3 and 8 3/8 from one corner, which stands at -1/2: 5 3/8 both ways. The
		// flaps are half of what the diagonal, 12.374, leaves: 3.4997.
		"a square": {Noted{Square: &Recipe{Side1: 35 * in / 4, Side2: 35 * in / 4, Paired: true, Left: 7 * in / 2, Right: 71 * in / 8, Top: 7 * in / 2, Bottom: 71 * in / 8}}, in / 8,
			[8]measure.Length{43 * in / 8, 43 * in / 8, -25 * in / 32, 39 * in / 32, 0, 0, 0, 0}},
	} {
		t.Run(name, func(t *testing.T) {
			m, ok := tt.of.Make(Spec{Width: 6 * in, Height: 4 * in, Thickness: tt.thin, Caliper: c, Adhesive: in / 4, Style: sixteenth})
			if !ok {
				t.Fatal("makes none")
			}
			got := [8]measure.Length{m.Width, m.Height, m.EaseWidth, m.EaseHeight, m.Depth, m.Seam, m.Overlap, m.Flap}
			if tt.of.Square != nil { // of which the diagonal is no tick
				near(t, "seam", m.Seam.Inches(), 1.1477, 0.0001) // of the least: 6 3/16 is .0003 off the middle
				near(t, "flap", m.Flap.Inches(), 3.4997, 0.001)
				near(t, "overlap", m.Overlap.Inches(), 2*3.4997-5.375, 0.001)
				got[5], got[6], got[7] = 0, 0, 0
			}
			if got != tt.want {
				t.Errorf("%v, want %v", got, tt.want)
			}
		})
	}
}
