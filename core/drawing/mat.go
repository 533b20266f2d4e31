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
		d.label(pieces[q.Piece].Part, blank.Point{X: q.At.X + (x1-x0)/4, Y: q.At.Y + (y1-y0)/4}, pieces[q.Piece].Name, (x1-x0)/5)
	}
	return d
}
