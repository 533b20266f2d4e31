package blank

import "math"

// Cut is the net with the outline that is cut, and what falls away of its sheet: worked out
// where it is drawn, since nothing that is folded asks for it.
func (n Net) Cut() Net {
	if n.Outline == nil {
		n.cutOut()
	}
	if n.CutAway == nil {
		n.CutAway = []Polygon{}
	}
	if n.Glue == nil {
		n.Glue = []Glue{}
	}
	return n
}

// cutOut draws the outline round all panels and takes what is outside off.
func (n *Net) cutOut() {
	list := make([]Polygon, len(n.Panels))
	for i, p := range n.Panels {
		list[i] = p.Outline
	}
	n.Outline = append(Polygon{}, around(list)...)
	away, _ := less(n.Sheet, list)
	n.CutAway = append([]Polygon{}, away...)
}

// spot is a point rounded to a thousandth of a millimetre, so that points that
// should be one are.
type spot struct{ x, y int64 }

func spotOf(p Point) spot { return spot{int64(math.Round(p.X * 1e3)), int64(math.Round(p.Y * 1e3))} }

// around is the outline of panels that touch along their edges: the stretches
// of edges that only one panel has, walked in order.
func around(list []Polygon) Polygon {
	list = joined(list)
	next := map[spot][]Point{}
	count := map[[2]spot]int{}
	var stretches [][2]Point
	for _, p := range list {
		if signedArea(p) < 0 {
			p = p.reversed()
		}
		for i, a := range p {
			on := between(a, p[(i+1)%len(p)], list)
			for k := 1; k < len(on); k++ {
				stretches = append(stretches, [2]Point{on[k-1], on[k]})
				count[[2]spot{spotOf(on[k-1]), spotOf(on[k])}]++
			}
		}
	}
	var start Point
	for _, s := range stretches {
		from, to := spotOf(s[0]), spotOf(s[1])
		if from != to && count[[2]spot{to, from}] == 0 {
			next[from] = append(next[from], s[1])
			start = s[0]
		}
	}
	var out Polygon
	for at := start; len(next[spotOf(at)]) > 0; {
		k := spotOf(at)
		out = append(out, at)
		to := next[k][0]
		next[k] = next[k][1:]
		at = to
	}
	return out.straight()
}

// joined makes corners that should be one the same point, even where rounding
// puts them into two spots.
func joined(list []Polygon) []Polygon {
	seen := map[spot]Point{}
	one := func(p Point) Point {
		s := spotOf(p)
		for x := s.x - 1; x <= s.x+1; x++ {
			for y := s.y - 1; y <= s.y+1; y++ {
				if q, ok := seen[spot{x, y}]; ok {
					return q
				}
			}
		}
		seen[s] = p
		return p
	}
	same := make([]Polygon, len(list))
	for i, p := range list {
		same[i] = make(Polygon, len(p))
		for k, q := range p {
			same[i][k] = one(q)
		}
	}
	return same
}

// between is a stretch with all corners of the panels that lie on it, in order.
func between(a, b Point, list []Polygon) []Point {
	const off = 1e-3
	on := []Point{a, b}
	for _, p := range list {
		for _, q := range p {
			if distance(q, a, b) > off || spotOf(q) == spotOf(a) || spotOf(q) == spotOf(b) {
				continue
			}
			far := math.Hypot(q.X-a.X, q.Y-a.Y)
			at := len(on) - 1
			for at > 1 && math.Hypot(on[at-1].X-a.X, on[at-1].Y-a.Y) > far {
				at--
			}
			if spotOf(on[at-1]) != spotOf(q) {
				on = append(on[:at], append([]Point{q}, on[at:]...)...)
			}
		}
	}
	return on
}

func (p Polygon) reversed() Polygon {
	q := make(Polygon, len(p))
	for i, v := range p {
		q[len(p)-1-i] = v
	}
	return q
}

// straight drops corners at which the outline does not turn.
func (p Polygon) straight() Polygon {
	var q Polygon
	for i, b := range p {
		a, c := p[(i+len(p)-1)%len(p)], p[(i+1)%len(p)]
		if math.Abs((b.X-a.X)*(c.Y-b.Y)-(b.Y-a.Y)*(c.X-b.X)) > 1e-6 {
			q = append(q, b)
		}
	}
	return q
}
