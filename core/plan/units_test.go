package plan_test

import (
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// metric is the sample shop in half millimetres.
func metric() job.Shop {
	shop := demo.Shop()
	shop.Unit, shop.TickMillimetres = measure.Millimetres, measure.Millimetre/2
	return shop
}

// Makers of millimetres begin with their own step.
func TestSchoolsOfAUnit(t *testing.T) {
	if got := envelope.SchoolsIn(measure.Millimetres); got[0] != envelope.MetricStep || len(got) != len(envelope.Schools()) {
		t.Errorf("makers of millimetres begin with %v", got)
	}
}

// In half millimetres a pocket's taper leaves what can be set: 1 mm, and a flap of whole half centimetres.
func TestPocketInMillimetres(t *testing.T) {
	shop := metric()
	for _, school := range blank.PocketSchools() {
		j := anyjob.Star(150*measure.Millimetre, 105*measure.Millimetre, blank.PocketID)
		j.Card.Fold, j.Envelope.Pocket, j.Envelope.Seam = card.FlatCard, school, 15*measure.Millimetre
		made := plan.TableOf(j, shop).Made
		if made.Seam%(measure.Millimetre/2) != 0 {
			t.Errorf("%s: the seam is %s", school, made.Seam)
		}
		if school != blank.ClosePocket && made.Flap%(5*measure.Millimetre) != 0 {
			t.Errorf("%s: the flap is %s", school, made.Flap)
		}
	}
}

// What a job begins as can be set with the shop's ruler.
func TestANewJobIsSetInItsUnit(t *testing.T) {
	for _, shop := range []job.Shop{demo.Shop(), metric()} {
		j, tick := job.NewJob(shop), shop.Style().Tick
		for _, l := range []measure.Length{j.Card.Width, j.Card.Height, j.Envelope.Ease, j.Envelope.Seam, j.Envelope.ThumbGap} {
			if l == 0 || l%tick != 0 {
				t.Errorf("%s is no step of %s", l, shop.Unit)
			}
		}
	}
}
