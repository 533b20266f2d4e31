package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// The sheet that is proposed is the one of which the fewest are needed, with folds along the
// grain where that matters.
func TestTheFewestSheetsAreProposed(t *testing.T) {
	shop := demo.Shop()
	for _, c := range []struct {
		width, height, fold, count string
		layers                     int
	}{
		{"4 5/8", "6 1/4", "side", "6", 1}, {"5", "7", "side", "8", 0}, {"4 1/4", "5 1/2", "side", "12", 2}, {"5 1/2", "5 1/2", "top", "7", 0}, {"5", "5", "side", "9", 3},
	} {
		j := job.NewJob(shop)
		j = edit(t, edit(t, edit(t, j, shop, "card.width", c.width), shop, "card.height", c.height), shop, "count", c.count)
		j = took(t, j, shop, field.Edit{Act: field.Set, Path: "card.fold", Text: c.fold})
		for range c.layers {
			j = took(t, j, shop, field.Edit{Act: field.Add, Path: "parts", Text: "layer"})
		}
		for _, s := range plan.Make(j, shop).Paper.Stocks {
			for _, choice := range s.Choices {
				other := took(t, j, shop, field.Edit{Act: field.Set, Path: "paper.sheets." + s.ID, Text: choice.ID})
				for _, k := range plan.Make(other, shop).Paper.Stocks {
					if k.ID == s.ID && len(k.Unfit) <= len(s.Unfit) && k.Sheets < s.Sheets && !strings.Contains(notes(k.Notes), "across the grain") {
						t.Errorf("%s × %s, %s: %s proposed, and %s would do", c.width, c.height, s.Name, s.Text, k.Text)
					}
				}
			}
		}
	}
}
