package job_test

import (
	"math"
	"reflect"
	"slices"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/demo"
)

// Four quarter turns are none; one turns the sheet and all that lies on it, and nothing is
// lost off the face or made thicker.
func TestTurnCard(t *testing.T) {
	shop := demo.Shop()
	for i, j := range demo.Jobs() {
		if i == 3 {
			j.Card.Outline = blank.Polygon{{X: 0, Y: 10}, {X: 200, Y: 0}, {X: 215.9, Y: 80}, {X: 30, Y: 88.9}}
		}
		before := j.Clone()
		before.Card.Outline = slices.Clone(j.Card.Outline)
		once := job.TurnCard(j)
		if !reflect.DeepEqual(j, before) {
			t.Fatalf("%s: the job itself was turned", j.Name)
		}
		if four := job.TurnCard(job.TurnCard(job.TurnCard(once))); !same(four, before) {
			t.Errorf("%s: four turns make %+v", j.Name, four.Card)
		}
		if once.Card.Width != j.Card.Height || once.Card.Height != j.Card.Width || len(once.Check(shop)) > 0 {
			t.Errorf("%s: turned it is %v x %v, %v", j.Name, once.Card.Width, once.Card.Height, once.Check(shop))
		}
		for i, p := range once.Parts {
			was := j.Parts[i].Thing
			if now := p.Thing; now != nil && (now.Width != was.Height || now.X != was.Y || now.Y != j.Card.Width-was.X-was.Width) {
				t.Errorf("%s: %s lies at %v, %v", j.Name, p.Name, now.X, now.Y)
			}
		}
	}
	j := demo.Jobs()[0]
	j.Card.Fold = card.TopFold
	j.Parts[1].Edges = &card.Edges{Top: 1, Right: 2, Bottom: 3, Left: 4}
	if once := job.TurnCard(j); once.Card.Fold != card.SideFold || *once.Parts[1].Edges != (card.Edges{Top: 2, Right: 3, Bottom: 4, Left: 1}) {
		t.Errorf("turned: %s, %+v", once.Card.Fold, once.Parts[1].Edges)
	}
	j.Items = []job.Item{{ID: "a", Name: "Stamp", Width: 3 * measure.Inch, Height: measure.Inch}, {ID: "b", Name: "Ribbon", Height: measure.Inch}}
	if items := job.TurnCard(j).Items; items[0].Width != measure.Inch || items[1].Width != 0 || items[1].Height != measure.Inch {
		t.Errorf("items %+v", items)
	}
}

// same reports whether two jobs are the same, an outline to a millionth of a millimetre.
func same(a, b job.Job) bool {
	for i := range a.Card.Outline {
		if p, q := a.Card.Outline[i], b.Card.Outline[i]; math.Hypot(p.X-q.X, p.Y-q.Y) > 1e-6 {
			return false
		}
	}
	a.Card.Outline, b.Card.Outline = nil, nil
	return reflect.DeepEqual(a, b)
}
