package card

import (
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
)

func even(borders ...measure.Length) (list []Mount) {
	for _, b := range borders {
		list = append(list, Mount{Edges: Even(b)})
	}
	return list
}

// A deeper lower margin shifts the layer up, a size of its own lies centred.
func TestStackUneven(t *testing.T) {
	layers, _, ok := Stack(Size{5 * in, 7 * in}, []Mount{{Edges: Edges{in / 4, in / 8, in, in / 8}}, {Own: &Size{4 * in, 5 * in}}})
	want := []Layer{{in / 8, in / 4, Size{19 * in / 4, 23 * in / 4}}, {in / 2, 5 * in / 8, Size{4 * in, 5 * in}}}
	if !ok || layers[0] != want[0] || layers[1] != want[1] {
		t.Errorf("%v, want %v", layers, want)
	}
	if s := Shares(Size{4 * in, 4 * in}, []Layer{{-in, -in, Size{6 * in, 6 * in}}}); s[0] != 0 {
		t.Errorf("a face under a larger layer shows %g", s[0])
	}
}

func TestRungs(t *testing.T) {
	if r := Rungs(Size{2 * in, 3 * in}, measure.Inches); len(r) != 5 || r[1] != in/16 || r[4] != 3*in/8 {
		t.Errorf("%v", r)
	}
	if r := Rungs(Size{200 * measure.Millimetre, 200 * measure.Millimetre}, measure.Millimetres); len(r) != 12 || r[2] != 3*measure.Millimetre {
		t.Errorf("%v", r)
	}
}

func TestStack(t *testing.T) {
	// 4 3/4 x 6 1/2 -> 4 1/2 x 6 1/4 -> 4 1/4 x 6
	sizes, _, ok := Stack(Size{4*in + 3*in/4, 6*in + in/2}, even(in/8, in/8))
	want := []Layer{{in / 8, in / 8, Size{4*in + in/2, 6*in + in/4}}, {in / 4, in / 4, Size{4*in + in/4, 6 * in}}}
	if !ok || len(sizes) != 2 || sizes[0] != want[0] || sizes[1] != want[1] {
		t.Errorf("%v, %v; want %v", sizes, ok, want)
	}
	sizes, eaten, ok := Stack(Size{4 * in, 6 * in}, even(in, in, in))
	if ok || eaten != 1 || len(sizes) != 1 {
		t.Errorf("a border that eats its layer: %v, %d, %v", sizes, eaten, ok)
	}
}

// Whatever the layers, what is seen adds up to the face, and nothing shows less
// than nothing.
func TestSharesAddUp(t *testing.T) {
	rng := rand.New(rand.NewPCG(9, 10))
	for range 500 {
		face := Size{measure.Length(2+rng.IntN(10)) * in, measure.Length(2+rng.IntN(10)) * in}
		var borders []measure.Length
		for range rng.IntN(6) {
			borders = append(borders, measure.Length(rng.IntN(8))*in/16)
		}
		sizes, _, _ := Stack(face, even(borders...))
		sum := 0.0
		for i, s := range Shares(face, sizes) {
			if s < 0 {
				t.Fatalf("layer %d of %v shows %g", i, sizes, s)
			}
			sum += s
		}
		if math.Abs(sum-1) > 1e-12 {
			t.Fatalf("%v on %v add up to %g", sizes, face, sum)
		}
	}
	// 5 3/8 square with a border of 1/8: 1 - (5.125/5.375)² = 9.1 %.
	face := Size{5*in + 3*in/8, 5*in + 3*in/8}
	if got := Shares(face, []Layer{{in / 8, in / 8, Size{5*in + in/8, 5*in + in/8}}})[0]; math.Abs(got-0.0909) > 0.0001 {
		t.Errorf("the base shows %g", got)
	}
}
