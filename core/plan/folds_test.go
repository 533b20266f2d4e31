package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// Every fold of the invitation, 7 x 5 in 216 gsm (0.28 mm) with a panel of
// 0.24 mm: what to cut, where to score, how thick it becomes.
func TestEveryFoldIsPlanned(t *testing.T) {
	for _, tt := range []struct {
		fold  card.Fold
		spine measure.Length
		says  string
		flat  string
		thick measure.Length // in micrometres
	}{
		{card.SideFold, 0, "Cut 14 × 5. Outside up, score at 7 from the left. Fold away from the groove: it opens like a book.", "14 × 5 · 7", 800},
		{card.SideFold, in / 4, "Cut 14 1⁄4 × 5. Outside up, score at 7 and 7 1⁄4 from the left", "14 1⁄4 × 5 · 7 · 7 1⁄4", 800},
		{card.TopFold, 0, "Cut 7 × 10. Outside up, score at 5 from the top", "7 × 10 · 5", 800},
		// Half of 7 less 1/64, down to a sixteenth: 3 7/16.
		{card.GateFold, 0, "Cut 13 7⁄8 × 5. Outside up, score at 3 7⁄16 and 10 7⁄16 from the left", "13 7⁄8 × 5 · 3 7⁄16 · 10 7⁄16", 800},
		{card.Accordion, 0, "Cut 28 × 5. Outside up, score at 7 and 21 from the left. Turn it over and score at 14 from the same edge.", "28 × 5 · 7 · 14 …", 1360},
		{card.RollFold, 0, "Cut 20 15⁄16 × 5. Outside up, score at 6 15⁄16 and 13 15⁄16 from the left", "20 15⁄16 × 5 · 6 15⁄16 · 13 15⁄16", 1080},
		{card.FlatCard, 0, "Cut 7 × 5. A flat card has no score.", "7 × 5", 520},
	} {
		j, shop := demo.Jobs()[1], demo.Shop()
		j.Card.Fold, j.Card.Spine = tt.fold, tt.spine
		p := plan.Make(j, shop)
		if !strings.HasPrefix(p.Card.Sentence.Text, tt.says) {
			t.Errorf("%s: %s", tt.fold, p.Card.Sentence.Text)
		}
		if p.Ticket[1].Value != tt.flat {
			t.Errorf("%s: the ticket says %s", tt.fold, p.Ticket[1].Value)
		}
		if p.Card.Predicted.Nm != tt.thick*measure.Micrometre {
			t.Errorf("%s: %v thick", tt.fold, p.Card.Predicted.Nm)
		}
	}
	j, shop := demo.Jobs()[1], demo.Shop()
	j.Card.Fold = card.GateFold
	if n := plan.Make(j, shop).Card.Notes; !strings.Contains(notes(n), "The doors leave 1⁄8 in between them") {
		t.Errorf("the doors: %+v", n)
	}
	j.Card.Fold = card.RollFold
	if n := plan.Make(j, shop).Card.Notes; !strings.Contains(notes(n), "is 1⁄16 in shorter") {
		t.Errorf("the roll: %+v", n)
	}
}

func TestPanelsAreTyped(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop()
	j.Card.Fold = card.Accordion
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.panels", Text: "6"}, {Act: field.Type, Path: "card.spine", Text: "1/8"}})
	if len(problems) > 0 || got.Card.Panels != 6 || got.Card.Spine != in/8 || plan.Make(got, shop).Card.Bases[3].Width.Text != "42" {
		t.Errorf("%+v, %v", got.Card, problems)
	}
	for _, bad := range []string{"2", "13", "some", ""} {
		if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.panels", Text: bad}}); len(problems) != 1 {
			t.Errorf("%q panels: %v", bad, problems)
		}
	}
	if got, _ := plan.Apply(j, shop, []field.Edit{{Act: field.Step, Path: "card.panels", Steps: 1}}); got.Card.Panels != 5 {
		t.Errorf("stepped to %d panels", got.Card.Panels)
	}
	j.Card.Panels = 99
	if problems := plan.Check(j, shop); len(problems) != 1 || problems[0].Path != "card.panels" {
		t.Errorf("99 panels: %v", problems)
	}
}

// An accordion's panels one by one: they must make an accordion, fit under the
// card, and add up to what the note says.
func TestPanelsOneByOne(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop()
	j.Card.Fold, j.Card.Width = card.Accordion, 5*in
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.own", Text: "5, 5, 4 1/2; 100 mm = 18 7/16"}})
	p := plan.Make(got, shop)
	if len(problems) > 0 || len(plan.Check(got, shop)) > 0 || p.Fields["card.own"].Text != "5, 5, 4 1⁄2, 3 15⁄16" {
		t.Fatalf("%v, %s", problems, p.Fields["card.own"].Text)
	}
	for _, b := range p.Card.Bases {
		if b.Fold == card.Accordion && (len(b.Panels) != 4 || b.Scores[1].At.Nm != 10*in || p.Card.Parts[0].Layers != 4) {
			t.Errorf("%+v", b)
		}
	}
	for typed, want := range map[string]string{
		"5, 5, 4 = 15":        "do not add up: together they are 14 in, not 15 in",
		"5, 5":                "from 3 to 12 panels, and these are 2",
		"5, 5 1/4, 5":         "Panel 2 of 5 1⁄4 in is wider than the card, 5 in",
		"5, 1/16, 5":          "too narrow to fold",
		"5, moon, 5":          "moon",
		"5, 5, 5 = all of it": "all of it",
	} {
		t.Run(typed, func(t *testing.T) {
			same, problems := plan.Apply(got, shop, []field.Edit{{Act: field.Type, Path: "card.own", Text: typed}})
			if len(problems) != 1 || !strings.Contains(problems[0].Message, want) || len(same.Card.Own) != 4 {
				t.Errorf("%q: %v, want %q", typed, problems, want)
			}
		})
	}
	got.Card.Width = 4 * in
	if n := notes(plan.Make(got, shop).Card.Notes); !strings.Contains(n, "Panel 1 of 5 in is wider than the card") {
		t.Errorf("a card made narrower: %s", n)
	}
	if got, _ = plan.Apply(got, shop, []field.Edit{{Act: field.Type, Path: "card.own", Text: ""}}); got.Card.Own != nil {
		t.Error("an empty list does not make the panels even again")
	}
}
