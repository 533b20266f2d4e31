package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/demo"
)

// A type that no longer suits is said first, with the act that changes it; after the act it
// is not said any more.
func TestATypeThatNoLongerSuits(t *testing.T) {
	for _, tt := range []struct {
		name   string
		change func(j *job.Job)
		want   string
	}{
		{"a flat diamond for a card 3/4 thick", func(j *job.Job) { thick(j, 3*in/4) }, "The card is 3⁄4 thick, too thick for a flat diamond. It goes into: "},
		{"a flat pocket", func(j *job.Job) { thick(j, in/2); j.Envelope.Construction = "pocket" }, "too thick for a flat tabbed pocket."},
		{"a bought one that is too small", func(j *job.Job) {
			j.Envelope.Construction, j.Envelope.From = "bought", "a2"
		}, "The card does not go into A2. It goes into: "},
	} {
		t.Run(tt.name, func(t *testing.T) {
			j, shop := demo.Jobs()[1], demo.Shop()
			tt.change(&j)
			notes := plan.Make(j, shop).Envelope.Blank.Notes
			first := notes[0]
			if first.Tone != say.Trouble || !strings.Contains(first.Text, tt.want) || first.Act == nil {
				t.Fatalf("said first: %+v", first)
			}
			after := took(t, j, shop, field.Edit{Act: field.Take, Path: first.Act.Path, Text: first.Act.ID})
			for _, n := range plan.Make(after, shop).Envelope.Blank.Notes {
				if n.Act != nil {
					t.Errorf("after the act: %+v", n)
				}
			}
		})
	}
	j := demo.Jobs()[1]
	thick(&j, 3*in/8)
	for _, n := range plan.Make(j, demo.Shop()).Envelope.Blank.Notes {
		if n.Act != nil {
			t.Errorf("of a card 3/8 thick: %+v", n)
		}
	}
}

// thick gives a card a thickness that was measured.
func thick(j *job.Job, l measure.Length) { j.Card.Thickness = &l }
