package plan

import (
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/drawing"
	"yellowparcel/core/measure"
)

// dimensions are the measures drawn on a net beside its scores: the closing flap of a square
// on its point, and what is cut off a bought one. None crosses the card.
func (m envelopeStation) dimensions(c compare.Candidate) []drawing.Dimension {
	made, net := c.Made, c.Made.Seen()
	x0, y0, x1, _ := net.Panels[0].Outline.Box()
	mark := func(id string, a, b blank.Point, shift float64) drawing.Dimension {
		l := measure.Round((abs(a.X-b.X) + abs(a.Y-b.Y)) * float64(measure.Millimetre))
		return drawing.Dimension{ID: id, From: a, To: b, Shift: shift, Text: m.Style().Show(l), Nm: l}
	}
	list := []drawing.Dimension{}
	left, _, right, foot := net.Sheet.Box()
	// What is cut off a bought envelope, through both layers.
	for _, cut := range []struct {
		id       string
		from, to float64
	}{{"cut left", left, x0}, {"cut right", x1, right}} {
		if c.Kind.Bought && cut.to-cut.from > 0.01 {
			d := mark(cut.id, blank.Point{X: cut.from, Y: foot}, blank.Point{X: cut.to, Y: foot}, 0)
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

// Callout is a measure that is too small to be drawn between two points: it is said at its
// place.
type Callout struct {
	At    blank.Point `json:"at"`
	Text  string      `json:"text"`
	Field string      `json:"field" format:"field-path"`
}

// callouts are the radii and the taper that the maker set, each where it is cut.
func callouts(m envelopeStation, c compare.Candidate) []Callout {
	list, wish, show := []Callout{}, m.Job().Envelope, m.Style().Show
	if c.Kind.Bought {
		return list
	}
	for _, p := range c.Made.Seen().Panels {
		x0, y0, x1, y1 := p.Outline.Box()
		switch {
		case p.ID == "top" && wish.Corner > 0:
			list = append(list, Callout{blank.Point{X: x0, Y: y0}, "round " + show(wish.Corner), "envelope.corner"})
		case p.ID == "back" && wish.Notch > 0 && slices.Contains(c.Kind.Options, "notch"):
			list = append(list, Callout{blank.Point{X: (x0 + x1) / 2, Y: y1}, "notch " + show(wish.Notch), "envelope.notch"})
		}
		if p.ID == "back" && wish.Sliver > 0 {
			list = append(list, Callout{blank.Point{X: x1, Y: y1}, "taper " + m.fine().Show(wish.Sliver), "envelope.sliver"})
		}
	}
	return list
}

func abs(x float64) float64 { return max(x, -x) }
