package drawing

import (
	"cmp"
	"math"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

// Line is how a cutting machine makes the scores.
type Line string

// How it makes them.
const (
	Solid  Line = "solid"  // with a scoring tool, all along
	Dashed Line = "dashed" // perforated: a line that is drawn in dashes
	Slits  Line = "slits"  // perforated: real short cuts, for a machine that draws no dashes
)

// Lines lists them.
func Lines() []Line { return []Line{Solid, Dashed, Slits} }

// Scoring says how scores are made. A perforated one begins and ends with a dash, so far
// inside both ends that the edge does not tear.
type Scoring struct {
	Line             Line
	Dash, Gap, Inset measure.Length
}

// Passes are what a machine does, in its order: scores before cuts, and what lies inside
// before the outline that sets it free, so that nothing is worked on that lies loose.
type Passes struct {
	// Scores and Cuts are in the order in which they are made; Guides are for the eye alone.
	Scores, Cuts, Guides []Shape
	// Dash and Gap are those of dashed scores, in millimetres, one for each score; nil where
	// they are solid.
	Dashes []Dashes
}

// Dashes are how one perforated line is divided, in millimetres.
type Dashes struct{ Dash, Gap float64 }

// Passes sorts what a machine does.
func (d Drawing) Passes(s Scoring) (p Passes) {
	for _, shape := range d.Shapes {
		switch shape.Kind {
		case Cut:
			p.Cuts = append(p.Cuts, shape)
		case Score:
			p.Scores = append(p.Scores, shape)
		case Mat, Sheet, Away, Glue, Liner, Card, Hole:
			p.Guides = append(p.Guides, shape)
		}
	}
	if s.Line == Dashed || s.Line == Slits {
		p.perforate(s)
	}
	slices.SortStableFunc(p.Cuts, func(a, b Shape) int { return cmp.Compare(a.extent(), b.extent()) })
	return p
}

// extent is the area of the box round a shape: what lies inside another has less.
func (s Shape) extent() float64 {
	if !s.Closed {
		return 0
	}
	_, w, h := middle(s.Corners)
	return w * h
}

// perforate makes the scores in dashes, or in cuts of their own.
func (p *Passes) perforate(s Scoring) {
	var whole []Shape
	for _, score := range p.Scores {
		line, dashes := perforated(score, s)
		if s.Line == Dashed {
			whole, p.Dashes = append(whole, line), append(p.Dashes, dashes)
			continue
		}
		p.Cuts = append(p.Cuts, Short(line, dashes)...)
	}
	p.Scores = whole
}

// perforated is a score drawn in at both ends, and how it is divided: as many dashes as go
// on it with at least the gap between them, the gaps stretched so that it ends with a dash.
// One that is too short for two dashes is one dash.
func perforated(score Shape, s Scoring) (Shape, Dashes) {
	from, to, length := score.Corners[0], score.Corners[1], score.Length()
	dash, gap, inset := s.Dash.Millimetres(), s.Gap.Millimetres(), s.Inset.Millimetres()
	if room := length - 2*inset; room < dash {
		inset = max(0, (length-dash)/2) // too short for the whole inset
	}
	along := func(at float64) blank.Point {
		return blank.Point{X: from.X + (to.X-from.X)*at/length, Y: from.Y + (to.Y-from.Y)*at/length}
	}
	drawn := length - 2*inset
	score.Corners = blank.Polygon{along(inset), along(length - inset)}
	n := math.Floor((drawn + gap + hair) / (dash + gap))
	if n < 2 || dash <= 0 {
		return score, Dashes{Dash: drawn}
	}
	return score, Dashes{dash, (drawn - n*dash) / (n - 1)}
}

// hair is a distance in millimetres that is nothing.
const hair = 1e-6

// Short is a perforated line as short ones, each as long as a dash.
func Short(line Shape, d Dashes) (list []Shape) {
	from, to, length := line.Corners[0], line.Corners[1], line.Length()
	along := func(at float64) blank.Point {
		return blank.Point{X: from.X + (to.X-from.X)*at/length, Y: from.Y + (to.Y-from.Y)*at/length}
	}
	for at := 0.0; at < length-hair; at += d.Dash + d.Gap {
		list = append(list, Shape{Kind: Cut, Part: line.Part, Inside: line.Inside, Corners: blank.Polygon{along(at), along(min(at+d.Dash, length))}})
	}
	return list
}
