package plan_test

import (
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/plan"
)

// Cutting down a bought envelope is offered by the envelope's name; it is of no sheet.
func TestCuttingDownIsOfferedByName(t *testing.T) {
	j, shop := sample()
	list := plan.Make(j, shop).Mail.Remedies
	at := slices.IndexFunc(list, func(r plan.RemedyPlan) bool { return r.ID == "make:cutdown" })
	if at < 0 {
		t.Fatalf("it is not offered: %+v", list)
	}
	r := list[at]
	if r.Title != "Cut down a bought A8" || strings.Contains(r.Text, "0 × 0") || !strings.HasSuffix(r.Text, " thick closed.") {
		t.Errorf("%q, %q", r.Title, r.Text)
	}
	for _, r := range list {
		if strings.Contains(r.Text, "0 × 0") {
			t.Errorf("%s: %q", r.ID, r.Text)
		}
	}
}
