package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// An 8 3/4 sheet scored at 3 and 8 3/8 from one corner: centred it suits a flat
// 5 3/8 square, with the corner at zero the back stays open.
func TestCheckARecipe(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Parts = j.Parts[:1]
	j.Card.Width, j.Card.Height = 5*in, 5*in
	j, problems := plan.Apply(j, shop, []plan.Edit{
		{Path: "recipe.scores", Text: text("pair")},
		{Path: "recipe.side1", Text: text("8 3/4")}, {Path: "recipe.side2", Text: text("8 3/4 (222 mm)")},
		{Path: "recipe.left", Text: text("3")}, {Path: "recipe.right", Text: text("8 3/8")}, {Path: "recipe.top", Text: text("3")}, {Path: "recipe.bottom", Text: text("8 3/8")},
	})
	if len(problems) > 0 || len(j.Check(shop)) > 0 {
		t.Fatalf("%v, %v", problems, j.Check(shop))
	}
	r := plan.Make(j, shop).Recipe
	if len(r.Readings) != 2 || r.Readings[0].Suits || !r.Readings[1].Suits || r.Readings[0].Seams[0] != "≈ −1⁄4" || r.Readings[1].Seams[0] != "≈ 1 1⁄8" || r.Readings[0].Hole == "none" {
		t.Errorf("%+v", r.Readings)
	}
	if !strings.Contains(r.Sentence.Text, "an envelope of 5 3⁄8 × 5 3⁄8 with a seam of ≈ 1 1⁄8") || !strings.Contains(notes(r.Notes), "if the guide reads ≈ −1⁄2 at the sheet's corner") {
		t.Errorf("%s: %s", r.Sentence.Text, notes(r.Notes))
	}
	if !strings.Contains(r.Rescaled, "For your card with a seam of ≈ 1 1⁄8: cut ") {
		t.Errorf("%s", r.Rescaled)
	}
	for _, tt := range []struct{ path, typed, want string }{
		{"recipe.left", "3 (80 mm)", "which is not the same: the second is ≈ 3 1⁄8 in"},
		{"recipe.left", "3 (8o mm)", "is not known here"},
		{"recipe.scores", "moon", "choose one"},
	} {
		if _, problems := plan.Apply(j, shop, []plan.Edit{{Path: tt.path, Text: &tt.typed}}); len(problems) != 1 || !strings.Contains(problems[0].Message, tt.want) {
			t.Errorf("%s: %v, want %q", tt.typed, problems, tt.want)
		}
	}
	for path, typed := range map[string]string{"recipe.left": "20", "recipe.right": "2"} {
		got, problems := plan.Apply(j, shop, []plan.Edit{{Path: path, Text: &typed}})
		if r := plan.Make(got, shop).Recipe; len(problems) > 0 || len(r.Readings) != 0 || !strings.Contains(r.Sentence.Text, "makes no envelope") {
			t.Errorf("%s = %s: %v, %s", path, typed, problems, r.Sentence.Text)
		}
	}
	j.Card.Width = 6 * in
	if n := notes(plan.Make(j, shop).Recipe.Notes); !strings.Contains(n, "nearer to their corners") {
		t.Errorf("a card too large: %s", n)
	}
	got, _ := plan.Apply(j, shop, []plan.Edit{{Path: "recipe.scores", Text: text("corners")}})
	if got.Recipe.Paired || j.Recipe.Paired == got.Recipe.Paired {
		t.Error("the way of reading does not change, or in the job that was given")
	}
	// 12.374 - 8.375 = 3.999.
	if s := plan.Make(got, shop).Fields["recipe.right"].Text; s != "≈ 4" {
		t.Errorf("from its own corner: %s", s)
	}
	got, _ = plan.Apply(got, shop, []plan.Edit{{Path: "recipe.scores", Text: text("")}})
	if got.Recipe != nil || plan.Make(got, shop).Recipe != nil {
		t.Error("the note does not end")
	}
	if _, problems := plan.Apply(got, shop, []plan.Edit{{Path: "recipe.left", Text: text("3")}}); len(problems) != 1 {
		t.Errorf("a score of no note: %v", problems)
	}
}
