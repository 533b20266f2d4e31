package plan_test

import (
	"fmt"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// ownBook is the sample shop with a copy of a rulebook of its own.
func ownBook(t *testing.T, id string) job.Shop {
	t.Helper()
	shop := job.DefaultShop()
	for _, f := range mail.Files() {
		if f.ID == id {
			f = f.Clone()
			f.ID, f.Service = id+"-own-1", "my copy"
			shop.Rulebooks = []job.OwnRulebook{{File: f}}
		}
	}
	if len(shop.Rulebooks) != 1 || len(shop.Check()) > 0 {
		t.Fatalf("no copy of %s: %v", id, shop.Check())
	}
	return shop
}

// Limits and classes that are added come without unit and ID, and get them; the
// rulebook that the caller holds is left alone.
func TestRulesThatAreAdded(t *testing.T) {
	for _, tt := range []struct {
		unit       measure.Unit
		limit      string
		least, max string
	}{
		{measure.Inches, "length; 5 1/2; 11", "5 1/2 in", "11 in"},
		{measure.Millimetres, "sum;; 900", "", "900 mm"},
		{measure.Millimetres, "height; ; 4 in", "", "4 in"},
		{measure.Inches, "weight;;50", "", "50 g"},
		{measure.Inches, "pull;;15", "", "15 lb"},
		{measure.Inches, "strain;;0.5", "", "0.5 %"},
		{measure.Inches, "square;;no", "", "no"},
		{measure.Inches, "aspect;1.4", "1.4", ""},
	} {
		shop := ownBook(t, "uk-inland")
		shop.Unit = tt.unit
		before := len(shop.Rulebooks[0].File.Classes)
		const classes = "rulebooks.0.file.classes"
		got, problems, _ := job.ApplyToShop(shop, []field.Edit{
			{Act: field.Add, Path: classes, Text: "Night post"}, {Act: field.Add, Path: classes, Text: "Dawn post"},
			{Act: field.Add, Path: fmt.Sprintf("%s.%d.limits", classes, before), Text: tt.limit},
		})
		if list := got.Check(); len(problems) > 0 || len(list) > 0 {
			t.Errorf("%s: %v, %v", tt.limit, problems, list)
			continue
		}
		list := got.Rulebooks[0].File.Classes
		night, dawn := list[len(list)-2], list[len(list)-1]
		if l := night.Limits[len(night.Limits)-1]; l.Min != tt.least || l.Max != tt.max {
			t.Errorf("%s: from %q to %q", tt.limit, l.Min, l.Max)
		}
		if night.ID == "" || dawn.ID == "" || night.ID == dawn.ID {
			t.Errorf("IDs %q and %q", night.ID, dawn.ID)
		}
		if len(dawn.Limits) != len(list[before-1].Limits) || len(shop.Rulebooks[0].File.Classes) != before {
			t.Errorf("the class before it, or the caller's rulebook, was changed")
		}
	}
	// What is no limit is refused with its place.
	shop := ownBook(t, "uk-inland")
	shop.Rulebooks[0].File.Classes[0].Limits = nil
	if list := shop.Check(); len(list) != 1 || !strings.Contains(list[0].Message, "the class has no limit") {
		t.Errorf("a class without a limit: %v", list)
	}
}

// A page of rules says what is yes or no as such, and where its own classes lie.
func TestRulePagesToEdit(t *testing.T) {
	shop := ownBook(t, "us-domestic")
	pages := plan.RulePages(shop)
	own := pages[len(pages)-1]
	if own.Own != 0 || own.Classes[0].At != -1 || own.Classes[1].At != 0 || own.Classes[1].Path != "rulebooks.0.file.classes.0." {
		t.Fatalf("%+v", own.Classes[:2])
	}
	flags := 0
	for _, c := range own.Classes {
		for _, l := range append(c.Rows, c.Costly...) {
			if l.Flag {
				flags++
				if word := l.Min + l.Max; word != "yes" && word != "no" {
					t.Errorf("%s %s: %q and %q", c.Name, l.Label, l.Min, l.Max)
				}
			}
		}
	}
	if flags < 4 {
		t.Errorf("only %d are yes or no", flags)
	}
	if n := len(job.ChoicesIn(shop)["measures"]); n != len(mail.Measures()) {
		t.Errorf("%d measures can be chosen", n)
	}
	shop.Rulebooks[0].Off = true
	put := job.ChoicesIn(shop)["destinations"]
	if last := put[len(put)-1]; last.ID != "us-domestic-own-1" || last.Name != "United States, my copy (put away)" {
		t.Errorf("an old job's destination is called %q", last.Name)
	}
	for _, m := range mail.Measures() {
		if _, ok := m.Kind(); !ok {
			t.Errorf("%s has no kind", m)
		}
	}
}
