package plan_test

import (
	"math"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// Every thing of the table can be laid on every sample card, twice, and weighs
// what it says.
func TestAddEveryThing(t *testing.T) {
	t.Parallel()
	shop := demo.Shop()
	for _, j := range demo.Jobs() {
		for _, kind := range paper.Things() {
			was := plan.Make(j, shop)
			got := acted(t, j, shop, field.Edit{Act: field.Add, Path: "parts", Text: kind.ID})
			p := got.Parts[len(got.Parts)-1]
			if p.Kind != job.ThingPart || p.Thing == nil || p.Name != kind.Name || p.Thing.Caliper != kind.Caliper {
				t.Fatalf("%+v", p)
			}
			now := plan.Make(got, shop)
			if now.Card.Thickness.Nm < was.Card.Thickness.Nm || !kind.Draping && now.Card.Thickness.Nm == was.Card.Thickness.Nm && kind.Caliper > 4*mm {
				t.Errorf("%s on %s: %v thick, was %v", kind.ID, j.Name, now.Card.Thickness.Nm, was.Card.Thickness.Nm)
			}
			if len(now.Mail.Weights) != len(was.Mail.Weights)+1 {
				t.Errorf("%s: %d weights, were %d", kind.ID, len(now.Mail.Weights), len(was.Mail.Weights))
			}
			for _, c := range kind.Cautions {
				for _, q := range now.Mail.Cautions {
					if q.ID == c && (!q.Set || q.Found == "") {
						t.Errorf("%s is not asked about: %+v", kind.ID, q)
					}
				}
			}
			twice := acted(t, got, shop, field.Edit{Act: field.Add, Path: "parts", Text: kind.ID})
			if last := twice.Parts[len(twice.Parts)-1]; last.ID == p.ID || last.Name != kind.Name+" 2" {
				t.Errorf("a second one is %+v", last)
			}
		}
	}
	j := demo.Jobs()[0]
	for _, tt := range []struct{ typed, says string }{{"moon", "There is no thing “moon”"}, {"", "There is no thing"}} {
		t.Run(tt.typed, func(t *testing.T) {
			if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: "parts", Text: tt.typed}}); len(problems) != 1 || !strings.Contains(problems[0].Message, tt.says) {
				t.Errorf("%q: %v", tt.typed, problems)
			}
		})
	}
	for len(j.Parts) < 60 {
		j = acted(t, j, shop, field.Edit{Act: field.Add, Path: "parts", Text: "gem-2"})
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: "parts", Text: "gem-2"}}); len(problems) != 1 || !strings.Contains(problems[0].Message, "more than 60 parts") {
		t.Errorf("%v", problems)
	}
	if p := plan.Make(j, shop); len(p.Mail.Relief.Parts) != 60 {
		t.Errorf("%d parts on the relief", len(p.Mail.Relief.Parts))
	}
}

// A place may lie below zero, and steps by ticks through it.
func TestPlaceBelowZero(t *testing.T) {
	j, shop := moon(t)
	j = edit(t, j, shop, "parts.4.thing.x", "1/16")
	for _, want := range []measure.Length{0, -in / 16, -in / 8} {
		got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Step, Path: "parts.4.thing.x", Steps: -1}})
		if j = got; len(problems) > 0 || j.Parts[4].Thing.X != want {
			t.Fatalf("%v, %v; want %v", j.Parts[4].Thing.X, problems, want)
		}
	}
	if f := plan.Make(j, shop).Fields["parts.4.thing.x"]; f.Text != "−1⁄8" {
		t.Errorf("it shows as %q", f.Text)
	}
	if got, _ := plan.Apply(j, shop, []field.Edit{{Act: field.Step, Path: "parts.4.thing.x", Steps: 3}}); got.Parts[4].Thing.X != in/16 {
		t.Errorf("three ticks on it lies at %v", got.Parts[4].Thing.X)
	}
	if j.Parts[4].Thing.X != -in/8 {
		t.Error("an edit changed the job that was given")
	}
	// Weights step too, and never below nothing.
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Step, Path: "parts.4.thing.grams", Steps: -5}})
	if len(problems) > 0 || got.Parts[4].Thing.Grams != 0 {
		t.Errorf("%v, %v", got.Parts[4].Thing.Grams, problems)
	}
	for typed, want := range map[string]float64{"2": 2, "2,5 g": 2.5, "0.1 oz": 2.8349523125, ".5 kg": 500} {
		t.Run(typed, func(t *testing.T) {
			if got := edit(t, j, shop, "parts.4.thing.grams", typed); math.Abs(got.Parts[4].Thing.Grams-want) > 1e-9 {
				t.Errorf("%s is read as %v g", typed, got.Parts[4].Thing.Grams)
			}
		})
	}
}

// A shield lies over everything and makes the outside even; what lies in the
// card raises all that is on it.
func TestShieldAndInsert(t *testing.T) {
	j, shop := moon(t)
	was := plan.Make(j, shop)
	shielded := acted(t, j, shop, field.Edit{Act: field.Add, Path: "parts", Text: "shield"})
	p := plan.Make(shielded, shop)
	if p.Mail.Relief.Min.Nm != p.Mail.Relief.Max.Nm || p.Mail.Relief.Max.Nm != was.Mail.Relief.Max.Nm+340*measure.Micrometre {
		t.Errorf("from %v to %v, was %v", p.Mail.Relief.Min.Nm, p.Mail.Relief.Max.Nm, was.Mail.Relief.Max.Nm)
	}
	if r := row(t, p.Mail.Relief.Rows, "difference"); r.Note != "it is even" {
		t.Errorf("%+v", r)
	}
	over := acted(t, shielded, shop, field.Edit{Act: field.Add, Path: "parts", Text: "gem-4"})
	if top := plan.Make(over, shop).Mail.Relief.Parts; top[len(top)-1].Name != "Shield insert, plain" {
		t.Errorf("on top lies %s", top[len(top)-1].Name)
	}
	inside := acted(t, j, shop, field.Edit{Act: field.Add, Path: "parts", Text: "photo"})
	if got := plan.Make(inside, shop).Mail.Relief; got.Parts[1].Name != "Photograph" || got.Max.Nm != was.Mail.Relief.Max.Nm+250*measure.Micrometre {
		t.Errorf("%s is second, %v thick", got.Parts[1].Name, got.Max.Nm)
	}
}

// The pages of rules speak the shop's units, and every rule of every book is on
// one.
func TestRulePages(t *testing.T) {
	shop := demo.Shop()
	inches := plan.RulePages(shop)
	shop.Unit = measure.Millimetres
	metric := plan.RulePages(shop)
	for _, f := range mail.Files() {
		i := slices.IndexFunc(inches, func(p plan.RulePage) bool { return p.ID == f.ID })
		lines := 0
		for _, c := range inches[i].Classes {
			lines += len(c.Rows) + len(c.Costly)
			for _, l := range append(c.Rows, c.Costly...) {
				if l.Label == "" || l.Min == "" && l.Max == "" || l.Path != "" {
					t.Errorf("%s, %s: %+v", f.ID, c.Name, l)
				}
			}
		}
		want := 0
		if f.Floor != nil {
			want += len(f.Floor.Limits)
		}
		for _, c := range f.Classes {
			want += len(c.Limits)
			if c.Surcharge != nil {
				want += len(c.Surcharge.Limits)
			}
		}
		if lines != want {
			t.Errorf("%s: %d lines for %d limits", f.ID, lines, want)
		}
	}
	find := func(pages []plan.RulePage) string {
		for _, p := range pages {
			if p.ID == "uk-inland" {
				return p.Classes[0].Rows[0].Max
			}
		}
		return ""
	}
	if find(inches) != "9 7⁄16 in" || find(metric) != "240 mm" {
		t.Errorf("%q, %q", find(inches), find(metric))
	}
	shop.Rulebooks = []job.OwnRulebook{{File: mail.File{ID: "x", Region: "r", Service: "s"}}}
	pages := plan.RulePages(shop)
	if last := pages[len(pages)-1]; len(last.Notes) != 1 || !strings.Contains(last.Notes[0].Text, "cannot be used") {
		t.Errorf("%+v", last)
	}
}

// The verdict stands in both units, and the same in both.
func TestVerdictsInBothUnits(t *testing.T) {
	for _, j := range demo.Jobs() {
		shop := demo.Shop()
		shop.TickInches, shop.TickMillimetres = in/64, mm/10
		a := plan.Make(j, shop).Mail
		shop.Unit = measure.Millimetres
		b := plan.Make(j, shop).Mail
		for i := range a.Everywhere {
			if a.Everywhere[i].Short != b.Everywhere[i].Short {
				t.Errorf("%s, %s: %s in inches, %s in millimetres", j.Name, a.Everywhere[i].Name, a.Everywhere[i].Short, b.Everywhere[i].Short)
			}
		}
		for _, r := range b.Beam.Rows {
			if strings.Contains(r.Value, "lb") {
				t.Errorf("%s: %+v in a metric shop", j.Name, r)
			}
		}
	}
}

// A piece that was measured has remedies as well: what they change by the sums is
// counted on from the readings, and none of them is forgotten.
func TestRemediesOfWhatWasMeasured(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	for _, k := range demo.Jobs() {
		if strings.HasPrefix(k.Name, "Moon-watch") {
			j = k
		}
	}
	j = edit(t, j, shop, "mail.measured.thickness", "0.32")
	p := plan.Make(j, shop)
	if p.Mail.Short != "Goes as a large envelope" || strings.Contains(notes(p.Mail.Notes), "the piece has changed") {
		t.Fatalf("%s: %s", p.Mail.Short, notes(p.Mail.Notes))
	}
	found := false
	for _, r := range p.Mail.Remedies {
		changed, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "mail.remedies", Text: r.ID}})
		if len(problems) > 0 {
			if r.Possible {
				t.Errorf("%s: %v", r.ID, problems)
			}
			continue
		}
		q := plan.Make(changed, shop)
		if q.Mail.Short != r.Short {
			t.Errorf("%s promises %q and leads to %q", r.ID, r.Short, q.Mail.Short)
		}
		if got := changed.Mail.Measured.Thickness; got != j.Mail.Measured.Thickness {
			t.Errorf("%s forgets the reading: %v", r.ID, got)
		}
		// Where the piece changes, what is counted on is said, with what to do.
		before, after := notes(p.Mail.Notes), notes(q.Mail.Notes)
		if moved := strings.Contains(after, "what it changed by is counted on"); moved && !strings.Contains(r.Text, "measure again") || strings.Contains(before, "counted on") {
			t.Errorf("%s: %q, and then %q", r.ID, r.Text, after)
		}
		if strings.HasPrefix(r.ID, "leave:letter") {
			found = true
			// By as much as it was measured over the sums, more has to go: the reading is
			// counted on.
			sums, _ := plan.Predicted(j, shop)
			less, _ := plan.Predicted(changed, shop)
			want := j.Mail.Measured.Thickness - (sums - less)
			if thick := q.Mail.Thickness.Nm; thick != want || thick > in/4 {
				t.Errorf("left off what it says, it counts as %v thick, want %v", thick, want)
			}
		}
	}
	if !found {
		t.Errorf("nothing to leave off: %+v", p.Mail.Remedies)
	}
	// What is changed by hand makes the reading one of another piece.
	j.Parts = j.Parts[:len(j.Parts)-1]
	j.Parts[2].Foam = 0
	if n := notes(plan.Make(j, shop).Mail.Notes); !strings.Contains(n, "The thickness was measured when 0.286 in was predicted, and now 0.") {
		t.Errorf("a stale reading is not told of: %s", n)
	}
}
