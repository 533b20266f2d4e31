package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/offer"
	"yellowparcel/core/say"
)

// woulds say what would bring a blank onto a sheet that there is.
var woulds = map[offer.WouldID]say.Clause{
	offer.OtherSide: say.Always("opening it on the short side"),
	offer.LessEase:  say.Always("an ease of {ease}"),
	offer.LessSeam:  say.Always("a seam of {seam}"),
	offer.LessBoth:  say.Always("both an ease of {ease} and a seam of {seam}"),
	offer.OtherKind: say.Always("a {kind}"),
	offer.LessCard:  say.Always("a card of at most {size}"),
	offer.TwoPieces: say.Always("two pieces from {sheet}, {first} and {second}, joined with {lap} overlapping, {at} from the flap's end: the joint runs {where}"),
	offer.Larger:    say.Always("a larger sheet: two of yours joined would not do either"),
}

// whatWould says what would bring a blank onto a sheet that there is.
func (m envelopeStation) whatWould(c compare.Candidate, all []compare.Candidate) []say.Note {
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
	return []say.Note{say.Trouble.Says(fmt.Sprintf("It is %s too large for %s. What would do: %s.", show(c.Short), c.Fits.Name, strings.Join(ways, "; ")))}
}

// jointOver says over what a joint runs.
func jointOver(c compare.Candidate, j compare.Joint) string {
	if c.Kind.OnPoint {
		return "slantwise over the front, where a plain label may cover it"
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
