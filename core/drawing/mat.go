package drawing

import (
	"cmp"
	"math"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/mat"
)

// Laying is one piece on a mat: its drawing as it is cut by itself, and what it is called there.
type Laying struct {
	Drawing
	Part, Name string
}

// Worked is what a cutter makes of a piece: the outline that stays, what is cut out of it, and its
// scores. It lies with the box round its outline at the origin.
func Worked(d Drawing) Drawing {
	worked := Drawing{Shapes: []Shape{}, Labels: []Label{}}
	for _, s := range d.Shapes {
		if s.Kind == Cut || s.Kind == Score {
			s.Field, s.Paper = "", s.Kind == Cut && len(worked.Of(Cut)) == 0
			worked.Shapes = append(worked.Shapes, s)
		}
	}
	if len(worked.Shapes) == 0 {
		return worked
	}
	x0, y0, x1, y1 := worked.Corners().Box()
	worked = worked.Moved(-x0, -y0)
	worked.Width, worked.Height = x1-x0, y1-y0
	return worked
}

// Corners are all corners of what is drawn: the room that it takes, turned any way, is theirs.
func (d Drawing) Corners() (list blank.Polygon) {
	for _, s := range d.Shapes {
		list = append(list, s.Corners...)
	}
	return list
}

// OnMat draws a load of a mat: the mat, what of it can be worked on, the paper, and the pieces as they
// lie, each with its name.
func OnMat(l mat.Laid, load mat.Load, pieces []Laying) Drawing {
	m := l.Mat
	wide, high, margin := m.Width.Millimetres(), m.Height.Millimetres(), m.Margin.Millimetres()
	d := Drawing{Width: wide, Height: high, Shapes: []Shape{}, Labels: []Label{}}
	d.area(Mat, "mat", Box(0, 0, wide, high))
	d.area(Sheet, "sheet", Box(l.Paper.X.Millimetres(), l.Paper.Y.Millimetres(), l.Paper.Width.Millimetres(), l.Paper.Height.Millimetres()))
	if margin > 0 {
		d.area(Mat, "usable", Box(margin, margin, wide-2*margin, high-2*margin))
	}
	for _, q := range load.Placed {
		sin, cos := math.Sincos(-q.Angle * math.Pi / 180)
		p := Worked(pieces[q.Piece].Drawing).turned(sin, cos)
		x0, y0, x1, y1 := p.Corners().Box()
		p = p.Moved(q.At.X-x0, q.At.Y-y0)
		for _, s := range p.Shapes {
			s.Part = pieces[q.Piece].Part
			d.Shapes = append(d.Shapes, s)
		}
		at, room := p.roomiest(x1-x0, y1-y0, q.At)
		d.label(pieces[q.Piece].Part, at, pieces[q.Piece].Name, room)
	}
	return d
}

// nameHigh is half the height that a name takes on a mat, in millimetres: a mat is looked at as a whole.
const nameHigh = 6

// roomiest is where on a piece of that box, whose corner lies at from, a name has the most room, and half
// of that: on paper, and across no line. The middle is best, unless a fifth more is free elsewhere.
func (d Drawing) roomiest(wide, high float64, from blank.Point) (at blank.Point, room float64) {
	for _, part := range []float64{1. / 2, 1. / 4, 3. / 4, 1. / 8, 7. / 8} {
		y := from.Y + part*high
		var taken [][2]float64
		for _, s := range d.Shapes {
			for i, a := range s.Corners {
				if i == len(s.Corners)-1 && !s.Closed {
					break
				}
				if x, there := span(a, s.Corners[(i+1)%len(s.Corners)], y-nameHigh, y+nameHigh); there {
					taken = append(taken, x)
				}
			}
		}
		slices.SortFunc(taken, func(a, b [2]float64) int { return cmp.Compare(a[0], b[0]) })
		for i, end := 0, from.X; i < len(taken); i++ {
			middle := blank.Point{X: (end + taken[i][0]) / 2, Y: y}
			if free := (taken[i][0] - end) / 2; free > 1.2*room && d.paper(middle) {
				at, room = middle, free
			}
			end = max(end, taken[i][1])
		}
	}
	return at, room
}

// paper reports whether a point of a piece is paper: in its outline, and in nothing that is cut out of it.
func (d Drawing) paper(at blank.Point) bool {
	in := false
	for _, s := range d.Of(Cut) {
		if s.Closed && s.Corners.Holds(at) {
			in = !in
		}
	}
	return in
}

// span is how far across an edge goes between two heights.
func span(a, b blank.Point, top, bottom float64) (across [2]float64, there bool) {
	if a.Y > b.Y {
		a, b = b, a
	}
	if b.Y < top || a.Y > bottom {
		return across, false
	}
	x := func(y float64) float64 {
		if y <= a.Y || a.Y == b.Y {
			return a.X
		}
		return a.X + (b.X-a.X)*min(1, (y-a.Y)/(b.Y-a.Y))
	}
	across = [2]float64{x(top), x(bottom)}
	if a.Y == b.Y {
		across = [2]float64{a.X, b.X}
	}
	return [2]float64{min(across[0], across[1]), max(across[0], across[1])}, true
}
