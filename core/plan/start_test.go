package plan_test

import (
	"testing"

	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// I have an envelope: every school's card for it, and one of them taken over.
func TestStartFromAnEnvelope(t *testing.T) {
	j, shop := sample()
	if plan.Make(j, shop).Start != nil {
		t.Error("a job that came with a card has an envelope to start from")
	}
	if _, problems := plan.Apply(j, shop, []plan.Edit{{Path: "start.school", Text: text("quarter")}}); len(problems) != 1 {
		t.Error("a school without an envelope is applied")
	}
	if _, problems := plan.Apply(j, shop, []plan.Edit{{Path: "start.width", Text: text("6")}}); len(problems) != 1 {
		t.Error("an envelope that is not there is measured")
	}
	j.Start = &plan.Start{Format: "a7"}
	rows := map[string]plan.SchoolRow{}
	for _, r := range plan.Make(j, shop).Start.Schools {
		rows[string(r.ID)] = r
	}
	// A7 is 7 1/4 x 5 1/4; the sample is 0.85 mm thick.
	for id, want := range map[string]string{"quarter": "7 × 5", "raised": "6 7⁄8 × 4 7⁄8", "trade": "7 × 5", "inch": "7 × 5", "measure": "6 15⁄16 × 4 15⁄16", "metric": "7 × 5", "own": "7 × 5"} {
		if rows[id].Size != want {
			t.Errorf("%s: %s, want %s", id, rows[id].Size, want)
		}
	}
	if r := rows["quarter"]; r.Flat != "14 × 5" || r.Verdict != "right" || r.Current {
		t.Errorf("quarter step: %+v", r)
	}
	got, problems := plan.Apply(j, shop, []plan.Edit{{Path: "start.school", Text: text("raised")}})
	if len(problems) > 0 || got.Card.Width != 7*in-in/8 || got.Card.Height != 5*in-in/8 {
		t.Errorf("taken over: %v x %v, %v", got.Card.Width, got.Card.Height, problems)
	}
	j.Card.Width, j.Card.Height = 4*in, 6*in // upright
	if got, _ := plan.Apply(j, shop, []plan.Edit{{Path: "start.school", Text: text("quarter")}}); got.Card.Width != 5*in || got.Card.Height != 7*in {
		t.Errorf("an upright card becomes %v x %v", got.Card.Width, got.Card.Height)
	}

	j.Start = &plan.Start{Format: plan.OwnEnvelope, Width: 6 * in, Height: 4 * in}
	got, problems = plan.Apply(j, shop, []plan.Edit{{Path: "start.width", Text: text("165 mm")}, {Path: "start.height", Text: text("0")}})
	if got.Start.Width != 165*measure.Millimetre || len(problems) != 1 || problems[0].Path != "start.height" || j.Start.Width != 6*in {
		t.Errorf("measured: %+v, %v", got.Start, problems)
	}
	if rows := plan.Make(got, shop).Start.Schools; rows[2].Size != "" || rows[2].Why != "the trade lists no card for it" {
		t.Errorf("trade size of an own envelope: %+v", rows[2])
	}
	// Choosing another and coming back keeps what was measured.
	back, problems := plan.Apply(got, shop, []plan.Edit{{Path: "start.format", Text: text("a7")}, {Path: "start.format", Text: text(plan.OwnEnvelope)}})
	if len(problems) > 0 || back.Start.Width != 165*measure.Millimetre {
		t.Errorf("chosen again: %+v, %v", back.Start, problems)
	}
	if none, _ := plan.Apply(got, shop, []plan.Edit{{Path: "start.format", Text: text("")}}); none.Start != nil {
		t.Errorf("cleared: %+v", none.Start)
	}
	card, _ := sample()
	first, _ := plan.Apply(card, shop, []plan.Edit{{Path: "start.format", Text: text(plan.OwnEnvelope)}})
	if first.Start == nil || first.Start.Width != card.Card.Width+in/2 || len(first.Check(shop)) > 0 {
		t.Errorf("a measured envelope begins as %+v", first.Start)
	}
	if _, problems := plan.Apply(card, shop, []plan.Edit{{Path: "start.format", Text: text("moon")}}); len(problems) != 1 {
		t.Error("an unknown envelope is chosen")
	}
	j.Start.Format = "moon"
	if missing := plan.Make(j, shop).Missing; len(missing) != 1 || missing[0].Path != "start.format" {
		t.Errorf("an unknown envelope: %v", missing)
	}
	if _, problems := plan.Apply(got, shop, []plan.Edit{{Path: "start.school", Text: text("luck")}}); len(problems) != 1 {
		t.Error("an unknown school is applied")
	}
}
