package blank

import "math"

// roundWall names the walls that a thick card makes.
const roundWall = "round"

// Around is the net as it folds round a card so many millimetres thick. A crease
// does not lie sharply round an edge: every panel that would lie flat on the face
// stands off it on a wall as high as the card, half of which is taken from either
// side, as two creases in place of one would do it; a tab that the back brings
// down on the face gets one to come down by. What lies on what, and so every seam,
// stays the same. A net that has walls of its own comes back as it is, and so does
// one that is too small for the card.
func (n Net) Around(thick float64) Net {
	face := n.Panels[0]
	if thick <= 0 {
		return n
	}
	folds, outline := map[string]Crease{}, map[string]Polygon{}
	for _, p := range n.Panels {
		outline[p.ID] = p.Outline
	}
	for _, c := range n.Creases {
		on := c.on(n)
		if on != face.ID && !n.glues(c.Panel, face.ID) {
			continue
		}
		if c.Angle != 180 || n.panel(c.Panel).height(c) <= thick {
			return n
		}
		folds[c.Panel] = c
		l := c.from(n.panel(on))
		outline[on] = outline[on].keep(l.moved(-thick / 2))
		outline[c.Panel] = outline[c.Panel].keep(l.moved(thick / 2).turned())
	}
	for id, left := range outline {
		if left.Area() < n.panel(id).Area()/4 {
			return n
		}
	}
	r := n
	r.Panels, r.Creases = nil, nil
	for _, p := range n.Panels {
		if c, ok := folds[p.ID]; ok {
			on := c.on(n)
			wall, id := c.from(n.panel(on)).strip(outline[on], thick/2), p.ID+" "+roundWall
			r.Panels = append(r.Panels, Panel{id, "wall", wall})
			r.Creases = append(r.Creases,
				Crease{Panel: id, On: c.On, From: wall[0], To: wall[1], Angle: 90, Order: c.Order},
				Crease{Panel: p.ID, On: id, From: wall[3], To: wall[2], Angle: 90, Order: c.Order})
		}
		r.Panels = append(r.Panels, Panel{p.ID, p.Name, outline[p.ID]})
	}
	for _, c := range n.Creases {
		if _, ok := folds[c.Panel]; !ok {
			r.Creases = append(r.Creases, c)
		}
	}
	return r
}

// glues reports whether a panel is glued onto another.
func (n Net) glues(panel, onto string) bool {
	for _, g := range n.Glue {
		if g.Panel == panel && g.Onto == onto {
			return true
		}
	}
	return false
}

// from is the crease's line, of unit length, with a polygon beside it on its
// inside.
func (c Crease) from(p Polygon) line {
	l := c.line()
	long := math.Hypot(l.a, l.b)
	l = line{l.a / long, l.b / long, l.c / long}
	if l.side(p.centre()) > 0 {
		return l.turned()
	}
	return l
}

// moved is a line of unit length moved outwards.
func (l line) moved(by float64) line { return line{l.a, l.b, l.c + by} }

// strip is a rectangle along a line of unit length, reaching so far to either
// side of it, as long as a polygon is; its first two corners lie inside.
func (l line) strip(p Polygon, half float64) Polygon {
	low, high := math.Inf(1), math.Inf(-1)
	for _, q := range p {
		at := q.Y*l.a - q.X*l.b
		low, high = math.Min(low, at), math.Max(high, at)
	}
	at := func(along, out float64) Point {
		return Point{l.a*(l.c+out) - l.b*along, l.b*(l.c+out) + l.a*along}
	}
	return Polygon{at(low, -half), at(high, -half), at(high, half), at(low, half)}
}
