package mail

import (
	"math"
	"math/rand/v2"
	"slices"
	"testing"
)

func near(t *testing.T, what string, got, want, off float64) {
	t.Helper()
	if !(math.Abs(got-want) <= off) {
		t.Errorf("%s: %.6f, want %.6f", what, got, want)
	}
}

func rect(x0, y0, x1, y1, caliper float64) Part {
	return Part{X0: x0, Y0: y0, X1: x1, Y1: y1, Caliper: caliper, Modulus: 5, Bends: true}
}

func disc(x, y, r, caliper float64) Part {
	return Part{X0: x - r, Y0: y - r, X1: x + r, Y1: y + r, Disc: true, Caliper: caliper}
}

func draping(p Part) Part { p.Draping = true; return p }

func TestRelief(t *testing.T) {
	base := rect(0, 0, 100, 60, 1)
	for _, tt := range []struct {
		name     string
		parts    []Part
		max, min float64
		chain    []int
	}{
		{"a bare base", []Part{base}, 1, 1, []int{0}},
		{"a panel on it", []Part{base, rect(10, 10, 90, 50, 2)}, 3, 1, []int{0, 1}},
		{"a panel on a block lies level on it", []Part{base, rect(0, 0, 10, 10, 3), rect(5, 5, 90, 50, 1)}, 5, 1, []int{0, 1, 2}},
		{"touching at an edge is not stacking", []Part{base, rect(0, 0, 50, 60, 3), rect(50, 0, 100, 60, 2)}, 4, 3, []int{0, 1}},
		{"a ribbon follows what lies under it", []Part{base, rect(40, 0, 60, 60, 3), draping(rect(0, 20, 100, 30, 0.5)), rect(0, 22, 20, 28, 1)}, 4.5, 1, []int{0, 1, 2}},
		{"a stiff panel over a ribbon over a block", []Part{base, rect(40, 0, 60, 60, 3), draping(rect(0, 20, 100, 30, 0.5)), rect(0, 22, 50, 28, 1)}, 5.5, 1, []int{0, 1, 2, 3}},
		{"past the edge counts for the greatest, not for the least", []Part{base, rect(90, 10, 120, 50, 4)}, 5, 1, []int{0, 1}},
		{"what lies wholly off the face lies on the table", []Part{base, rect(150, 10, 160, 50, 4)}, 4, 1, []int{1}},
		{"a disc beside a disc", []Part{base, disc(30, 30, 10, 2), disc(50, 30, 10, 3)}, 4, 1, []int{0, 2}},
		{"a disc over a disc by a hair", []Part{base, disc(30, 30, 10, 2), disc(49.9, 30, 10, 3)}, 6, 1, []int{0, 1, 2}},
		{"a disc in a rectangle's corner only", []Part{base, rect(0, 0, 20, 20, 2), disc(27.06, 27.06, 10, 1)}, 4, 1, []int{0, 1, 2}},
		{"a disc that misses the corner", []Part{base, rect(0, 0, 20, 20, 2), disc(27.08, 27.08, 10, 1)}, 3, 1, []int{0, 1}},
	} {
		t.Run(tt.name, func(t *testing.T) {
			r := NewRelief(tt.parts)
			if r.Max != tt.max || r.Min != tt.min || !slices.Equal(r.Chain, tt.chain) {
				t.Errorf("%s: %v to %v by %v, want %v to %v by %v", tt.name, r.Min, r.Max, r.Chain, tt.min, tt.max, tt.chain)
			}
			if h := r.Height(r.At.X, r.At.Y); h != r.Max {
				t.Errorf("%s: %v at the highest place, %v", tt.name, h, r.At)
			}
		})
	}
}

// pileOf lays rectangles of whole millimetres on a grid of whole millimetres.
func pileOf(parts []Part, size int) [][]float64 {
	h := make([][]float64, size)
	for y := range h {
		h[y] = make([]float64, size)
	}
	for _, p := range parts {
		top := 0.0
		for pass := range 2 {
			for y := int(p.Y0); y < int(p.Y1); y++ {
				for x := int(p.X0); x < int(p.X1); x++ {
					if c := p; c.Disc {
						d := math.Hypot(float64(x)+.5-(c.X0+c.X1)/2, float64(y)+.5-(c.Y0+c.Y1)/2)
						if d >= (c.X1-c.X0)/2 {
							continue
						}
					}
					switch {
					case pass == 0 && !p.Draping:
						top = math.Max(top, h[y][x])
					case pass == 1 && p.Draping:
						h[y][x] += p.Caliper
					case pass == 1:
						h[y][x] = top + p.Caliper
					}
				}
			}
		}
	}
	return h
}

func randomParts(rng *rand.Rand, n int, discs bool) []Part {
	parts := []Part{rect(0, 0, 60, 60, 0.5)}
	for range n {
		x, y, w, d := float64(rng.IntN(50)), float64(rng.IntN(50)), float64(1+rng.IntN(30)), float64(1+rng.IntN(30))
		p := rect(x, y, math.Min(x+w, 70), math.Min(y+d, 70), float64(1+rng.IntN(30))/8)
		if discs && rng.IntN(2) == 0 {
			p = disc(10+float64(rng.IntN(40)), 10+float64(rng.IntN(40)), float64(2+rng.IntN(8)), p.Caliper)
		}
		p.Draping, p.Free, p.Grams = rng.IntN(4) == 0, true, float64(rng.IntN(9))
		parts = append(parts, p)
	}
	return parts
}

// The relief is what the same parts make when they are laid on a grid.
func TestReliefAgainstAGrid(t *testing.T) {
	t.Parallel()
	rng := rand.New(rand.NewPCG(61, 62))
	for range 150 {
		parts := randomParts(rng, 1+rng.IntN(12), false)
		r, grid := NewRelief(parts), pileOf(parts, 70)
		most, least := 0.0, math.Inf(1)
		for y, row := range grid {
			for x, h := range row {
				most = math.Max(most, h)
				if x < 60 && y < 60 {
					least = math.Min(least, h)
				}
				if (x+y)%7 == 0 && math.Abs(r.Height(float64(x)+.5, float64(y)+.5)-h) > 1e-9 {
					t.Fatalf("at %d, %d: %v, on the grid %v", x, y, r.Height(float64(x)+.5, float64(y)+.5), h)
				}
			}
		}
		near(t, "greatest", r.Max, most, 1e-9)
		near(t, "least", r.Min, least, 1e-9)
		sum := 0.0
		for _, i := range r.Chain {
			sum += parts[i].Caliper
		}
		near(t, "what stands on each other", sum, r.Max, 1e-9)
	}
	// With discs a grid sees less than there is, never more.
	for range 100 {
		parts := randomParts(rng, 1+rng.IntN(12), true)
		r := NewRelief(parts)
		for _, row := range pileOf(parts, 70) {
			for _, h := range row {
				if h > r.Max+1e-9 {
					t.Fatalf("the grid is %v high, the relief %v", h, r.Max)
				}
			}
		}
	}
}

func TestLumpAndUneven(t *testing.T) {
	base := rect(0, 0, 100, 60, 1)
	r := NewRelief([]Part{base, rect(0, 0, 40, 60, 4), disc(70, 30, 5, 2)})
	if rise, part := r.Lump(25.4); rise != 4 || part != 1 {
		t.Errorf("a rise of %v by part %d", rise, part)
	}
	if rise, _ := NewRelief([]Part{base, rect(0, 0, 100, 60, 4)}).Lump(25.4); rise != 0 {
		t.Errorf("an even card rises by %v", rise)
	}
	// The low place is 40 mm away: too far for a rise within an inch, but not
	// within two.
	far := NewRelief([]Part{base, rect(0, 0, 30, 60, 4), rect(30, 0, 70, 60, 2)})
	if rise, _ := far.Lump(25.4); rise != 2 {
		t.Errorf("to the next step it rises by %v", rise)
	}
	if rise, _ := far.Lump(50.8); rise != 4 {
		t.Errorf("within two inches it rises by %v", rise)
	}
	if u := r.Uneven(5, 5, 95, 55); u != 4 {
		t.Errorf("uneven by %v", u)
	}
	if u := r.Uneven(5, 5, 35, 55); u != 0 {
		t.Errorf("one step is uneven by %v", u)
	}
	if u := r.Uneven(-5, 5, 35, 55); u != 5 {
		t.Errorf("to the empty envelope it is uneven by %v", u)
	}
}

// A heap eats t + ½·Σ(√(g² + (T − t)²) − g); a block T.
func TestGirth(t *testing.T) {
	const base, high = 0.5, 6.0
	g1, g2 := 20.0, 35.0
	r := NewRelief([]Part{rect(0, 0, 140, 100, base), rect(g1, 10, 140-g2, 60, high-base)})
	g := r.Girths(true)
	want := base + (math.Hypot(g1, high-base)-g1+math.Hypot(g2, high-base)-g2)/2
	near(t, "room across", g.Worst.Room(), want, 1e-9)
	near(t, "room end-on", g.EndOn.Room(), want, 1e-9)
	near(t, "a block", NewRelief([]Part{rect(0, 0, 140, 100, high)}).Girths(true).Worst.Room(), high, 1e-9)
	if at := g.Worst.At; at < 10 || at > 60 {
		t.Errorf("it binds at %v", at)
	}
	// Two heaps that no one section meets: seen end-on they ask for more.
	two := NewRelief([]Part{rect(0, 0, 140, 100, base), rect(5, 0, 20, 20, 5), rect(120, 70, 135, 90, 5)}).Girths(true)
	if two.EndOn.Room() <= two.Worst.Room()+0.5 {
		t.Errorf("end-on %v, the worst section %v", two.EndOn.Room(), two.Worst.Room())
	}
	// A disc is cut through its middle.
	d := NewRelief([]Part{rect(0, 0, 140, 100, base), disc(70, 50, 15, 5)}).Girths(true)
	near(t, "a disc", d.Worst.Room(), base+math.Hypot(55, 5)-55, 1e-5)
	near(t, "its place", d.Worst.At, 50, 1e-3)
}

// The girth is never less than the size with the thickness anywhere, nor more
// than with a block, and leaving a part off never makes it larger.
func TestGirthBounds(t *testing.T) {
	rng := rand.New(rand.NewPCG(63, 64))
	for range 80 {
		parts := randomParts(rng, 1+rng.IntN(8), true)
		r := NewRelief(parts)
		for _, wide := range []bool{true, false} {
			g := r.Girths(wide)
			x0, y0, x1, y1 := r.Outer()
			over := x1-x0+y1-y0 > 120 // what sticks out is no rise, but counts in the size
			if w, e := g.Worst.Room(), g.EndOn.Room(); !over && w < r.Tops[0]-1e-6 || e < w-1e-6 || e > r.Max+1e-6 {
				t.Fatalf("a base of %v, sections take %v, end-on %v, a block %v", r.Tops[0], w, e, r.Max)
			}
			less := NewRelief(parts[:len(parts)-1]).Girths(wide)
			if less.EndOn.Girth > g.EndOn.Girth+1e-6 {
				t.Fatalf("with a part less the girth is %v, with it %v", less.EndOn.Girth, g.EndOn.Girth)
			}
		}
	}
}

// The set that is left off is the smallest: all subsets of up to ten parts are
// tried.
func TestLeaveOffIsLeast(t *testing.T) {
	t.Parallel()
	rng := rand.New(rand.NewPCG(65, 66))
	some := 0
	for range 120 {
		n := 1 + rng.IntN(9)
		parts := randomParts(rng, n, true)
		for i := range parts[1:] {
			parts[i+1].Free = rng.IntN(5) > 0
		}
		r := NewRelief(parts)
		all := 0.0
		for _, p := range parts {
			all += p.Grams
		}
		thick, grams := r.Max*rng.Float64(), all*rng.Float64()
		if rng.IntN(2) == 0 {
			grams = all
		}
		rise := math.Inf(1)
		if most, _ := r.Lump(25.4); rng.IntN(2) == 0 {
			thick, rise = r.Max, most*rng.Float64()
		}
		least, least2 := -1, 0.0
		for off := range uint64(1) << n {
			off <<= 1
			count, weight, area, allowed := 0, 0.0, 0.0, true
			for i, p := range parts {
				if off&(1<<i) == 0 {
					weight += p.Grams
					continue
				}
				allowed = allowed && p.Free
				count++
				area += r.covered(1 << i)
			}
			if !allowed || weight > grams+1e-9 {
				continue
			}
			left := r
			left.cells, left.Tops = slices.Clone(r.cells), nil
			left.lay(^off)
			if up, _ := left.Lump(25.4); left.Max > thick+1e-9 || up > rise+1e-9 {
				continue
			}
			if least < 0 || count < least || count == least && area < least2 {
				least, least2 = count, area
			}
		}
		got, ok := r.LeaveOff(Allowed{thick, grams, rise, 25.4})
		if ok != (least >= 0) || ok && (len(got.Parts) != least || !got.Proven || math.Abs(got.Area-least2) > 1e-6) {
			t.Fatalf("%d parts, to %.2f mm and %.1f g: %+v, %v; least are %d covering %.1f", n, thick, grams, got, ok, least, least2)
		}
		if ok && least > 1 {
			some++
		}
	}
	if some < 20 {
		t.Errorf("only %d needed more than one part left off", some)
	}
}

// Up to twenty parts the least set is proven, whatever is asked and however they
// lie on each other.
func TestLeastOfTwentyIsProven(t *testing.T) {
	rng := rand.New(rand.NewPCG(71, 72))
	some := 0
	for k := range 240 {
		parts, all := randomParts(rng, 20, true), 0.0
		for _, p := range parts {
			all += p.Grams
		}
		r := NewRelief(parts)
		most, _ := r.Lump(25.4)
		a := Allowed{math.Inf(1), math.Inf(1), math.Inf(1), 25.4}
		if k%4 != 1 {
			a.Thick = r.Max * rng.Float64()
		}
		if k%4 != 2 {
			a.Rise = most * rng.Float64()
		}
		if k%4 != 3 {
			a.Grams = all * (0.3 + 0.7*rng.Float64())
		}
		got, ok := r.LeaveOff(a)
		if ok && !got.Proven {
			t.Errorf("%+v: %d parts are left off, and that is not proven", a, len(got.Parts))
		}
		if ok && len(got.Parts) > 5 {
			some++
		}
	}
	if some < 40 {
		t.Errorf("only %d needed more than five left off", some)
	}
}

// Beyond what can be searched through something is proposed and marked so.
func TestLeaveOffOfMany(t *testing.T) {
	rng := rand.New(rand.NewPCG(67, 68))
	parts := randomParts(rng, 60, true)
	r := NewRelief(parts)
	got, ok := r.LeaveOff(Allowed{3, 60, math.Inf(1), 0})
	if !ok || got.Proven {
		t.Fatalf("%+v, %v", got, ok)
	}
	var kept []Part
	weight := 0.0
	for i, p := range parts {
		if !slices.Contains(got.Parts, i) {
			kept, weight = append(kept, p), weight+p.Grams
		}
	}
	if left := NewRelief(kept); left.Max > 3+1e-9 || weight > 60+1e-9 {
		t.Errorf("left are %v mm and %v g", left.Max, weight)
	}
}

func BenchmarkReliefOf40(b *testing.B) {
	rng := rand.New(rand.NewPCG(69, 70))
	parts := randomParts(rng, 40, true)
	for b.Loop() {
		NewRelief(parts)
	}
}
