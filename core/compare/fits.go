package compare

import (
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// GoesIn is the card as envelopes are fitted to it, its thickness counted in a
// way.
func (m Maker) GoesIn(room job.Room) envelope.Card {
	size := m.Outer()
	c := envelope.Card{Width: size.Width, Height: size.Height, Thickness: m.Thick().Used}
	if room == job.AsHeap {
		heap := m.Heap()
		c.Takes = &envelope.Size{Width: heap.Width, Height: heap.Height}
	}
	return c
}

// Fit is the card in a bought envelope.
func (m Maker) Fit(f envelope.Format) envelope.Fit {
	return envelope.FitCard(f, m.GoesIn(m.Room()), m.SoldCaliper())
}

// Foam is how much of the card's thickness is foam.
func (m Maker) Foam() measure.Length {
	sum := measure.Length(0)
	for _, p := range m.Job().Parts {
		sum += p.Foam
	}
	return min(sum, m.Thick().Used)
}

// fitsThinner reports whether the card would go in if it were thinner by so
// much.
func (m Maker) fitsThinner(f envelope.Format, by measure.Length) bool {
	c := m.GoesIn(job.AsBlock)
	c.Thickness -= by
	return envelope.FitCard(f, c, m.SoldCaliper()).Verdict != envelope.DoesNotFit
}

func (m Maker) fitsAs(f envelope.Format, room job.Room) bool {
	return envelope.FitCard(f, m.GoesIn(room), m.SoldCaliper()).Verdict != envelope.DoesNotFit
}

// Room is the way that decides.
func (m Maker) Room() job.Room {
	if m.Job().Card.Room == job.AsHeap {
		return job.AsHeap
	}
	return job.AsBlock
}

// Rescue is what would let a card into an envelope that is too small for it.
type Rescue string

// What would.
const (
	NoRescue     Rescue = ""
	WithoutFoam  Rescue = "foam"  // glued flat
	AsItLies     Rescue = "heap"  // counted where it is thick, not all over
	UncountedBut Rescue = "block" // nothing: only its thickness keeps it out
)

// Rescues lists them.
func Rescues() []Rescue { return []Rescue{WithoutFoam, AsItLies, UncountedBut} }

// Rescue is what would let the card into an envelope that is too small for it.
func (m Maker) Rescue(f envelope.Format) Rescue {
	switch foam := m.Foam(); {
	case foam > 0 && m.fitsThinner(f, foam):
		return WithoutFoam
	case m.Room() == job.AsBlock && m.fitsAs(f, job.AsHeap):
		return AsItLies
	case m.fitsThinner(f, m.Thick().Used):
		return UncountedBut
	}
	return NoRescue
}

// mostMisses is how many envelopes that just miss are told of, mostShort by how much.
const (
	mostMisses = 3
	mostShort  = measure.Inch / 2
)

// Bought are the envelopes that are sold or on the shelf and take the card, the fittest
// first, and those that just miss.
func (m Maker) Bought() (fits, misses []envelope.Fit) {
	for _, f := range envelope.Rank(m.Shop().Formats(), m.GoesIn(m.Room()), m.SoldCaliper(), m.Job().Envelope.Ease) {
		switch {
		case f.Verdict != envelope.DoesNotFit:
			fits = append(fits, f)
		case len(misses) < mostMisses && f.ShortBy() <= mostShort:
			misses = append(misses, f)
		}
	}
	return fits, misses
}

// SoldCaliper is that of the paper that envelopes are sold in.
func (m Maker) SoldCaliper() measure.Length {
	stock, _ := m.Shop().Stock(SoldPaper)
	return stock.Caliper
}

// SoldPaper is the stock that envelopes are sold in, as far as nobody says
// otherwise.
const SoldPaper = "text-105"
