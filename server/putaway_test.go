package server

import (
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
)

// Whoever takes a paper off the shelf is told which jobs go by it; they say so and offer others, and no
// new card begins with it.
func TestPapersTakenOffTheShelf(t *testing.T) {
	s := newSite(t)
	first := s.first()
	id := first.Job.Parts[0].Stock
	body := s.edit(field.Edit{Act: field.Set, Path: "stocks." + id + ".off", Text: "yes"})
	if len(body.Told) != 1 || !strings.Contains(body.Told[0], "is off your shelf. “") {
		t.Errorf("told %q", body.Told)
	}
	p := plan.Make(first.Job, body.Shop)
	if len(p.Missing) == 0 || p.Missing[0].Path != "instead."+id || !strings.Contains(p.Missing[0].Text, "was taken off your shelf") || len(p.Missing[0].Choices) == 0 {
		t.Fatalf("%+v", p.Missing)
	}
	for _, c := range p.Missing[0].Choices {
		if k, _ := body.Shop.Stock(c.ID); k.Off || c.ID == id {
			t.Errorf("%s is offered, and it is off the shelf", c.Name)
		}
	}
	for _, k := range p.Paper.Stocks {
		if k.ID == id && strings.Contains(k.Text, "of your") {
			t.Errorf("of what was taken off: %s", k.Text)
		}
	}
	if got, problems := plan.Apply(first.Job, body.Shop, []field.Edit{{Act: field.Set, Path: p.Missing[0].Path, Text: p.Missing[0].Choices[0].ID}}); len(problems) > 0 || job.GoesByPaper(got, id) {
		t.Errorf("%v, and it goes by %s", problems, got.Parts[0].Stock)
	} else if _, problems = plan.Apply(first.Job, body.Shop, []field.Edit{{Act: field.Set, Path: p.Missing[0].Path, Text: id}}); len(problems) == 0 {
		t.Error("what was taken off the shelf is taken in its place")
	}
	for _, part := range job.NewJob(body.Shop).Parts {
		if part.Stock == id {
			t.Errorf("a new card begins with it: %+v", part)
		}
	}
	if body = s.edit(field.Edit{Act: field.Set, Path: "stocks." + id + ".off", Text: "no"}); len(body.Told) != 0 {
		t.Errorf("put back, and told %q", body.Told)
	}
}
