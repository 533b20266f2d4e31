package blank

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"yellowparcel/core/measure"
)

// net hangs the panels on the front, and on each other from there.
func (g *plane) net(faces [][]int, front int) Net {
	n := Net{Panels: []Panel{{ID: "front", Name: "front", Outline: g.polygon(faces[front])}}}
	ids := map[int]string{front: "front"}
	type hung struct {
		face   int
		depth  int
		crease Crease
	}
	queue := []hung{{face: front}}
	for len(queue) > 0 {
		at := queue[0]
		queue = queue[1:]
		hinges := g.hinges(faces[at.face], at.face)
		others := make([]int, 0, len(hinges))
		for other := range hinges {
			others = append(others, other)
		}
		slices.SortFunc(others, func(a, b int) int {
			return cmp.Or(cmp.Compare(g.polygon(faces[a]).Area(), g.polygon(faces[b]).Area()), cmp.Compare(a, b))
		})
		for _, other := range others {
			p := g.polygon(faces[other])
			if ids[other] != "" || !inner(p) {
				continue
			}
			ids[other] = fmt.Sprintf("panel-%d", len(n.Panels))
			c := Crease{Panel: ids[other], On: ids[at.face], From: hinges[other].From, To: hinges[other].To, Angle: 180, Order: at.depth + 1}
			if at.face == front {
				c.On = ""
			}
			n.Panels = append(n.Panels, Panel{ID: ids[other], Name: "flap", Outline: p})
			n.Creases = append(n.Creases, c)
			queue = append(queue, hung{other, at.depth + 1, c})
		}
	}
	n.walls()
	n.ordered()
	n.Sheet = n.hullBox()
	return n
}

// walls stand up: strips between two parallel folds, narrower than what hangs on them.
func (n *Net) walls() {
	for i, c := range n.Creases {
		for k, d := range n.Creases {
			if d.On != c.Panel {
				continue
			}
			ax, ay, bx, by := c.To.X-c.From.X, c.To.Y-c.From.Y, d.To.X-d.From.X, d.To.Y-d.From.Y
			if cross := math.Abs(ax*by-ay*bx) / math.Hypot(ax, ay) / math.Hypot(bx, by); cross > square {
				continue
			}
			deep := math.Abs((d.From.X-c.From.X)*ay-(d.From.Y-c.From.Y)*ax) / math.Hypot(ax, ay)
			beyond := n.panel(d.Panel).Area() / math.Hypot(bx, by) // how far the next panel reaches, about
			if deep < widestWall && deep < beyond {
				n.Creases[i].Angle, n.Creases[k].Angle = 90, 90
				for p := range n.Panels {
					if n.Panels[p].ID == c.Panel {
						n.Panels[p].Name = "wall"
					}
				}
			}
		}
	}
}

// ordered folds the pair of flaps that face each other and have less paper first, then the larger one of the other two, and
// last the flap that closes it.
func (n *Net) ordered() {
	face := n.Panels[0].Outline
	cx, cy := middleOf(face)
	side := func(c Crease) int { // which side of the front: by the way from its middle, in quarters of a turn from its first edge
		mx, my := (c.From.X+c.To.X)/2-cx, (c.From.Y+c.To.Y)/2-cy
		e := face.straight()
		base := math.Atan2((e[0].Y+e[1].Y)/2-cy, (e[0].X+e[1].X)/2-cx)
		turn := math.Mod(math.Atan2(my, mx)-base+4*math.Pi, 2*math.Pi)
		return int(math.Round(turn/(math.Pi/2))) % 4
	}
	var area [4]float64
	sides := map[string]int{}
	for _, c := range n.Creases {
		at := side(c)
		if c.On != "" {
			at = sides[c.On]
		}
		sides[c.Panel] = at
		area[at] += n.panel(c.Panel).Area()
	}
	first := 0 // the pair of sides that goes first
	if area[0]+area[2] > area[1]+area[3] {
		first = 1
	}
	for i, c := range n.Creases {
		at := sides[c.Panel]
		switch {
		case at%2 == first:
			n.Creases[i].Order = 1
		case area[at] >= area[(at+2)%4]:
			n.Creases[i].Order = 2
		default:
			n.Creases[i].Order = 3
		}
	}
}

func middleOf(p Polygon) (x, y float64) {
	x0, y0, x1, y1 := p.Box()
	return (x0 + x1) / 2, (y0 + y1) / 2
}

// hullBox is the rectangle round all panels.
func (n Net) hullBox() Polygon {
	var all Polygon
	for _, p := range n.Panels {
		all = append(all, p.Outline...)
	}
	x0, y0, x1, y1 := all.Box()
	return Polygon{{x0, y0}, {x1, y0}, {x1, y1}, {x0, y1}}
}

// levelled is the net turned by the least that makes its front level, with the rectangle round it at the origin.
func (n Net) levelled() Net {
	e := n.Panels[0].Outline.straight()
	angle := math.Atan2(e[1].Y-e[0].Y, e[1].X-e[0].X)
	angle -= math.Round(angle/(math.Pi/2)) * math.Pi / 2
	sin, cos := math.Sincos(-angle)
	n = n.changed(func(p Point) Point { return Point{p.X*cos - p.Y*sin, p.X*sin + p.Y*cos} })
	n.Sheet = n.hullBox()
	x, y := n.Sheet[0].X, n.Sheet[0].Y
	return n.changed(func(p Point) Point { return Point{p.X - x, p.Y - y} })
}

// Stretched is the net made so many times as wide and as high, as one does who pulls a drawing to another size.
func (n Net) Stretched(wide, high float64) Net {
	return n.changed(func(p Point) Point { return Point{p.X * wide, p.Y * high} })
}

// changed is the net with every point put elsewhere.
func (n Net) changed(where func(Point) Point) Net {
	all := func(p Polygon) Polygon {
		q := make(Polygon, len(p))
		for i, v := range p {
			q[i] = where(v)
		}
		return q
	}
	m := Net{Sheet: all(n.Sheet)}
	for _, p := range n.Panels {
		p.Outline = all(p.Outline)
		m.Panels = append(m.Panels, p)
	}
	for _, c := range n.Creases {
		c.From, c.To = where(c.From), where(c.To)
		m.Creases = append(m.Creases, c)
	}
	return m
}

// Found is what a net that somebody drew becomes.
type Found struct {
	Net    Net
	Folded Folded
	// Width and Height are the room inside, Depth that of its walls; zero without.
	Width, Height, Depth measure.Length
	// Seam is the narrowest overlap of flaps that lie on each other; zero where none do.
	Seam  measure.Length
	Seams int
}

// Look folds a net that somebody drew, and finds where its flaps lie on each other.
func (n Net) Look() Found {
	n.Glue = nil
	poses := n.poses(all)
	order, folds := map[string]int{}, map[string]float64{}
	for _, c := range n.Creases {
		order[c.Panel], folds[c.Panel] = c.Order, Line{c.From, c.To}.long()
	}
	for i, p := range n.Panels {
		for _, q := range n.Panels[:i] {
			if q.ID == n.Panels[0].ID || p.Name == "wall" || q.Name == "wall" || order[p.ID] == order[q.ID] {
				continue
			}
			for _, zone := range n.overlap(p.ID, q.ID, poses) {
				zone = n.bare(zone, p.ID, order[q.ID], order[p.ID], poses)
				if _, _, length := zone.widths(); zone.Area() > leastSeam && length > corner*min(folds[p.ID], folds[q.ID]) {
					n.Glue = append(n.Glue, Glue{Panel: p.ID, Onto: q.ID, Zone: zone})
				}
			}
		}
	}
	f := Found{Net: n, Folded: n.Fold()}
	x0, y0, x1, y1 := n.Panels[0].Outline.Box()
	mm := func(v float64) measure.Length { return measure.Round(v * float64(measure.Millimetre)) }
	f.Width, f.Height, f.Seams = mm(x1-x0), mm(y1-y0), len(f.Folded.Seams)
	if d := f.Folded.Depth; d > 0.1 {
		f.Depth = mm(d)
	}
	narrow := math.Inf(1)
	for _, s := range f.Folded.Seams {
		narrow = min(narrow, s.Least)
	}
	if f.Seams > 0 {
		f.Seam = mm(narrow)
	}
	return f
}

const (
	leastSeam = 4    // mm²: less is two edges that meet
	corner    = 0.25 // of the shorter fold: where two flaps meet in less, that is a corner, and no seam
)

// bare is what of a zone no panel that is folded between the two lies in: the largest part of it.
func (n Net) bare(zone Polygon, on string, a, b int, poses []pose) (best Polygon) {
	var between []Polygon
	for _, c := range n.Creases {
		if c.Order > min(a, b) && c.Order < max(a, b) && n.nameOf(c.Panel) != "wall" {
			between = append(between, n.overlap(on, c.Panel, poses)...)
		}
	}
	left, _ := less(zone, between)
	for _, p := range left {
		if p.Area() > best.Area() {
			best = p
		}
	}
	return best
}

func (n Net) nameOf(id string) string {
	for _, p := range n.Panels {
		if p.ID == id {
			return p.Name
		}
	}
	return ""
}

// QuarterTurned is the net turned by a quarter, the rectangle round it at the origin again.
func (n Net) QuarterTurned() Net {
	_, _, _, high := n.Sheet.Box()
	return n.changed(func(p Point) Point { return Point{high - p.Y, p.X} })
}
