package plan

import (
	"fmt"

	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// What a flat envelope takes of thickness: all over, and in places.
const (
	flatTakes    = 3 * measure.Inch / 8
	flatTakesTop = 5 * measure.Inch / 8
)

// notSuited says that a flat envelope was chosen for a card that has become too thick for
// one, or a bought one that the card does not go into any more, with the act that changes it.
func (m envelopeStation) notSuited(c compare.Candidate, all func() []compare.Candidate) []say.Note {
	if m.Job().Mail.WithoutEnvelope() || !c.OK {
		return nil
	}
	takes, thick := flatTakes, m.Thick().Used
	if m.Job().Card.Room == job.AsHeap {
		takes = flatTakesTop
	}
	name := say.Lower(c.Kind.Words.Name)
	switch {
	case c.Kind.Whole && c.Made.Ease() < 0:
		return insteadOf(m, fmt.Sprintf("The card does not go into %s.", m.candidateName(c)), all, func(x compare.Candidate) bool { return x.Made.Ease() >= 0 })
	case c.Made.Depth == 0 && !c.Kind.Walled && thick > takes:
		return insteadOf(m, fmt.Sprintf("The card is %s thick, too thick for a flat %s.", m.fine().Show(thick), name), all, func(x compare.Candidate) bool { return x.Made.Depth >= thick-takes })
	}
	return nil
}

// insteadOf is what is wrong with the envelope, and the first of all others that serves.
func insteadOf(m envelopeStation, wrong string, all func() []compare.Candidate, serves func(compare.Candidate) bool) []say.Note {
	for _, x := range m.Order(all()) {
		if x.OK && m.Sound(x) && serves(x) {
			name := m.candidateName(x)
			if !x.Kind.Whole {
				name = say.Lower(name)
			}
			return []say.Note{say.Trouble.Says(fmt.Sprintf("%s It goes into: %s.", wrong, name)).With(say.Act{Path: "envelope", ID: x.ID(), Label: "Use it"})}
		}
	}
	return []say.Note{say.Trouble.Says(wrong + " Choose another envelope type.")}
}
