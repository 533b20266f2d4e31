package cutting

import (
	"cmp"
	"context"
	"math/rand/v2"
	"slices"
	"testing"

	"yellowparcel/core/measure"
	"yellowparcel/internal/soak"
)

// plainFirstFit is the plain packer to compare with, written by itself: pieces
// sorted by a size, largest first, each into the first free rectangle of the
// first sheet that takes it; what is left of that rectangle is cut in two, the
// larger part whole.
func plainFirstFit(o Order, by func(Piece) measure.Length) int {
	var all []Piece
	for _, p := range o.Pieces {
		for range p.Count {
			all = append(all, p)
		}
	}
	slices.SortStableFunc(all, func(a, b Piece) int { return cmp.Compare(by(b), by(a)) })
	var sheets [][]Rect
	place := func(free []Rect, w, h measure.Length) ([]Rect, bool) {
		for i, r := range free {
			if w > r.Width || h > r.Height {
				continue
			}
			var rest []Rect
			if float64(r.Width)*float64(r.Height-h) > float64(r.Width-w)*float64(r.Height) {
				rest = []Rect{{0, 0, r.Width, r.Height - h}, {0, 0, r.Width - w, h}}
			} else {
				rest = []Rect{{0, 0, r.Width - w, r.Height}, {0, 0, w, r.Height - h}}
			}
			rest = slices.DeleteFunc(rest, func(r Rect) bool { return r.Width <= 0 || r.Height <= 0 })
			return slices.Replace(free, i, i+1, rest...), true
		}
		return free, false
	}
	for _, p := range all {
		done := false
		for i := 0; !done; i++ {
			if i == len(sheets) {
				sheets = append(sheets, []Rect{{0, 0, o.Sheet.Width, o.Sheet.Height}})
			}
			if sheets[i], done = place(sheets[i], p.Width, p.Height); !done && p.Turn {
				sheets[i], done = place(sheets[i], p.Height, p.Width)
			}
		}
	}
	return len(sheets)
}

// However few steps a search has, its plan takes no more sheets than plain
// packers do: on orders of a few sizes and many pieces above all.
func TestNeverMoreSheetsThanFirstFit(t *testing.T) {
	t.Parallel()
	sizes := []func(Piece) measure.Length{
		func(p Piece) measure.Length { return measure.Length(p.area() / 1e9) },
		func(p Piece) measure.Length { return max(p.Width, p.Height) },
		func(p Piece) measure.Length { return p.Height },
	}
	r := rand.New(rand.NewPCG(160, 9))
	better, fewest := 0, 0
	for n := range soak.Of(1000) {
		o := Order{Sheet: []Sheet{letter, square}[n%2]}
		for range 1 + r.IntN(12) {
			o.Pieces = append(o.Pieces, piece(measure.Length(12+r.IntN(100))*tick, measure.Length(12+r.IntN(100))*tick, 1+r.IntN(40), r.IntN(2) == 0))
		}
		for _, steps := range []int{0, 5000, 60_000} {
			got := Search(context.Background(), o, steps, nil)
			if err := Check(o, got); err != nil {
				t.Fatalf("order %d in %d steps: %v", n, steps, err)
			}
			if len(got.Unfit) > 0 {
				break // first-fit would go on for ever
			}
			for i, by := range sizes {
				plain := plainFirstFit(o, by)
				if got.Sheets > plain {
					t.Errorf("order %d in %d steps: %d sheets, first-fit by size %d takes %d", n, steps, got.Sheets, i, plain)
				}
				if got.Sheets < plain {
					better++
				}
			}
			if s := shelves(o); got.Sheets > s {
				t.Errorf("order %d in %d steps: %d sheets, shelves take %d", n, steps, got.Sheets, s)
			}
			if got.Sheets == o.Bound() {
				fewest++
			}
		}
	}
	if better < 400 || fewest < 40 {
		t.Errorf("better than first-fit %d times, the fewest %d times: these orders prove little", better, fewest)
	}
}

// A plan says what keeps it from taking fewer sheets: the area, or the number of
// pieces that a sheet holds.
func TestWhyNotFewer(t *testing.T) {
	for _, tt := range []struct {
		name            string
		o               Order
		bound           int
		proven, byCount bool
	}{
		{"filled to the brim", Order{letter, []Piece{piece(17*in/2, 11*in/2, 4, false)}}, 2, true, true},
		{"two sizes, full", Order{letter, []Piece{piece(17*in/2, 6*in, 2, false), piece(17*in/2, 5*in, 2, false)}}, 2, true, false},
		{"no two on a sheet", Order{letter, []Piece{piece(5*in, 6*in, 3, false), piece(2*in, 2*in, 1, true)}}, 3, true, true},
		{"one size, two a sheet", Order{letter, []Piece{piece(5*in, 5*in, 3, true)}}, 2, true, true},
	} {
		t.Run(tt.name, func(t *testing.T) {
			p := search(t, tt.o, quick)
			if p.Bound != tt.bound || p.Proven() != tt.proven || p.ByCount != tt.byCount {
				t.Errorf("%s: %d sheets, bound %d, proven %v, by count %v", tt.name, p.Sheets, p.Bound, p.Proven(), p.ByCount)
			}
		})
	}
}

// Pieces thinner than anybody cuts, and sheets larger than any, end in time: the
// search counts what it looks at, and does not look at more than it may.
func TestSearchKeepsToItsSteps(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(7, 70))
	for n := range 60 {
		o := Order{Sheet: Sheet{Width: measure.Length(1+r.IntN(5000)) * measure.Millimetre, Height: measure.Length(1+r.IntN(5000)) * measure.Millimetre}}
		if n%3 == 0 {
			o.Sheet.Cut = measure.Length(1+r.IntN(5000)) * measure.Millimetre
		}
		for range 1 + r.IntN(6) {
			o.Pieces = append(o.Pieces, piece(measure.Length(1+r.Int64N(400_000_000)), measure.Millimetre+measure.Length(r.Int64N(400_000_000)), 1+r.IntN(2000), r.IntN(3) > 0))
		}
		for i := range o.Pieces {
			o.Pieces[i].Width = max(measure.Millimetre, o.Pieces[i].Width)
		}
		const steps = 50_000
		p := Search(context.Background(), o, steps, nil)
		if err := Check(o, p); err != nil {
			t.Fatalf("order %d: %v", n, err)
		}
		floor := Search(context.Background(), o, 0, nil).Searched
		if p.Searched > steps+floor+steps/2 {
			t.Errorf("order %d: %d steps of %d, the plain ways alone take %d", n, p.Searched, steps, floor)
		}
	}
	// Tiny squares on a large sheet: millions of them are counted, none is laid.
	if n, used := Most(Sheet{Width: 5 * measure.Metre, Height: 5 * measure.Metre}, piece(measure.Millimetre, measure.Millimetre, 1, true), quick); n != 25_000_000 || used > quick {
		t.Errorf("%d pieces in %d steps", n, used)
	}
}
