package cutting

import (
	"context"
	"fmt"
	"hash/fnv"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
	"yellowparcel/internal/golden"
)

// randomOrder is an order of a few lines, on some sheet of the trade, in inches or
// millimetres, with some pieces that may be turned.
func randomOrder(r *rand.Rand) Order {
	sheets := []Sheet{letter, {Width: 12 * in, Height: 12 * in}, {Width: 210 * measure.Millimetre, Height: 297 * measure.Millimetre}, {Width: 13 * in, Height: 19 * in}}
	o := Order{Sheet: sheets[r.IntN(len(sheets))]}
	if r.IntN(3) == 0 {
		o.Sheet.Cut = measure.Length(8+r.IntN(8)) * in
	}
	for range 1 + r.IntN(5) {
		step := in / 8
		if r.IntN(3) == 0 {
			step = 3 * measure.Millimetre
		}
		o.Pieces = append(o.Pieces, Piece{
			Name: "piece", Width: measure.Length(4+r.IntN(64)) * step, Height: measure.Length(4+r.IntN(64)) * step, Count: r.IntN(3)*r.IntN(12) + r.IntN(4), Turn: r.IntN(2) == 0,
		})
	}
	return o
}

// The same order and the same number of steps give the same plan, today as on the day
// that it was written down: sheets, settings, what is left over, and how much was
// searched.
func TestPlansAreTheSame(t *testing.T) {
	r := rand.New(rand.NewPCG(12, 1))
	var lines []string
	for range 160 {
		o := randomOrder(r)
		p := Search(context.Background(), o, 400+r.IntN(6000), nil)
		if err := Check(o, p); err != nil {
			t.Fatalf("%+v: %v", o, err)
		}
		all := fnv.New32a()
		fmt.Fprintf(all, "%v %v", p.Layouts, p.Steps)
		lines = append(lines, fmt.Sprintf("%d sheets, at least %d (by count %v), %d settings, %d cuts, %v x %v left, %v do not fit, %d steps: %08x",
			p.Sheets, p.Bound, p.ByCount, len(p.Steps), p.cuts(), p.Offcut.Width, p.Offcut.Height, p.Unfit, p.Searched, all.Sum32()))
		s, q := o.Sheet, o.Pieces[0]
		n, used := Most(s, q, 900)
		e := Equal(s, q, 900)
		lines = append(lines, fmt.Sprintf("of one: %d in %d steps, laid %d with %d cuts and %d offcuts, possible %d", n, used, len(e.Pieces), len(e.Cuts), len(e.Offcuts), s.Possible(q)))
	}
	// Sheets that were cut up by chance, so that pieces fit each other to the hair.
	for i := range 60 {
		turn := i%2 == 0
		s := letter
		o := planted(r, s, 1+r.IntN(3), 4+r.IntN(14), turn, i%3 == 0)
		p := Search(context.Background(), o, 30_000, nil)
		all := fnv.New32a()
		fmt.Fprintf(all, "%v %v", p.Layouts, p.Steps)
		lines = append(lines, fmt.Sprintf("planted: %d sheets, at least %d, %d settings, %d steps: %08x", p.Sheets, p.Bound, len(p.Steps), p.Searched, all.Sum32()))
	}
	for range 300 {
		q := Piece{Width: measure.Length(1+r.IntN(40)) * in / 8, Height: measure.Length(1+r.IntN(40)) * in / 8, Count: 1, Turn: r.IntN(3) > 0}
		s := Sheet{Width: measure.Length(8+r.IntN(100)) * in / 8, Height: measure.Length(8+r.IntN(100)) * in / 8}
		if r.IntN(4) == 0 {
			s.Cut = measure.Length(30+r.IntN(70)) * in / 8
		}
		n, used := Most(s, q, 200+r.IntN(4000))
		e := Equal(s, q, 3000)
		all := fnv.New32a()
		fmt.Fprintf(all, "%v", e)
		lines = append(lines, fmt.Sprintf("most %d in %d, laid %d: %08x", n, used, len(e.Pieces), all.Sum32()))
	}
	golden.Check(t, "plans", lines)
}
