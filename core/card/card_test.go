package card

import (
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
)

const in = measure.Inch

func TestBases(t *testing.T) {
	for _, tt := range []struct {
		fold Fold
		w, h measure.Length
		want Base
	}{
		{SideFold, 5 * in, 7 * in, Base{SideFold, 10 * in, 7 * in, []Score{{false, 5 * in}}}},
		{TopFold, 5 * in, 7 * in, Base{TopFold, 5 * in, 14 * in, []Score{{true, 7 * in}}}},
		{FlatCard, 5 * in, 7 * in, Base{FlatCard, 5 * in, 7 * in, nil}},
	} {
		got := NewBase(tt.fold, tt.w, tt.h)
		if got.Width != tt.want.Width || got.Height != tt.want.Height || len(got.Scores) != len(tt.want.Scores) {
			t.Fatalf("%s: %+v, want %+v", tt.fold, got, tt.want)
		}
		for i, s := range got.Scores {
			if s != tt.want.Scores[i] {
				t.Errorf("%s: score %+v, want %+v", tt.fold, s, tt.want.Scores[i])
			}
		}
	}
}

func TestPerSheet(t *testing.T) {
	mm := measure.Millimetre
	for _, tt := range []struct {
		name         string
		w, h, sw, sh measure.Length
		want         int
	}{
		{"5 3/8 square side fold, letter", 2 * (5*in + 3*in/8), 5*in + 3*in/8, 8*in + in/2, 11 * in, 1},
		{"5 3/8 square side fold, 12 x 12", 2 * (5*in + 3*in/8), 5*in + 3*in/8, 12 * in, 12 * in, 2},
		{"4 x 5 top fold, letter: trim to 10, cut 4, 4", 4 * in, 10 * in, 8*in + in/2, 11 * in, 2},
		{"4 x 5 side fold, letter: trim to 8, cut 5, 5", 8 * in, 5 * in, 8*in + in/2, 11 * in, 2},
		{"4 3/4 x 6 1/2 side fold, letter", 9*in + in/2, 6*in + in/2, 8*in + in/2, 11 * in, 1},
		{"4 3/4 x 6 1/2 top fold, letter: needs 13", 4*in + 3*in/4, 13 * in, 8*in + in/2, 11 * in, 0},
		{"105 x 148 side fold, A4", 210 * mm, 148 * mm, 210 * mm, 297 * mm, 2},
		{"105 x 148 top fold, A4", 105 * mm, 296 * mm, 210 * mm, 297 * mm, 2},
		{"exactly the sheet, turned", 11 * in, 8*in + in/2, 8*in + in/2, 11 * in, 1},
		{"a nanometre too large", 11*in + 1, 8*in + in/2, 8*in + in/2, 11 * in, 0},
		{"two blocks: 3 upright and 2 turned", 4 * in, 6 * in, 12 * in, 10 * in, 5},
		{"nothing", 0, 5 * in, 12 * in, 12 * in, 0},
	} {
		if got := PerSheet(tt.w, tt.h, tt.sw, tt.sh).Count(); got != tt.want {
			t.Errorf("%s: %d, want %d", tt.name, got, tt.want)
		}
	}
}

// Whatever is planned can be cut: every piece on the sheet, none overlapping,
// each of the asked size, and never more than the area allows.
func TestPerSheetIsValid(t *testing.T) {
	rng := rand.New(rand.NewPCG(3, 4))
	for range 300 {
		w, h := measure.Length(8+rng.IntN(160))*in/16, measure.Length(8+rng.IntN(160))*in/16
		sw, sh := measure.Length(96+rng.IntN(200))*in/16, measure.Length(96+rng.IntN(200))*in/16
		y := PerSheet(w, h, sw, sh)
		if y.Count() < int(sw/w)*int(sh/h) && y.Count() < maxGrid {
			t.Fatalf("%v x %v from %v x %v: %d is less than the plain grid", w, h, sw, sh, y.Count())
		}
		for i, p := range y.Pieces {
			if (p.Width != w || p.Height != h) && (p.Width != h || p.Height != w) {
				t.Fatalf("piece %+v is not %v x %v", p, w, h)
			}
			if p.X < 0 || p.Y < 0 || p.X+p.Width > sw || p.Y+p.Height > sh {
				t.Fatalf("piece %+v hangs off %v x %v", p, sw, sh)
			}
			for _, q := range y.Pieces[:i] {
				if p.X < q.X+q.Width && q.X < p.X+p.Width && p.Y < q.Y+q.Height && q.Y < p.Y+p.Height {
					t.Fatalf("pieces %+v and %+v overlap", p, q)
				}
			}
		}
	}
}

func TestSheets(t *testing.T) {
	y := PerSheet(2*in, 2*in, 4*in, 4*in)
	for n, want := range map[int]int{1: 1, 4: 1, 5: 2, 12: 3} {
		if got := y.Sheets(n); got != want {
			t.Errorf("%d pieces take %d sheets, want %d", n, got, want)
		}
	}
	if got := PerSheet(5*in, 5*in, 4*in, 4*in).Sheets(3); got != 0 {
		t.Errorf("a sheet that gives none counts %d sheets", got)
	}
}
