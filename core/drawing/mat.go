package drawing

import (
	"math"

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
	for _, p := range load.Papers {
		d.area(Sheet, "sheet", Box(p.X.Millimetres(), p.Y.Millimetres(), p.Width.Millimetres(), p.Height.Millimetres()))
	}
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
		d.Labels = append(d.Labels, p.named(pieces[q.Piece], x1-x0, y1-y0, q.At))
	}
	return d
}

// named is the name of a piece where it has the most room: on paper, and across no line. The piece lies in a box of
// that size, whose corner is at from. The middle is best, unless a fifth more is free elsewhere.
func (d Drawing) named(of Laying, wide, high float64, from blank.Point) Label {
	l := Label{Part: of.Part, Text: of.Name, At: from}
	for _, part := range []float64{1. / 2, 1. / 4, 3. / 4, 1. / 8, 7. / 8} {
		y := from.Y + part*high
		taken := d.spans(y-nameHigh, y+nameHigh, upright)
		for i, end := 0, from.X; i < len(taken); i++ {
			middle := blank.Point{X: (end + taken[i][0]) / 2, Y: y}
			if free := (taken[i][0] - end) / 2; free > 1.2*l.Room && d.paper(middle) {
				l.At, l.Room = middle, free
			}
			end = max(end, taken[i][1])
		}
	}
	if l.Room > 0 {
		l.Room, l.High = d.room(l.At)
	}
	return l
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
