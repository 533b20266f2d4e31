package plan

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/measure"
)

// dimensions are the measures drawn on a net: its face; on a square that stands on
// its point the closing flap, else what lies in the face's column.
func (m envelopeStation) dimensions(c compare.Candidate) []Dimension {
	made, net := c.Made, c.Made.Seen()
	x0, y0, x1, y1 := net.Panels[0].Outline.Box()
	low, high := blank.Point{X: x0, Y: y0}, blank.Point{X: x1, Y: y1}
	mark := func(id string, a, b blank.Point, shift float64) Dimension {
		l := measure.Round((abs(a.X-b.X) + abs(a.Y-b.Y)) * float64(measure.Millimetre))
		return Dimension{ID: id, From: a, To: b, Shift: shift, Text: m.Style().Show(l), Nm: l}
	}
	y, x := low.Y+(high.Y-low.Y)*0.3, low.X+(high.X-low.X)*0.25
	list := []Dimension{
		mark("width", blank.Point{X: low.X, Y: y}, blank.Point{X: high.X, Y: y}, 0),
		mark("height", blank.Point{X: x, Y: low.Y}, blank.Point{X: x, Y: high.Y}, 0),
	}
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
		// Beside the closing flap, where the square's corner leaves room.
		crease := y0 - made.Depth.Millimetres()
		from, to := blank.Point{X: right / 2, Y: crease - made.Flap.Millimetres()}, blank.Point{X: right / 2, Y: crease}
		return append(list, mark("flap", from, to, min(right*0.44, y0+right*0.06)))
	}
	// Beside the sheet, the height of every panel in the face's column that has
	// room for its number.
	const room = 14 // mm
	middle := (low.X + high.X) / 2
	for _, p := range net.Panels {
		near, top, far, end := p.Outline.Box()
		if near < middle && middle < far && end-top > room && p.ID != net.Panels[0].ID {
			list = append(list, mark("beside "+p.ID, blank.Point{X: far, Y: top}, blank.Point{X: far, Y: end}, right-far+4))
		}
	}
	return list
}

func abs(x float64) float64 { return max(x, -x) }
