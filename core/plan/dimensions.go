package plan

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/measure"
)

// dimensions are the measures drawn on a net beside its scores: the closing flap of a square
// on its point, and what is cut off a bought one. None crosses the card.
func (m envelopeStation) dimensions(c compare.Candidate) []Dimension {
	made, net := c.Made, c.Made.Seen()
	x0, y0, x1, _ := net.Panels[0].Outline.Box()
	mark := func(id string, a, b blank.Point, shift float64) Dimension {
		l := measure.Round((abs(a.X-b.X) + abs(a.Y-b.Y)) * float64(measure.Millimetre))
		return Dimension{ID: id, From: a, To: b, Shift: shift, Text: m.Style().Show(l), Nm: l}
	}
	list := []Dimension{}
	left, _, right, _ := net.Sheet.Box()
	// What is cut off a bought envelope, through both layers.
	for _, cut := range []struct {
		id       string
		from, to float64
	}{{"cut left", left, x0}, {"cut right", x1, right}} {
		if c.Kind.Bought && cut.to-cut.from > 0.01 {
			d := mark(cut.id, blank.Point{X: cut.from, Y: y0 * 0.25}, blank.Point{X: cut.to, Y: y0 * 0.25}, 0)
			d.Text += " off"
			list = append(list, d)
		}
	}
	if c.Kind.OnPoint {
		if c.Kind.Box {
			return list
		}
		// Beside the closing flap, in the corner that the square leaves free, past the readings.
		crease := y0 - made.Depth.Millimetres()
		from, to := blank.Point{X: right / 2, Y: crease - made.Flap.Millimetres()}, blank.Point{X: right / 2, Y: crease}
		flap := mark("flap", from, to, right*0.48)
		flap.Field = "envelope.flap"
		return append(list, flap)
	}
	return list
}

func abs(x float64) float64 { return max(x, -x) }
