package plan_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/soak"
)

// numberOn is a number of a drawing: its text as a length, and half of its last place where it is a decimal.
func numberOn(t *testing.T, unit measure.Unit, text string) (l, off measure.Length) {
	t.Helper()
	l, err := measure.Parse(text, unit)
	if err != nil {
		t.Fatalf("%q on a drawing: %v", text, err)
	}
	if _, places, ok := strings.Cut(strings.Fields(text)[0], "."); ok {
		off = measure.Inch
		if unit == measure.Millimetres {
			off = measure.Millimetre
		}
		for range places {
			off /= 10
		}
	}
	return l, off/2 + 1
}

// edge is a row of numbers along an edge of a drawing, and what they add up to there.
type edge struct {
	what  string
	parts []string
	whole string
}

// edgesOf are the rows of numbers on the drawings of a plan: of the flat base, of the flat envelope.
func edgesOf(p plan.Plan) (list []edge) {
	for _, b := range p.Card.Bases {
		e := edge{what: "base " + string(b.Fold), whole: b.Width.Text}
		if b.Across {
			e.whole = b.Height.Text
		}
		for _, q := range b.Panels {
			e.parts = append(e.parts, q.Size.Text)
		}
		list = append(list, e)
	}
	b := p.Envelope.Blank
	sides := strings.Split(b.Size, " × ")
	if len(b.Net.Panels) == 0 || len(sides) < 2 {
		return list
	}
	x0, y0, x1, y1 := b.Net.Panels[0].Outline.Box()
	for i, upright := range []bool{true, false} {
		closed, from, to := b.Closed.Width, x0, x1
		if !upright {
			closed, from, to = b.Closed.Height, y0, y1
		}
		if closed.Nm.Millimetres()-(to-from) > 0.001 { // a flap that is longer sticks out of the face
			continue
		}
		var low, high plan.ScoreMark // the readings at the face's two creases
		for _, s := range b.Scores {
			at := s.Start.X
			if !upright {
				at = s.Start.Y
			}
			switch {
			case s.Upright != upright || strings.Contains(s.Text, "&"):
			case math.Abs(at-from) < 0.001:
				low = s
			case math.Abs(at-to) < 0.001:
				high = s
			}
		}
		what := fmt.Sprintf("%s, %s, upright %v", p.Envelope.Construction, b.Way, upright)
		switch {
		case low.Text == "" || high.Text == "", low.From == "on the edges", low.From == "punch": // these stand at other places
		case low.From == "from the centre":
			list = append(list, edge{what, []string{low.Text, high.Text}, closed.Text})
		case low.From == high.From && (low.From == "from the bottom"):
			list = append(list, edge{what, []string{high.Text, closed.Text}, low.Text})
		case low.From == high.From:
			list = append(list, edge{what, []string{low.Text, closed.Text}, high.Text})
		case !strings.HasSuffix(low.From, "corner"):
			list = append(list, edge{what, []string{low.Text, closed.Text, high.Text}, sides[i]})
		}
	}
	return list
}

// Numbers along an edge of a drawing add up exactly as they stand; one that is only read, to its last place: every
// drawing of the demo and of 500 random jobs, in both units.
func TestNumbersOnDrawingsAddUp(t *testing.T) {
	t.Parallel()
	rows := map[string]int{}
	check := func(j job.Job, shop job.Shop) {
		p, err := plan.MakeFor(t.Context(), j, shop, "envelope/scoring")
		if err != nil {
			t.Fatal(err)
		}
		for _, e := range edgesOf(p) {
			whole, off := numberOn(t, shop.Unit, e.whole)
			sum := measure.Length(0)
			for _, part := range e.parts {
				l, o := numberOn(t, shop.Unit, part)
				sum, off = sum+l, off+o
			}
			if rows[e.what[:4]]++; (sum - whole).Abs() > off {
				t.Errorf("%s, %s, %s: %s is not %s", j.Name, shop.Unit, e.what, strings.Join(e.parts, " + "), e.whole)
			}
		}
	}
	for _, shop := range []job.Shop{demo.Shop(), metric()} {
		for _, j := range demo.Jobs() {
			for _, id := range blank.IDs() {
				j.Envelope.Construction = id
				check(j, shop)
			}
		}
	}
	r := rand.New(rand.NewPCG(178, 178))
	for i := range soak.Of(2000) {
		shop := anyjob.Shop(r)
		if shop.Unit = measure.Inches; i%2 > 0 {
			shop.Unit = measure.Millimetres
		}
		if j := anyjob.Job(r, shop); len(plan.Check(j, shop)) == 0 {
			check(j, shop)
		}
	}
	for _, kind := range []string{"base", "pock", "guss", "tuck", "diam"} {
		if rows[kind] < 30 {
			t.Errorf("%d rows of %s prove little", rows[kind], kind)
		}
	}
}
