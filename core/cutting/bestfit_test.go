package cutting

import (
	"cmp"
	"context"
	"math/rand/v2"
	"slices"
	"testing"

	"yellowparcel/core/measure"
)

// overAll is a plain packer that looks over every sheet begun, written by itself: pieces by a size, largest first,
// each into the free rectangle that is best by a score; what is left is cut in two by a rule, across first or down.
func overAll(o Order, by func(Piece) measure.Length, score func(r Rect, w, h measure.Length) float64, across func(r Rect, w, h measure.Length) bool) (sheets int) {
	var all []Piece
	for _, p := range o.Pieces {
		for range p.Count {
			all = append(all, p)
		}
	}
	slices.SortStableFunc(all, func(a, b Piece) int { return cmp.Compare(by(b), by(a)) })
	var free []Rect
	for _, p := range all {
		best, turned := -1, false
		for tries := 0; best < 0 && tries < 2; tries++ {
			if tries == 1 {
				free, sheets = append(free, Rect{Width: o.Sheet.Width, Height: o.Sheet.Height}), sheets+1
			}
			least := 0.0
			for i, r := range free {
				for _, turn := range []bool{false, true} {
					w, h := p.Width, p.Height
					if turn {
						w, h = h, w
					}
					if w > r.Width || h > r.Height || turn && !p.Turn {
						continue
					}
					if s := score(r, w, h); best < 0 || s < least {
						best, turned, least = i, turn, s
					}
				}
			}
		}
		r, w, h := free[best], p.Width, p.Height
		if turned {
			w, h = h, w
		}
		rest := []Rect{{Width: r.Width - w, Height: r.Height}, {Width: w, Height: r.Height - h}}
		if across(r, w, h) {
			rest = []Rect{{Width: r.Width, Height: r.Height - h}, {Width: r.Width - w, Height: h}}
		}
		free = slices.Delete(free, best, best+1)
		free = append(free, slices.DeleteFunc(rest, func(r Rect) bool { return r.Width <= 0 || r.Height <= 0 })...)
	}
	return sheets
}

// Plain packers that look over all sheets begin a new one later than those that fill sheet after sheet: no plan
// takes more than they do, at 160 pieces either, however few steps it has.
func TestNeverMoreSheetsThanBestFit(t *testing.T) {
	t.Parallel()
	area := func(r Rect, _, _ measure.Length) float64 { return r.area() }
	tight := func(r Rect, w, h measure.Length) float64 { return float64(min(r.Width-w, r.Height-h)) }
	packers := map[string]func(Order) int{}
	for name, by := range map[string]func(Piece) measure.Length{
		"width": func(p Piece) measure.Length { return p.Width }, "height": func(p Piece) measure.Length { return p.Height },
		"both": func(p Piece) measure.Length { return p.Width + p.Height }, "area": func(p Piece) measure.Length { return measure.Length(p.area() / 1e9) },
	} {
		packers["least area, longer leftover whole, by "+name] = func(o Order) int {
			return overAll(o, by, area, func(r Rect, w, h measure.Length) bool { return r.Height-h > r.Width-w })
		}
		packers["tightest, smaller rest whole, by "+name] = func(o Order) int {
			return overAll(o, by, tight, func(r Rect, w, h measure.Length) bool {
				return float64(r.Width)*float64(r.Height-h) <= float64(r.Width-w)*float64(r.Height)
			})
		}
		packers["least area, strips, by "+name] = func(o Order) int {
			return overAll(o, by, area, func(Rect, measure.Length, measure.Length) bool { return name == "height" })
		}
	}
	r := rand.New(rand.NewPCG(160, 61))
	better, orders := 0, 0
	for n := range 61 {
		pieces := []int{160, 40 + r.IntN(120)}[n%2]
		sheet := []Sheet{letter, square, {Width: 210 * measure.Millimetre, Height: 297 * measure.Millimetre}}[n%3]
		o := planted(r, sheet, 1+pieces/10, pieces, n%5 > 1, n%5 == 1)
		if n%5 > 2 {
			o = Order{Sheet: sheet}
			kinds := 3 + r.IntN(28)
			for range kinds {
				o.Pieces = append(o.Pieces, piece(measure.Length(10+r.IntN(100))*tick, measure.Length(10+r.IntN(100))*tick, max(1, pieces/kinds), n%2 == 0))
			}
		}
		if slices.ContainsFunc(o.Pieces, func(p Piece) bool { return sheet.Possible(p) != Possible }) {
			continue
		}
		orders++
		for _, steps := range []int{0, quick} {
			got := Search(context.Background(), o, steps, nil)
			if err := Check(o, got); err != nil {
				t.Fatalf("order %d in %d steps: %v", n, steps, err)
			}
			for name, pack := range packers {
				if k := pack(o); got.Sheets > k {
					t.Errorf("order %d of %d pieces in %d steps: %d sheets, %s takes %d", n, pieces, steps, got.Sheets, name, k)
				} else if got.Sheets < k {
					better++
				}
			}
		}
	}
	if orders < 40 || better < 500 {
		t.Errorf("better %d times on %d orders: these prove little", better, orders)
	}
}
