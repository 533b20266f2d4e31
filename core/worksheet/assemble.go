package worksheet

import (
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
)

// cutDown takes bought envelopes, and makes them narrower where that is the job's way.
func (w *writer) cutDown() {
	if !w.Enveloped || !w.Kind.Bought {
		return
	}
	from := w.Made.From
	w.put(Step{Act: Take, Piece: plan.BlankPiece, Count: w.Job.Count, Size: card.Size{Width: from.Width, Height: from.Height}})
	for _, set := range w.Made.Way().Scores {
		step := Step{Act: Cut, Piece: plan.BlankPiece, Count: w.Job.Count, At: set.At, Up: Shown, Off: plan.BlankPiece}
		switch set.From {
		case blank.FromLeft:
			step.Fence = Left
		case blank.FromRight:
			step.Fence = Right
		default:
			continue
		}
		// What lies against the fence falls off; both layers are cut at once.
		step.Tool, step.Why = w.straight(from.Height, set.At)
		w.put(step)
	}
}

// assemble folds and glues what was cut, and closes it.
func (w *writer) assemble() {
	count := w.Job.Count
	base := w.Job.Parts[0]
	for i, size := range w.Job.PartSizes() {
		if p := w.Job.Parts[i]; p.Ready > 0 && p.Thing == nil && p.Kind != job.BasePart && size.Width > 0 && !w.nowhere(p) {
			w.put(Step{Act: Take, Piece: p.ID, Count: min(p.Ready, count), Size: size, Template: p.ID})
		}
	}
	if w.missing(base.ID) {
		return // without it nothing is put together
	}
	w.emboss()
	if folds := w.foldsOf(base.ID); len(folds) > 0 && !w.halves(base.ID) {
		w.put(Step{Act: Fold, Tool: w.folding(), Piece: base.ID, Count: count, Folds: folds, Angle: 180, Up: Shown})
	}
	if w.Enveloped && !w.missing(plan.BlankPiece) {
		w.put(Step{Act: Try, Piece: base.ID, Onto: plan.BlankPiece, Count: count})
	}
	w.layers(base.ID)
	if w.Enveloped {
		w.envelope()
		return
	}
	w.corners(base.ID)
	w.put(Step{Act: Address, Piece: base.ID, Count: count})
}

func (w *writer) missing(id string) bool { return slices.Contains(w.out.Missing, id) }

// nowhere reports whether a part is a liner of a card that does not open.
func (w *writer) nowhere(p job.Part) bool {
	return p.Kind == job.LinerPart && w.Job.Card.Fold.Kind().Unfolded
}

// there reports whether a piece is on the bench by now.
func (w *writer) there(id string) bool {
	return slices.ContainsFunc(w.out.Steps, func(s Step) bool { return s.Keep == id || s.Off == id || s.Act == Take && s.Piece == id }) || w.machined[id]
}

// folding is what presses a fold.
func (w *writer) folding() blank.ToolID {
	if w.tools.Has(job.FolderTool) {
		return job.FolderTool
	}
	return blank.NoTool
}

// foldsOf are the scores that the steps made on a piece, in their order.
func (w *writer) foldsOf(id string) (list []int) {
	if x, ok := w.Piece(id); ok && w.machined[id] {
		if len(x.Flat.Of(drawing.Score)) > 0 {
			list = []int{0} // all that came off the mat
		}
		return list
	}
	for _, s := range w.out.Steps {
		switch {
		case s.Piece != id:
		case s.Act == Round:
			return s.Folds
		case (s.Act == Score || s.Act == Punch || s.Act == Halve) && !slices.Contains(list, s.Number):
			list = append(list, s.Number)
		case s.Act == Trace:
			return []int{0} // all that the template shows
		}
	}
	return list
}

// minutes is how long the job's adhesive dries.
func (w *writer) minutes() int {
	a, _ := w.Shop.Adhesive(w.Job.Envelope.Adhesive)
	return a.Minutes
}

// layers glues the papers of the front on each other, liners inside, then the things.
func (w *writer) layers(base string) {
	count, below, glued := w.Job.Count, base, false
	glue := func(piece, onto string, up Side) {
		if w.there(piece) && !w.missing(piece) && !w.missing(onto) {
			w.put(Step{Act: Glue, Piece: piece, Onto: onto, Count: count, Up: up})
			glued = true
		}
	}
	stacked := len(w.Job.Stacked()) - 1
	for i, at := range w.Job.LayerParts() {
		if i >= stacked {
			break
		}
		glue(w.Job.Parts[at].ID, below, Shown)
		if !w.missing(w.Job.Parts[at].ID) {
			below = w.Job.Parts[at].ID
		}
	}
	for _, at := range w.Job.PartsOf(job.LinerPart) {
		if w.nowhere(w.Job.Parts[at]) {
			break
		}
		glue(w.Job.Parts[at].ID, base, Under)
	}
	if glued && w.minutes() > 0 {
		w.put(Step{Act: Dry, Piece: base, Count: count, Minutes: w.minutes(), Tool: w.holding()})
	}
	for _, at := range w.Job.PartsOf(job.ThingPart) {
		w.put(Step{Act: Decorate, Piece: w.Job.Parts[at].ID, Onto: base, Count: count})
	}
}

// holding is what holds until it is dry.
func (w *writer) holding() blank.ToolID {
	if w.tools.Has(job.PegsTool) {
		return job.PegsTool
	}
	return blank.NoTool
}

// envelope folds and glues the envelope, puts the card in and closes it.
func (w *writer) envelope() {
	count, id := w.Job.Count, plan.BlankPiece
	if w.missing(id) {
		return
	}
	if _, lined := w.Piece(plan.LinerPiece); lined && !w.missing(plan.LinerPiece) {
		w.put(Step{Act: Glue, Piece: plan.LinerPiece, Onto: id, Count: count, Up: Shown})
	}
	if !w.Kind.Bought {
		w.put(Step{Act: Fold, Tool: w.folding(), Piece: id, Count: count, Folds: w.foldsOf(id), Angle: 180, Up: Shown})
	}
	if !w.Kind.Whole {
		w.put(Step{Act: Glue, Piece: id, Onto: id, Count: count})
		if w.minutes() > 0 {
			w.put(Step{Act: Dry, Piece: id, Count: count, Minutes: w.minutes(), Tool: w.holding()})
		}
		w.put(Step{Act: Clean, Piece: id, Count: count})
	}
	w.put(Step{Act: Address, Piece: id, Count: count})
	w.put(Step{Act: Fill, Piece: w.Job.Parts[0].ID, Onto: id, Count: count})
	w.put(Step{Act: Seal, Piece: id, Count: count})
	if w.there(plan.GaugePiece) {
		w.put(Step{Act: Try, Piece: id, Onto: plan.GaugePiece, Count: count})
	}
}
