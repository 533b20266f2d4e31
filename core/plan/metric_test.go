package plan_test

import (
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// A shop that works in millimetres has its own habits of borders, 1.5, 3 and 6 mm, and a
// new layer begins with the middle one.
func TestMetricBorders(t *testing.T) {
	j, shop := sample()
	shop.Unit = measure.Millimetres
	var names []string
	for _, c := range job.ChoicesIn(shop)["borders"] {
		names = append(names, c.Name)
	}
	if len(names) != 3 || names[0] != "Hairline, 1.5" || names[1] != "Classic, 3" || names[2] != "Wide, 6" {
		t.Errorf("%q", names)
	}
	j = acted(t, j, shop, field.Edit{Act: field.Add, Path: "parts", Text: string(job.LayerPart)})
	for _, p := range j.Parts {
		if p.Kind == job.LayerPart && p.Border != 3*measure.Millimetre && p.Border != in/8 {
			t.Errorf("a new layer begins with %v", p.Border)
		}
	}
	if last := j.Parts[j.LayerParts()[len(j.LayerParts())-1]]; last.Border != 3*measure.Millimetre {
		t.Errorf("the new one begins with %v", last.Border)
	}
}

// How shy the doors of a gate are is asked where the gate is chosen, and nowhere else.
func TestGateAsksHowShyItsDoorsAre(t *testing.T) {
	j, shop := sample()
	if slices.Contains(plan.Make(j, shop).Card.Options, "card.asked.shy") {
		t.Error("a side fold asks for it")
	}
	shop.TickInches = in / 64
	j = acted(t, j, shop, field.Edit{Act: field.Set, Path: "card.fold", Text: "gate"})
	p := plan.Make(j, shop)
	if !slices.Contains(p.Card.Options, "card.asked.shy") || p.Fields["card.asked.shy"].Text != "1⁄64" || !strings.Contains(notes(p.Card.Notes), "The doors leave 1⁄32 in between them") {
		t.Errorf("asked %v, %+v, %s", p.Card.Options, p.Fields["card.asked.shy"], notes(p.Card.Notes))
	}
	j = edit(t, j, shop, "card.asked.shy", "1/32")
	if n := notes(plan.Make(j, shop).Card.Notes); !strings.Contains(n, "The doors leave 1⁄16 in between them") {
		t.Error(n)
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.asked.shy", Text: "1/8"}}); len(problems) != 1 {
		t.Errorf("an eighth: %v", problems)
	}
}
