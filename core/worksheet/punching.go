package worksheet

import (
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/drawing"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// four are the fold lines of a blank that stands on its point, where it has just those: the two
// square to one diagonal, near and far, and the two square to the other.
func (s *shaping) four() (list [4]run, ok bool) {
	if s.x.ID != plan.BlankPiece || s.odd || len(s.runs) != 4 {
		return list, false
	}
	for i, r := range s.runs {
		want := falling
		if i > 1 {
			want = rising
		}
		if r.way != want || r.under || len(r.parts) != 1 || !s.whole(r, r.parts[0]) {
			return list, false
		}
		list[i] = r
	}
	return list, true
}

// punched makes a blank with a punch board, where that is its way: a notch and its fold line on
// each edge, the sheet turned a quarter between them. The reading is that of the edge that is up,
// from its left end.
func (s *shaping) punched() bool {
	lines, ok := s.four()
	t := s.w.tools
	if !ok || s.w.Made.Way().ID != blank.NotchWay || !t.Has(blank.PunchBoard) || t.OnlyNotches() || t.Punches() > 0 && max(nm(s.wide), nm(s.high)) > t.Punches() {
		return false
	}
	k, w, h := t.NotchDepth.Millimetres(), s.wide, s.high
	sum := func(r run) float64 { return r.at * math.Sqrt2 }        // x + y
	off := func(r run) float64 { return r.at*math.Sqrt2 - s.high } // x − y
	readings := []struct {
		edge Edge
		at   float64
		line run
	}{
		{Top, sum(lines[0]) - k, lines[0]},
		{Right, w - k - off(lines[3]), lines[3]},
		{Bottom, w + h - k - sum(lines[1]), lines[1]},
		{Left, h - k + off(lines[2]), lines[2]},
	}
	var steps []Step
	for _, r := range readings {
		l, ok := s.w.ticked(r.at + t.PunchAt.Near(s.w.tick).Millimetres())
		if !ok {
			return false
		}
		steps = append(steps, Step{Act: Punch, Tool: blank.PunchBoard, Fence: r.edge, At: l, Number: r.line.number})
	}
	// What falls off beside the notches, a tip say, is cut off by hand.
	step := Step{Act: Snip, Tool: s.w.cuttingTool()}
	notches := 0
	for _, c := range s.chains(s.x.Flat.Of(drawing.Cut)[0].Corners) {
		x0, y0, x1, y1 := c.Box()
		if len(c) == 3 && math.Abs(max(x1-x0, y1-y0)-2*k) < 5*hair && math.Abs(min(x1-x0, y1-y0)-k) < 5*hair {
			notches++
			continue
		}
		var line []Mark
		for _, p := range c {
			line = append(line, s.mark(p))
		}
		step.Lines = append(step.Lines, line)
	}
	if notches != len(steps) || s.odd {
		return false
	}
	for _, punch := range steps {
		s.put(punch)
	}
	if len(step.Lines) > 0 {
		s.put(step)
	}
	return true
}

// round folds a blank round a piece of scrap, where that is its way: no score is set.
func (s *shaping) round() bool {
	lines, ok := s.four()
	way := s.w.Made.Way()
	if !ok || way.ID != blank.RoundWay {
		return false
	}
	var scrap card.Size
	for _, set := range way.Scores {
		switch set.Role {
		case blank.SidesScrap:
			scrap.Width = set.At
		case blank.EndsScrap:
			scrap.Height = set.At
		}
	}
	centre := (s.wide + s.high) / 2 / math.Sqrt2
	half := func(l measure.Length) float64 { return l.Millimetres() / 2 }
	for i, want := range []float64{centre - half(scrap.Height), centre + half(scrap.Height), centre - half(scrap.Width), centre + half(scrap.Width)} {
		if math.Abs(lines[i].at-want) > hair {
			return false
		}
	}
	s.put(Step{Act: Round, Tool: s.w.folding(), Size: scrap, Folds: []int{1, 2, 3, 4}})
	s.away()
	return true
}
