package job

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/envelope"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// OwnEnvelope is the format of an envelope that the maker measured.
const OwnEnvelope = "own"

// Start is the envelope that a card is made for, when the maker comes with one.
type Start struct {
	// Format is the ID of a standard format, or OwnEnvelope.
	Format string `json:"format" maxLength:"40"`
	// Width and Height are the outer size that a ruler says of an own envelope.
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
}

// format is the envelope with its long side as Width.
func (s Start) In(shop Shop) (envelope.Format, bool) {
	if s.Format == OwnEnvelope {
		return envelope.Format{ID: OwnEnvelope, Name: "Your envelope", Width: max(s.Width, s.Height), Height: min(s.Width, s.Height)}, true
	}
	for _, e := range shop.Envelopes { // those taken off the shelf stay known
		if e.ID == s.Format {
			return e.AsFormat(), true
		}
	}
	for _, f := range envelope.Formats() {
		if f.ID == s.Format {
			return f, true
		}
	}
	return envelope.Format{}, false
}

// startRoom is how much larger than the card a measured envelope is taken to be
// until the maker types what the ruler says.
const startRoom = measure.Inch / 2

// cutRoom is how much longer one is taken to be that is to be cut down.
const cutRoom = 2 * measure.Inch

// MeasureAs gives an envelope that nobody measured a size round the card.
func (s *Start) MeasureAs(c Card) {
	if min(s.Width, s.Height) < LeastCard {
		s.Width, s.Height = c.Width+startRoom, c.Height+startRoom
	}
}

// Take makes a format of the shop the bought envelope, or the one that a ruler measured:
// the one that the job began with, or one about as large as its card.
func (e *EnvelopeWish) Take(format string, shop Shop, from *Start, round Card) error {
	t := *e
	t.From = format
	if from != nil && from.Format == OwnEnvelope && format == OwnEnvelope {
		t.OwnWidth, t.OwnHeight = from.Width, from.Height
	}
	t.measureAs(round)
	if _, ok := t.Bought(shop); !ok {
		return say.Refuse("There is no envelope “%s” on your shelf or to buy: choose one of the list.", say.Clip(format))
	}
	*e = t
	return nil
}

// measureAs gives a bought envelope that nobody measured a size round the card.
func (e *EnvelopeWish) measureAs(c Card) {
	if e.From != OwnEnvelope {
		return
	}
	s := Start{Width: e.OwnWidth, Height: e.OwnHeight}
	if s.MeasureAs(c); e.OwnWidth == 0 && e.Construction == blank.CutDownID { // there is something to cut off
		s.Width, s.Height = max(s.Width, s.Height)+cutRoom, max(s.Width, s.Height)
	}
	e.OwnWidth, e.OwnHeight = s.Width, s.Height
}

// Bought is the bought envelope that is taken; false where none is named, or the shop
// has it no longer.
func (e EnvelopeWish) Bought(shop Shop) (envelope.Format, bool) {
	if e.From == "" {
		return envelope.Format{}, false
	}
	return Start{Format: e.From, Width: e.OwnWidth, Height: e.OwnHeight}.In(shop)
}
