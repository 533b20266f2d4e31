package blank

import (
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
)

// The four slits of a box part each corner square from the one neighbour that it does not
// hang on: from the rim's crease to the floor's corner, all in the same rotation.
func TestSlitsOfABox(t *testing.T) {
	r := rand.New(rand.NewPCG(13, 1))
	for range 200 {
		side := func() measure.Length { return 2*in + measure.Length(r.IntN(100))*in/16 }
		s := Spec{Width: side(), Height: side(), Thickness: measure.Length(1+r.IntN(30)) * in / 32, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Style: sixteenth, Box: BoxSchools()[r.IntN(2)], Adhesive: in / 2}
		m := NewSquareBox(s)
		if len(m.Net.Slits) != 4 {
			t.Fatalf("%d slits of %+v", len(m.Net.Slits), s)
		}
		diag := m.SheetWidth.Millimetres() * math.Sqrt2
		wide := math.Min(m.Depth.Millimetres(), (diag-m.Width.Millimetres()-m.Height.Millimetres())/2)
		x0, y0, x1, y1 := m.Net.Panels[0].Outline.Box()
		turn := 0.0
		for i, slit := range m.Net.Slits {
			if off := math.Abs(slit.Length() - math.Min(wide, math.Min(m.Width.Millimetres(), m.Height.Millimetres()))); off > 1e-3 {
				t.Errorf("slit %d is %.3f mm long, the walls %.3f", i, slit.Length(), m.Depth.Millimetres())
			}
			if atX, atY := math.Min(math.Abs(slit.To.X-x0), math.Abs(slit.To.X-x1)), math.Min(math.Abs(slit.To.Y-y0), math.Abs(slit.To.Y-y1)); atX > 1e-6 || atY > 1e-6 {
				t.Errorf("slit %d does not end at the floor's corner: %v", i, slit.To)
			}
			parted := 0
			for _, p := range m.Net.Panels {
				if p.Outline.hasEdge(slit.From, slit.To) {
					parted++
				}
			}
			if parted != 2 {
				t.Errorf("slit %d lies between %d panels", i, parted)
			}
			// Round the middle of the floor each goes on in the same sense.
			cx, cy := (x0+x1)/2, (y0+y1)/2
			sense := (slit.To.X-cx)*(slit.From.Y-slit.To.Y) - (slit.To.Y-cy)*(slit.From.X-slit.To.X)
			if turn != 0 && sense*turn < 0 {
				t.Errorf("slit %d turns the other way", i)
			}
			turn = sense
		}
	}
}

// 4 3/4 square, 5/8 deep, full squares: from 8 1/2 every slit is 5/8 long.
func TestSlitsWorked(t *testing.T) {
	m := NewSquareBox(Spec{Width: 4*in + in/2, Height: 4*in + in/2, Thickness: 9 * in / 16, Ease: in / 4, Depth: 5 * in / 8, ThumbGap: in / 2, Style: sixteenth, Box: FullSquares})
	for _, s := range m.Net.Slits {
		near(t, "slit", s.Length(), 5.0/8*25.4, 1e-3)
	}
}
