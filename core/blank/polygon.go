package blank

import "math"

// Point is a place on the flat sheet in millimetres: x to the right, y down,
// from the top left of the box round the sheet.
type Point struct {
	X float64 `json:"x"`
	Y float64 `json:"y"`
}

// Polygon is a closed outline, its last point joined to its first.
type Polygon []Point

// Area returns the area in square millimetres, whichever way round it runs.
func (p Polygon) Area() float64 {
	sum := 0.0
	for i, a := range p {
		b := p[(i+1)%len(p)]
		sum += a.X*b.Y - b.X*a.Y
	}
	return math.Abs(sum) / 2
}

// line is the set of points where a·x + b·y = c; its inside is a·x + b·y <= c.
type line struct{ a, b, c float64 }

func leftOf(x float64) line  { return line{1, 0, x} }
func rightOf(x float64) line { return line{-1, 0, -x} }
func above(y float64) line   { return line{0, 1, y} }
func below(y float64) line   { return line{0, -1, -y} }

func (l line) side(p Point) float64 { return l.a*p.X + l.b*p.Y - l.c }

// hair is a distance in millimetres that no ruler sees: points this close are
// one point, and a sliver thinner than this is nothing.
const hair = 1e-6

// few is how many corners a panel usually has at most; clipping so many needs no
// memory of its own.
const few = 16

// keep clips a convex polygon to the inside of each line in turn.
func (p Polygon) keep(lines ...line) Polygon {
	var one, other [few]Point
	from, to := p, Polygon(one[:0])
	for k, l := range lines {
		for i, a := range from {
			b := from[(i+1)%len(from)]
			da, db := l.side(a), l.side(b)
			if da <= 0 {
				to = append(to, a)
			}
			if da < 0 && db > 0 || da > 0 && db < 0 {
				t := da / (da - db)
				to = append(to, Point{a.X + t*(b.X-a.X), a.Y + t*(b.Y-a.Y)})
			}
		}
		// The next line clips from here into the other buffer.
		if from = to; k%2 == 0 {
			to = other[:0]
		} else {
			to = one[:0]
		}
	}
	return from.tidy()
}

// tidy drops points that repeat their neighbour, and polygons without area; what
// it returns is a copy.
func (p Polygon) tidy() Polygon {
	if len(p) < 3 {
		return nil
	}
	q := make(Polygon, 0, len(p))
	for i, a := range p {
		b := p[(i+1)%len(p)]
		if math.Abs(a.X-b.X)+math.Abs(a.Y-b.Y) > hair {
			q = append(q, a)
		}
	}
	if len(q) < 3 || q.Area() < hair {
		return nil
	}
	return q
}

// edges returns the lines of a convex polygon, inside as line has it.
func (p Polygon) edges() []line {
	turn := 1.0
	if signedArea(p) < 0 {
		turn = -1
	}
	lines := make([]line, len(p))
	for i, a := range p {
		b := p[(i+1)%len(p)]
		na, nb := turn*(b.Y-a.Y), -turn*(b.X-a.X)
		lines[i] = line{na, nb, na*a.X + nb*a.Y}
	}
	return lines
}

func signedArea(p Polygon) float64 {
	sum := 0.0
	for i, a := range p {
		b := p[(i+1)%len(p)]
		sum += a.X*b.Y - b.X*a.Y
	}
	return sum
}

// meet returns what two convex polygons share.
func (p Polygon) meet(q Polygon) Polygon {
	if len(p) == 0 || len(q) == 0 {
		return nil
	}
	return p.keep(q.edges()...)
}

// nearest is the corner of the polygon that lies nearest to a point.
func (p Polygon) nearest(to Point) Point {
	best := to
	far := math.Inf(1)
	for _, q := range p {
		if d := math.Hypot(q.X-to.X, q.Y-to.Y); d < far {
			best, far = q, d
		}
	}
	return best
}

// Holds reports whether a point lies inside a polygon.
func (p Polygon) Holds(q Point) bool {
	in := false
	for i, a := range p {
		b := p[(i+1)%len(p)]
		if (a.Y > q.Y) != (b.Y > q.Y) && q.X < (b.X-a.X)*(q.Y-a.Y)/(b.Y-a.Y)+a.X {
			in = !in
		}
	}
	return in
}
