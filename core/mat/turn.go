package mat

import (
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

// Turns is how a piece may be turned on its paper.
type Turns int

// The turns.
const (
	AsDrawn Turns = iota // a pattern or the grain holds it
	Quarter              // a quarter turn, and only so
	Any
)

// turned is a box round an outline turned by an angle.
func turned(p blank.Polygon, angle float64) (width, height float64) {
	sin, cos := math.Sincos(angle * math.Pi / 180)
	x0, y0, x1, y1 := math.Inf(1), math.Inf(1), math.Inf(-1), math.Inf(-1)
	for _, q := range p {
		x, y := q.X*cos-q.Y*sin, q.X*sin+q.Y*cos
		x0, x1, y0, y1 = min(x0, x), max(x1, x), min(y0, y), max(y1, y)
	}
	return x1 - x0, y1 - y0
}

const (
	scanned = 0.5  // degrees between the angles that are looked at
	sure    = 1e-3 // millimetres by which a box may be larger than its room
)

// Angle finds the way in which an outline goes into a room of a size: as it is drawn where that
// does, else a quarter round, else at the angle at which it goes in with the most to spare. Over is how
// much it is too large the best way, in millimetres; nought where it goes in.
func Angle(p blank.Polygon, turns Turns, width, height measure.Length) (angle, over float64) {
	w, h := width.Millimetres(), height.Millimetres()
	excess := func(angle float64) float64 {
		bw, bh := turned(p, angle)
		return max(bw-w, bh-h)
	}
	p = p.Hull() // nothing else can touch the box
	best, least := 0.0, math.Inf(1)
	try := func(angle float64) {
		if over := excess(angle); over < least-sure {
			best, least = angle, over
		}
	}
	if turns != Quarter {
		try(0)
	}
	if turns != AsDrawn && least > sure {
		try(90)
	}
	if turns == Any && least > sure && p.Area() <= w*h {
		for at := scanned; at < 180; at += scanned {
			try(at)
		}
		// Between two of them the box grows or shrinks one way, or turns back once.
		low, high := best-scanned, best+scanned
		for range 60 {
			a, b := low+(high-low)/3, high-(high-low)/3
			if excess(a) < excess(b) {
				high = b
			} else {
				low = a
			}
		}
		try((low + high) / 2)
	}
	if least <= sure {
		return best, 0
	}
	return best, least
}
