package blank

import (
	"math"
	"slices"

	"yellowparcel/core/measure"
)

// Cover is a rectangle round an outline: what a carrier for an odd shape is made
// for.
type Cover struct {
	Width, Height measure.Length
	// Angle is how far the outline is turned in it, in degrees.
	Angle float64
}

// MostCorners is how many corners an outline may have.
const MostCorners = 5000

// OutlineFault is why an outline is no card. It is an error in words of its own, since
// whoever reads one says it: a field, a file.
type OutlineFault string

// The faults of an outline.
const (
	FewCorners  OutlineFault = "few"
	ManyCorners OutlineFault = "many"
	Crossing    OutlineFault = "crossing"
)

var outlineWords = map[OutlineFault]string{
	FewCorners:  "the outline has fewer than three corners: give at least three",
	ManyCorners: "the outline has more corners than can be worked with: simplify it to at most 5000",
	Crossing:    "the outline crosses itself, or encloses nothing: give its corners in order, once round",
}

func (f OutlineFault) Error() string { return outlineWords[f] }

// CheckOutline refuses an outline that is no card, with an OutlineFault: too few
// corners or too many, one that is not finite, or crosses itself.
func CheckOutline(p Polygon) error {
	switch {
	case len(p) < 3:
		return FewCorners
	case len(p) > MostCorners:
		return ManyCorners
	case !p.Simple():
		return Crossing
	}
	return nil
}

// Covers returns the smallest rectangle round an outline over all rotations, and
// the one with the outline as it is. The smallest has a side along an edge of the
// hull, so every such edge is tried.
func Covers(p Polygon) (smallest, upright Cover) {
	hull := p.Hull()
	upright = hull.cover(0)
	smallest = upright
	for i, a := range hull {
		b := hull[(i+1)%len(hull)]
		c := hull.cover(-math.Atan2(b.Y-a.Y, b.X-a.X))
		if float64(c.Width)*float64(c.Height) < float64(smallest.Width)*float64(smallest.Height)*(1-1e-12) {
			smallest = c
		}
	}
	return smallest, upright
}

// Laid is the outline turned by an angle in degrees, its box moved to the origin.
func (p Polygon) Laid(angle float64) Polygon {
	sin, cos := math.Sincos(angle * math.Pi / 180)
	q := make(Polygon, len(p))
	low := Point{math.Inf(1), math.Inf(1)}
	for i, v := range p {
		q[i] = Point{v.X*cos - v.Y*sin, v.X*sin + v.Y*cos}
		low = Point{math.Min(low.X, q[i].X), math.Min(low.Y, q[i].Y)}
	}
	for i := range q {
		q[i] = Point{q[i].X - low.X, q[i].Y - low.Y}
	}
	return q
}

// cover is the rectangle round the outline turned by an angle.
func (p Polygon) cover(angle float64) Cover {
	sin, cos := math.Sincos(angle)
	low, high := Point{math.Inf(1), math.Inf(1)}, Point{math.Inf(-1), math.Inf(-1)}
	for _, q := range p {
		x, y := q.X*cos-q.Y*sin, q.X*sin+q.Y*cos
		low = Point{math.Min(low.X, x), math.Min(low.Y, y)}
		high = Point{math.Max(high.X, x), math.Max(high.Y, y)}
	}
	mm := float64(measure.Millimetre)
	return Cover{measure.Round((high.X - low.X) * mm), measure.Round((high.Y - low.Y) * mm), angle * 180 / math.Pi}
}

// Hull is the convex hull, by Andrew's monotone chain; what has no area is its own hull.
func (p Polygon) Hull() Polygon {
	if len(p) < 3 {
		return slices.Clone(p) // nothing, a point or a line is its own hull
	}
	points := slices.Clone(p)
	slices.SortFunc(points, func(a, b Point) int {
		if a.X != b.X {
			return int(math.Copysign(1, a.X-b.X))
		}
		return int(math.Copysign(1, a.Y-b.Y))
	})
	turn := func(a, b, c Point) float64 { return (b.X-a.X)*(c.Y-a.Y) - (b.Y-a.Y)*(c.X-a.X) }
	var hull Polygon
	for range 2 {
		start := len(hull)
		for _, q := range points {
			for len(hull) >= start+2 && turn(hull[len(hull)-2], hull[len(hull)-1], q) <= 0 {
				hull = hull[:len(hull)-1]
			}
			hull = append(hull, q)
		}
		hull = hull[:len(hull)-1] // where the other side begins
		slices.Reverse(points)
	}
	return hull
}
