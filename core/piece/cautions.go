package piece

import (
	"slices"

	"yellowparcel/core/paper"
)

// Caution is a question about what is in the piece, as it stands.
type Caution struct {
	ID paper.Caution
	// Set is true when the maker ticked it, or a thing on the card has it; Found names
	// that thing.
	Set   bool
	Found string
}

// Cautions are all questions about the contents.
func (p Piece) Cautions() (list []Caution) {
	for _, id := range paper.Cautions() {
		c := Caution{ID: id, Set: slices.Contains(p.job.Mail.Contents, id)}
		for _, part := range p.job.Parts {
			if part.Thing == nil {
				continue
			}
			if kind, ok := paper.ThingByID(part.Thing.Type); ok && slices.Contains(kind.Cautions, id) {
				c.Set, c.Found = true, part.Name
			}
		}
		list = append(list, c)
	}
	return list
}

// Sharp reports whether something sharp or pointed is in the piece, Shielded whether
// something lies over everything on it.
func (p Piece) Sharp() bool {
	return slices.ContainsFunc(p.Cautions(), func(c Caution) bool { return c.ID == paper.Sharp && c.Set })
}

// Shielded is described with Sharp.
func (p Piece) Shielded() bool {
	for _, part := range p.job.Parts {
		if part.Thing != nil && part.Thing.Over {
			return true
		}
	}
	return false
}

// ThinEnvelope is the weight of paper, in gsm, under which a hard point comes through.
const ThinEnvelope = 100

// Pierces reports whether something sharp lies bare in an envelope of a thin stock.
func (p Piece) Pierces(stock paper.Stock) bool {
	return !p.Shielded() && p.Sharp() && stock.GSM < ThinEnvelope && !p.job.Mail.WithoutEnvelope()
}
