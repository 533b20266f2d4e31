package worksheet

import (
	"math"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// halved folds a base edge to edge, where its one fold lies in the middle and it is not scored.
func (s *shaping) halved() bool {
	base := s.w.Job.Parts[0]
	if s.x.ID != base.ID || s.odd || len(s.runs) != 1 || s.runs[0].way > across || s.runs[0].under || len(s.runs[0].parts) != 1 || !s.whole(s.runs[0], s.runs[0].parts[0]) {
		return false
	}
	if !job.FoldsEdgeToEdge(s.w.Job, s.w.Shop) {
		return false
	}
	side, edge := s.wide, Right
	if s.runs[0].way == across {
		side, edge = s.high, Bottom
	}
	if math.Abs(s.runs[0].at-side/2) > hair {
		return false
	}
	s.openings()
	s.away()
	// The ridge comes on the side that is down.
	s.put(Step{Act: Halve, Tool: s.w.folding(), Fence: edge, Up: Under, Number: s.runs[0].number})
	return true
}

// halves reports whether a piece is folded already, edge to edge.
func (w *writer) halves(id string) bool {
	return slices.ContainsFunc(w.out.Steps, func(s Step) bool { return s.Act == Halve && s.Piece == id })
}

// emboss presses the patterns in, while everything lies flat and nothing is glued.
func (w *writer) emboss() {
	sizes := w.Job.PartSizes()
	for i, p := range w.Job.Parts {
		if !p.Embossed || p.Thing != nil || !w.there(p.ID) || w.nowhere(p) {
			continue
		}
		narrow := min(sizes[i].Width, sizes[i].Height)
		if x, ok := w.Piece(p.ID); ok {
			narrow = min(x.Width, x.Height)
		}
		step := Step{Act: Emboss, Tool: job.EmbosserTool, Piece: p.ID, Count: w.Job.Count, Up: Shown}
		switch throat := w.tools.Throat; {
		case !w.tools.Has(job.EmbosserTool):
			step.Tool, step.Why = blank.NoTool, NoTool
		case throat > 0 && narrow > throat, w.halves(p.ID):
			step.Tool, step.Why = blank.NoTool, TooWide
		}
		w.put(step)
	}
}

// corners makes the corners of a bare card round.
func (w *writer) corners(base string) {
	r := w.Job.Mail.Radius
	if r <= 0 {
		return
	}
	step := Step{Act: Corners, Tool: job.RounderTool, Piece: base, Count: w.Job.Count, At: r}
	switch {
	case !w.tools.Has(job.RounderTool):
		step.Tool, step.Why = w.cuttingTool(), NoTool
	case w.tools.RoundRadius != r:
		step.Tool, step.Why = w.cuttingTool(), OtherRadius
	}
	w.put(step)
}

// thickEnough is from what share of the gauge's slot on a closed piece is held against it.
const thickEnough = 0.5

// gauge cuts the thickness gauge, where the class that the piece goes by has such a limit and the
// card is thick enough that it is needed.
func (w *writer) gauge() {
	x, ok := w.Piece(plan.GaugePiece)
	g := w.Plan.Mail.Gauge
	if !ok || g == nil || !g.OK || !g.Decides || !w.Enveloped || float64(w.Thick) < thickEnough*float64(g.Bottom.Nm-g.Top.Nm) {
		return
	}
	w.put(Step{Act: Take, Piece: x.ID, Count: 1, Size: card.Size{Width: g.Width.Nm, Height: g.Height.Nm}})
	step := Step{Act: CutOut, Tool: w.cuttingTool(), Piece: x.ID, Count: 1, Up: Shown, Keep: x.ID, Why: InsideSheet}
	if w.tools.Plunge() && w.tools.Has(job.TrimmerTool) {
		step.Tool, step.Why = job.TrimmerTool, Usual
	}
	in := func(x, y measure.Length) Mark { return Mark{In: &[2]measure.Length{x, y}} }
	left, top, right, bottom := g.Left.Nm, g.Top.Nm, g.Right.Nm, g.Bottom.Nm
	step.Lines = [][]Mark{{in(left, top), in(right, top), in(right, bottom), in(left, bottom)}}
	w.put(step)
}
