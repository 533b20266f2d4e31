package blank

import "yellowparcel/core/measure"

// Bought is an envelope that is cut down: its outer size, throat along the width.
type Bought struct {
	Width, Height measure.Length
	// Pointed is set when its flap is deep and pointed, so that cutting its sides
	// cuts the flap's curve.
	Pointed bool
}

// NewCutDown works out a bought envelope made narrower for the card, and draws
// and folds it. It is false when the card does not go in.
func NewCutDown(s Spec, b Bought, oneSide bool) (Made, bool) {
	m, ok := MeasureCutDown(s, b, oneSide)
	if !ok {
		return m, false
	}
	m.Net = cutDownNet(m, s.Seam.Millimetres(), (b.Width - m.Width).Millimetres(), oneSide)
	return m.folded(s), true
}

// MeasureCutDown works out what is cut off each side, or off one side, and the
// seams that close it again, without drawing it: enough to choose among many
// envelopes. It is false when the card does not go in.
func MeasureCutDown(s Spec, b Bought, oneSide bool) (Made, bool) {
	seams := measure.Length(2)
	if oneSide {
		seams = 1
	}
	keep := s.Width + s.Thickness + s.Ease + seams*s.Seam
	if !oneSide {
		// What is cut is the same on both sides, and a tick.
		off := ((b.Width - keep) / 2).Down(s.Style.Tick)
		keep = b.Width - 2*off
	} else {
		keep = b.Width - (b.Width - keep).Down(s.Style.Tick)
	}
	m := Made{Kind: CutDownKind, Width: keep, Height: b.Height, Seam: s.Seam}
	m.EaseWidth = keep - seams*s.Seam - s.Width - s.Thickness
	if oneSide {
		m.EaseWidth -= s.Caliper
	}
	m.EaseHeight = b.Height - 2*s.Caliper - s.Height - s.Thickness
	if keep >= b.Width || m.EaseHeight < 0 || m.EaseWidth < 0 {
		return m, false
	}
	off := b.Width - keep
	if oneSide {
		m.Scores = []ScoreLine{{"cut", "right", off}}
		m.Cuts = 1
	} else {
		m.Scores = []ScoreLine{{"cut", "left", off / 2}, {"cut", "right", off / 2}}
		m.Cuts = 2
	}
	m.Flap = measure.Round(0.4 * float64(b.Height))
	m.Overlap = m.Flap
	if b.Pointed {
		m.fault(CurveCut, off, 0)
	}
	if s.Seam < s.Adhesive {
		m.fault(SeamUnderAdhesive, s.Seam, s.Adhesive)
	}
	if m.EaseHeight > 3*measure.Inch/8 {
		m.fault(TooHigh, m.EaseHeight, 0)
	}
	t := s.Style.Tick / 2
	m.EaseError, m.SeamError = Loss{2*t + t, root(2, t)}, Loss{t, t}
	return m, true
}

// cutDownNet draws the envelope opened out at its bottom, with the strips that
// are cut off.
func cutDownNet(m Made, seam, off float64, oneSide bool) Net {
	w, h, flap := m.Width.Millimetres(), m.Height.Millimetres(), m.Flap.Millimetres()
	x0 := off / 2
	if oneSide {
		x0 = 0
	}
	x1 := x0 + w
	n := Net{Sheet: rectangle(0, 0, w+off, flap+2*h)}
	n.Panels = []Panel{
		{"face", "front", rectangle(x0, flap, x1, flap+h)},
		{"back", "back", rectangle(x0, flap+h, x1, flap+2*h)},
		{"top", "closing flap", rectangle(x0, 0, x1, flap)},
	}
	n.Creases = []Crease{
		{Panel: "back", From: Point{x0, flap + h}, To: Point{x1, flap + h}, Angle: 180, Order: 1},
		{Panel: "top", From: Point{x0, flap}, To: Point{x1, flap}, Angle: 180, Order: 2},
	}
	n.cutOut()
	if !oneSide {
		n.Glue = append(n.Glue, Glue{"back", "face", rectangle(x0, flap+h, x0+seam, flap+2*h)})
	}
	n.Glue = append(n.Glue, Glue{"back", "face", rectangle(x1-seam, flap+h, x1, flap+2*h)})
	return n
}
