package plan_test

import (
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// An envelope that is measured with a ruler is taken wherever a bought one is chosen: its fields are there, the type
// stays, and nothing that was typed of it is lost on the way.
func TestMeasuredWithARuler(t *testing.T) {
	shop := demo.Shop()
	for _, id := range []blank.ID{blank.BoughtID, blank.CutDownID} {
		for i, j := range demo.Jobs() {
			j.Envelope.Construction = id
			j = took(t, j, shop, field.Edit{Act: field.Set, Path: "envelope.from", Text: "own"})
			p := plan.Make(j, shop)
			if got := p.Envelope.Construction; got != id {
				t.Errorf("job %d: %s jumps to %s", i, id, got)
			}
			if p.Fields["envelope.ownWidth"].Text == "" || p.Fields["envelope.ownHeight"].Text == "" {
				t.Errorf("job %d, %s: there are no fields for what the ruler says", i, id)
			}
			j = took(t, j, shop, field.Edit{Act: field.Type, Path: "envelope.ownWidth", Text: "11 1/2"})
			j = took(t, j, shop, field.Edit{Act: field.Type, Path: "envelope.ownHeight", Text: "9"})
			away := took(t, j, shop, field.Edit{Act: field.Take, Path: "envelope", Text: "pocket"})
			back := took(t, away, shop, field.Edit{Act: field.Take, Path: "envelope", Text: "bought:own"})
			if back.Envelope.OwnWidth != 11*in+in/2 || back.Envelope.OwnHeight != 9*in {
				t.Errorf("job %d, %s: what was measured is lost: %v × %v", i, id, back.Envelope.OwnWidth, back.Envelope.OwnHeight)
			}
		}
	}
}
