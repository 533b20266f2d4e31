package plan

import (
	"context"
	"fmt"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/cutting"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/internal/anyjob"
)

// What a paper is said to take of stamps, greeting and ribbon is as much as looking
// at every set of them with care finds, and it lies there with the clear space.
func TestPanelTakesTheMost(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(81, 82))
	partly := 0
	for k := range 60 {
		side := func(least, most int) measure.Length {
			return measure.Length(least+r.IntN(most-least)) * measure.Inch / 16
		}
		paper := card.Size{Width: side(30, 100), Height: side(30, 100)}
		var things []job.Item
		for i := range 1 + r.IntN(5) {
			things = append(things, job.Item{ID: fmt.Sprint(i), Name: fmt.Sprint(i), Width: side(0, 70), Height: side(4, 60)})
		}
		m := newMaker(anyjob.Star(6*measure.Inch, 4*measure.Inch, blank.DiamondID), job.DefaultShop())
		got := layersStation{m}.together(paper, things, itemsLaid{}, itemSteps)
		room := cutting.Sheet{Width: paper.Width - itemClear, Height: paper.Height - itemClear}
		most := 0
		for _, set := range itemSets(room, things) {
			if p := cutting.Search(context.Background(), set.order, 20_000, nil); p.Sheets == 1 && len(p.Unfit) == 0 {
				most = max(most, len(set.members))
			}
		}
		if len(got.in) < most || len(got.placed) != len(got.in) {
			t.Errorf("panel %d takes %d of %d, %d are laid; %d go on it", k, len(got.in), len(things), len(got.placed), most)
		}
		if most > 0 && most < len(things) {
			partly++
		}
		for i, a := range got.placed {
			if a.x < itemClear || a.y < itemClear || a.x+a.Width+itemClear > paper.Width || a.y+a.Height+itemClear > paper.Height {
				t.Errorf("panel %d: %s lies too near to the edge", k, a.Name)
			}
			for _, b := range got.placed[:i] {
				if a.x < b.x+b.Width+itemClear && b.x < a.x+a.Width+itemClear && a.y < b.y+b.Height+itemClear && b.y < a.y+a.Height+itemClear {
					t.Errorf("panel %d: %s lies too near to %s", k, a.Name, b.Name)
				}
			}
		}
	}
	if partly < 15 {
		t.Errorf("only %d panels take a part of what there is", partly)
	}
}
