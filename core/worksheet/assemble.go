package worksheet

import (
	"cmp"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/paper"
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

// assemble puts the card together, then folds its envelope, tries the finished card in it, makes it
// up, fills and closes it.
func (w *writer) assemble() {
	count := w.Job.Count
	base := w.Job.Parts[0]
	if !job.MakesBase(w.Job) {
		w.rest(base)
		return
	}
	w.takeReady()
	w.emboss()
	if folds := w.foldsOf(base.ID); len(folds) > 0 && !w.halves(base.ID) {
		w.put(Step{Act: Fold, Tool: w.folding(), Piece: base.ID, Count: count, Folds: folds, Up: Shown})
	}
	if job.MakesLayers(w.Job) {
		w.layers(base.ID)
	}
	if w.Enveloped {
		w.envelope()
		return
	}
	w.corners(base.ID)
	if !job.MakesLayers(w.Job) {
		return // what comes on the base is made elsewhere
	}
	w.put(Step{Act: Address, Piece: base.ID, Count: count})
}

// takeReady takes the layers that are cut already.
func (w *writer) takeReady() {
	for i, size := range w.Job.PartSizes() {
		if p := w.Job.Parts[i]; p.Ready > 0 && p.Thing == nil && p.Kind != job.BasePart && size.Width > 0 && !w.nowhere(p) && job.MakesLayers(w.Job) {
			w.put(Step{Act: Take, Piece: p.ID, Count: min(p.Ready, w.Job.Count), Size: size, Template: p.ID})
		}
	}
}

// rest is what is made of a job whose base is not: its layers, ready to be glued, or the envelope for a card
// that is finished.
func (w *writer) rest(base job.Part) {
	if job.MakesLayers(w.Job) {
		w.takeReady()
		w.emboss()
		return
	}
	w.put(Step{Act: Take, Piece: base.ID, Count: w.Job.Count, Size: w.Job.Face(), Template: base.ID})
	if w.Enveloped {
		w.envelope()
		return
	}
	w.corners(base.ID)
	w.put(Step{Act: Address, Piece: base.ID, Count: w.Job.Count})
}

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
	glue := func(p job.Part, onto string, up Side) {
		if w.there(p.ID) {
			w.put(Step{Act: Glue, Piece: p.ID, Onto: onto, Count: count, Up: up, Foam: p.Foam, With: w.Job.Envelope.Adhesive})
			glued = glued || p.Foam == 0
		}
	}
	stacked := len(w.Job.Stacked()) - 1
	for i, at := range w.Job.LayerParts() {
		if i >= stacked {
			break
		}
		glue(w.Job.Parts[at], below, Shown)
		below = w.Job.Parts[at].ID
	}
	for _, at := range w.Job.PartsOf(job.LinerPart) {
		if w.nowhere(w.Job.Parts[at]) {
			break
		}
		glue(w.Job.Parts[at], base, Under)
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

// envelope folds the envelope, tries the finished card in it before anything is glued, makes up all
// seams but those that close it, puts the card in and closes it.
func (w *writer) envelope() {
	count, id, card := w.Job.Count, plan.BlankPiece, w.Job.Parts[0].ID
	if x, lined := w.Piece(plan.LinerPiece); lined && x.Count > 0 {
		w.put(Step{Act: Glue, Piece: plan.LinerPiece, Onto: id, Count: count, Up: Shown, With: w.Job.Envelope.Adhesive})
		if w.minutes() > 0 {
			w.put(Step{Act: Dry, Piece: id, Count: count, Minutes: w.minutes(), Tool: w.holding()})
		}
	}
	if !w.Kind.Bought {
		w.put(Step{Act: Fold, Tool: w.folding(), Piece: id, Count: count, Folds: w.foldsOf(id), Up: Shown})
	}
	w.put(Step{Act: Try, Piece: card, Onto: id, Count: 1})
	open, closing := w.seams()
	if len(open) > 0 {
		w.put(Step{Act: Glue, Piece: id, Onto: id, Count: count, Seams: open, With: w.Job.Envelope.Adhesive})
		if w.minutes() > 0 {
			w.put(Step{Act: Dry, Piece: id, Count: count, Minutes: w.minutes(), Tool: w.holding()})
		}
		w.put(Step{Act: Clean, Piece: id, Count: count})
	}
	w.put(Step{Act: Address, Piece: id, Count: count})
	w.put(Step{Act: Fill, Piece: card, Onto: id, Count: count})
	w.put(w.seal(closing))
	if w.there(plan.GaugePiece) {
		w.put(Step{Act: Try, Piece: id, Onto: plan.GaugePiece, Count: count})
	}
}

// seams are those that are made up before the card is in, and those that close the envelope then.
func (w *writer) seams() (open, closing []Seam) {
	net := w.Made.Seen()
	for _, g := range net.Glue {
		s := Seam{g.Panel, g.Onto}
		switch {
		case net.Closes(g):
			closing = append(closing, s)
		case !slices.Contains(open, s):
			open = append(open, s)
		}
	}
	return open, closing
}

// seal closes the envelope with the job's closure: what is mailed is stuck down all along its edges,
// unless a strip of tape holds them; by hand the closure alone will do.
func (w *writer) seal(closing []Seam) Step {
	s := Step{Act: Seal, Piece: plan.BlankPiece, Count: w.Job.Count, Flaps: w.Made.Seen().Closing(), With: cmp.Or(w.Job.Mail.Closure, job.UsualClosure)}
	if c, _ := paper.ClosureByID(s.With); !c.Alone && (c.Flap || w.Job.Mail.Destination != job.ByHand) {
		s.Stuck, s.Seams = true, closing
	}
	return s
}
