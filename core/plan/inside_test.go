package plan_test

import (
	"math"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// A card between holding strips is drawn between them, with what they leave it, and is not "much too big" an
// envelope: made for it, bought, and turned.
func TestCardBetweenStrips(t *testing.T) {
	square := anyjob.Star(5*in+3*in/8, 5*in+3*in/8, blank.PocketID)
	high := anyjob.Star(5*in, 5*in+3*in/8, blank.PocketID)
	bought := anyjob.Star(5*in, 5*in, blank.BoughtID)
	bought.Envelope.From, bought.Envelope.OwnWidth, bought.Envelope.OwnHeight = job.OwnEnvelope, 7*in+in/4, 5*in+in/4
	for name, j := range map[string]job.Job{"square": square, "high": high, "bought": bought} {
		j.Card.Fold, j.Envelope.Mailable = card.FlatCard, true
		whole, err := plan.MakeFor(t.Context(), j, demo.Shop(), "")
		if err != nil {
			t.Fatal(err)
		}
		p := whole.Envelope.Own
		if len(p.Strips) != 2 || p.Verdict == envelope.Rattles || p.Verdict == envelope.Loose {
			t.Errorf("%s: %v, strips %v", name, p.Verdict, p.Strips)
			continue
		}
		first, second := p.Strips[0], p.Strips[1]
		between, card, ease := second.X-(first.X+first.Width), j.Card.Width, p.EaseWidth.Nm
		if first.Width > first.Height { // the card lies a quarter round: one above it, one below
			between, card, ease = second.Y-(first.Y+first.Height), j.Card.Height, p.EaseHeight.Nm
		}
		if left := between - card.Millimetres(); ease <= 0 || ease > j.Envelope.Ease+in/8 || math.Abs(left-ease.Millimetres()) > 1 {
			t.Errorf("%s: %.2f mm left between the strips, ease %s", name, left, ease)
		}
	}
}
