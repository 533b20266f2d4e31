package blank

import "math"

// arcSteps is how many straight pieces draw a quarter of a circle: a chord of
// the largest flap leaves its arc by less than a tenth of a millimetre.
const arcSteps = 10

// flap is a closing flap over a crease from x0 to x1 at y, reaching up to top.
func (f FlapShape) outline(x0, x1, y, top, taper, corner float64) Polygon {
	middle, high := (x0+x1)/2, y-top
	switch f {
	case PointedFlap:
		return Polygon{{x0, y}, {x1, y}, {middle, top}}
	case BluntFlap:
		// The tip is cut off at a third of its width.
		return Polygon{{x0, y}, {x1, y}, {middle + (x1-x0)/6, top}, {middle - (x1-x0)/6, top}}
	case RoundFlap:
		// Shoulders of half the height, then half an ellipse.
		p := Polygon{{x0, y}, {x1, y}}
		for i := range 2*arcSteps + 1 {
			a := math.Pi * float64(i) / (2 * arcSteps)
			p = append(p, Point{middle + (x1-x0)/2*math.Cos(a), y - high/2 - high/2*math.Sin(a)})
		}
		return p
	}
	return Polygon{{x0, y}, {x1, y}, {x1 - taper, top}, {x0 + taper, top}}.rounded(corner, 2, 3)
}

// rounded replaces corners by arcs of a radius, as far as the edges beside them
// reach.
func (p Polygon) rounded(radius float64, corners ...int) Polygon {
	if radius <= 0 {
		return p
	}
	round := map[int]bool{}
	for _, c := range corners {
		round[c] = true
	}
	var q Polygon
	for i, b := range p {
		a, c := p[(i+len(p)-1)%len(p)], p[(i+1)%len(p)]
		if !round[i] {
			q = append(q, b)
			continue
		}
		la, lc := math.Hypot(a.X-b.X, a.Y-b.Y), math.Hypot(c.X-b.X, c.Y-b.Y)
		ua, uc := Point{(a.X - b.X) / la, (a.Y - b.Y) / la}, Point{(c.X - b.X) / lc, (c.Y - b.Y) / lc}
		half := math.Acos(math.Max(-1, math.Min(1, ua.X*uc.X+ua.Y*uc.Y))) / 2
		// A hair less than half an edge, so that two arcs never meet.
		cut := math.Min(radius/math.Tan(half), math.Min(la, lc)*0.499)
		r := cut * math.Tan(half)
		// The centre lies on the bisector; the arc runs from one tangent to the other.
		bis := Point{ua.X + uc.X, ua.Y + uc.Y}
		lb := math.Hypot(bis.X, bis.Y)
		centre := Point{b.X + bis.X/lb*r/math.Sin(half), b.Y + bis.Y/lb*r/math.Sin(half)}
		from, to := Point{b.X + ua.X*cut, b.Y + ua.Y*cut}, Point{b.X + uc.X*cut, b.Y + uc.Y*cut}
		start := math.Atan2(from.Y-centre.Y, from.X-centre.X)
		turn := math.Remainder(math.Atan2(to.Y-centre.Y, to.X-centre.X)-start, 2*math.Pi)
		for k := range arcSteps + 1 {
			w := start + turn*float64(k)/arcSteps
			q = append(q, Point{centre.X + r*math.Cos(w), centre.Y + r*math.Sin(w)})
		}
	}
	return q.tidy()
}

// notched cuts a half circle into the middle of the edge from corner i on.
func (p Polygon) notched(radius float64, i int) Polygon {
	a, b := p[i], p[(i+1)%len(p)]
	long := math.Hypot(b.X-a.X, b.Y-a.Y)
	if radius <= 0 || 2*radius >= long {
		return p
	}
	ux, uy := (b.X-a.X)/long, (b.Y-a.Y)/long
	middle := Point{(a.X + b.X) / 2, (a.Y + b.Y) / 2}
	into := p.centre()
	nx, ny := -uy, ux
	if (into.X-middle.X)*nx+(into.Y-middle.Y)*ny < 0 {
		nx, ny = -nx, -ny
	}
	q := append(Polygon(nil), p[:i+1]...)
	for k := range 2*arcSteps + 1 {
		w := math.Pi * float64(k) / (2 * arcSteps)
		along, deep := -radius*math.Cos(w), radius*math.Sin(w)
		q = append(q, Point{middle.X + ux*along + nx*deep, middle.Y + uy*along + ny*deep})
	}
	return append(q, p[i+1:]...)
}
