package blank

import (
	"math"

	"yellowparcel/core/measure"
)

func squareBoxNet(diag float64, w, h, depth measure.Length, cut Flaps, s Spec) Net {
	mm := func(nm float64) float64 { return nm / float64(measure.Millimetre) }
	d, wall := mm(diag), depth.Millimetres()
	x0, x1 := (d-w.Millimetres())/2, (d+w.Millimetres())/2
	y0, y1 := (d-h.Millimetres())/2, (d+h.Millimetres())/2
	sheet := Polygon{{d / 2, 0}, {d, d / 2}, {d / 2, d}, {0, d / 2}}
	n := Net{Sheet: sheet, Panels: []Panel{{"face", "floor", rectangle(x0, y0, x1, y1)}}}
	hang := func(id, name, on string, outline Polygon, from, to Point, order int) {
		if outline.Area() < sliver {
			return
		}
		n.Panels = append(n.Panels, Panel{id, name, outline})
		n.Creases = append(n.Creases, Crease{Panel: id, On: on, From: from, To: to, Angle: 90, Order: order})
	}
	// A glue square is no longer than the wall that it is glued to.
	along, upright := math.Min(wall, x1-x0), math.Min(wall, y1-y0)
	between, stacked := []line{rightOf(x0), leftOf(x1)}, []line{below(y0), above(y1)}
	for _, f := range []struct {
		id        string
		wall      Polygon
		from, to  Point // the floor's crease
		out       Point // from the floor's crease to the wall's
		beyond    line
		between   []line
		stop      line
		order     int
		square    Polygon // the glue square at the end of the wall, going round
		sqFrom    Point
		sqTo      Point
		closeWith int
	}{
		{"left", rectangle(x0-wall, y0, x0, y1), Point{x0, y0}, Point{x0, y1}, Point{-wall, 0}, leftOf(x0 - wall), stacked, rightOf(x0 - wall - mm(cut.Left)), 2, rectangle(x0-wall, y1, x0, y1+along), Point{x0 - wall, y1}, Point{x0, y1}, 3},
		{"bottom", rectangle(x0, y1, x1, y1+wall), Point{x0, y1}, Point{x1, y1}, Point{0, wall}, below(y1 + wall), between, above(y1 + wall + mm(cut.Bottom)), 2, rectangle(x1, y1, x1+upright, y1+wall), Point{x1, y1}, Point{x1, y1 + wall}, 4},
		{"right", rectangle(x1, y0, x1+wall, y1), Point{x1, y0}, Point{x1, y1}, Point{wall, 0}, rightOf(x1 + wall), stacked, leftOf(x1 + wall + mm(cut.Right)), 2, rectangle(x1, y0-along, x1+wall, y0), Point{x1, y0}, Point{x1 + wall, y0}, 3},
		{"top", rectangle(x0, y0-wall, x1, y0), Point{x0, y0}, Point{x1, y0}, Point{0, -wall}, above(y0 - wall), between, below(y0 - wall - mm(cut.Top)), 2, rectangle(x0-upright, y0-wall, x0, y0), Point{x0, y0 - wall}, Point{x0, y0}, 5},
	} {
		hang(f.id+" wall", "wall", "face", f.wall.meet(sheet), f.from, f.to, f.order)
		flap := sheet.keep(f.beyond).keep(f.between...).keep(f.stop)
		if rim := f.beyond; flap != nil {
			radius := s.Corner.Millimetres()
			if f.id == "top" && s.FlapShape == RoundFlap {
				radius = math.Max(radius, w.Millimetres()/4)
			}
			flap = flap.rounded(radius, flap.farthest(rim)...)
		}
		hang(f.id, "flap", f.id+" wall", flap, Point{f.from.X + f.out.X, f.from.Y + f.out.Y}, Point{f.to.X + f.out.X, f.to.Y + f.out.Y}, f.closeWith)
		square := f.square.meet(sheet)
		hang(f.id+" square", "corner square", f.id+" wall", square, f.sqFrom, f.sqTo, 1)
		if far, ok := square.slitFrom(f.sqFrom, f.sqTo, Point{(x0 + x1) / 2, (y0 + y1) / 2}); ok {
			n.Slits = append(n.Slits, far)
		}
	}
	n.Glue = n.glued([2]string{"bottom", "left"}, [2]string{"bottom", "right"}, [2]string{"top", "left"}, [2]string{"top", "right"}, [2]string{"top", "bottom"},
		[2]string{"left square", "bottom wall"}, [2]string{"bottom square", "right wall"}, [2]string{"right square", "top wall"}, [2]string{"top square", "left wall"})
	return n
}

// slitFrom is the cut that parts a corner square from the wall that it is no part of: from
// the corner of the floor, which is the end of its crease that is nearer to the middle,
// along its other inner side, as far as the sheet reaches.
func (p Polygon) slitFrom(from, to, middle Point) (Slit, bool) {
	if p.Area() < sliver {
		return Slit{}, false
	}
	apart := func(a, b Point) float64 { return math.Hypot(a.X-b.X, a.Y-b.Y) }
	corner, crease := from, Crease{From: from, To: to}.line()
	if apart(to, middle) < apart(from, middle) {
		corner = to
	}
	for i, a := range p {
		b := p[(i+1)%len(p)]
		if apart(b, corner) < apart(a, corner) {
			a, b = b, a
		}
		if apart(a, corner) < hair*1e3 && math.Abs(crease.side(b)) > hair*1e3*apart(from, to) {
			return Slit{From: b, To: a}, true
		}
	}
	return Slit{}, false
}
