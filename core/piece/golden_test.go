package piece_test

import (
	"fmt"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/card"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/golden"
)

// What follows from any job by itself is what it was on the day that it was written
// down: thickness, overhang, relief, room, cautions, and what is cut how.
func TestPiecesAreTheSame(t *testing.T) {
	r := rand.New(rand.NewPCG(12, 7))
	var lines []string
	for range 150 {
		shop := anyjob.Shop(r)
		p := piece.Of(anyjob.Job(r, shop), shop)
		left, above := p.Past()
		heap, as := p.Heap(), p.AsMeasured()
		made, _ := shop.Stock(p.Job().Envelope.Stock)
		lines = append(lines, fmt.Sprintf("%v thick %+v rise %v over %v outer %v past %v %v heap %v relief %s as measured %s; sharp %v shielded %v pierces %v missing %d; %v", p.Laid(), p.Thick(), p.Rise(), p.Over(), p.Outer(),
			left, above, heap, golden.Numbers(p.Relief().Max, p.Relief().Min), golden.Numbers(as.Max, as.Min), p.Sharp(), p.Shielded(), p.Pierces(made), len(p.Missing()), p.Block()))
		for _, c := range p.Cautions() {
			if c.Set {
				lines = append(lines, fmt.Sprintf("  %s %q", c.ID, c.Found))
			}
		}
		b := piece.Blank{Width: 8 * measure.Inch, Height: 7 * measure.Inch, Upright: r.IntN(2) == 0, Liner: card.Size{Width: 4 * measure.Inch, Height: 3 * measure.Inch}}
		for _, o := range p.Orders(b) {
			line := "  from " + o.Stock.ID
			for _, c := range o.Cuts {
				line += fmt.Sprintf(" [%s %q %v ×%d %v %v %v %v]", c.Role, c.Name, c.Size, c.Count, c.Upright, c.Fold, c.Down, c.Window)
			}
			for _, s := range o.Saved {
				line += fmt.Sprintf(" saved %d %v %q", s.Count, s.Size, s.From)
			}
			sheet := shop.Sheets[r.IntN(len(shop.Sheets))]
			on := p.On(o, sheet)
			lines = append(lines, fmt.Sprintf("%s; on %s %v swapped %v against %v", line, sheet.ID, on.Cutting.Pieces, on.Swapped, on.Against))
		}
	}
	golden.Check(t, "pieces", lines)
}
