package worksheet

import (
	"math"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// plan works the steps of a piece out; it is odd where one of them cannot be set.
func (s *shaping) plan() {
	if s.punched() || s.round() || s.halved() {
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
	if s.told(list[1].edge, list[1].at) || length-at < at-hair && !s.told(list[0].edge, list[0].at) {
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

// told reports whether the way of scoring an envelope measures a score from this edge.
func (s *shaping) told(edge Edge, at float64) bool {
	from := map[Edge]blank.From{Left: blank.FromLeft, Right: blank.FromRight, Top: blank.FromTop, Bottom: blank.FromBottom}[edge]
	way := s.w.Made.Way()
	return s.x.ID == plan.BlankPiece && slices.ContainsFunc(way.Scores, func(q blank.Setting) bool {
		return q.From == from && slices.ContainsFunc([]measure.Length{q.At, q.At - q.Beside, q.At + q.Beside, q.At + way.Depth}, func(l measure.Length) bool {
			return math.Abs(l.Millimetres()-at) < hair
		})
	})
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
