package drawing

import (
	"math"

	"yellowparcel/core/blank"
)

// Made is one line that a machine made.
type Made struct {
	// Kind is Score or Cut.
	Kind    Kind
	Corners blank.Polygon
}

// CameOff is what comes off the mat: the lines in the order in which they were made. What is cut all round is
// paper where nothing else that is cut lies round it, else an opening.
func CameOff(width, height float64, made []Made) Drawing {
	d := Drawing{Width: width, Height: height, Shapes: []Shape{}, Labels: []Label{}}
	for _, m := range made {
		s := Shape{Kind: m.Kind, Part: string(m.Kind), Corners: m.Corners}
		if n := len(m.Corners); n > 3 && m.Corners[0] == m.Corners[n-1] {
			s.Corners, s.Closed = m.Corners[:n-1], true
		}
		d.Shapes = append(d.Shapes, s)
	}
	for i, s := range d.Shapes {
		if s.Kind == Cut && s.Closed {
			d.Shapes[i].Paper = !d.within(i)
		}
	}
	return d
}

// within reports whether a closed shape lies inside another one.
func (d Drawing) within(i int) bool {
	for k, s := range d.Shapes {
		if k != i && s.Kind == Cut && s.Closed && s.extent() > d.Shapes[i].extent() && s.Corners.Holds(d.Shapes[i].Corners[0]) {
			return true
		}
	}
	return false
}

// Held is how what a machine made agrees with what was drawn.
type Held struct {
	// Off is the greatest distance between the two, in millimetres.
	Off float64
	// Left are lines of the drawing that were not made, More lines that were made and are not drawn.
	Left, More int
}

// near is how far a line may be from one that is drawn and still be taken for it, in millimetres.
const near = 2

// Hold holds what a machine made against the drawing: every corner that it made against the lines drawn, and every
// end of a line drawn against what was made. A perforated score ends as far inside its line as it was asked to.
func (d Drawing) Hold(made []Made, s Scoring) (h Held) {
	passes := d.Passes(s)
	lines := map[Kind][]Shape{Score: passes.Scores, Cut: passes.Cuts}
	was := map[Kind][]Shape{}
	for _, m := range made {
		line := Shape{Kind: m.Kind, Corners: m.Corners}
		was[m.Kind] = append(was[m.Kind], line)
		if off := farthest(line, lines[m.Kind]); off > near {
			h.More++
		} else {
			h.Off = max(h.Off, off)
		}
	}
	for kind, list := range lines {
		for _, line := range list {
			if off := farthest(line, was[kind]); off > near {
				h.Left++
			} else {
				h.Off = max(h.Off, off)
			}
		}
	}
	return h
}

// farthest is how far the corners of a line are from the nearest of some others, the farthest of them.
func farthest(line Shape, from []Shape) (far float64) {
	for _, p := range line.Corners {
		least := math.Inf(1)
		for _, s := range from {
			for i, a := range s.Corners {
				if i+1 < len(s.Corners) || s.Closed {
					least = min(least, apart(p, a, s.Corners[(i+1)%len(s.Corners)]))
				}
			}
		}
		far = max(far, least)
	}
	return far
}

// apart is how far a point is from a line between two others.
func apart(p, a, b blank.Point) float64 {
	t, long := 0.0, (b.X-a.X)*(b.X-a.X)+(b.Y-a.Y)*(b.Y-a.Y)
	if long > 0 {
		t = max(0, min(1, ((p.X-a.X)*(b.X-a.X)+(p.Y-a.Y)*(b.Y-a.Y))/long))
	}
	return math.Hypot(a.X+t*(b.X-a.X)-p.X, a.Y+t*(b.Y-a.Y)-p.Y)
}
