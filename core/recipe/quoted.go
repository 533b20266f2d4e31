package recipe

import (
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// Bound is one limit of a rulebook.
type Bound struct {
	Book  mail.Rulebook
	Class mail.Class
	// Least is set for a least limit, else it is a greatest; At is that.
	Least bool
	At    measure.Length
}

// alike is how far a limit that a note names may be off from one that it is.
const alike = measure.Inch / 64

// Quoted holds the limit that a note names against the rulebooks: those that have it,
// and what the job's own post has of it, as far as it takes envelopes. It is false where
// the note names none.
func (r Recipe) Quoted() (whose []Bound, here *Bound, names bool) {
	if r.note.Quoted == 0 {
		return nil, nil, false
	}
	for _, b := range r.Shop().Books() {
		for _, c := range b.Classes {
			for _, l := range c.Limits {
				if l.Measure != r.note.QuotedMeasure() || len(l.When) > 0 {
					continue
				}
				for _, q := range []struct {
					q     *mail.Quantity
					least bool
				}{{l.Min, true}, {l.Max, false}} {
					if q.q == nil {
						continue
					}
					bound := Bound{b, c, q.least, measure.Length(*q.q)}
					if (bound.At - r.note.Quoted).Abs() <= alike {
						whose = append(whose, bound)
					}
					if b.ID == r.Job().Mail.Destination && !q.least && c.ID == b.Enveloped().ID {
						here = &bound
					}
				}
			}
		}
	}
	return whose, here, true
}
