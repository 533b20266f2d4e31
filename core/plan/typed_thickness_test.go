package plan_test

import (
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// No remedy forgets a thickness that was typed: what it changes of the parts is counted on
// from it, so that a card typed as 5/16 thick is no letter with another paper.
func TestRemediesKeepATypedThickness(t *testing.T) {
	taken := 0
	for i, j := range demo.Jobs() {
		shop := demo.Shop()
		j = took(t, j, shop, field.Edit{Act: field.Type, Path: "card.thickness", Text: "5/16"})
		j.Mail.Destination = "us-domestic"
		p := plan.Make(j, shop)
		for _, r := range p.Mail.Remedies {
			if !r.Possible {
				continue
			}
			after := took(t, j, shop, field.Edit{Act: field.Take, Path: "mail.remedies", Text: r.ID})
			q := plan.Make(after, shop)
			taken++
			least := 5*in/16 - p.Card.Predicted.Nm // had every part been left off
			if after.Card.Thickness == nil || *after.Card.Thickness != 5*in/16 || q.Card.Thickness.Nm < least {
				t.Errorf("job %d, %s: %v thick, typed %v", i, r.ID, q.Card.Thickness.Text, after.Card.Thickness)
			}
			want := 5*in/16 + q.Card.Predicted.Nm - p.Card.Predicted.Nm
			if off := (q.Card.Thickness.Nm - want).Abs(); off > measure.Micrometre {
				t.Errorf("job %d, %s: %v thick, counted on it is %v", i, r.ID, q.Card.Thickness.Nm, want)
			}
			if r.ID[:5] == "stock" && q.Mail.Short == "Goes as a letter" {
				t.Errorf("job %d, %s: a letter", i, r.ID)
			}
		}
	}
	if taken < 10 {
		t.Errorf("only %d remedies", taken)
	}
}
