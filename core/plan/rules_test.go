package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// ownBook is the sample shop with a copy of a rulebook of its own.
func ownBook(t *testing.T, id string) plan.Shop {
	t.Helper()
	shop := plan.DefaultShop()
	for _, f := range mail.Files() {
		if f.ID == id {
			f = f.Clone()
			f.ID, f.Service = id+"-own-1", "my copy"
			shop.Rulebooks = []plan.OwnRulebook{{File: f}}
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
		limit      mail.LimitFile
		least, max string
	}{
		{measure.Inches, mail.LimitFile{Measure: mail.Length, Min: " 5 1/2", Max: "11"}, "5 1/2 in", "11 in"},
		{measure.Millimetres, mail.LimitFile{Measure: mail.Sum, Max: "900"}, "", "900 mm"},
		{measure.Millimetres, mail.LimitFile{Measure: mail.Height, Max: "4 in"}, "", "4 in"},
		{measure.Inches, mail.LimitFile{Measure: mail.Weight, Max: "50"}, "", "50 g"},
		{measure.Inches, mail.LimitFile{Measure: mail.Pull, Max: "15"}, "", "15 lb"},
		{measure.Inches, mail.LimitFile{Measure: mail.Strain, Max: "0.5"}, "", "0.5 %"},
		{measure.Inches, mail.LimitFile{Measure: mail.Square, Max: "no"}, "", "no"},
		{measure.Inches, mail.LimitFile{Measure: mail.Aspect, Min: "1.4"}, "1.4", ""},
	} {
		shop := ownBook(t, "uk-inland")
		shop.Unit = tt.unit
		file := &shop.Rulebooks[0].File
		file.Classes = append(file.Classes, mail.ClassFile{Name: "Night post", Limits: []mail.LimitFile{tt.limit}}, mail.ClassFile{Name: "Dawn post", Limits: []mail.LimitFile{tt.limit}})
		got, problems := plan.ApplyToShop(shop, nil)
		if list := got.Check(); len(problems) > 0 || len(list) > 0 {
			t.Errorf("%s: %v, %v", tt.limit.Measure, problems, list)
			continue
		}
		classes := got.Rulebooks[0].File.Classes
		night, dawn := classes[len(classes)-2], classes[len(classes)-1]
		if l := night.Limits[0]; l.Min != tt.least || l.Max != tt.max {
			t.Errorf("%s: from %q to %q", tt.limit.Measure, l.Min, l.Max)
		}
		if night.ID == "" || dawn.ID == "" || night.ID == dawn.ID {
			t.Errorf("IDs %q and %q", night.ID, dawn.ID)
		}
		if kept := file.Classes[len(file.Classes)-2]; kept.ID != "" || kept.Limits[0].Max != tt.limit.Max {
			t.Errorf("the caller's rulebook was changed: %+v", kept)
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
	if own.Own != 0 || own.Classes[0].At != -1 || own.Classes[1].At != 0 || own.Classes[1].Path != "rulebooks.0.classes.0." {
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
	if n := len(plan.ChoicesIn(shop).Measures); n != len(mail.Measures()) {
		t.Errorf("%d measures can be chosen", n)
	}
	shop.Rulebooks[0].Off = true
	put := plan.ChoicesIn(shop).Destinations
	if last := put[len(put)-1]; last.ID != "us-domestic-own-1" || last.Name != "United States, my copy (put away)" {
		t.Errorf("an old job's destination is called %q", last.Name)
	}
	for _, m := range mail.Measures() {
		if _, ok := m.Kind(); !ok {
			t.Errorf("%s has no kind", m)
		}
	}
}
