package blank

import "yellowparcel/core/measure"

// StripPanel names what is glued by a holding strip.
const StripPanel = "strip"

// HoldingStrips lays two strips of glue between front and back that keep a card
// of the spec in the middle of an envelope wider than it: their inner edges lie
// half of card, thickness and ease from the centre, and they end one adhesive
// width below the flap's glue. It reports whether there is room for them.
func (m *Made) HoldingStrips(s Spec) bool {
	x0, y0, x1, y1 := m.Net.Panels[0].Outline.Box()
	half := (s.Width + s.Thickness + s.Ease).Millimetres() / 2
	wide, middle := s.Adhesive.Millimetres(), (x0+x1)/2
	if middle-half-wide < x0 || wide == 0 {
		return false
	}
	top := y0 + m.Flap.Millimetres() + wide // the flap's edge lies so far below the throat
	if top > y1-wide {
		top = y0 + wide
	}
	for _, x := range []float64{middle - half - wide, middle + half} {
		m.Net.Glue = append(m.Net.Glue, Glue{Panel: StripPanel, Onto: m.Net.Panels[0].ID, Zone: rectangle(x, top, x+wide, y1), Joins: true})
	}
	m.line(s)
	return true
}

// Throat is the clear width at the throat between the zones that glue front and
// back together, in nanometres: a card and its thickness must pass.
func (m Made) Throat() measure.Length {
	x0, x1 := m.clear()
	return measure.Round((x1 - x0) * float64(measure.Millimetre))
}

// clear is the stretch across the face between the zones that glue front and
// back together.
func (m Made) clear() (x0, x1 float64) {
	x0, _, x1, _ = m.Net.Panels[0].Outline.Box()
	middle := (x0 + x1) / 2
	for _, g := range m.Net.Glue {
		if !g.Joins {
			continue
		}
		low, _, high, _ := g.Zone.Box()
		if high <= middle {
			x0 = max(x0, high)
		} else {
			x1 = min(x1, low)
		}
	}
	return x0, x1
}
