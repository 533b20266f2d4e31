package page_test

import (
	"regexp"
	"strings"
	"testing"

	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet/page"
	"yellowparcel/demo"
)

// A worksheet is in one unit: the other one stands in brackets alone, where something was typed so.
func TestOneUnitOnASheet(t *testing.T) {
	t.Parallel()
	brackets := regexp.MustCompile(`\([^()]* (in|mm)\)`)
	told := 0
	for _, unit := range []measure.Unit{measure.Inches, measure.Millimetres} {
		shop, not := demo.Shop(), regexp.MustCompile(`[0-9⁄] mm\b`)
		if shop.Unit = unit; unit == measure.Millimetres {
			not = regexp.MustCompile(`[0-9⁄] in\b[^t]`)
		}
		for _, j := range demo.Jobs() {
			j.Card.Width, j.Envelope.Ease = 131*measure.Millimetre, 7*measure.Millimetre
			if unit == measure.Millimetres {
				j.Card.Width, j.Envelope.Ease = 5*measure.Inch+measure.Inch/4, measure.Inch/4
			}
			for i, s := range page.Of(plan.TableOf(j, shop)).Steps {
				text := strings.Join(append([]string{s.Number, s.Says.Text, s.Check}, s.How...), " ") + " "
				told += len(brackets.FindAllString(text, -1))
				if i == 0 {
					continue // papers are called by their sizes
				}
				if m := not.FindString(brackets.ReplaceAllString(text, "")); m != "" {
					t.Errorf("%s in %s, step %d: %q in %s", j.Name, unit, i+1, m, text)
				}
			}
		}
	}
	if told == 0 {
		t.Error("nothing of the other unit stands in brackets")
	}
	t.Logf("%d in brackets", told)
}
