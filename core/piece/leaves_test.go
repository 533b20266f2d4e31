package piece_test

import (
	"reflect"
	"strings"
	"testing"

	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// everyFold are jobs with everything that a part may have, in every fold.
func everyFold() (list []job.Job) {
	for _, fold := range card.Folds() {
		j := demo.Jobs()[5]
		j.Card.Fold, j.Card.Asked, j.Card.Own = fold, map[string]measure.Length{"shy": in / 48}, []measure.Length{in, in, in, in}
		j.Card.Thickness, j.Card.ThicknessOf = new(3*mm), 2*mm
		j.Parts[1].Edges, j.Parts[2].Own = &card.Edges{Top: in / 8, Right: in / 4, Bottom: in / 8, Left: in / 16}, &card.Size{Width: 3 * in, Height: 2 * in}
		list = append(list, j, demo.Jobs()[1])
	}
	return list
}

// Whatever value of a job is another, what follows from it is as if worked out anew: nothing of what
// was worked out before is taken for it.
func TestEveryFieldIsInTheKey(t *testing.T) {
	shop, tried := demo.Shop(), 0
	for _, j := range everyFold() {
		before := piece.Of(j, shop)
		probe := j.Clone()
		for i := range anyjob.Leaves(&probe) {
			other := j.Clone()
			leaf := anyjob.Leaves(&other)[i]
			if leaf.Change(); strings.HasSuffix(leaf.Path, ".Stock") {
				other.Parts[0].Stock, other.Parts[1].Stock = "copy-80", "kraft-120"
			}
			if _, missing := other.StandIns(shop); len(missing) > 0 || len(other.Check(shop)) > 0 {
				continue
			}
			tried++
			if got, want := before.With(other), piece.Of(other, shop); !reflect.DeepEqual(got, want) {
				t.Errorf("%s, %s: after %s is another the piece is not as worked out anew", j.Name, j.Card.Fold, leaf.Path)
			}
		}
	}
	if tried < 500 {
		t.Errorf("only %d values were tried", tried)
	}
}
