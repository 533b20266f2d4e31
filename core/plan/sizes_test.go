package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// Each type shows the least sheet that closes, the usual and a roomy one, with what each
// leaves; the usual one is the one that is made.
func TestWhatASmallerSheetCosts(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	p := plan.Make(j, shop)
	for _, id := range []blank.ID{blank.DiamondID, blank.PocketID, blank.GussetID, blank.BoxID, blank.TuckID} {
		row := rowOf(t, p, id)
		if len(row.Sizes) != 3 || row.Sizes[0].Name != "least" || row.Sizes[1].Name != "usual" || row.Sizes[1].Sheet != row.Sheet {
			t.Errorf("%s, cut %s: %+v", id, row.Sheet, row.Sizes)
		}
	}
	// 5 3/8, .85 mm and 1/8: 5.5335; twice that over √2 is 7.826, and with a seam of 1/2 8 3/8,
	// of which rounding the creases up to 5 9/16 takes more than a sixteenth: 8 7/16. Roomy:
	// 5.7835, 8.179 and a seam of 1: 9 3/16.
	d := rowOf(t, p, blank.DiamondID).Sizes
	if d[0].Sheet != "8 7⁄16 × 8 7⁄16" || d[2].Sheet != "9 3⁄16 × 9 3⁄16" || !d[2].Fits {
		t.Errorf("a diamond: %+v", d)
	}
	if row := rowOf(t, p, blank.CutDownID); len(row.Sizes) != 0 {
		t.Errorf("of a bought one: %+v", row.Sizes)
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
