package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// How the closed piece goes through the gauge decides the check of its thickness, whatever
// the sums say; when the piece changes it has to be tried again.
func TestThroughTheGauge(t *testing.T) {
	j, shop := demo.Jobs()[5], demo.Shop() // brass and knot, predicted .286 in
	through := func(how string) plan.MailPlan {
		return plan.Make(took(t, j, shop, field.Edit{Act: field.Set, Path: "mail.measured.through", Text: how}), shop).Mail
	}
	check := func(p plan.MailPlan) plan.CheckPlan {
		for _, c := range p.Classes {
			if c.ID != "letter" {
				continue
			}
			for _, k := range c.Checks {
				if k.Measure == "thickness" {
					return k
				}
			}
		}
		t.Fatal("no check of a letter's thickness")
		return plan.CheckPlan{}
	}
	if k := check(plan.Make(j, shop).Mail); k.OK {
		t.Fatalf("predicted it is no letter: %+v", k)
	}
	if k := check(through("freely")); !k.OK || k.Close {
		t.Errorf("freely: %+v", k)
	}
	if k := check(through("tightly")); !k.OK || !k.Close {
		t.Errorf("tightly: %+v", k)
	}
	thin := demo.Jobs()[1]
	thin = took(t, thin, shop, field.Edit{Act: field.Set, Path: "mail.measured.through", Text: "not"})
	if p := plan.Make(thin, shop).Mail; p.Short != "Ask first: large envelope" || check(p).OK {
		t.Errorf("not at all: %s, %+v", p.Short, check(p))
	}
	if p := plan.Make(thin, shop).Mail; !strings.Contains(p.Readings[1].Note, "over the gauge's 1⁄4 in") {
		t.Errorf("%+v", p.Readings[1])
	}
	thin = took(t, thin, shop, field.Edit{Act: field.Add, Path: "parts", Text: "layer"})
	if p := plan.Make(thin, shop).Mail; strings.Contains(p.Short, "letter") || !strings.Contains(notes(p.Notes), "try it again") {
		t.Errorf("changed since: %s, %s", p.Short, notes(p.Notes))
	}
}

// Of a card that is made already a remedy is an act on it, and its base is what it is.
func TestRemediesOfAMadeCard(t *testing.T) {
	j, shop := demo.Jobs()[5], demo.Shop()
	j = took(t, j, shop, field.Edit{Act: field.Set, Path: "card.made", Text: "yes"})
	lifted := false
	for _, r := range plan.Make(j, shop).Mail.Remedies {
		lifted = lifted || strings.HasPrefix(r.Title, "Lift “Ribbon knot” off and rub the glue away")
		if strings.HasPrefix(r.ID, "stock") || strings.HasPrefix(r.Title, "Leave off") {
			t.Errorf("of a card that is made: %s", r.Title)
		}
	}
	if !lifted {
		t.Error("nothing is lifted off")
	}
}
