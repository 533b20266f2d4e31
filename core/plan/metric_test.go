package plan_test

import (
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
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
