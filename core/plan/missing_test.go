package plan_test

import (
	"encoding/json"
	"reflect"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/paper"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// Whatever a job goes by and the shop has no longer, the job opens, says what is
// missing, and taking what is offered makes it whole again; nothing else of the
// job changes.
func TestMissingIsToldAndReplaced(t *testing.T) {
	spoils := map[string]func(*job.Job){
		"parts.0.stock":     func(j *job.Job) { j.Parts[0].Stock = "tin" },
		"parts.1.stock":     func(j *job.Job) { j.Parts[1].Stock = "" },
		"envelope.stock":    func(j *job.Job) { j.Envelope.Stock = "tin" },
		"envelope.liner":    func(j *job.Job) { j.Envelope.Liner = "tin" },
		"envelope.adhesive": func(j *job.Job) { j.Envelope.Adhesive = "spit" },
		"envelope.from":     func(j *job.Job) { j.Envelope.From, j.Envelope.Construction = "own-9", blank.CutDownID },
		"mail.destination":  func(j *job.Job) { j.Mail.Destination = "moon" },
		"paper.have":        func(j *job.Job) { j.Paper.Have = "parchment" },
		"start.format":      func(j *job.Job) { j.Start = &job.Start{Format: "own-9"} },
	}
	for path, spoil := range spoils {
		t.Run(path, func(t *testing.T) {
			j, shop := demo.Jobs()[0], demo.Shop()
			spoil(&j)
			before, _ := json.Marshal(j)
			if list := plan.Check(j, shop); len(list) > 0 {
				t.Fatalf("the job is refused: %v", list)
			}
			p := plan.Make(j, shop)
			if len(p.Missing) != 1 || p.Missing[0].Path != path || !strings.HasSuffix(p.Missing[0].Text, ".") || len(p.Missing[0].Choices) == 0 {
				t.Fatalf("%+v", p.Missing)
			}
			if err := whole(reflect.ValueOf(p), "plan"); err != nil {
				t.Error(err)
			}
			if after, _ := json.Marshal(j); string(before) != string(after) {
				t.Error("planning changed the job")
			}
			for _, c := range p.Missing[0].Choices {
				got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Set, Path: path, Text: c.ID}})
				if len(problems) > 0 {
					t.Fatalf("%s: %v", c.ID, problems)
				}
				if again := plan.Make(got, shop).Missing; len(again) > 0 {
					t.Errorf("with %s it is still missing: %+v", c.ID, again)
				}
			}
			// The stand-in that the plan goes by is the first choice.
			if path == "parts.0.stock" {
				got, _ := plan.Apply(j, shop, []field.Edit{{Act: field.Set, Path: path, Text: p.Missing[0].Choices[0].ID}})
				if with := plan.Make(got, shop); with.Card.Predicted != p.Card.Predicted || with.Mail.Short != p.Mail.Short {
					t.Errorf("taking the stand-in changes %v, %q to %v, %q", p.Card.Predicted, p.Mail.Short, with.Card.Predicted, with.Mail.Short)
				}
			}
			tin := "tin"
			if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Set, Path: path, Text: tin}}); len(problems) != 1 {
				t.Error("what is not there is chosen")
			}
			// Other things of it may be changed meanwhile.
			if got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Step, Path: "count", Steps: 1}}); len(problems) > 0 || got.Count != j.Count+1 {
				t.Errorf("the rest cannot be edited: %v", problems)
			}
		})
	}
}

// A shop without a single paper or adhesive cannot be saved; a job in one that
// was stored so opens all the same.
func TestShopWithoutPaper(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	shop.Stocks, shop.Adhesives, shop.Sheets, shop.Envelopes = []paper.Stock{}, []paper.Adhesive{}, []paper.Sheet{}, nil
	var paths []string
	for _, p := range shop.Check() {
		paths = append(paths, p.Path)
	}
	if !slices.Equal(paths, []string{"stocks", "adhesives"}) {
		t.Errorf("refused are %v", paths)
	}
	p := plan.Make(j, shop)
	if len(p.Missing) != 4 || !strings.Contains(p.Missing[0].Text, "nothing on the shelf to take its place") {
		t.Errorf("%+v", p.Missing)
	}
	if err := whole(reflect.ValueOf(p), "plan"); err != nil {
		t.Error(err)
	}
}
