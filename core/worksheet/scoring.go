package worksheet

import (
	"math"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// plan works the steps of a piece out; it is odd where one of them cannot be set.
func (s *shaping) plan() {
	if s.punched() || s.round() {
		return
	}
	// Lines from edge to edge come first: others end at them.
	for _, whole := range []bool{true, false} {
		for _, r := range s.runs {
			for _, part := range r.parts {
				if s.whole(r, part) == whole {
					s.score(r, part)
				}
			}
		}
	}
	s.openings()
	s.away()
}

// settable reports whether a hand can do what the drawing asks with what can be set.
func (s *shaping) settable() bool { return !s.odd }

// steps are those of the piece.
func (s *shaping) steps() []Step { return s.out }

func (s *shaping) put(step Step) {
	step.Piece, step.Count = s.x.ID, s.x.Count
	if step.Up == "" {
		step.Up = Shown
	}
	s.out = append(s.out, step)
}

// score makes one line of a run: with the first tool that can be set to it.
func (s *shaping) score(r run, part [2]float64) {
	step := Step{Act: Score, Number: r.number}
	if r.under {
		step.Up = Under
	}
	ok := false
	switch r.way {
	case down:
		ok = s.fromEdges(&step, r.at, s.wide, s.high, Left, Right)
	case across:
		ok = s.fromEdges(&step, r.at, s.high, s.wide, Top, Bottom)
	case falling:
		ok = s.fromCorners(&step, r, TopLeft, BottomRight)
	case rising:
		ok = s.fromCorners(&step, r, BottomLeft, TopRight)
	}
	if !s.whole(r, part) {
		ok = ok && s.bounded(&step, r, part)
	}
	if !ok {
		s.odd = true
		return
	}
	s.put(step)
}

// bounded says where a line begins and ends: by what it meets, or by its distance from the edge.
func (s *shaping) bounded(step *Step, r run, part [2]float64) bool {
	first, last := s.ends(r)
	edges := [2]bool{part[0] < first+hair, part[1] > last-hair}
	for i, at := range part {
		if !edges[i] {
			step.Between[i] = s.meets(r, s.point(r, at))
		}
	}
	if (edges[0] || step.Between[0] > 0) && (edges[1] || step.Between[1] > 0) {
		return true
	}
	step.Between = [2]int{}
	from, one := s.w.ticked(part[0])
	to, other := s.w.ticked(part[1])
	step.From, step.To = from, to
	return (one || edges[0]) && other && r.way <= across
}

// meets is the score, made by then, that a line meets at a place.
func (s *shaping) meets(r run, at blank.Point) int {
	for _, q := range s.runs {
		made := slices.ContainsFunc(s.out, func(m Step) bool { return m.Act == Score && m.Number == q.number })
		if q.way == r.way || !made {
			continue
		}
		along := at.X
		if q.way == down {
			along = at.Y
		}
		if p := s.point(q, along); math.Hypot(p.X-at.X, p.Y-at.Y) < 5*hair {
			return q.number
		}
	}
	return 0
}

// fromEdges sets a score at its distance from either edge: the near one first.
func (s *shaping) fromEdges(step *Step, at, length, long float64, low, high Edge) bool {
	type from struct {
		edge Edge
		at   float64
	}
	list := []from{{low, at}, {high, length - at}}
	if length-at < at-hair {
		slices.Reverse(list)
	}
	why := NoTool
	for _, f := range list {
		l, ok := s.w.ticked(f.at)
		if !ok {
			continue
		}
		if w := s.w.boardSets(l); w == Usual {
			step.Tool, step.Fence, step.At, step.Why = blank.ScoreBoard, f.edge, l, Usual
			return true
		} else if why == NoTool {
			why = w
		}
		if s.w.trimmerScores(l, long) {
			step.Tool, step.Fence, step.At, step.Why = job.TrimmerTool, f.edge, l, Usual
			return true
		}
	}
	// Marked at both ends, and scored along a ruler.
	for _, f := range list {
		if l, ok := s.w.ticked(f.at); ok {
			step.Tool, step.Fence, step.At, step.Why = job.FolderTool, f.edge, l, why
			return true
		}
	}
	return false
}

// boardSets reports whether the score board scores at a reading, and why it does not.
func (w *writer) boardSets(l measure.Length) Why {
	t := w.tools
	switch {
	case !t.Has(blank.ScoreBoard):
		return NoTool
	case t.Reach > 0 && l > t.Reach:
		return BeyondReach
	case t.Groove > 0 && l%t.Groove != 0:
		return NoGroove
	}
	return Usual
}

func (w *writer) trimmerScores(l measure.Length, long float64) bool {
	t := w.tools
	return t.Has(job.TrimmerTool) && t.Scores() && long <= t.TrimmerLength.Millimetres()+hair && (t.Ruler == 0 || l <= t.Ruler)
}

// fromCorners sets a score across a corner by its reading in the corner plate, as the way of the
// envelope has it; else by marks on the two edges beside the corner.
func (s *shaping) fromCorners(step *Step, r run, near, far Corner) bool {
	diagonal := (s.wide + s.high) / math.Sqrt2
	type from struct {
		corner Corner
		at     float64
	}
	list := []from{{near, r.at}, {far, diagonal - r.at}}
	way := s.w.Made.Way()
	if way.ID != blank.PairWay && r.at > diagonal/2 {
		slices.Reverse(list)
	}
	corner := s.w.tools.CornerAt
	why := NoTool
	if way.ID != blank.EdgeWay && way.ID != blank.RoundWay && way.ID != blank.CentreWay {
		for _, f := range list {
			l, ok := s.w.ticked(f.at + corner.Millimetres())
			if !ok || !s.w.tools.Corner() {
				continue
			}
			if why = s.w.boardSets(l); why == Usual {
				step.Tool, step.Corner, step.At = blank.ScoreBoard, f.corner, l
				return true
			}
		}
	}
	if way.ID == blank.CentreWay {
		for _, f := range list {
			if l, ok := s.w.ticked(diagonal/2 - f.at); ok {
				step.Tool, step.Corner, step.At, step.Middle, step.Why = job.FolderTool, f.corner, l, true, Usual
				return true
			}
		}
	}
	for _, f := range list {
		if l, ok := s.w.ticked(f.at * math.Sqrt2); ok && f.at*math.Sqrt2 < min(s.wide, s.high) {
			step.Tool, step.Corner, step.At, step.Why = job.FolderTool, f.corner, l, why
			if way.ID == blank.EdgeWay {
				step.Why = Usual
			}
			return true
		}
	}
	return false
}

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
	for _, chain := range s.chains(cuts[0].Corners) {
		var line []Mark
		for _, p := range chain {
			line = append(line, s.mark(p))
		}
		step.Lines = append(step.Lines, line)
	}
	if len(step.Lines) > 0 {
		s.put(step)
	}
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
