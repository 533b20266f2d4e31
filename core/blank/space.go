package blank

import "math"

// Vec is a place in space, in millimetres: x and y as on the sheet, z up from
// its inside.
type Vec struct{ X, Y, Z float64 }

func (v Vec) minus(w Vec) Vec { return Vec{v.X - w.X, v.Y - w.Y, v.Z - w.Z} }

func (v Vec) dot(w Vec) float64 { return v.X*w.X + v.Y*w.Y + v.Z*w.Z }

func (v Vec) cross(w Vec) Vec {
	return Vec{v.Y*w.Z - v.Z*w.Y, v.Z*w.X - v.X*w.Z, v.X*w.Y - v.Y*w.X}
}

func (v Vec) times(f float64) Vec { return Vec{v.X * f, v.Y * f, v.Z * f} }

func (v Vec) plus(w Vec) Vec { return Vec{v.X + w.X, v.Y + w.Y, v.Z + w.Z} }

// pose is where a panel lies: the images of the sheet's axes and its origin.
type pose struct{ x, y, z, o Vec }

var flat = pose{x: Vec{X: 1}, y: Vec{Y: 1}, z: Vec{Z: 1}}

func (p pose) at(q Point) Vec { return p.o.plus(p.x.times(q.X)).plus(p.y.times(q.Y)) }

// back is the point of the sheet whose image is v, and how far v is off the
// panel's plane.
func (p pose) back(v Vec) (Point, float64) {
	d := v.minus(p.o)
	return Point{d.dot(p.x), d.dot(p.y)}, d.dot(p.z)
}

// turned is the pose turned by an angle about the line through two points in
// space (Rodrigues).
func (p pose) turned(from, to Vec, angle float64) pose {
	axis := to.minus(from)
	axis = axis.times(1 / math.Sqrt(axis.dot(axis)))
	sin, cos := math.Sincos(angle)
	turn := func(v Vec) Vec {
		return v.times(cos).plus(axis.cross(v).times(sin)).plus(axis.times(axis.dot(v) * (1 - cos)))
	}
	return pose{turn(p.x), turn(p.y), turn(p.z), from.plus(turn(p.o.minus(from)))}
}

// poses folds the net up to a stage: every crease whose order is up to it is
// folded, the next by what is left of it. Panels stand in the order of the net.
func (n Net) poses(stage float64) []pose {
	list := make([]pose, len(n.Panels))
	place := map[string]int{}
	for i, p := range n.Panels {
		place[p.ID] = i
	}
	known := make([]bool, len(n.Panels))
	list[0], known[0] = flat, true
	for again := true; again; {
		again = false
		for _, c := range n.Creases {
			i, ok := place[c.Panel]
			on := place[c.On] // the face when it is not named
			if !ok || known[i] || !known[on] {
				continue
			}
			part := math.Min(1, math.Max(0, stage-float64(c.Order-1)))
			list[i], known[i], again = list[on].folded(c, n.Panels[i].Outline, part*c.Angle*math.Pi/180), true, true
		}
	}
	return list
}

// folded turns a pose about a crease so that the panel on it rises to the
// inside.
func (p pose) folded(c Crease, panel Polygon, angle float64) pose {
	if c.line().side(panel.centre()) > 0 {
		angle = -angle
	}
	// With the panel on the line's inside a positive turn about from → to lifts
	// it.
	return p.turned(p.at(c.From), p.at(c.To), angle)
}

func (p Polygon) centre() Point {
	var c Point
	for _, q := range p {
		c.X += q.X / float64(len(p))
		c.Y += q.Y / float64(len(p))
	}
	return c
}
