package blank

import (
	"fmt"
	"math"
)

// Folded is what a net becomes, found from its panels and creases alone.
type Folded struct {
	// Width, Height and Depth are the outer size when closed, in millimetres;
	// the depth is that of walls, without the paper.
	Width  float64 `json:"width"`
	Height float64 `json:"height"`
	Depth  float64 `json:"depth"`
	// Holes are the parts of the back that nothing covers; Hole is their area in
	// square millimetres.
	Hole  float64   `json:"hole"`
	Holes []Polygon `json:"holes"`
	// Layers is the greatest number of layers of paper lying on each other,
	// the face included.
	Layers int `json:"layers"`
	// Overhang is the largest area of one panel that lies outside the face.
	Overhang float64 `json:"overhang"`
	// Seams are the overlaps that are glued.
	Seams []Seam `json:"seams"`
}

// Seam is an overlap of two panels that is glued: how wide it is along its
// length, in millimetres.
type Seam struct {
	Panel  string  `json:"panel"`
	Onto   string  `json:"onto"`
	Least  float64 `json:"least"`
	Most   float64 `json:"most"`
	Length float64 `json:"length"`
	Area   float64 `json:"area"`
}

// Check refuses a net that cannot be folded: an outline that crosses itself,
// panels that overlap on the sheet or lie off it, a crease that is not the edge
// of both its panels, a panel that hangs on nothing.
func (n Net) Check() error {
	hung := map[string]bool{n.Panels[0].ID: true}
	for _, p := range n.Panels {
		if !p.Outline.Simple() {
			return fmt.Errorf("the outline of the %s (%s) crosses itself or is empty", p.Name, p.ID)
		}
		if out := p.Outline.Area() - areas(common(p.Outline, n.Sheet)); out > sliver {
			return fmt.Errorf("the %s (%s) reaches %.2f mm² off the sheet", p.Name, p.ID, out)
		}
	}
	for i, p := range n.Panels {
		for _, q := range n.Panels[:i] {
			if both := areas(common(p.Outline, q.Outline)); both > sliver {
				return fmt.Errorf("the %s and the %s overlap on the sheet", p.ID, q.ID)
			}
		}
	}
	for range n.Creases {
		for _, c := range n.Creases {
			hung[c.Panel] = hung[c.Panel] || hung[c.on(n)]
		}
	}
	for _, c := range n.Creases {
		for _, id := range []string{c.Panel, c.on(n)} {
			if !n.panel(id).hasEdge(c.From, c.To) {
				return fmt.Errorf("the crease of the %s is no edge of the %s", c.Panel, id)
			}
		}
	}
	for _, p := range n.Panels {
		if !hung[p.ID] {
			return fmt.Errorf("the %s hangs on nothing", p.ID)
		}
	}
	return nil
}

func (c Crease) on(n Net) string {
	if c.On == "" {
		return n.Panels[0].ID
	}
	return c.On
}

// hasEdge reports whether a stretch lies along an edge of the polygon.
func (p Polygon) hasEdge(from, to Point) bool {
	const off = 1e-3
	for i, a := range p {
		b := p[(i+1)%len(p)]
		if distance(from, a, b) < off && distance(to, a, b) < off {
			return true
		}
	}
	return false
}

// distance is that of a point from a stretch.
func distance(p, a, b Point) float64 {
	dx, dy := b.X-a.X, b.Y-a.Y
	t := ((p.X-a.X)*dx + (p.Y-a.Y)*dy) / (dx*dx + dy*dy)
	t = math.Min(1, math.Max(0, t))
	return math.Hypot(p.X-a.X-t*dx, p.Y-a.Y-t*dy)
}

// all is a stage at which every crease is folded.
const all = 1e6

// level is how much off the horizontal, as a sine, a panel may be that lies on
// the face or above it.
const level = 1e-6

// Fold folds the net and looks at it.
func (n Net) Fold() Folded {
	face := n.Panels[0].Outline
	f := Folded{}
	var lying []Polygon // the panels over the face, seen from above
	low, high := Vec{math.Inf(1), math.Inf(1), math.Inf(1)}, Vec{math.Inf(-1), math.Inf(-1), math.Inf(-1)}
	poses := n.poses(all)
	for i, p := range n.Panels {
		seen := make(Polygon, len(p.Outline))
		for k, q := range p.Outline {
			v := poses[i].at(q)
			seen[k] = Point{v.X, v.Y}
			low = Vec{math.Min(low.X, v.X), math.Min(low.Y, v.Y), math.Min(low.Z, v.Z)}
			high = Vec{math.Max(high.X, v.X), math.Max(high.Y, v.Y), math.Max(high.Z, v.Z)}
		}
		if i > 0 && math.Abs(math.Abs(poses[i].z.Z)-1) < level {
			lying = append(lying, seen)
		}
	}
	f.Width, f.Height, f.Depth = high.X-low.X, high.Y-low.Y, high.Z-low.Z
	for _, p := range lying {
		if out := p.Area() - areas(common(p, face)); out > f.Overhang && out > sliver {
			f.Overhang = out
		}
	}
	if f.Holes, f.Hole = less(face, lying); len(f.Holes) > 1 {
		f.Holes, _ = lessWhole(face, lying) // how many there are is told
	}
	f.Layers = deepest(append(lying, face))
	for _, g := range n.Glue {
		least, most, length := g.Zone.widths()
		f.Seams = append(f.Seams, Seam{g.Panel, g.Onto, least, most, length, g.Zone.Area()})
	}
	return f
}

// overlap is what a panel shares with another when both are folded, on the flat
// sheet of the first; nothing when they do not lie in one plane.
func (n Net) overlap(from, onto string, poses []pose) []Polygon {
	var a, b int
	for i, p := range n.Panels {
		if p.ID == from {
			a = i
		}
		if p.ID == onto {
			b = i
		}
	}
	const apart = 1e-3 // mm
	there := make(Polygon, len(n.Panels[b].Outline))
	for i, q := range n.Panels[b].Outline {
		p, off := poses[a].back(poses[b].at(q))
		if math.Abs(off) > apart {
			return nil
		}
		there[i] = p
	}
	return common(n.Panels[a].Outline, there)
}

// glued finds the zones of glue of pairs of panels: whatever of the first lies
// on the second when folded.
func (n Net) glued(pairs ...[2]string) []Glue {
	poses, list := n.poses(all), []Glue{}
	for _, p := range pairs {
		for _, zone := range n.overlap(p[0], p[1], poses) {
			list = append(list, Glue{Panel: p[0], Onto: p[1], Zone: zone})
		}
	}
	return list
}

// widths measures a strip across its longest edge: least and most in the middle
// of its length, where its slanting ends do not count, and the length.
func (p Polygon) widths() (least, most, length float64) {
	var along Point
	for i, a := range p {
		b := p[(i+1)%len(p)]
		if l := math.Hypot(b.X-a.X, b.Y-a.Y); l > length {
			length, along = l, Point{(b.X - a.X) / l, (b.Y - a.Y) / l}
		}
	}
	low, high := math.Inf(1), math.Inf(-1)
	turned := make(Polygon, len(p))
	for i, a := range p {
		turned[i] = Point{a.X*along.X + a.Y*along.Y, a.Y*along.X - a.X*along.Y}
		low, high = math.Min(low, turned[i].X), math.Max(high, turned[i].X)
	}
	const looks = 9
	least = math.Inf(1)
	for i := range looks {
		x := low + (high-low)*(0.3+0.4*float64(i)/(looks-1))
		w := turned.chord(x)
		least, most = math.Min(least, w), math.Max(most, w)
	}
	return least, most, length
}

// chord is how long the upright line at x runs inside the polygon, from its
// first crossing to its last.
func (p Polygon) chord(x float64) float64 {
	low, high := math.Inf(1), math.Inf(-1)
	for i, a := range p {
		b := p[(i+1)%len(p)]
		if (a.X > x) != (b.X > x) {
			y := a.Y + (b.Y-a.Y)*(x-a.X)/(b.X-a.X)
			low, high = math.Min(low, y), math.Max(high, y)
		}
	}
	return math.Max(0, high-low)
}

// sliver is the area in square millimetres below which a gap or an overlap is
// an effect of rounding.
const sliver = 0.01
