package page_test

import (
	"math"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet/page"
	"yellowparcel/demo"
)

// spread is the standard deviation of some numbers.
func spread(list []float64) float64 {
	sum, squares := 0.0, 0.0
	for _, x := range list {
		sum += x
	}
	mean := sum / float64(len(list))
	for _, x := range list {
		squares += (x - mean) * (x - mean)
	}
	return math.Sqrt(squares / float64(len(list)))
}

// Makings with errors agree with the formulas of "Tolerance", where each error is t: how far ease
// and seams spread, with one setting serving for more scores.
func TestMakingsAgreeWithTheFormula(t *testing.T) {
	t.Parallel()
	shop := demo.Shop()
	j := demo.Jobs()[0]
	j.Card.Width, j.Card.Height = 6*measure.Inch, 4*measure.Inch // two settings a pair, not one for all
	j.Card.Fold = "flat"
	j.Envelope.Construction, j.Envelope.School, j.Envelope.Double = blank.DiamondID, blank.ExactSeam, false
	tick := float64(shop.Style().Tick.Millimetres())
	unit := tick / 2 / 2 // σ, half of t
	for _, tt := range []struct {
		id         blank.ID
		way        blank.WayID
		ease, seam float64 // in σ; the card's own cut is one more
	}{
		{blank.DiamondID, blank.CornerWay, math.Sqrt(5), math.Sqrt(5)}, // one setting a pair
		{blank.DiamondID, blank.PairWay, math.Sqrt(2), 0},
		{blank.PocketID, "", 0, 1},
	} {
		j.Envelope.Construction, j.Envelope.Way = tt.id, tt.way
		if list := plan.Check(j, shop); len(list) > 0 {
			t.Fatal(list)
		}
		table := plan.TableOf(j, shop)
		if tt.way != "" && table.Made.Way().ID != tt.way {
			t.Fatalf("made by %s", table.Made.Way().ID)
		}
		m := page.MakeMany(table, 4000, 7)
		var ease, seam []float64
		for _, one := range m.Each {
			ease, seam = append(ease, one.EaseWidth), append(seam, one.Seams[0])
		}
		if got, want := spread(ease)/unit, math.Hypot(tt.ease, 1); tt.ease > 0 && math.Abs(got/want-1) > 0.06 {
			t.Errorf("%s %s: ease spreads by %.3f, want %.3f", tt.id, tt.way, got, want)
		}
		if got := spread(seam) / unit; tt.seam > 0 && math.Abs(got/tt.seam-1) > 0.06 {
			t.Errorf("%s %s: the seam spreads by %.3f, want %.3f", tt.id, tt.way, got, tt.seam)
		}
		if again := page.MakeMany(table, 100, 7); again.In != countIn(m.Each[:100]) {
			t.Error("the same seed gives other makings")
		}
		if m.In != m.Of || m.Hold == 0 {
			t.Errorf("%s: of %d, %d go in and %d hold", tt.id, m.Of, m.In, m.Hold)
		}
	}
	// With no room to spare half of them do not go in.
	j.Envelope.Construction, j.Envelope.Way, j.Envelope.Ease = blank.PocketID, "", 0
	if m := page.MakeMany(plan.TableOf(j, shop), 1000, 7); m.In > 900 || m.In < 20 {
		t.Errorf("with no ease %d of %d go in", m.In, m.Of)
	}
}

func countIn(list []page.Making) (n int) {
	for _, m := range list {
		if m.EaseWidth > 0 && m.EaseHeight > 0 {
			n++
		}
	}
	return n
}

// Of every sample job there is an answer, in every construction.
func TestEveryJobIsMadeMany(t *testing.T) {
	t.Parallel()
	for _, j := range demo.Jobs() {
		for _, k := range blank.Constructions() {
			j.Envelope.Construction = k.ID
			if len(plan.Check(j, demo.Shop())) > 0 {
				continue
			}
			if m := page.MakeMany(plan.TableOf(j, demo.Shop()), 50, 3); m.Of != 50 || m.Text == "" {
				t.Errorf("%s, %s: %d makings, %q", j.Name, k.ID, m.Of, m.Text)
			}
		}
	}
}

// A thousand makings are done while one looks.
func BenchmarkThousandMakings(b *testing.B) {
	table := plan.TableOf(demo.Jobs()[0], demo.Shop())
	for b.Loop() {
		page.MakeMany(table, 1000, 1)
	}
}
