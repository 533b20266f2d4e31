package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// Each type comes from the least sheet that closes, the usual and a roomy one, with what each
// leaves; the usual one is the one that is made, and each is taken with one act.
func TestWhatASmallerSheetCosts(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	sizes := func(id blank.ID) []plan.SizePlan {
		j.Envelope.Construction = id
		p := plan.Make(j, shop).Envelope
		for _, s := range p.Sizes {
			after := plan.Make(took(t, j, shop, field.Edit{Act: field.Take, Path: "envelope.sizes", Text: string(s.ID)}), shop).Envelope
			if got := rowOf(t, plan.Plan{Envelope: after}, id).Sheet; got != s.Sheet {
				t.Errorf("%s, %s: promised %s, cut %s", id, s.Name, s.Sheet, got)
			}
		}
		return p.Sizes
	}
	for _, id := range []blank.ID{blank.DiamondID, blank.PocketID, blank.GussetID, blank.BoxID, blank.TuckID} {
		list := sizes(id)
		if len(list) != 3 || list[0].Name != "Least" || list[1].Name != "Usual" || !list[1].Current {
			t.Errorf("%s: %+v", id, list)
		}
	}
	// 5 3/8, .85 mm and 1/8: 5.5335; twice that over √2 is 7.826, and with a seam of 1/2 8 3/8,
	// of which rounding the creases up to 5 9/16 takes more than a sixteenth: 8 7/16. Roomy:
	// 5.7835, 8.179 and a seam of 1: 9 3/16.
	d := sizes(blank.DiamondID)
	if d[0].Sheet != "8 7⁄16 × 8 7⁄16" || d[2].Sheet != "9 3⁄16 × 9 3⁄16" || !d[2].Fits || d[0].Current {
		t.Errorf("a diamond: %+v", d)
	}
	j.Envelope.Construction = blank.CutDownID
	if list := plan.Make(j, shop).Envelope.Sizes; len(list) != 0 {
		t.Errorf("of a bought one: %+v", list)
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "envelope.sizes", Text: "roomy"}}); len(problems) != 1 {
		t.Errorf("taken all the same: %v", problems)
	}
}

// Envelope, liner and a layer of one patterned sheet a card, with one act, where it
// suffices; else liner and layer.
func TestMatch(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop() // the night sky, kept in 12 x 12
	j.Card.Width, j.Card.Height = 4*in, 3*in
	p := plan.Make(j, shop)
	list := p.Envelope.Comparison.Matches
	if len(list) != 1 || !strings.Contains(list[0].Text, "“Night-sky layer”") {
		t.Fatalf("%+v", list)
	}
	got := took(t, j, shop, field.Edit{Act: field.Take, Path: "match", Text: list[0].ID})
	if got.Envelope.Liner != "pattern-130" {
		t.Errorf("%+v", got.Envelope)
	}
	after := plan.Make(got, shop)
	for _, k := range after.Envelope.Comparison.Matches {
		if k.ID == list[0].ID {
			t.Error("offered again")
		}
	}
	s := stockOf(t, after, "pattern-130")
	names := ""
	for _, q := range s.Pieces {
		names += q.Name + ","
	}
	if !strings.Contains(names, "Night-sky layer") || !strings.Contains(names, "Envelope liner") || strings.Contains(list[0].Text, "gives envelope") != strings.Contains(names, "Envelope blank") {
		t.Errorf("cut of it: %s", names)
	}
	if s.Sheets > got.Count {
		t.Errorf("%d sheets for %d cards", s.Sheets, got.Count)
	}
}

// Least, usual and roomy keep their names and their places when one of them is taken, and another size never
// changes the way of scoring; what is typed then begins anew.
func TestSizesKeepStill(t *testing.T) {
	shop := demo.Shop()
	for _, id := range []blank.ID{blank.DiamondID, blank.PocketID, blank.GussetID, blank.BoxID, blank.TuckID} {
		j := demo.Jobs()[0]
		j.Envelope.Construction = id
		for _, w := range plan.Make(j, shop).Envelope.Blank.Ways {
			j.Envelope.Way = w.ID
			before := plan.Make(j, shop).Envelope
			for _, s := range before.Sizes {
				taken := took(t, j, shop, field.Edit{Act: field.Take, Path: "envelope.sizes", Text: string(s.ID)})
				after := plan.Make(taken, shop).Envelope
				if after.Blank.Way != before.Blank.Way {
					t.Errorf("%s, %s: %s is scored by %s", id, w.ID, s.Name, after.Blank.Way)
				}
				for i, z := range after.Sizes {
					was := before.Sizes[i]
					if z.ID != was.ID || z.Sheet != was.Sheet || z.Current != (z.Sheet == s.Sheet) {
						t.Errorf("%s, %s: with %s taken, %s of %s becomes %s of %s, current %v", id, w.ID, s.Name, was.Name, was.Sheet, z.Name, z.Sheet, z.Current)
					}
				}
				back := took(t, taken, shop, field.Edit{Act: field.Take, Path: "envelope.sizes", Text: "usual"})
				if got := plan.Make(back, shop).Envelope.Sizes; len(got) == 3 && !got[1].Current {
					t.Errorf("%s, %s: from %s there is no way back: %+v", id, w.ID, s.Name, got)
				}
			}
		}
	}
}
