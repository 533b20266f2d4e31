package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
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
	if p.PanelWidth.Text != "5 1⁄8" || !strings.Contains(p.Drawing, "Brass mat, 5 3⁄8 × 4 1⁄8, shows 10 %") {
		t.Errorf("%s: %s", p.PanelWidth.Text, p.Drawing)
	}
	j.Parts = j.Parts[:1]
	if p := plan.Make(j, shop).Layers; len(p.Rows) != 1 || p.Rows[0].Share != "100 %" || !strings.HasPrefix(p.Sentence.Text, "No layers") {
		t.Errorf("without layers: %+v", p)
	}
}

func TestBordersAreTyped(t *testing.T) {
	j, shop := demo.Jobs()[2], demo.Shop()
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "parts.1.border", Text: "1/4"}, {Act: field.Type, Path: "parts.2.foam", Text: "1 mm"}})
	if len(problems) > 0 || got.Parts[1].Border != in/4 || plan.Make(got, shop).Layers.Rows[1].Size != "5 × 3 3⁄4" {
		t.Errorf("%v, %+v", problems, got.Parts)
	}
	if j.Parts[1].Border != in/16 {
		t.Error("Apply changed the job it was given")
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "parts.2.border", Text: "2 1/8"}}); len(problems) != 1 || !strings.Contains(problems[0].Message, "leaves nothing of “Star panel on foam”") {
		t.Errorf("a border that eats its layer: %v", problems)
	}
	for _, path := range []string{"parts.0.border", "parts.9.border"} {
		if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: path, Text: "1/4"}}); len(problems) != 1 {
			t.Errorf("%s: %v", path, problems)
		}
	}
	if got, _ := plan.Apply(j, shop, []field.Edit{{Act: field.Step, Path: "parts.1.border", Steps: 1}}); got.Parts[1].Border != in/8 {
		t.Errorf("a border stepped up is %v", got.Parts[1].Border)
	}
}

// A card made smaller than its borders still has a plan, which says so.
func TestCardSmallerThanItsBorders(t *testing.T) {
	j, shop := demo.Jobs()[2], demo.Shop()
	j.Parts[2].Border = in
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.height", Text: "1 1/2"}})
	if len(problems) > 0 || len(plan.Check(got, shop)) > 0 {
		t.Fatalf("%v, %v", problems, plan.Check(got, shop))
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
	if got := why(); !strings.Contains(got, "as it lies it goes in") {
		t.Errorf("thick without foam: %s", got)
	}
	j.Card.Thickness, j.Card.Width = nil, 5*in+13*in/16
	if got := why(); strings.Contains(got, "thickness") || !strings.Contains(got, "too wide") {
		t.Errorf("too wide: %s", got)
	}
}

// The border taken off once instead of on both sides is spotted.
func TestClassicMistake(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop() // 5 3/8 square, border 1/8
	j.Parts[1].Own = &card.Size{Width: 5*in + in/8, Height: 5*in + in/8}
	if p := plan.Make(j, shop).Layers; len(p.Notes) > 0 || p.Rows[1].Size != "5 1⁄8 × 5 1⁄8" {
		t.Errorf("the right size: %v", p.Notes)
	}
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "parts.1.own.width", Text: "5 1/4"}, {Act: field.Type, Path: "parts.1.own.height", Text: "5 1/4"}})
	p := plan.Make(got, shop).Layers
	if len(problems) > 0 || len(p.Notes) != 1 || !strings.Contains(p.Notes[0].Text, "comes off “Night-sky layer” once") || !strings.Contains(p.Notes[0].Text, "Cut 5 1⁄8 × 5 1⁄8 instead") {
		t.Errorf("%v, %v", problems, p.Notes)
	}
	got.Parts[1].Own.Width = 6 * in
	if n := plan.Make(got, shop).Layers.Notes; len(n) != 1 || !strings.Contains(n[0].Text, "hang over the edge") {
		t.Errorf("a layer larger than the card: %v", n)
	}
	j.Parts[1].Own, j.Parts[1].Edges = nil, &card.Edges{Top: in / 4, Right: in / 4, Bottom: in, Left: in / 4}
	p = plan.Make(j, shop).Layers
	if r := p.Rows[1]; r.Size != "4 7⁄8 × 4 1⁄8" || r.Y > 6.351 || r.Y < 6.349 {
		t.Errorf("a deeper lower margin: %+v", r)
	}
	if got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Step, Path: "parts.1.edges.bottom", Steps: 2}}); len(problems) > 0 || got.Parts[1].Edges.Bottom != in+in/8 || j.Parts[1].Edges.Bottom != in {
		t.Errorf("stepped: %v, %+v", problems, got.Parts[1].Edges)
	}
}

// Stamps, greeting and ribbon are laid on the smallest paper that takes them
// all, with 1/8 clear.
func TestItemsOnThePanel(t *testing.T) {
	j, shop := demo.Jobs()[2], demo.Shop() // papers 5 1/2 x 4 1/4, 5 3/8 x 4 1/8, 5 1/8 x 3 7/8
	j.Items = []job.Item{{ID: "star", Name: "Star stamp", Width: 3 * in, Height: 2 * in}, {ID: "words", Name: "Greeting", Width: 4 * in, Height: in / 2}, {ID: "ribbon", Name: "Ribbon", Height: in / 2}}
	p := plan.Make(j, shop).Layers.Items
	// 2 + 1/2 + 1/2 and four times 1/8 is 3 1/2: the panel of 3 7/8 takes them.
	if p.Row != 2 || len(p.Placed) != 3 || !strings.Contains(p.Sentence, "go together on “Star panel on foam”") {
		t.Fatalf("%+v", p)
	}
	for i, a := range p.Placed {
		for _, b := range p.Placed[:i] {
			if a.X < b.X+b.Width+3.17 && b.X < a.X+a.Width+3.17 && a.Y < b.Y+b.Height+3.17 && b.Y < a.Y+a.Height+3.17 {
				t.Errorf("%s and %s are closer than 1/8", a.Name, b.Name)
			}
		}
	}
	j.Items[0].Height = 5 * in / 2 // 4 in all: only the base and its 4 1/4 take that
	if p := plan.Make(j, shop).Layers.Items; p.Row != 1 || !p.Rungs[1].All || p.Rungs[0].All || p.Rungs[0].Text != "takes Star stamp, Greeting" && p.Rungs[0].Text != "takes Star stamp, Ribbon" {
		t.Errorf("%+v", p)
	}
	j.Items[0].Width = 9 * in
	if p := plan.Make(j, shop).Layers.Items; !strings.Contains(p.Sentence, "No paper takes them all") {
		t.Errorf("%s", p.Sentence)
	}
}

// A card on foam takes less of the envelope as it lies than as a block.
func TestRoomBothWays(t *testing.T) {
	j, shop := demo.Jobs()[2], demo.Shop()
	r := plan.Make(j, shop).Card.Room
	if r.Chosen != job.AsBlock || r.HeapWidth.Nm >= r.Block.Nm || r.HeapWidth.Nm <= measure.Millimetre || len(r.Section) != 4 {
		t.Errorf("%+v", r)
	}
	right := func() string { return plan.Make(j, shop).Envelope.FitsSentence.Text }
	block := right()
	j.Card.Room = job.AsHeap
	if plan.Make(j, shop).Card.Room.Chosen != job.AsHeap || right() == block {
		t.Errorf("the way of counting changes nothing: %s", right())
	}
	j.Card.Room = "guess"
	if len(plan.Check(j, shop)) != 1 {
		t.Error("an unknown way of counting is accepted")
	}
	j.Card.Room, j.Card.OverWidth = job.AsBlock, in/2
	p := plan.Make(j, shop)
	if p.Card.Room.Outer != "6 × 4 1⁄4" || p.Envelope.Blank.Sheet.Nm <= plan.Make(demo.Jobs()[2], shop).Envelope.Blank.Sheet.Nm {
		t.Errorf("what sticks out does not count: %s", p.Card.Room.Outer)
	}
	thick := in / 4
	j.Card.Thickness = &thick
	if s := plan.Make(j, shop).Card.Room.Section; s[len(s)-1].Y+s[len(s)-1].Height < 6.34 {
		t.Errorf("a measured thickness does not stretch the section: %+v", s)
	}
}
