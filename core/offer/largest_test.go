package offer

import (
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/internal/anyjob"
)

// The largest card is that of the greatest area among all that can be tried, square or of a usual shape.
func TestTheLargestCardOfASheet(t *testing.T) {
	const tick = measure.Inch / 16
	shop := job.DefaultShop()
	m := offersTo(anyjob.Star(3*measure.Inch, 3*measure.Inch, blank.DiamondID), shop)
	for _, sheet := range []card.Size{{Width: 17 * measure.Inch / 2, Height: 11 * measure.Inch}, {Width: 12 * measure.Inch, Height: 12 * measure.Inch}, {Width: 210 * measure.Millimetre, Height: 297 * measure.Millimetre}, {Width: 4 * measure.Inch, Height: 12 * measure.Inch}, {Width: 6 * measure.Inch, Height: 9 * measure.Inch}} {
		got, ok := m.Largest(paper.Sheet{Width: sheet.Width, Height: sheet.Height})
		if !ok {
			t.Fatalf("%v gives none", sheet)
		}
		best := 0.0
		for long := tick; long <= max(sheet.Width, sheet.Height); long += tick {
			for short := tick; short <= long; short += tick {
				shape := float64(long) / float64(short)
				if shape != 1 && (shape < leastShape || shape > mostShape) {
					continue
				}
				for _, base := range []card.Size{{Width: long, Height: 2 * short}, {Width: 2 * long, Height: short}} {
					w, h := min(base.Width, base.Height), max(base.Width, base.Height)
					if w <= min(sheet.Width, sheet.Height) && h <= max(sheet.Width, sheet.Height) {
						best = max(best, long.Inches()*short.Inches())
					}
				}
			}
		}
		// A side on the tick may take a tick of the other one.
		if area := got.Width.Inches() * got.Height.Inches(); area > best || area < best-0.8 {
			t.Errorf("%v × %v: %v × %v is %.2f square inches, and %.2f is there", sheet.Width, sheet.Height, got.Width, got.Height, area, best)
		}
	}
	if _, ok := m.Largest(paper.Sheet{Width: measure.Inch, Height: measure.Inch}); ok {
		t.Error("a sheet of an inch gives a card")
	}
}
