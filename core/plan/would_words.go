package plan

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/offer"
	"yellowparcel/core/say"
)

// woulds say what would bring a blank onto a sheet that there is.
var woulds = map[offer.WouldID]say.Clause{
	offer.OtherSide: say.Always("Open it on the short side."),
	offer.LessEase:  say.Always("Make the ease {ease}."),
	offer.LessSeam:  say.Always("Make the seam {seam}."),
	offer.LessBoth:  say.Always("Make the ease {ease} and the seam {seam}."),
	offer.OtherKind: say.Always("Make this type instead: {kind}."),
	offer.LessCard:  say.Always("Make the card at most {size}."),
	offer.TwoPieces: say.Always("Join {first} and {second} of {sheet}, {lap} overlapping, {at} from the flap's end, {where}."),
	offer.Larger:    say.Always("Use a larger sheet, since two of yours joined would not do."),
}

// whatWould says what would bring a blank onto a sheet that there is.
func (m envelopeStation) whatWould(c compare.Candidate, all func() []compare.Candidate) []say.Note {
	list := offer.To(m.Maker).WhatWould(c, all)
	if len(list) == 0 {
		return nil
	}
	if c.Fits.Name == "" {
		return []say.Note{say.Trouble.Says("There is no sheet on your shelf to make it from: enter one there.")}
	}
	ways, show := make([]string, len(list)), m.Style().Show
	for i, w := range list {
		s := say.Slots{"ease": show(w.Ease), "seam": show(w.Seam), "size": m.by(w.Width, w.Height)}
		if w.Kind != nil {
			s["kind"] = say.Lower(w.Kind.Words.Name)
		}
		if j := w.Joint; w.ID == offer.TwoPieces {
			s["sheet"], s["lap"], s["at"], s["where"] = j.Sheet.Name, show(j.Lap), show(j.At), jointOver(c, j)
			s["first"], s["second"] = m.by(c.Made.SheetWidth, j.At), m.by(c.Made.SheetWidth, c.Made.SheetHeight-j.At+j.Lap)
		}
		ways[i] = s.Text(woulds[w.ID])
	}
	// The smallest change is said at once, the others wait.
	notes := []say.Note{say.Trouble.Says(fmt.Sprintf("It is %s too large for %s. %s", show(c.Short), c.Fits.Name, ways[0]))}
	for _, way := range ways[1:] {
		notes = append(notes, say.Fine.Says("Or: "+say.Lower(way)))
	}
	return notes
}

// jointOver says over what a joint runs.
func jointOver(c compare.Candidate, j compare.Joint) string {
	if c.Kind.OnPoint {
		return "slantwise over the front"
	}
	return "over the " + panelAt(c.Made.Net, (j.At-j.Lap/2).Millimetres())
}

// panelAt names the panel in the middle of the sheet at a height.
func panelAt(n blank.Net, y float64) string {
	x0, _, x1, _ := n.Sheet.Box()
	middle := (x0 + x1) / 2
	for _, p := range n.Panels {
		left, low, right, high := p.Outline.Box()
		if low <= y && y <= high && left <= middle && middle <= right {
			return p.Name
		}
	}
	return "back"
}
