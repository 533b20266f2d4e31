package blank

import (
	"math"
	"slices"
)

// Region is a part of the folded envelope with so many layers of paper, the face
// included, as it is seen from above the face.
type Region struct {
	Layers  int
	Outline Polygon
}

// Lying are the panels of the folded envelope that lie over each other, the face
// among them, as they are seen from above.
func (n Net) Lying() (list []Polygon) {
	for i, pose := range n.poses(all) {
		if math.Abs(math.Abs(pose.z.Z)-1) >= level {
			continue // a wall
		}
		seen := make(Polygon, len(n.Panels[i].Outline))
		for k, q := range n.Panels[i].Outline {
			v := pose.at(q)
			seen[k] = Point{v.X, v.Y}
		}
		list = append(list, seen)
	}
	return list
}

// Regions divides the face by how many layers of paper lie there. Panels that
// are not convex count as their hull, which is at most a thumb notch too much.
func (n Net) Regions() []Region {
	cells := []Region{{1, n.Panels[0].Outline}}
	poses := n.poses(all)
	for i, p := range n.Panels[1:] {
		pose := poses[i+1]
		if math.Abs(math.Abs(pose.z.Z)-1) >= level {
			continue // a wall
		}
		seen := make(Polygon, len(p.Outline))
		for k, q := range p.Outline {
			v := pose.at(q)
			seen[k] = Point{v.X, v.Y}
		}
		if !seen.convex() {
			seen = seen.Hull()
		}
		var next []Region
		for _, c := range cells {
			if in := c.Outline.meet(seen); in.Area() > sliver {
				next = append(next, Region{c.Layers + 1, in})
				for _, out := range lessConvex(c.Outline, []Polygon{seen}) {
					next = append(next, Region{c.Layers, out})
				}
				continue
			}
			next = append(next, c)
		}
		cells = next
	}
	slices.SortStableFunc(cells, func(a, b Region) int { return b.Layers - a.Layers })
	return cells
}
