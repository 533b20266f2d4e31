package worksheet

import (
	"cmp"
	"math"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/plan"
)

// run is one straight line on which scores lie: by its direction, and by how far it lies from the
// corner or the edge that it is measured from.
type run struct {
	way   direction
	at    float64 // along the way, in millimetres
	under bool
	parts [][2]float64 // where scores lie on it, from its top or left end
	// number is that of the score which is made of it.
	number int
}

// direction is which way a run lies.
type direction int

// The directions: down and across a sheet, and across its corners.
const (
	down    direction = iota // x is the same all along it
	across                   // y is
	falling                  // x + y is: square to the diagonal from the top left
	rising                   // x − y is: square to the one from the bottom left
)

// shaping is how one piece is scored and cut to its outline.
type shaping struct {
	w    *writer
	x    plan.BenchPiece
	wide float64
	high float64
	runs []run
	// odd are scores that lie no such way, or whose place no tool can be set to.
	odd bool
	out []Step
}

// shapeOf finds the lines of a piece.
func (w *writer) shapeOf(x plan.BenchPiece) *shaping {
	s := &shaping{w: w, x: x, wide: x.Flat.Width, high: x.Flat.Height}
	for _, shape := range x.Flat.Of(drawing.Score) {
		s.add(shape)
	}
	slices.SortStableFunc(s.runs, func(a, b run) int { return cmp.Or(cmp.Compare(a.way, b.way), cmp.Compare(a.at, b.at)) })
	for i := range s.runs {
		s.runs[i].number = i + 1
		s.runs[i].join(s)
	}
	s.plan()
	return s
}

// add puts a score on its run.
func (s *shaping) add(shape drawing.Shape) {
	a, b := shape.Corners[0], shape.Corners[1]
	r := run{under: shape.Inside}
	var from, to float64
	switch dx, dy := b.X-a.X, b.Y-a.Y; {
	case math.Abs(dx) < hair:
		r.way, r.at, from, to = down, a.X, a.Y, b.Y
	case math.Abs(dy) < hair:
		r.way, r.at, from, to = across, a.Y, a.X, b.X
	case math.Abs(dx+dy) < hair:
		r.way, r.at, from, to = falling, (a.X+a.Y)/math.Sqrt2, a.X, b.X
	case math.Abs(dx-dy) < hair:
		r.way, r.at, from, to = rising, (a.X-a.Y+s.high)/math.Sqrt2, a.X, b.X
	default:
		s.odd = true
		return
	}
	r.parts = [][2]float64{{min(from, to), max(from, to)}}
	for i := range s.runs {
		if q := &s.runs[i]; q.way == r.way && q.under == r.under && math.Abs(q.at-r.at) < hair {
			q.parts = append(q.parts, r.parts...)
			return
		}
	}
	s.runs = append(s.runs, r)
}

// ends are where a run leaves the sheet, by its x (its y where it goes down).
func (s *shaping) ends(r run) (from, to float64) {
	switch r.way {
	case down:
		return 0, s.high
	case across:
		return 0, s.wide
	case falling:
		k := r.at * math.Sqrt2 // x + y
		return max(0, k-s.high), min(s.wide, k)
	}
	k := r.at*math.Sqrt2 - s.high // x − y
	return max(0, k), min(s.wide, k+s.high)
}

// point is where a run is at a place along it.
func (s *shaping) point(r run, along float64) blank.Point {
	switch r.way {
	case down:
		return blank.Point{X: r.at, Y: along}
	case across:
		return blank.Point{X: along, Y: r.at}
	case falling:
		return blank.Point{X: along, Y: r.at*math.Sqrt2 - along}
	}
	return blank.Point{X: along, Y: along - r.at*math.Sqrt2 + s.high}
}

// join puts the parts of a run together where nothing that stays lies between them, and lets it
// go on to the edges where what lies there falls off: so a line is scored in one go.
func (r *run) join(s *shaping) {
	slices.SortFunc(r.parts, func(a, b [2]float64) int { return cmp.Compare(a[0], b[0]) })
	first, last := s.ends(*r)
	var list [][2]float64
	at := first
	for i, p := range r.parts {
		if s.falls(*r, at, p[0]) {
			p[0] = at
		}
		if n := len(list) - 1; n >= 0 && p[0] <= list[n][1]+hair {
			list[n][1] = max(list[n][1], p[1])
		} else {
			list = append(list, p)
		}
		if at = list[len(list)-1][1]; i == len(r.parts)-1 && s.falls(*r, at, last) {
			list[len(list)-1][1] = last
		}
	}
	r.parts = list
}

// falls reports whether what lies along a run falls off, all the way.
func (s *shaping) falls(r run, from, to float64) bool {
	if to-from < hair {
		return true
	}
	const probes = 24
	for i := range probes {
		p := s.point(r, from+(to-from)*(float64(i)+0.5)/probes)
		if !slices.ContainsFunc(s.x.Flat.Of(drawing.Away), func(a drawing.Shape) bool { return touches(a.Corners, p) }) {
			return false
		}
	}
	return true
}

// touches reports whether a point lies in a polygon or on its edge.
func touches(p blank.Polygon, q blank.Point) bool {
	for i, a := range p {
		b := p[(i+1)%len(p)]
		long := math.Hypot(b.X-a.X, b.Y-a.Y)
		if long > 0 {
			t := ((q.X-a.X)*(b.X-a.X) + (q.Y-a.Y)*(b.Y-a.Y)) / long / long
			t = max(0, min(1, t))
			if math.Hypot(a.X+t*(b.X-a.X)-q.X, a.Y+t*(b.Y-a.Y)-q.Y) < hair {
				return true
			}
		}
	}
	return p.Holds(q)
}

// whole reports whether a part of a run goes from edge to edge.
func (s *shaping) whole(r run, part [2]float64) bool {
	from, to := s.ends(r)
	return part[0] < from+hair && part[1] > to-hair
}
