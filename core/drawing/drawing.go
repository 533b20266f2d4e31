// Package drawing holds what is drawn of a job: outlines, lines, areas, labels and sizes,
// each with its kind. The screen, every print and every file for a machine draw the very
// same drawing; what a kind looks like is theirs to say.
//
// Coordinates are millimetres, x to the right and y down, from the top left of the box round
// what is drawn. It carries out "Drawings and files" of docs/sums.md:
//
//	d := drawing.Net(net, drawing.Laid{Card: size})
//	d.Passes(drawing.Scoring{}) // scores, then inner cuts, then the outline
package drawing

import (
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

// Kind is what something drawn is.
type Kind string

// The kinds, in the order in which they cover each other.
const (
	Mat   Kind = "mat"   // the cutter's mat, and what of it can be worked on
	Sheet Kind = "sheet" // the sheet that it is cut from
	Away  Kind = "away"  // what falls off it
	Cut   Kind = "cut"   // the outline of what stays, an opening in it, or a slit
	Glue  Kind = "glue"  // an area that is glued
	Liner Kind = "liner" // what lines it
	Card  Kind = "card"  // what lies on it, or goes into it
	Hole  Kind = "hole"  // what nothing covers
	Score Kind = "score" // a fold line
)

// Kinds lists them.
func Kinds() []Kind { return []Kind{Mat, Sheet, Away, Cut, Glue, Liner, Card, Hole, Score} }

// Shape is one thing drawn: an area when it is closed, else a line from corner to corner.
type Shape struct {
	Kind Kind `json:"kind"`
	// Part says what it is of: a panel's ID, or what one calls it.
	Part    string        `json:"part"`
	Corners blank.Polygon `json:"corners"`
	Closed  bool          `json:"closed,omitempty"`
	// Paper is set for the outline of a piece on a mat: what it holds is paper, and not an opening.
	Paper bool `json:"paper,omitempty"`
	// Inside is set for a score on the side that is down.
	Inside bool `json:"inside,omitempty"`
	// Field is the path of what is typed for it.
	Field string `json:"field,omitempty" format:"field-path"`
}

// Dimension is a measure between two points in millimetres.
type Dimension struct {
	ID   string      `json:"id"`
	From blank.Point `json:"from"`
	To   blank.Point `json:"to"`
	// Shift is how far the line is drawn aside of the points it measures, in
	// millimetres to the right.
	Shift float64        `json:"shift"`
	Text  string         `json:"text"`
	Nm    measure.Length `json:"nm"`
	// Field is the path of what is typed for it; empty where it follows.
	Field string `json:"field,omitempty" format:"field-path"`
}

// Drawing is one thing drawn, at its true size.
type Drawing struct {
	Width  float64 `json:"width"`
	Height float64 `json:"height"`
	// Shapes cover each other in their order.
	Shapes []Shape `json:"shapes"`
	Labels []Label `json:"labels"`
}

// area adds a closed shape; one without corners is nothing.
func (d *Drawing) area(k Kind, part string, p blank.Polygon) *Shape {
	if len(p) == 0 {
		return &Shape{}
	}
	d.Shapes = append(d.Shapes, Shape{Kind: k, Part: part, Corners: p, Closed: true})
	return &d.Shapes[len(d.Shapes)-1]
}

// line adds a straight line.
func (d *Drawing) line(k Kind, part string, from, to blank.Point) *Shape {
	d.Shapes = append(d.Shapes, Shape{Kind: k, Part: part, Corners: blank.Polygon{from, to}})
	return &d.Shapes[len(d.Shapes)-1]
}

// Of lists its shapes of a kind.
func (d Drawing) Of(k Kind) (list []Shape) {
	for _, s := range d.Shapes {
		if s.Kind == k {
			list = append(list, s)
		}
	}
	return list
}

// Length of a shape along its corners, and back to the first where it is closed.
func (s Shape) Length() (sum float64) {
	for i, a := range s.Corners {
		if i+1 < len(s.Corners) || s.Closed {
			b := s.Corners[(i+1)%len(s.Corners)]
			sum += math.Hypot(b.X-a.X, b.Y-a.Y)
		}
	}
	return sum
}

// Moved is the drawing shifted: for a page, a mat, or a tile of it.
func (d Drawing) Moved(x, y float64) Drawing {
	move := func(p blank.Point) blank.Point { return blank.Point{X: p.X + x, Y: p.Y + y} }
	return d.changed(move)
}

// QuarterTurned is the drawing turned by a quarter, clockwise, its box again at the origin.
func (d Drawing) QuarterTurned() Drawing {
	high := d.Height
	t := d.changed(func(p blank.Point) blank.Point { return blank.Point{X: high - p.Y, Y: p.X} })
	t.Width, t.Height = d.Height, d.Width
	return t
}

// Level is the drawing turned so that the first edge of its sheet lies level: a sheet that stands
// on its point takes more room on paper and mat than one that lies.
func (d Drawing) Level() Drawing {
	sheet := d.Of(Sheet)
	if len(sheet) == 0 || len(sheet[0].Corners) < 2 {
		return d
	}
	a, b := sheet[0].Corners[0], sheet[0].Corners[1]
	sin, cos := math.Sincos(math.Atan2(b.Y-a.Y, b.X-a.X))
	if math.Abs(sin) < hair || math.Abs(cos) < hair {
		return d
	}
	t := d.turned(sin, cos)
	x0, y0, x1, y1 := t.Of(Sheet)[0].Corners.Box()
	t = t.Moved(-x0, -y0)
	t.Width, t.Height = x1-x0, y1-y0
	return t
}

// turned is the drawing turned about the origin, by the sine and cosine of how far anticlockwise.
func (d Drawing) turned(sin, cos float64) Drawing {
	return d.changed(func(p blank.Point) blank.Point { return blank.Point{X: cos*p.X + sin*p.Y, Y: cos*p.Y - sin*p.X} })
}

// Drawn is the drawing as it is sent to be drawn, to the micrometre.
func (d Drawing) Drawn() Drawing {
	const ticks = 1000
	to := func(x float64) float64 { return math.Round(x*ticks) / ticks }
	d = d.changed(func(p blank.Point) blank.Point { return blank.Point{X: to(p.X), Y: to(p.Y)} })
	for i := range d.Labels {
		d.Labels[i].Room, d.Labels[i].High = to(d.Labels[i].Room), to(d.Labels[i].High)
	}
	d.Width, d.Height = to(d.Width), to(d.Height)
	return d
}

// changed is the drawing with every point put elsewhere.
func (d Drawing) changed(where func(blank.Point) blank.Point) Drawing {
	shapes, labels := make([]Shape, len(d.Shapes)), make([]Label, len(d.Labels))
	for i, s := range d.Shapes {
		corners := make(blank.Polygon, len(s.Corners))
		for k, p := range s.Corners {
			corners[k] = where(p)
		}
		s.Corners = corners
		shapes[i] = s
	}
	for i, l := range d.Labels {
		l.At = where(l.At)
		labels[i] = l
	}
	d.Shapes, d.Labels = shapes, labels
	return d
}

// Scaled is the drawing made so many times as large, for what is looked at and not measured.
func (d Drawing) Scaled(by float64) Drawing {
	d = d.changed(func(p blank.Point) blank.Point { return blank.Point{X: p.X * by, Y: p.Y * by} })
	for i := range d.Labels {
		d.Labels[i].Room *= by
		d.Labels[i].High *= by
	}
	d.Width, d.Height = d.Width*by, d.Height*by
	return d
}

// Box is the rectangle with a corner at a point.
func Box(x, y, width, height float64) blank.Polygon {
	return blank.Polygon{{X: x, Y: y}, {X: x + width, Y: y}, {X: x + width, Y: y + height}, {X: x, Y: y + height}}
}

// middle is the middle of the box round some corners, and its width and height.
func middle(p blank.Polygon) (at blank.Point, width, height float64) {
	x0, y0, x1, y1 := p.Box()
	return blank.Point{X: (x0 + x1) / 2, Y: (y0 + y1) / 2}, x1 - x0, y1 - y0
}
