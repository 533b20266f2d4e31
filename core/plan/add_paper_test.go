package plan_test

import (
	"math"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// A layer put on a card with gems and ribbon lies on its papers and under its
// things; nothing of the card is lost, and the papers are never things.
func TestLayersOfACardWithThings(t *testing.T) {
	j, shop := demo.Jobs()[5], demo.Shop()
	p := plan.Make(j, shop).Layers
	if len(p.Order) != 3 || p.Order[0] != 2 || p.Order[2] != 0 || len(p.Things) != 5 || len(p.Rows) != 3 {
		t.Errorf("papers %v, %d things", p.Order, len(p.Things))
	}
	for _, kind := range []string{"layer", "liner"} {
		got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: "parts", Text: kind}})
		if len(problems) > 0 || len(got.Parts) != len(j.Parts)+1 || len(plan.Check(got, shop)) > 0 {
			t.Fatalf("%s: %v", kind, problems)
		}
		for _, at := range plan.Make(got, shop).Layers.Order {
			if got.Parts[at].Kind == job.ThingPart {
				t.Errorf("%s stands among the papers", got.Parts[at].Name)
			}
		}
		if kind == "layer" && (got.Parts[3].Name != "Layer 3" || got.Parts[3].Stock != "cover-100" || got.Parts[4].ID != "ribbon") {
			t.Errorf("the layer lies at %+v", got.Parts[3:5])
		}
		// Its border is a field.
		border, at := "1/4", "parts.3.border"
		if kind == "liner" {
			at = "parts.8.border"
		}
		if _, problems := plan.Apply(got, shop, []field.Edit{{Act: field.Type, Path: at, Text: border}}); len(problems) > 0 {
			t.Errorf("%s: %v", at, problems)
		}
	}
	for len(j.Parts) < 60 {
		layer := "liner"
		j, _ = plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: "parts", Text: layer}})
	}
	layer := "layer"
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: "parts", Text: layer}}); len(problems) != 1 || !strings.Contains(problems[0].Message, "60 parts") || !plan.Make(j, shop).Adds[0].Full {
		t.Errorf("the sixty-first part: %v", problems)
	}
	if _, problems := plan.Apply(demo.Jobs()[0], shop, []field.Edit{{Act: field.Add, Path: "parts", Text: j.Name}}); len(problems) != 1 {
		t.Error("something else is added")
	}
}

// The parts of the Card station say which part each is, so that a ribbon is never
// taken for a paper.
func TestPartsSayWhichTheyAre(t *testing.T) {
	for _, j := range demo.Jobs() {
		for _, p := range plan.Make(j, demo.Shop()).Card.Parts {
			if part := j.Parts[p.Part]; part.ID != p.ID || p.Thing != (part.Thing != nil) {
				t.Errorf("%s: part %d is said to be %s", j.Name, p.Part, p.ID)
			}
		}
	}
}

// What sticks out is in every drawing of the card: its box is as large as the
// envelope is sized for, and starts as far left and above as it reaches.
func TestOuterSizeIsDrawn(t *testing.T) {
	j, shop := demo.Jobs()[5], demo.Shop()
	for i := range j.Parts {
		if j.Parts[i].ID == "knot" {
			j.Parts[i].Thing.X, j.Parts[i].Thing.Y = -in/2, j.Card.Height-in/4
		}
	}
	knot := j.Parts[4].Thing
	r := plan.Make(j, shop).Card.Room
	if r.Left != in/2 || r.Above != 0 || r.OuterSize.Width != j.Card.Width+in/2 || r.OuterSize.Height != j.Card.Height-in/4+knot.Height {
		t.Errorf("%+v", r)
	}
	j.Card.OverWidth = 2 * in // more than the knot: the rest to both sides
	if r = plan.Make(j, shop).Card.Room; r.Left != in/2+3*in/4 || r.OuterSize.Width != j.Card.Width+2*in {
		t.Errorf("%+v", r)
	}
	if left := r.Section[0].X; math.Abs(left) > 1e-9 {
		t.Errorf("the section's base begins at %g", left)
	}
}

// A number that is typed faster than it is answered keeps no error of its first
// half, whichever way it ends.
func TestTypedFasterThanAnswered(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	typed := func(texts ...string) (job.Job, []field.Problem) {
		var edits []field.Edit
		for i := range texts {
			edits = append(edits, field.Edit{Act: field.Type, Path: "card.width", Text: texts[i]}, field.Edit{Act: field.Step, Path: "count", Steps: 1})
		}
		return plan.Apply(j, shop, edits)
	}
	if got, problems := typed("1", "10", "10 ", "10 1", "10 1/", "10 1/2"); len(problems) > 0 || got.Card.Width != 10*in+in/2 {
		t.Errorf("%v, %v", got.Card.Width, problems)
	}
	if _, problems := typed("10 1/2", "10 1/", "x", "moon"); len(problems) != 1 || !strings.Contains(problems[0].Message, "moon") {
		t.Errorf("%v", problems)
	}
}
