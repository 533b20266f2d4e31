package blank

import (
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

var cutDown = Construction{
	ID: CutDownID, Bought: true,
	Words: Words{
		Name: "Cut down a bought one", Drawing: closedWithFlap, Overlap: flapOverlap,
		Sentence: []say.Clause{
			say.Unless("cut left", "Take {from}, cut [{cut right}] off one side, and glue that side with a seam of [{seam}]."),
			say.When("cut left", "Take {from}, cut [{cut left}] off either side, and glue both sides with a seam of [{seam}]."),
		},
		Roles: map[Role]string{cutLeft: "cut", cutRight: "cut"},
		Seal:  "To mail it, seal both edges.", Thick: "or take a construction with walls", Flap: "Closing flap", FlapNote: "0 for the usual",
		Hint: []say.Clause{say.Always("By hand: lay the card in the middle and mark {beyond} beyond each side. Cut on the marks.")},
		Not:  "No envelope that is sold or on your shelf can be cut down to this card.",
	},
	Wishes:  always(easeWish, seamWish),
	Options: []string{"from", "oneSide", stockOption, adhesiveOption, linerOption},
	Ways: []WayKind{{
		ID: NextEdge, Name: "cut, and glued again",
		Steps: []say.Clause{
			say.When("cut left", "Cut {cut left} off the left side and {cut right} off the right, through both layers. The cuts are {kept} apart."),
			say.Unless("cut left", "Cut {cut right} off the right side, through both layers: {kept} is left."),
			say.Always("Glue what was cut with a seam of {seam}, and leave the throat open."),
		},
	}},
	Make: fittest,
}

// What is cut off a bought envelope.
const cutLeft, cutRight Role = "cut left", "cut right"

// fittest cuts down the bought envelope of the spec that is left with the least to
// spare: one on the shelf before one to buy. The paper of what is sold counts.
func fittest(s Spec) (best Made, ok bool) {
	s.Caliper, s.LeastWidth, s.LeastHeight = s.SoldCaliper, 0, 0
	spare := func(m Made) measure.Length { return m.EaseHeight + m.From.Width - m.Width }
	for _, b := range s.Bought {
		s.LeastWidth = s.leastWidthAt(b.Height)
		made, can := MeasureCutDown(s, b, s.OneSide)
		if !can {
			continue
		}
		if !ok || b.Owned && !best.From.Owned || b.Owned == best.From.Owned && spare(made) < spare(best) {
			best, ok = made, true
		}
	}
	if !ok {
		return best, false
	}
	s.LeastWidth = s.leastWidthAt(best.From.Height)
	return NewCutDown(s, best.From, s.OneSide)
}

func (s Spec) leastWidthAt(height measure.Length) measure.Length {
	if s.LeastWidthAt == nil {
		return 0
	}
	return s.LeastWidthAt(s.Width+s.Thickness+s.Ease, height)
}

// NewCutDown works out a bought envelope made narrower for the card, and draws
// and folds it. It is false when the card does not go in.
func NewCutDown(s Spec, b Bought, oneSide bool) (Made, bool) {
	m, ok := MeasureCutDown(s, b, oneSide)
	if !ok {
		return m, false
	}
	shape := SquareFlap
	if b.Pointed {
		shape = PointedFlap
	}
	m.Net = cutDownNet(m, s.Seam.Millimetres(), (b.Width - m.Width).Millimetres(), oneSide, shape)
	m.seen = closedNet(m, 0, b.Width.Millimetres(), shape)
	return m.Finished(s), true
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
	m := Made{ID: CutDownID, Width: keep, Height: b.Height, Seam: s.Seam, From: b}
	m.EaseWidth = keep - seams*s.Seam - s.Width - s.Thickness
	if oneSide {
		m.EaseWidth -= s.Caliper
	}
	m.EaseHeight = b.Height - 2*s.Caliper - s.Height - s.Thickness
	if keep >= b.Width || m.EaseHeight < 0 || m.EaseWidth < 0 {
		return m, false
	}
	off := b.Width - keep
	scores := []Setting{edgeScore(cutLeft, FromLeft, off/2), edgeScore(cutRight, FromRight, off/2)}
	if m.Cuts = 2; oneSide {
		scores, m.Cuts = []Setting{edgeScore(cutRight, FromRight, off)}, 1
	}
	m.Flap = b.flap()
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
	way := m.way(NextEdge, scores, Loss{2 * t, root(2, t)}, Loss{t, t})
	way.HeightLoss = Loss{} // as it was bought
	m.choose(s, way)
	return m, true
}

// cutDownNet draws the envelope opened out at its bottom, with the strips that
// are cut off.
func cutDownNet(m Made, seam, off float64, oneSide bool, shape FlapShape) Net {
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
		{"top", "closing flap", shape.outline(0, w+off, flap, 0, 0, 0).keep(rightOf(x0), leftOf(x1))},
	}
	n.Creases = []Crease{
		{Panel: "back", From: Point{x0, flap + h}, To: Point{x1, flap + h}, Angle: 180, Order: 1},
		{Panel: "top", From: Point{x0, flap}, To: Point{x1, flap}, Angle: 180, Order: 2},
	}
	if !oneSide {
		n.Glue = append(n.Glue, Glue{Panel: "back", Onto: "face", Zone: rectangle(x0, flap+h, x0+seam, flap+2*h), Joins: true})
	}
	n.Glue = append(n.Glue, Glue{Panel: "back", Onto: "face", Zone: rectangle(x1-seam, flap+h, x1, flap+2*h), Joins: true})
	return n
}
