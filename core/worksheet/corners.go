package worksheet

import (
	"math"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
)

// openings cuts what lies inside the outline, and slits.
func (s *shaping) openings() {
	windowed := slices.ContainsFunc(s.w.Plan.Paper.Stocks, func(p plan.StockPlan) bool {
		for _, saved := range p.Saved {
			if saved.FromID == s.x.ID {
				return true
			}
		}
		return false
	})
	for i, c := range s.x.Flat.Of(drawing.Cut) {
		switch {
		case i == 0 || c.Closed && windowed:
			continue
		case !c.Closed:
			marks := []Mark{s.mark(c.Corners[0]), s.mark(c.Corners[1])}
			s.put(Step{Act: Slit, Tool: s.w.cuttingTool(), Lines: [][]Mark{marks}})
		default:
			s.odd = true
		}
	}
}

// away cuts along the outline wherever it leaves the edges of the sheet.
func (s *shaping) away() {
	step := Step{Act: Snip, Tool: job.ScissorsTool}
	if !s.w.tools.Has(job.ScissorsTool) {
		step.Tool = job.KnifeTool
	}
	cuts := s.x.Flat.Of(drawing.Cut)
	if len(cuts) == 0 {
		return
	}
	notch := Step{Act: Snip, Tool: blank.PunchBoard}
	for _, chain := range s.chains(cuts[0].Corners) {
		var line []Mark
		for _, p := range chain {
			line = append(line, s.mark(p))
		}
		if s.notches(chain, line) {
			notch.Lines = append(notch.Lines, line)
		} else {
			step.Lines = append(step.Lines, line)
		}
	}
	for _, x := range []Step{notch, step} {
		if len(x.Lines) > 0 {
			s.put(x)
		}
	}
}

// notches reports whether a punch board that is used only to notch takes a corner out: its punch is laid with its
// point where two scores cross, and reaches from there to the edge.
func (s *shaping) notches(chain blank.Polygon, line []Mark) bool {
	t := s.w.tools
	if !t.Has(blank.PunchBoard) || !t.OnlyNotches() || len(chain) != 3 || line[1].Scores[1] == 0 || line[1].Along > 0 {
		return false
	}
	x0, y0, x1, y1 := chain.Box()
	long, deep := max(x1-x0, y1-y0), min(x1-x0, y1-y0)
	longest := max(nm(s.wide), nm(s.high))
	return s.edges(chain[0])&s.edges(chain[2]) > 0 && math.Abs(long-2*deep) < 5*hair && deep <= t.NotchDepth.Millimetres()+hair && (t.Punches() == 0 || longest <= t.Punches())
}

// chains are the stretches of an outline that do not lie on an edge of the sheet, each from edge
// to edge.
func (s *shaping) chains(p blank.Polygon) (list []blank.Polygon) {
	if p.Area() <= s.wide*s.high/2 {
		s.odd = true // the larger part would fall off, which no hand expects
		return nil
	}
	p = straightened(p)
	start := slices.IndexFunc(p, func(q blank.Point) bool { return s.edges(q) > 0 })
	if start < 0 {
		s.odd = true
		return nil
	}
	var now blank.Polygon
	for i := range p {
		a, b := p[(start+i)%len(p)], p[(start+i+1)%len(p)]
		if s.edges(a)&s.edges(b) > 0 {
			continue // nothing is cut there
		}
		if len(now) == 0 {
			now = blank.Polygon{a}
		}
		if now = append(now, b); s.edges(b) > 0 {
			list, now = append(list, now), nil
		}
	}
	return list
}

// edges are those that a point lies on, a bit each.
func (s *shaping) edges(p blank.Point) (bits int) {
	for i, off := range []float64{p.X, s.wide - p.X, p.Y, s.high - p.Y} {
		if math.Abs(off) < 5*hair {
			bits |= 1 << i
		}
	}
	return bits
}

// straightened leaves out corners that are none.
func straightened(p blank.Polygon) (q blank.Polygon) {
	for i, b := range p {
		a, c := p[(i+len(p)-1)%len(p)], p[(i+1)%len(p)]
		long := math.Hypot(c.X-a.X, c.Y-a.Y)
		if long < hair || math.Abs((b.X-a.X)*(c.Y-a.Y)-(b.Y-a.Y)*(c.X-a.X))/long > hair {
			q = append(q, b)
		}
	}
	return q
}

// mark names a place on a piece by what can be seen or set there; it is odd where nothing can.
func (s *shaping) mark(p blank.Point) (m Mark) {
	near := func(a, b float64) bool { return math.Abs(a-b) < 5*hair }
	left, right, top, bottom := near(p.X, 0), near(p.X, s.wide), near(p.Y, 0), near(p.Y, s.high)
	switch {
	case left && top:
		return Mark{Corner: TopLeft}
	case right && top:
		return Mark{Corner: TopRight}
	case right && bottom:
		return Mark{Corner: BottomRight}
	case left && bottom:
		return Mark{Corner: BottomLeft}
	}
	var on []int
	for _, r := range s.runs {
		if s.on(r, p) && (len(on) == 0 || s.runs[on[0]-1].way != r.way) {
			on = append(on, r.number)
		}
	}
	edge, along := Edge(""), 0.0
	switch {
	case left:
		edge, along = Left, p.Y
	case right:
		edge, along = Right, p.Y
	case top:
		edge, along = Top, p.X
	case bottom:
		edge, along = Bottom, p.X
	}
	switch {
	case edge != "" && len(on) > 0:
		return Mark{Edge: edge, Scores: [2]int{on[0]}}
	case edge != "":
		if l, ok := s.w.ticked(along); ok {
			return Mark{Edge: edge, Along: l}
		}
	case len(on) > 1:
		return Mark{Scores: [2]int{on[0], on[1]}}
	case len(on) == 1:
		if m, ok := s.further(on[0], p); ok {
			return m
		}
	}
	s.odd = true
	return Mark{}
}

// further is a place on a score by how far in it lies from the edge, or how far outwards from
// where another one crosses it.
func (s *shaping) further(number int, p blank.Point) (Mark, bool) {
	r, centre := s.runs[number-1], blank.Point{X: s.wide / 2, Y: s.high / 2}
	far := func(a, b blank.Point) float64 { return math.Hypot(a.X-b.X, a.Y-b.Y) }
	// Along it from the edge.
	if from, to := s.ends(r); r.way <= across {
		at, edges := p.X, [2]Edge{Left, Right}
		if r.way == down {
			at, edges = p.Y, [2]Edge{Top, Bottom}
		}
		for i, off := range []float64{at - from, to - at} {
			if l, ok := s.w.ticked(off); ok {
				return Mark{Edge: edges[i], Scores: [2]int{number}, Along: l}, true
			}
		}
	}
	for _, q := range s.runs {
		x, ok := s.crossing(r, q)
		if !ok || !s.on(q, x) || far(p, centre) < far(x, centre) {
			continue
		}
		if l, ok := s.w.ticked(far(p, x)); ok {
			return Mark{Scores: [2]int{number, q.number}, Along: l}, true
		}
	}
	return Mark{}, false
}

// crossing is where two runs cross; false where they never do.
func (s *shaping) crossing(r, q run) (blank.Point, bool) {
	a, b, c, d := s.point(r, 0), s.point(r, 1), s.point(q, 0), s.point(q, 1)
	cross := (b.X-a.X)*(d.Y-c.Y) - (b.Y-a.Y)*(d.X-c.X)
	if math.Abs(cross) < hair {
		return blank.Point{}, false
	}
	t := ((c.X-a.X)*(d.Y-c.Y) - (c.Y-a.Y)*(d.X-c.X)) / cross
	return blank.Point{X: a.X + t*(b.X-a.X), Y: a.Y + t*(b.Y-a.Y)}, true
}

// on reports whether a run, as it is scored, goes through a point.
func (s *shaping) on(r run, p blank.Point) bool {
	along := p.X
	if r.way == down {
		along = p.Y
	}
	q := s.point(r, along)
	if math.Hypot(q.X-p.X, q.Y-p.Y) > 5*hair {
		return false
	}
	return slices.ContainsFunc(r.parts, func(part [2]float64) bool { return along > part[0]-5*hair && along < part[1]+5*hair })
}
