package card

import (
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
)

// heap is the formula for one heap of height T from g1 to g2 off the edges.
func heap(t, top, g1, g2 float64) float64 {
	side := func(g float64) float64 { return math.Hypot(g, top-t) - g }
	return t + (side(g1)+side(g2))/2
}

func TestRoomOfOneHeap(t *testing.T) {
	rng := rand.New(rand.NewPCG(1, 2))
	for range 500 {
		length := measure.Length(2+rng.IntN(9)) * in
		base := measure.Length(1+rng.IntN(20)) * in / 200
		top := base + measure.Length(rng.IntN(100))*in/100
		g1, g2 := measure.Length(rng.IntN(30))*in/32, measure.Length(rng.IntN(30))*in/32
		got := Room(length, base, []Rise{{g1, length - g2, top}}).Inches()
		want := heap(base.Inches(), top.Inches(), g1.Inches(), g2.Inches())
		if math.Abs(got-want) > 1e-7 {
			t.Fatalf("base %v, heap %v from %v to %v of %v: %.6f, want %.6f", base, top, g1, g2, length, got, want)
		}
		if got > top.Inches()+1e-7 || got < base.Inches()-1e-7 {
			t.Fatalf("%.6f is not between the base %v and the block %v", got, base, top)
		}
	}
}

func TestRoomOfSeveral(t *testing.T) {
	flat := Room(5*in, in/32, nil)
	if flat != in/32 {
		t.Errorf("a base alone takes %v, want its thickness", flat)
	}
	// Two posts near the edges carry the paper like one block between them.
	two := Room(5*in, in/32, []Rise{{in / 2, in, in / 4}, {4 * in, 9 * in / 2, in / 4}})
	if one := Room(5*in, in/32, []Rise{{in / 2, 9 * in / 2, in / 4}}); two != one {
		t.Errorf("two posts take %v, a block between them %v", two, one)
	}
	// A low layer below the line from the edge to the heap changes nothing.
	low := Room(5*in, in/32, []Rise{{in / 2, 9 * in / 2, in / 4}, {in / 4, 19 * in / 4, in / 30}})
	if low != two {
		t.Errorf("a layer below the hull: %v, want %v", low, two)
	}
	if got := Room(5*in, in/8, []Rise{{0, 5 * in, in / 4}}); got != in/4 {
		t.Errorf("a block to the edges takes %v, want all its height", got)
	}
}
