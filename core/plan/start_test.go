package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// I have an envelope: every school's card for it, and one of them taken over.
func TestStartFromAnEnvelope(t *testing.T) {
	j, shop := sample()
	if plan.Make(j, shop).Start != nil {
		t.Error("a job that came with a card has an envelope to start from")
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "start.schools", Text: "quarter"}}); len(problems) != 1 {
		t.Error("a school without an envelope is applied")
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "start.width", Text: "6"}}); len(problems) != 1 {
		t.Error("an envelope that is not there is measured")
	}
	j.Start = &job.Start{Format: "a7"}
	rows := map[string]plan.SchoolRow{}
	for _, r := range plan.Make(j, shop).Start.Schools {
		rows[string(r.ID)] = r
	}
	// A7 is 7 1/4 x 5 1/4; the sample is 0.85 mm thick. Schools that give the same card are
	// one row.
	if n := strings.Join(rows["quarter"].Names, "; "); len(rows) != 3 || n != "1⁄4 in less; The size it is sold for; Quarter inches, 1⁄8 left at least; 6 mm less; Your ease of 1⁄4 in less" {
		t.Errorf("%d rows: %s", len(rows), n)
	}
	for id, want := range map[string]string{"quarter": "7 × 5", "raised": "6 7⁄8 × 4 7⁄8", "measure": "6 15⁄16 × 4 15⁄16"} {
		t.Run(id, func(t *testing.T) {
			if rows[id].Size != want {
				t.Errorf("%s: %s, want %s", id, rows[id].Size, want)
			}
		})
	}
	if r := rows["quarter"]; r.Flat != "14 × 5" || r.Verdict != "right" || r.Current {
		t.Errorf("quarter step: %+v", r)
	}
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "start.schools", Text: "raised"}})
	if len(problems) > 0 || got.Card.Width != 7*in-in/8 || got.Card.Height != 5*in-in/8 {
		t.Errorf("taken over: %v x %v, %v", got.Card.Width, got.Card.Height, problems)
	}
	j.Card.Width, j.Card.Height = 4*in, 6*in // upright
	if got, _ := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "start.schools", Text: "quarter"}}); got.Card.Width != 5*in || got.Card.Height != 7*in {
		t.Errorf("an upright card becomes %v x %v", got.Card.Width, got.Card.Height)
	}

	j.Start = &job.Start{Format: job.OwnEnvelope, Width: 6 * in, Height: 4 * in}
	got, problems = plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "start.width", Text: "165 mm"}, {Act: field.Type, Path: "start.height", Text: "0"}})
	if got.Start.Width != 165*measure.Millimetre || len(problems) != 1 || problems[0].Path != "start.height" || j.Start.Width != 6*in {
		t.Errorf("measured: %+v, %v", got.Start, problems)
	}
	if rows := plan.Make(got, shop).Start.Schools; rows[2].Size != "" || rows[2].Why != "the trade lists no card for it" {
		t.Errorf("trade size of an own envelope: %+v", rows[2])
	}
	// Choosing another and coming back keeps what was measured.
	back, problems := plan.Apply(got, shop, []field.Edit{{Act: field.Add, Path: "start", Text: "a7"}, {Act: field.Add, Path: "start", Text: job.OwnEnvelope}})
	if len(problems) > 0 || back.Start.Width != 165*measure.Millimetre {
		t.Errorf("chosen again: %+v, %v", back.Start, problems)
	}
	if none, _ := plan.Apply(got, shop, []field.Edit{{Act: field.Remove, Path: "start"}}); none.Start != nil {
		t.Errorf("cleared: %+v", none.Start)
	}
	card, _ := sample()
	first, _ := plan.Apply(card, shop, []field.Edit{{Act: field.Add, Path: "start", Text: job.OwnEnvelope}})
	if first.Start == nil || first.Start.Width != card.Card.Width+in/2 || len(first.Check(shop)) > 0 {
		t.Errorf("a measured envelope begins as %+v", first.Start)
	}
	if _, problems := plan.Apply(card, shop, []field.Edit{{Act: field.Add, Path: "start", Text: "moon"}}); len(problems) != 1 {
		t.Error("an unknown envelope is chosen")
	}
	j.Start.Format = "moon"
	if missing := plan.Make(j, shop).Missing; len(missing) != 1 || missing[0].Path != "start.format" {
		t.Errorf("an unknown envelope: %v", missing)
	}
	if _, problems := plan.Apply(got, shop, []field.Edit{{Act: field.Take, Path: "start.schools", Text: "luck"}}); len(problems) != 1 {
		t.Error("an unknown school is applied")
	}
}
