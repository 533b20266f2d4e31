package blank

import (
	"slices"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// bought is an envelope that is sold or on the shelf, as it is.
var bought = Construction{
	ID: BoughtID, Bought: true, Whole: true,
	Words: Words{
		Name: "Bought envelope", Sentence: []say.Clause{say.Always("Use [{from}] as it is.")}, Drawing: closedWithFlap, Overlap: flapOverlap,
		Seal: "To mail it, seal both edges.", Thick: "or take a construction with walls", Flap: "Closing flap", FlapNote: "0 for the usual",
		Not: "No envelope that is sold or on your shelf takes this card.",
	},
	Wishes:  always(),
	Options: []string{"from", adhesiveOption, linerOption},
	Ways:    []WayKind{{ID: AsSold, Name: "as it is sold", Steps: []say.Clause{say.Always("Try the card in before you close it.")}}},
	Make:    func(s Spec) (Made, bool) { return NewBought(s) },
}

// AsSold is the way of an envelope that is neither cut nor scored.
const AsSold WayID = "sold"

// closedWithFlap is what the drawing shows of an envelope that is bought.
var closedWithFlap = []say.Clause{
	say.Always("{from}, {whole} {unit}, seen from the back with its flap open."),
	say.When("kept", " It is cut through both layers, and {kept} wide when it is glued again."),
}

// Bought is an envelope that is sold: its outer size, throat along the width.
type Bought struct {
	// ID is that of its format, Owned set for one on the shelf.
	ID            string
	Owned         bool
	Width, Height measure.Length
	// Pointed is set when its flap is deep and pointed, so that cutting its sides
	// cuts the flap's curve.
	Pointed bool
	// Takes is what the card's thickness takes of its width and height.
	Takes Rectangle
}

// What is taken of the shape of an envelope that is sold: its tabs, how far its back
// stays below the throat, and its flap, as shares of its height.
const (
	soldTab    = measure.Inch / 2
	soldGap    = 0.1
	soldFlap   = 0.4
	soldPoint  = 0.6
	soldSliver = measure.Inch / 32
)

func (b Bought) flap() measure.Length {
	if b.Pointed {
		return measure.Round(soldPoint * float64(b.Height))
	}
	return measure.Round(soldFlap * float64(b.Height))
}

// NewBought is the first bought envelope of a spec with its card, whether that goes in
// or not; false where the spec names none. The room in it is its outer size less twice
// its paper, less the card and what its thickness takes.
func NewBought(s Spec) (Made, bool) {
	if len(s.Bought) == 0 {
		return Made{}, false
	}
	b := s.Bought[0]
	s.Caliper, s.Sliver, s.FlapShape, s.Corner, s.Notch, s.TabsOnBack = s.SoldCaliper, soldSliver, SquareFlap, 0, 0, false
	if b.Pointed {
		s.FlapShape = PointedFlap
	}
	gap := measure.Round(soldGap * float64(b.Height))
	if b.Pointed {
		gap = 0
	}
	p := pocketSizes{width: b.Width, front: b.Height, back: b.Height - gap, tab: min(soldTab, b.Width/4), flap: b.flap()}
	m := Made{ID: BoughtID, Width: b.Width, Height: b.Height, From: b, Flap: p.flap, Overlap: p.flap - (p.front - p.back), Seam: p.tab - s.Sliver, Folds: 1}
	m.EaseWidth, m.EaseHeight = b.Width-2*s.Caliper-s.Width-b.Takes.Width, b.Height-2*s.Caliper-s.Height-b.Takes.Height
	m.Net = pocketNet(p, s)
	m.choose(s, m.way(AsSold, nil, Loss{}, Loss{}))
	x0 := p.tab.Millimetres()
	m.seen = closedNet(m, x0, x0+b.Width.Millimetres(), s.FlapShape)
	m.Folded = m.Net.Fold()
	m.line(s)
	return m, true
}

// closedNet is a bought envelope seen from its back, its flap open, as far as it reaches
// from left to right in millimetres: what is cut off it is cut away.
func closedNet(m Made, left, right float64, shape FlapShape) Net {
	face := m.Net.Panels[0].Outline
	x0, y0, x1, y1 := face.Box()
	flap := shape.outline(left, right, y0, y0-m.Flap.Millimetres(), 0, 0)
	n := Net{Sheet: append(append(Polygon{{left, y1}, {right, y1}}, flap[1:]...), flap[0])}
	n.Panels = []Panel{{"face", "envelope", rectangle(x0, y0, x1, y1)}, {"top", "closing flap", flap.keep(rightOf(x0), leftOf(x1))}}
	n.Creases = []Crease{{Panel: "top", From: Point{x0, y0}, To: Point{x1, y0}, Angle: 180, Order: 1}}
	if x0 == left && x1 == right {
		n.Outline, n.CutAway = n.Sheet, []Polygon{}
	}
	return n
}

// Seen is the net as it lies before the maker: an envelope that is bought is closed
// already, with its flap open.
func (m Made) Seen() Net {
	if m.seen.Panels == nil {
		return m.Net
	}
	n := m.seen
	for _, g := range m.Net.Glue {
		if !g.Joins {
			continue // glued by whoever made it
		}
		zone := g.Zone
		if _, _, _, y1 := n.Panels[0].Outline.Box(); g.Panel == "back" { // it lies on the front
			zone = slices.Clone(zone)
			for i := range zone {
				zone[i].Y = 2*y1 - zone[i].Y
			}
		}
		n.Glue = append(n.Glue, Glue{Panel: g.Panel, Onto: "face", Zone: zone, Joins: true})
	}
	return n
}
