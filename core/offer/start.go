package offer

import (
	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// sized is the same job with a card of another size, with all that follows.
func (m Offers) sized(s envelope.Size) Offers {
	j := m.Job()
	j.Card.Width, j.Card.Height = s.Width, s.Height
	return m.with(j)
}

// CardFor is the card of one school, turned as the job's card is. It begins from no
// thickness at all, whatever the job's card is, so that the card is the same when it
// has been taken.
func (m Offers) CardFor(s envelope.School) (envelope.Size, bool) {
	j := m.Job()
	f, ok := j.Start.In(m.Shop())
	if !ok {
		return envelope.Size{}, false
	}
	thick, over := measure.Length(0), card.Size{Width: j.Card.OverWidth, Height: j.Card.OverHeight}
	var size envelope.Size
	for range mostTurns {
		was := size
		if size, ok = envelope.CardFor(s, f, thick, j.Envelope.Ease, m.Style().Tick); !ok {
			return size, false
		}
		if j.Card.Height > j.Card.Width {
			size.Width, size.Height = size.Height, size.Width
		}
		// What sticks out past the edges has to go in too.
		size.Width, size.Height = size.Width-over.Width, size.Height-over.Height
		if min(size.Width, size.Height) < job.LeastCard {
			return size, false
		}
		if size == was {
			break
		}
		made := m.sized(size)
		thick, over = made.Thick().Used, made.Over()
	}
	return size, true
}

// mostTurns is how often a card is sized anew since its size changes how thick it is
// and how far things stick out past its edges.
const mostTurns = 8

// SchoolCard is the card that a school makes of the envelope that the maker has.
type SchoolCard struct {
	School envelope.School
	Size   envelope.Size
	// OK is false where it leaves none, Off set where something would lie off its face.
	OK, Off bool
	// Made is the job with that card, with all that follows, Fit the card in the
	// envelope.
	Made Offers
	Fit  envelope.Fit
}

// SchoolCards are the cards of every school; nothing where the maker has come without
// an envelope.
func (m Offers) SchoolCards() (list []SchoolCard) {
	if m.Job().Start == nil {
		return nil
	}
	f, ok := m.Job().Start.In(m.Shop())
	if !ok {
		return nil
	}
	for _, s := range envelope.SchoolsIn(m.Style().Unit) {
		c := SchoolCard{School: s}
		if c.Size, c.OK = m.CardFor(s); c.OK {
			if c.Off = m.Job().Holds(card.Size(c.Size)) != nil; !c.Off {
				c.Made = m.sized(c.Size)
				c.Fit = c.Made.Fit(f)
			}
		}
		list = append(list, c)
	}
	return list
}

// TakeSchool makes the job's card the one that a school makes for its envelope; false
// where that leaves none.
func (m Offers) TakeSchool(s envelope.School) (job.Job, bool) {
	size, ok := m.CardFor(s)
	if !ok {
		return m.Job(), false
	}
	return m.sized(size).Job(), true
}
