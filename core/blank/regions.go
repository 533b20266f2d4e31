package blank

import (
	"math"
	"slices"

	"github.com/peterstace/simplefeatures/geom"
)

// grid is the distance in millimetres to which coordinates are rounded before
// polygons are joined or cut, so that edges that should meet do.
const grid = 1e-6

// region is the geometry of a polygon, or of nothing.
func (p Polygon) region() geom.Geometry {
	p = p.snapped()
	if len(p) < 3 {
		return geom.Geometry{}
	}
	floats := make([]float64, 0, 2*len(p)+2)
	for _, q := range append(p, p[0]) {
		floats = append(floats, q.X, q.Y)
	}
	return geom.NewPolygon([]geom.LineString{geom.NewLineString(geom.NewSequence(floats, geom.DimXY))}).AsGeometry()
}

func (p Polygon) snapped() Polygon {
	q := make(Polygon, len(p))
	for i, a := range p {
		q[i] = Point{math.Round(a.X/grid) * grid, math.Round(a.Y/grid) * grid}
	}
	return q.tidy()
}

// Simple reports whether the outline does not cross or touch itself and is finite.
func (p Polygon) Simple() bool {
	for _, q := range p {
		if math.IsNaN(q.X+q.Y) || math.IsInf(q.X+q.Y, 0) {
			return false
		}
	}
	r := p.region()
	return !r.IsEmpty() && r.Validate() == nil
}

// convex reports whether every corner of the outline turns the same way.
func (p Polygon) convex() bool {
	turn := 0.0
	for i, a := range p {
		b, c := p[(i+1)%len(p)], p[(i+2)%len(p)]
		t := (b.X-a.X)*(c.Y-b.Y) - (b.Y-a.Y)*(c.X-b.X)
		if math.Abs(t) < hair {
			continue
		}
		if t*turn < 0 {
			return false
		}
		turn = t
	}
	return turn != 0
}

// common is what two polygons share, in pieces. Nearly every panel is convex,
// and clipping those is a hundred times faster than the general way.
func common(p, q Polygon) []Polygon {
	if p.convex() && q.convex() {
		if m := p.meet(q); m.Area() > sliver {
			return []Polygon{m}
		}
		return nil
	}
	return pieces(geom.Intersection(p.region(), q.region()))
}

// less is what is left of a polygon without others, in pieces, and its area.
func less(p Polygon, others []Polygon) ([]Polygon, float64) {
	convex := p.convex()
	for _, o := range others {
		convex = convex && o.convex()
	}
	if convex {
		left := lessConvex(p, others)
		return left, areas(left)
	}
	return lessWhole(p, others)
}

// lessWhole is less in whole pieces: clipping cuts them up as it goes.
func lessWhole(p Polygon, others []Polygon) ([]Polygon, float64) {
	list := make([]geom.Geometry, 0, len(others))
	for _, o := range others {
		if r := o.region(); !r.IsEmpty() {
			list = append(list, r)
		}
	}
	all, err := geom.UnionMany(list)
	if err != nil {
		return []Polygon{p}, p.Area() // cannot be told: count it as open
	}
	left, err := geom.Difference(p.region(), all)
	if err != nil {
		return []Polygon{p}, p.Area()
	}
	return pieces(left, nil), left.Area()
}

// lessConvex takes convex polygons off a convex one: what lies outside an edge of
// the one taken off, and inside the edges before it, stays.
func lessConvex(p Polygon, others []Polygon) []Polygon {
	left := []Polygon{p}
	for _, o := range others {
		var next []Polygon
		edges := o.edges()
		for _, part := range left {
			for _, e := range edges {
				if out := part.keep(line{-e.a, -e.b, -e.c}); out.Area() > sliver {
					next = append(next, out)
				}
				if part = part.keep(e); part == nil {
					break
				}
			}
		}
		left = next
	}
	return left
}

// pieces are the outlines of a geometry without slivers; holes in them are not
// drawn.
func pieces(g geom.Geometry, err error) (list []Polygon) {
	if err != nil {
		return nil
	}
	for _, part := range g.Dump() {
		poly, ok := part.AsPolygon()
		if !ok {
			continue
		}
		seq := poly.ExteriorRing().Coordinates()
		var p Polygon
		for i := range seq.Length() - 1 {
			xy := seq.GetXY(i)
			p = append(p, Point{xy.X, xy.Y})
		}
		if p = p.tidy(); p.Area() > sliver {
			list = append(list, p)
		}
	}
	return list
}

func areas(list []Polygon) (sum float64) {
	for _, p := range list {
		sum += p.Area()
	}
	return sum
}

// deepest is the most of the polygons that lie on each other anywhere: it looks
// round every corner and every crossing of their edges.
func deepest(list []Polygon) (most int) {
	list = slices.DeleteFunc(slices.Clone(list), func(p Polygon) bool { return len(p) == 0 })
	const step = 0.05 // mm away from a corner; narrower overlaps are slivers
	boxes := make([][4]float64, len(list))
	for i, p := range list {
		boxes[i] = [4]float64{p[0].X, p[0].X, p[0].Y, p[0].Y}
		for _, q := range p {
			b := &boxes[i]
			b[0], b[1], b[2], b[3] = math.Min(b[0], q.X), math.Max(b[1], q.X), math.Min(b[2], q.Y), math.Max(b[3], q.Y)
		}
	}
	look := func(at Point) {
		for _, d := range [8]Point{{step, step / 3}, {step / 3, step}, {-step, step / 3}, {-step / 3, step}, {step, -step / 3}, {step / 3, -step}, {-step, -step / 3}, {-step / 3, -step}} {
			n := 0
			q := Point{at.X + d.X, at.Y + d.Y}
			for i, p := range list {
				if b := &boxes[i]; q.X > b[0] && q.X < b[1] && q.Y > b[2] && q.Y < b[3] && p.Holds(q) {
					n++
				}
			}
			most = max(most, n)
		}
	}
	for i, p := range list {
		for k, a := range p {
			look(a)
			for _, q := range list[:i] {
				for l, c := range q {
					if x, ok := meetAt(a, p[(k+1)%len(p)], c, q[(l+1)%len(q)]); ok {
						look(x)
					}
				}
			}
		}
	}
	return most
}

// meetAt is where two edges cross.
func meetAt(a, b, c, d Point) (Point, bool) {
	den := (b.X-a.X)*(d.Y-c.Y) - (b.Y-a.Y)*(d.X-c.X)
	if math.Abs(den) < hair {
		return Point{}, false
	}
	t := ((c.X-a.X)*(d.Y-c.Y) - (c.Y-a.Y)*(d.X-c.X)) / den
	u := ((c.X-a.X)*(b.Y-a.Y) - (c.Y-a.Y)*(b.X-a.X)) / den
	return Point{a.X + t*(b.X-a.X), a.Y + t*(b.Y-a.Y)}, t >= 0 && t <= 1 && u >= 0 && u <= 1
}
