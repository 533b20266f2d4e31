package blank

import (
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
)

// The worked note of docs/sums.md: an 8 3/4 sheet, scored at 3 and 8 3/8.
func TestWorkedRecipe(t *testing.T) {
	r := Recipe{Side1: 35 * in / 4, Side2: 35 * in / 4, Paired: true, Left: 3 * in, Right: 67 * in / 8, Top: 3 * in, Bottom: 67 * in / 8}
	sides, ends := r.Centring()
	near(t, "offset", sides.Inches(), 0.4996, 0.0005)
	zero := r.Make(0, 0)
	for i, want := range []float64{-.265, 1.149, 2.562, 1.149} {
		near(t, "seam with the corner at zero", zero.Seams[i].Inches(), want, 0.002)
	}
	if zero.Folded.Hole < 10 || zero.Width != 43*in/8 {
		t.Errorf("hole %.1f mm², %v wide", zero.Folded.Hole, zero.Width)
	}
	centred := r.Make(sides, ends)
	near(t, "seam centred", centred.Seam().Inches(), 1.149, 0.002)
	if centred.Folded.Hole > sliver {
		t.Errorf("centred, %.2f mm² lie open", centred.Folded.Hole)
	}
}

// A recipe written from a diamond's own scores gives that diamond back, and the
// folded net has the seams that the formula says, on sheets that are no squares
// too.
func TestRecipesOfDiamonds(t *testing.T) {
	rng := rand.New(rand.NewPCG(21, 22))
	for range 200 {
		s1 := measure.Length(7*16+rng.IntN(80)) * in / 16
		s2 := s1 + measure.Length(rng.IntN(40)-20)*in/16
		d := measure.Round(float64(s1+s2) / math.Sqrt2)
		score := func() measure.Length { return d * measure.Length(22+rng.IntN(10)) / 100 }
		r := Recipe{Side1: s1, Side2: s2, Left: score(), Right: score(), Top: score(), Bottom: score()}
		if r.Fault() != "" {
			continue
		}
		res := r.Make(0, 0)
		near(t, "width", res.Width.Millimetres(), (d - r.Left - r.Right).Millimetres(), 1e-4)
		if err := res.Net.Check(); err != nil {
			t.Fatalf("%+v: %v", r, err)
		}
		near(t, "folded width", res.Folded.Width, res.Width.Millimetres(), 1e-3+res.Folded.Width*b2f(res.Folded.Overhang > 0))
		if open := res.Folded.Hole > 1; open && res.Seam() > in/8 && res.Folded.Overhang == 0 {
			t.Errorf("%+v: seams %v, but %.1f mm² lie open", r, res.Seams, res.Folded.Hole)
		}
		if res.Seam() < -in/8 && res.Folded.Hole < 1 {
			t.Errorf("%+v: seams %v, but nothing lies open", r, res.Seams)
		}
		p := r
		p.Paired, p.Right, p.Bottom = true, d-r.Right, d-r.Bottom
		if same := p.Make(0, 0); (same.Width-res.Width).Abs() > 2 || (same.Seam()-res.Seam()).Abs() > 4 {
			t.Errorf("paired: %v and %v, each from its corner: %v and %v", same.Width, same.Seam(), res.Width, res.Seam())
		}
	}
}

func b2f(b bool) float64 {
	if b {
		return 1
	}
	return 0
}

func TestRecipesThatMakeNothing(t *testing.T) {
	good := Recipe{Side1: 9 * in, Side2: 9 * in, Left: 3 * in, Right: 3 * in, Top: 3 * in, Bottom: 3 * in}
	for _, tt := range []struct {
		want  RecipeFault
		spoil func(*Recipe)
	}{
		{MakesOne, func(*Recipe) {}},
		{LeftOff, func(r *Recipe) { r.Left = 20 * in }},
		{BottomOff, func(r *Recipe) { r.Bottom = 0 }},
		{PairCrosses, func(r *Recipe) { r.Top, r.Bottom = 7*in, 7*in }},
		{NoFace, func(r *Recipe) { r.Side2, r.Left, r.Top, r.Right, r.Bottom = 2*in, in, in/2, 6*in, 7*in }},
		{NearFar, func(r *Recipe) { r.Paired, r.Left, r.Right = true, 9*in, 3*in }},
	} {
		r := good
		tt.spoil(&r)
		if got := r.Fault(); got != tt.want {
			t.Errorf("%+v: %q, want %q", r, got, tt.want)
		}
	}
}
