package blank

import (
	"math"
	"math/rand/v2"
	"strings"
	"testing"
)

// A rectangle turned by any angle is covered by itself, whatever else lies in it.
func TestSmallestCover(t *testing.T) {
	rng := rand.New(rand.NewPCG(31, 32))
	for range 200 {
		w, h, angle := 60+rng.Float64()*100, 40+rng.Float64()*20, rng.Float64()*math.Pi
		p := Polygon{{0, 0}, {w / 2, 0}, {w, 0}, {w, h}, {w * .6, h * .7}, {w * .3, h}, {0, h}}
		sin, cos := math.Sincos(angle)
		for i, q := range p {
			p[i] = Point{200 + q.X*cos - q.Y*sin, 300 + q.X*sin + q.Y*cos}
		}
		small, upright := Covers(p)
		long, short := math.Max(w, h), math.Min(w, h)
		near(t, "long side", math.Max(small.Width.Millimetres(), small.Height.Millimetres()), long, 1e-4)
		near(t, "short side", math.Min(small.Width.Millimetres(), small.Height.Millimetres()), short, 1e-4)
		if float64(upright.Width)*float64(upright.Height) < float64(small.Width)*float64(small.Height)*(1-1e-9) {
			t.Fatal("the upright cover is smaller than the smallest")
		}
		// No rotation in small steps does better.
		for a := 0.0; a < math.Pi/2; a += 0.02 {
			if c := p.cover(a); float64(c.Width)*float64(c.Height) < float64(small.Width)*float64(small.Height)*(1-1e-6) {
				t.Fatalf("turned by %.2f it is covered by less", a)
			}
		}
	}
}

func TestOutlinesThatAreNone(t *testing.T) {
	for _, tt := range []struct {
		p    Polygon
		want string
	}{
		{Polygon{{0, 0}, {1, 1}}, "fewer than three"},
		{Polygon{{0, 0}, {50, 50}, {50, 0}, {0, 50}}, "crosses itself"},
		{Polygon{{0, 0}, {50, 0}, {math.NaN(), 50}}, "crosses itself"},
		{make(Polygon, MostCorners+1), "more corners"},
		{Polygon{{0, 0}, {10, 0}, {20, 0}}, "encloses nothing"},
	} {
		if err := CheckOutline(tt.p); err == nil || !strings.Contains(err.Error(), tt.want) {
			t.Errorf("%d corners: %v, want %q", len(tt.p), err, tt.want)
		}
	}
	if err := CheckOutline(Polygon{{0, 0}, {50, 0}, {50, 50}}); err != nil {
		t.Error(err)
	}
}
