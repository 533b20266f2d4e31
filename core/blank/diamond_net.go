package blank

import (
	"math"

	"yellowparcel/core/measure"
)

// onPoint is a rectangle standing on its point in the box round it; its sides
// are given divided by √2, the one from the left to the top corner first.
func onPoint(a, b float64) Polygon {
	return Polygon{{a, 0}, {a + b, b}, {b, a + b}, {0, a}}
}

// pointed is how a net on a point is shaped beyond its scores; all in
// millimetres.
type pointed struct {
	wall     float64 // the distance of two creases in place of each; zero for one
	corner   float64 // the radius of the corners that are cut, round the tips
	round    float64 // the radius of the closing flap's tip
	foldTips bool    // tips are folded in instead of cut off
}

// plain reports whether nothing but straight cuts shapes the net.
func (s pointed) plain() bool { return s == pointed{} }

// net draws the net on a sheet standing on its point; flaps holds the outermost
// scores, cut the heights after blunting, both in nanometres.
func (s pointed) net(sheet Polygon, flaps, cut Flaps) Net {
	mm := func(nm float64) float64 { return nm / float64(measure.Millimetre) }
	d := sheet[1].X
	xl, xr, yt, yb := mm(flaps.Left)+s.wall, d-mm(flaps.Right)-s.wall, mm(flaps.Top)+s.wall, d-mm(flaps.Bottom)-s.wall
	across, down := []line{rightOf(xl), leftOf(xr)}, []line{below(yt), above(yb)}
	n := Net{Sheet: sheet}
	n.Panels = []Panel{{"face", "front", sheet.keep(append(across, down...)...)}}
	for _, f := range []pointFlap{
		{"left", "side", Point{-1, 0}, down, mm(cut.Left), Point{xl, yb}, Point{xl, yt}, 1},
		{"top", "closing flap", Point{0, -1}, across, mm(cut.Top), Point{xl, yt}, Point{xr, yt}, 3},
		{"right", "side", Point{1, 0}, down, mm(cut.Right), Point{xr, yt}, Point{xr, yb}, 1},
		{"bottom", "bottom", Point{0, 1}, across, mm(cut.Bottom), Point{xr, yb}, Point{xl, yb}, 2},
	} {
		s.hang(&n, f)
	}
	if s.plain() {
		for _, x := range []line{leftOf(xl), rightOf(xr)} {
			for _, y := range []line{above(yt), below(yb)} {
				if corner := sheet.keep(x, y); corner != nil {
					n.CutAway = append(n.CutAway, corner)
				}
			}
		}
		if len(n.Creases) == 4 {
			n.Outline = n.trace()
		}
		if n.Outline == nil { // a flap is missing on the way round
			n.CutAway = nil
		}
	}
	n.Glue = n.glued([2]string{"bottom", "left"}, [2]string{"bottom", "right"}, [2]string{"top", "left"}, [2]string{"top", "right"}, [2]string{"top", "bottom"})
	for _, p := range n.Panels {
		if p.Name == tipName {
			n.Glue = append(n.Glue, n.glued([2]string{p.ID, p.ID[:len(p.ID)-len(tipName)-1]})...)
		}
	}
	return n
}

const tipName = "tip"

// pointFlap is one flap of a net on a point, before it is drawn.
type pointFlap struct {
	id, name string
	out      Point   // from the face outwards
	between  []line  // the two neighbouring creases
	cut      float64 // its height
	from, to Point   // the crease of the face
	order    int
}

// beyond is the line square to a flap at a distance from its crease; the inside
// is what lies further out.
func (f pointFlap) beyond(by float64) line {
	a, b := -f.out.X, -f.out.Y
	return line{a, b, a*f.from.X + b*f.from.Y - by}
}

func (l line) turned() line { return line{-l.a, -l.b, -l.c} }

// hang adds a flap to the net, with its wall where there are two creases, and
// with its tip where that is folded in.
func (s pointed) hang(n *Net, f pointFlap) {
	whole := n.Sheet.keep(f.beyond(s.wall)).keep(f.between...)
	if whole == nil {
		return // scores so far off that nothing is left of the flap
	}
	on, angle, order := "", 180.0, f.order
	if !s.plain() {
		order = 2*f.order + 1 // tips first, each wall before its flap
	}
	if s.wall > 0 {
		wall := n.Sheet.keep(f.beyond(0), f.beyond(s.wall).turned()).keep(f.between...)
		on, angle = f.id+" wall", 90
		n.Panels = append(n.Panels, Panel{on, "wall", wall})
		n.Creases = append(n.Creases, Crease{Panel: on, From: wall.nearest(f.from), To: wall.nearest(f.to), Angle: 90, Order: order - 1})
		f.from = Point{f.from.X + s.wall*f.out.X, f.from.Y + s.wall*f.out.Y}
		f.to = Point{f.to.X + s.wall*f.out.X, f.to.Y + s.wall*f.out.Y}
	}
	crease := Crease{Panel: f.id, On: on, From: whole.nearest(f.from), To: whole.nearest(f.to), Angle: angle, Order: order}
	// Where the scores miss each other the crease ends at the sheet's edge.
	flap, tip := whole, Polygon(nil)
	high := whole.reach(f.beyond(0))
	if high-f.cut > least {
		flap, tip = whole.keep(f.beyond(f.cut).turned()), whole.keep(f.beyond(f.cut))
	}
	if flap == nil {
		return // a finger gap that takes all of the flap
	}
	folds := tip != nil && s.foldTips && high-f.cut <= f.cut
	if !folds {
		radius := s.corner
		if f.id == "top" {
			radius = math.Max(radius, s.round)
		}
		flap = flap.rounded(radius, flap.farthest(f.beyond(0))...)
	}
	n.Panels = append(n.Panels, Panel{f.id, f.name, flap})
	n.Creases = append(n.Creases, crease)
	switch {
	case folds:
		id := f.id + " " + tipName
		at := flap.farthest(f.beyond(0))
		n.Panels = append(n.Panels, Panel{id, tipName, tip})
		n.Creases = append(n.Creases, Crease{Panel: id, On: f.id, From: flap[at[0]], To: flap[at[len(at)-1]], Angle: 180, Order: 1})
	case tip != nil && s.plain():
		n.CutAway = append(n.CutAway, tip)
	}
}

// least is what a tip has to stand over to be cut or folded, in millimetres.
const least = 1e-2

// reach is how far a polygon reaches to the inside of a line.
func (p Polygon) reach(l line) float64 {
	far := 0.0
	for _, q := range p {
		far = math.Max(far, -l.side(q))
	}
	return far
}

// farthest are the corners that lie farthest to the inside of a line.
func (p Polygon) farthest(l line) (list []int) {
	far := p.reach(l)
	for i, q := range p {
		if far+l.side(q) < hair*1e3 {
			list = append(list, i)
		}
	}
	return list
}

// trace walks round the flaps in the order of their creases and returns the
// outline that is cut.
func (n Net) trace() Polygon {
	var out Polygon
	for i, c := range n.Creases {
		flap := n.Panels[i+1].Outline
		on := c.line()
		// Start after the crease's first end and follow the flap to the last.
		start := -1
		for j := range flap {
			next := flap[(j+1)%len(flap)]
			if math.Abs(on.side(flap[j])) < hair*1e3 && math.Abs(on.side(next)) < hair*1e3 {
				start = (j + 1) % len(flap)
			}
		}
		if start < 0 {
			continue
		}
		for k := range flap {
			out = append(out, flap[(start+k)%len(flap)])
		}
	}
	return out.tidy()
}
