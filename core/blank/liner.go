package blank

import (
	"math"

	"yellowparcel/core/measure"
)

// linerClear is what a liner stays off creases and glue by.
const linerClear = measure.Inch / 8

// line lays a liner on the face and, where a closing flap hangs on it, over its
// crease into the flap: 1/8 off creases and edges, and as much off whatever is
// glued.
func (m *Made) line(s Spec) {
	clear, crease := linerClear.Millimetres(), Point{}
	face := m.Net.Panels[0].Outline
	x0, y0, x1, y1 := face.Box()
	if glued0, glued1 := m.clear(); glued1 > glued0 {
		x0, x1 = glued0, glued1
	}
	if m.inside {
		x0, x1 = x0+m.Seam.Millimetres(), x1-m.Seam.Millimetres()
	}
	x0, x1, y1 = x0+clear, x1-clear, y1-clear
	var flap Polygon
	for _, c := range m.Net.Creases {
		if c.Panel == "top" && !m.floor {
			crease = c.From
			flap = m.Net.panel("top").inset(s.Adhesive.Millimetres()+clear, c.line()).keep(rightOf(x0), leftOf(x1))
		}
	}
	top := y0 + clear
	if flap != nil {
		top = crease.Y // over the crease, and over a wall at the throat
	}
	if x1-x0 < 1 || y1-top < 1 {
		return
	}
	m.Lining = rectangle(x0, top, x1, y1)
	if flap != nil {
		m.Lining = around([]Polygon{m.Lining, flap})
	}
	x0, y0, x1, y1 = m.Lining.Box()
	m.Liner = Rectangle{measure.Round((x1 - x0) * float64(measure.Millimetre)), measure.Round((y1 - y0) * float64(measure.Millimetre))}
}

// Box is the upright rectangle round a polygon, in millimetres.
func (p Polygon) Box() (x0, y0, x1, y1 float64) {
	x0, y0, x1, y1 = math.Inf(1), math.Inf(1), math.Inf(-1), math.Inf(-1)
	for _, q := range p {
		x0, x1, y0, y1 = math.Min(x0, q.X), math.Max(x1, q.X), math.Min(y0, q.Y), math.Max(y1, q.Y)
	}
	return x0, y0, x1, y1
}

// height is how far a panel reaches from its crease.
func (p Polygon) height(c Crease) (high float64) {
	l := c.line()
	for _, q := range p {
		high = math.Max(high, math.Abs(l.side(q))/math.Hypot(l.a, l.b))
	}
	return high
}

// inset moves all edges of a convex polygon inwards, but those on a line.
func (p Polygon) inset(by float64, but line) Polygon {
	q := p
	for i, l := range p.edges() {
		a, b := p[i], p[(i+1)%len(p)]
		long := math.Hypot(l.a, l.b)
		if long < hair || math.Abs(but.side(a)) < hair*1e3*math.Hypot(but.a, but.b) && math.Abs(but.side(b)) < hair*1e3*math.Hypot(but.a, but.b) {
			continue
		}
		l.c -= by * long
		q = q.keep(l)
	}
	return q
}
