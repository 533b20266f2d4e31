package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

func TestLayers(t *testing.T) {
	j, shop := demo.Jobs()[2], demo.Shop() // 5 1/2 x 4 1/4, borders 1/16 and 1/8, foam 1/8
	p := plan.Make(j, shop).Layers
	want := []struct{ size, share, mount string }{
		{"5 1⁄2 × 4 1⁄4", "5 %", "the card itself"},
		{"5 3⁄8 × 4 1⁄8", "10 %", "glued flat"},
		{"5 1⁄8 × 3 7⁄8", "85 %", "on foam, 1⁄8 in"},
	}
	for i, w := range want {
		if r := p.Rows[i]; r.Size != w.size || r.Share != w.share || r.Mount != w.mount {
			t.Errorf("row %d: %s, %s, %s; want %v", i, r.Size, r.Share, r.Mount, w)
		}
	}
	if p.Sentence.Text != "Cut layers of 5 3⁄8 × 4 1⁄8 and 5 1⁄8 × 3 7⁄8; the last is the panel to work on." {
		t.Errorf("%s", p.Sentence.Text)
	}
	if p.PanelWidth.Text != "5 1⁄8" || !strings.Contains(p.Drawing, "Brass mat, 5 3⁄8 × 4 1⁄8, showing 10 %") {
		t.Errorf("%s: %s", p.PanelWidth.Text, p.Drawing)
	}
	j.Parts = j.Parts[:1]
	if p := plan.Make(j, shop).Layers; len(p.Rows) != 1 || p.Rows[0].Share != "100 %" || !strings.HasPrefix(p.Sentence.Text, "No layers") {
		t.Errorf("without layers: %+v", p)
	}
}

func TestBordersAreTyped(t *testing.T) {
	j, shop := demo.Jobs()[2], demo.Shop()
	got, problems := plan.Apply(j, shop, []plan.Edit{{Path: "parts.1.border", Text: text("1/4")}, {Path: "parts.2.foam", Text: text("1 mm")}})
	if len(problems) > 0 || got.Parts[1].Border != in/4 || plan.Make(got, shop).Layers.Rows[1].Size != "5 × 3 3⁄4" {
		t.Errorf("%v, %+v", problems, got.Parts)
	}
	if j.Parts[1].Border != in/16 {
		t.Error("Apply changed the job it was given")
	}
	if _, problems := plan.Apply(j, shop, []plan.Edit{{Path: "parts.2.border", Text: text("2 1/8")}}); len(problems) != 1 || !strings.Contains(problems[0].Message, "leaves nothing of “Star panel on foam”") {
		t.Errorf("a border that eats its layer: %v", problems)
	}
	for _, path := range []string{"parts.0.border", "parts.9.border"} {
		if _, problems := plan.Apply(j, shop, []plan.Edit{{Path: path, Text: text("1/4")}}); len(problems) != 1 {
			t.Errorf("%s: %v", path, problems)
		}
	}
	if got, _ := plan.Apply(j, shop, []plan.Edit{{Path: "parts.1.border", Steps: 1}}); got.Parts[1].Border != in/8 {
		t.Errorf("a border stepped up is %v", got.Parts[1].Border)
	}
}

// A card made smaller than its borders still has a plan, which says so.
func TestCardSmallerThanItsBorders(t *testing.T) {
	j, shop := demo.Jobs()[2], demo.Shop()
	j.Parts[2].Border = in
	got, problems := plan.Apply(j, shop, []plan.Edit{{Path: "card.height", Text: text("1 1/2")}})
	if len(problems) > 0 || len(got.Check(shop)) > 0 {
		t.Fatalf("%v, %v", problems, got.Check(shop))
	}
	p := plan.Make(got, shop)
	if len(p.Layers.Notes) == 0 || !strings.Contains(p.Layers.Notes[0].Text, "leaves nothing of it") || len(p.Layers.Rows) != 2 || len(p.Card.Parts) != 2 {
		t.Errorf("%+v", p.Layers)
	}
}

// A near miss says what would make it fit.
func TestNearMissesSayWhy(t *testing.T) {
	j, shop := demo.Jobs()[2], demo.Shop() // 5 1/2 x 4 1/4 on foam of 1/8, for an A2
	why := func() string {
		for _, f := range plan.Make(j, shop).Envelope.Misses {
			if f.ID == "a2" {
				return f.Why
			}
		}
		return "it fits"
	}
	if got := why(); !strings.Contains(got, "without the foam it fits") {
		t.Errorf("on foam: %s", got)
	}
	j.Parts[2].Foam = 0
	if got := why(); got != "it fits" {
		t.Errorf("without foam: %s", got)
	}
	thick := in / 8
	j.Card.Thickness = &thick
	if got := why(); !strings.Contains(got, "once its thickness is counted") {
		t.Errorf("thick without foam: %s", got)
	}
	j.Card.Thickness, j.Card.Width = nil, 5*in+13*in/16
	if got := why(); strings.Contains(got, "thickness") || !strings.Contains(got, "too wide") {
		t.Errorf("too wide: %s", got)
	}
}
