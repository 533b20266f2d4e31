package job

import (
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// An envelope that nobody measured has no size, whatever was chosen before it; once there is a card it is taken to be
// round the card, and none of a job with a card is of no size.
func TestAnOwnEnvelopeIsMeasuredOrAbsent(t *testing.T) {
	shop := DefaultShop()
	done := func(j Job, edits ...field.Edit) Job {
		for _, e := range edits {
			var err error
			if j, err = j.Apply(shop, e); err != nil {
				t.Fatalf("%s: %v", e.Path, err)
			}
		}
		return j
	}
	for name, edits := range map[string][]field.Edit{
		"at once":      {{Act: field.Add, Path: "start", Text: OwnEnvelope}},
		"after an A6":  {{Act: field.Add, Path: "start", Text: "a6"}, {Act: field.Add, Path: "start", Text: OwnEnvelope}},
		"by its field": {{Act: field.Add, Path: "start", Text: "a6"}, {Act: field.Set, Path: "start.format", Text: OwnEnvelope}},
	} {
		j := done(Begun(shop), edits...)
		if j.Start.Width != 0 || j.Start.Height != 0 || j.Envelope.OwnWidth != 0 || len(j.Check(shop)) > 0 {
			t.Errorf("%s: %v × %v, %v", name, j.Start.Width, j.Start.Height, j.Check(shop))
		}
		j = done(j, field.Edit{Act: field.Type, Path: "start.width", Text: "6"}, field.Edit{Act: field.Type, Path: "start.height", Text: "4 1/2"}, field.Edit{Act: field.Type, Path: "count", Text: "3"})
		if j.Start.Width != 6*measure.Inch || j.Envelope.OwnHeight != 9*measure.Inch/2 {
			t.Errorf("%s: measured, it is %v × %v, and %v", name, j.Start.Width, j.Start.Height, j.Envelope.OwnHeight)
		}
	}
	j := NewJob(shop)
	j.Envelope.From = OwnEnvelope
	if len(j.Check(shop)) == 0 {
		t.Error("a card goes into an envelope of no size")
	}
}
