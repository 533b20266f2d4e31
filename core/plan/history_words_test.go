package plan

import (
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/demo"
)

// Every edit of a job is named by what it changed.
func TestChangesAreSaid(t *testing.T) {
	shop := demo.Shop()
	base := demo.Jobs()[0]
	layer := slices.IndexFunc(base.Parts, func(p job.Part) bool { return p.Kind == job.LayerPart })
	if layer < 0 {
		t.Fatal("the sample job has no layer")
	}
	of := base.Parts[layer]
	for _, c := range []struct {
		edits []field.Edit
		want  []string
	}{
		{[]field.Edit{{Act: field.Type, Path: "card.width", Text: "6 1/8"}}, []string{"Card width: 6 1⁄8 in, was " + shop.Style().ShowUnit(base.Card.Width)}},
		{[]field.Edit{{Act: field.Type, Path: "name", Text: "Perseids"}}, []string{"Name: Perseids, was " + base.Name}},
		{[]field.Edit{{Act: field.Type, Path: "parts." + of.ID + ".border", Text: "1/4"}}, []string{of.Name + ", border: 1⁄4 in, was " + shop.Style().ShowUnit(of.Border)}},
		{[]field.Edit{{Act: field.Remove, Path: "parts." + of.ID}}, []string{"Removed " + strings.ToLower(of.Name[:1]) + of.Name[1:]}},
		{[]field.Edit{{Act: field.Set, Path: "card.fold", Text: "top"}}, []string{"Fold: Top fold, was Side fold"}},
		{[]field.Edit{{Act: field.Type, Path: "card.thickness", Text: "1/8"}}, []string{"Thickness: 1⁄8 in, was nothing"}},
	} {
		now, problems := Apply(base, shop, c.edits)
		if len(problems) > 0 {
			t.Fatal(problems)
		}
		if got := ChangesSaid(&base, now, shop); !slices.Equal(got, c.want) {
			t.Errorf("%v: %q, want %q", c.edits, got, c.want)
		}
		// Backwards it is something, too, and nothing is no change.
		if back := ChangesSaid(&now, base, shop); len(back) == 0 {
			t.Errorf("%v: nothing is said of the way back", c.edits)
		}
		if same := ChangesSaid(&now, now.Clone(), shop); len(same) != 0 {
			t.Errorf("%v: %q of no change", c.edits, same)
		}
	}
	moved := base.Clone()
	slices.Reverse(moved.Parts)
	if got := ChangesSaid(&base, moved, shop); len(got) != 1 || !strings.Contains(got[0], "order") {
		t.Errorf("%q", got)
	}
	many := base.Clone()
	for i := range many.Parts {
		many.Parts[i].Name += "!"
	}
	if got := ChangesSaid(&base, many, shop); len(many.Parts) > mostChanges && len(got) != mostChanges+1 {
		t.Errorf("%q", got)
	}
	if first := ChangesSaid(nil, base, shop); len(first) != 0 {
		t.Errorf("%q", first)
	}
}

// Every state of a history has a name: an offer that was taken and shows the same, what was done and undone, the
// oldest that is kept.
func TestEveryStateHasAName(t *testing.T) {
	shop := demo.Shop()
	base := demo.Jobs()[0]
	chosen, problems := Apply(base, shop, []field.Edit{{Act: field.Take, Path: "envelope", Text: string(Make(base, shop).Envelope.Construction)}})
	if len(problems) > 0 {
		t.Fatal(problems)
	}
	wide, _ := Apply(base, shop, []field.Edit{{Act: field.Type, Path: "card.width", Text: "6 1/8"}})
	states, when := []job.Job{base, chosen, wide, wide.Clone(), base.Clone()}, []string{"1 Dec", "2 Dec", "3 Dec", "4 Dec", "5 Dec"}
	wants := []string{"The oldest state that is kept", "", "", "Done and undone: as before", "Back to the state of 1 Dec"}
	for i, j := range states {
		var before *job.Job
		if i > 0 {
			before = &states[i-1]
		}
		how, what := HowSaid(states[:i], j, when[:i]), ChangesSaid(before, j, shop)
		if how != wants[i] || how == "" && len(what) == 0 {
			t.Errorf("state %d: %q, %q", i, how, what)
		}
		for _, line := range what {
			if strings.Contains(line, "shape of the card") {
				t.Errorf("state %d: %q", i, line)
			}
		}
	}
	measured := base.Clone()
	measured.Mail.Measured.TriedOn = "2026-12-01"
	if got := ChangesSaid(&base, measured, shop); len(got) != 1 || got[0] != "What was measured" {
		t.Errorf("%q", got)
	}
}
