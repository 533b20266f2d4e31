package format

import (
	"math"
	"slices"

	"yellowparcel/core/blank"
)

// chain is an open line of a drawing, with what is told of it.
type chain struct {
	points blank.Polygon
	shape
}

// meet finds the outline that lines make whose ends meet: the way round the outside of the largest thing that they
// draw. What has an end that meets nothing is no part of it. Rest are the other lines; false where no lines
// make an outline.
func meet(chains []chain) (outline blank.Polygon, line int, rest []chain, ok bool) {
	g := graphOf(chains)
	g.prune()
	best, most := []halfEdge(nil), 0.0
	for _, face := range g.faces() {
		// The way round the outside runs against the others, so that its area has the other sign.
		if a := signedArea(g.walk(face)); a < 0 && -a > most {
			best, most = face, -a
		}
	}
	if len(best) == 0 {
		return nil, 0, nil, false
	}
	used := map[int]bool{}
	for _, h := range best {
		used[h.edge] = true
	}
	for i, c := range chains {
		if !used[i] {
			rest = append(rest, c)
		}
	}
	return g.walk(best), chains[best[0].edge].line, rest, true
}

// halfEdge is a line as it is walked: from its first point to its last, or back.
type halfEdge struct {
	edge int
	back bool
}

// graph is lines and the places where their ends meet.
type graph struct {
	chains []chain
	ends   [][2]int // the place of each end of a line
	alive  []bool
	at     [][]halfEdge // the lines that leave each place
}

// graphOf puts ends together that are no further apart than an outline may be open.
func graphOf(chains []chain) *graph {
	g := &graph{chains: chains, ends: make([][2]int, len(chains)), alive: make([]bool, len(chains))}
	type cell [2]int
	places, found := []blank.Point{}, map[cell][]int{}
	place := func(p blank.Point) int {
		at := cell{int(math.Floor(p.X / joins)), int(math.Floor(p.Y / joins))}
		for x := at[0] - 1; x <= at[0]+1; x++ {
			for y := at[1] - 1; y <= at[1]+1; y++ {
				for _, i := range found[cell{x, y}] {
					if math.Hypot(places[i].X-p.X, places[i].Y-p.Y) <= joins {
						return i
					}
				}
			}
		}
		places, found[at] = append(places, p), append(found[at], len(places))
		g.at = append(g.at, nil)
		return len(places) - 1
	}
	for i, c := range chains {
		if len(c.points) < 2 {
			continue
		}
		a, b := place(c.points[0]), place(c.points[len(c.points)-1])
		if g.ends[i] = [2]int{a, b}; a == b {
			continue // it is closed by itself, or no longer than a gap
		}
		g.alive[i] = true
		g.at[a], g.at[b] = append(g.at[a], halfEdge{i, false}), append(g.at[b], halfEdge{i, true})
	}
	return g
}

// prune takes away what has an end that meets nothing, again and again.
func (g *graph) prune() {
	var loose []int
	leaves := func(at int) (n int) {
		for _, h := range g.at[at] {
			if g.alive[h.edge] {
				n++
			}
		}
		return n
	}
	for at := range g.at {
		if leaves(at) == 1 {
			loose = append(loose, at)
		}
	}
	for len(loose) > 0 {
		at := loose[len(loose)-1]
		loose = loose[:len(loose)-1]
		for _, h := range g.at[at] {
			if !g.alive[h.edge] {
				continue
			}
			g.alive[h.edge] = false
			for _, end := range g.ends[h.edge] {
				if end != at && leaves(end) == 1 {
					loose = append(loose, end)
				}
			}
		}
	}
	for at := range g.at {
		g.at[at] = slices.DeleteFunc(g.at[at], func(h halfEdge) bool { return !g.alive[h.edge] })
		slices.SortFunc(g.at[at], func(a, b halfEdge) int {
			if x, y := g.heads(a), g.heads(b); x < y {
				return -1
			} else if x > y {
				return 1
			}
			return 0
		})
	}
}

// points are those of a line as it is walked.
func (g *graph) points(h halfEdge) blank.Polygon {
	if !h.back {
		return g.chains[h.edge].points
	}
	p := slices.Clone(g.chains[h.edge].points)
	slices.Reverse(p)
	return p
}

// heads is the direction in which a line leaves its place.
func (g *graph) heads(h halfEdge) float64 {
	p := g.chains[h.edge].points
	a, b := p[0], p[1]
	if h.back {
		a, b = p[len(p)-1], p[len(p)-2]
	}
	return math.Atan2(b.Y-a.Y, b.X-a.X)
}

// faces are the ways round: at each place on along the line that lies next to the one that was come by.
func (g *graph) faces() (list [][]halfEdge) {
	done := map[halfEdge]bool{}
	for i := range g.chains {
		for _, back := range []bool{false, true} {
			h := halfEdge{i, back}
			if !g.alive[i] || done[h] {
				continue
			}
			var face []halfEdge
			for !done[h] {
				done[h] = true
				face = append(face, h)
				to := g.ends[h.edge][1]
				if h.back {
					to = g.ends[h.edge][0]
				}
				leaving := g.at[to]
				at := slices.Index(leaving, halfEdge{h.edge, !h.back})
				h = leaving[(at+len(leaving)-1)%len(leaving)]
			}
			list = append(list, face)
		}
	}
	return list
}

// walk is a way round as corners.
func (g *graph) walk(face []halfEdge) (p blank.Polygon) {
	for _, h := range face {
		points := g.points(h)
		p = append(p, points[:len(points)-1]...)
	}
	return p
}

func signedArea(p blank.Polygon) (sum float64) {
	for i, a := range p {
		b := p[(i+1)%len(p)]
		sum += a.X*b.Y - b.X*a.Y
	}
	return sum / 2
}
