package plan_test

import (
	"math/rand/v2"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// An 8 3/4 sheet scored at 3 and 8 3/8 from one corner: centred it suits a flat
// 5 3/8 square, with the corner at zero the back stays open.
func TestCheckARecipe(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Parts = j.Parts[:1]
	j.Card.Width, j.Card.Height = 5*in, 5*in
	j, problems := plan.Apply(j, shop, []field.Edit{
		{Act: field.Add, Path: "recipe", Text: "pair"},
		{Act: field.Type, Path: "recipe.side1", Text: "8 3/4"}, {Act: field.Type, Path: "recipe.side2", Text: "8 3/4 (222 mm)"},
		{Act: field.Type, Path: "recipe.left", Text: "3"}, {Act: field.Type, Path: "recipe.right", Text: "8 3/8"}, {Act: field.Type, Path: "recipe.top", Text: "3"}, {Act: field.Type, Path: "recipe.bottom", Text: "8 3/8"},
	})
	if len(problems) > 0 || len(plan.Check(j, shop)) > 0 {
		t.Fatalf("%v, %v", problems, plan.Check(j, shop))
	}
	r := plan.Make(j, shop).Recipe
	if len(r.Readings) != 2 || r.Readings[0].Suits || !r.Readings[1].Suits || r.Readings[0].Seams[0] != "−1⁄4" || r.Readings[1].Seams[0] != "1.149 in" || r.Readings[0].Hole == "none" {
		t.Errorf("%+v", r.Readings)
	}
	if !strings.Contains(r.Sentence.Text, "an envelope of 5 3⁄8 × 5 3⁄8 with a seam of 1.149 in") || !strings.Contains(notes(r.Notes), "unless the guide reads −1⁄2 at the sheet's corner") {
		t.Errorf("%s: %s", r.Sentence.Text, notes(r.Notes))
	}
	if !strings.Contains(r.Rescaled, "For your card with a seam of 3⁄4, cut 8 1⁄4 square") {
		t.Errorf("%s", r.Rescaled)
	}
	for _, tt := range []struct{ path, typed, want string }{
		{"recipe.left", "3 (80 mm)", "which is not the same: the second is 3 1⁄8 in"},
		{"recipe.left", "3 (8o mm)", "is not known here"},
	} {
		t.Run(tt.path, func(t *testing.T) {
			if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: tt.path, Text: tt.typed}}); len(problems) != 1 || !strings.Contains(problems[0].Message, tt.want) {
				t.Errorf("%s: %v, want %q", tt.typed, problems, tt.want)
			}
		})
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: "recipe", Text: "moon"}}); len(problems) != 1 || !strings.Contains(problems[0].Message, "choose one") {
		t.Errorf("%v", problems)
	}
	for path, typed := range map[string]string{"recipe.left": "20", "recipe.right": "2"} {
		t.Run(path, func(t *testing.T) {
			got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: path, Text: typed}})
			if r := plan.Make(got, shop).Recipe; len(problems) > 0 || len(r.Readings) != 0 || !strings.Contains(r.Sentence.Text, "makes no envelope") {
				t.Errorf("%s = %s: %v, %s", path, typed, problems, r.Sentence.Text)
			}
		})
	}
	j.Card.Width = 6 * in
	if n := notes(plan.Make(j, shop).Recipe.Notes); !strings.Contains(n, "nearer to their corners") {
		t.Errorf("a card too large: %s", n)
	}
	got, _ := plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: "recipe", Text: "corners"}})
	if got.Recipe.Form != job.CornersRecipe || j.Recipe.Form != job.PairRecipe {
		t.Error("the way of reading does not change, or in the job that was given")
	}
	// 12.374 - 8.375 = 3.999.
	if s := plan.Make(got, shop).Fields["recipe.right"].Text; s != "4" {
		t.Errorf("from its own corner: %s", s)
	}
	got, _ = plan.Apply(got, shop, []field.Edit{{Act: field.Remove, Path: "recipe"}})
	if got.Recipe != nil || plan.Make(got, shop).Recipe != nil {
		t.Error("the note does not end")
	}
	if _, problems := plan.Apply(got, shop, []field.Edit{{Act: field.Type, Path: "recipe.left", Text: "3"}}); len(problems) != 1 {
		t.Errorf("a score of no note: %v", problems)
	}
}

// The note of a pocket is worked backwards too, and says which number to change.
func TestCheckAPocketRecipe(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop()
	j, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: "recipe", Text: "pocket"}})
	r := plan.Make(j, shop).Recipe
	if len(problems) > 0 || len(plan.Check(j, shop)) > 0 || len(r.Readings) != 0 || r.Sentence.Text != "Type what the recipe says: width, length, left tab, flap and back." {
		t.Fatalf("an empty form: %v, %+v, %s", problems, r.Readings, r.Sentence.Text)
	}
	// 6 1/4 x 4 1/2 by the thumb gap: 7 1/2 x 10 3/4, scored 1/2, 1/2, 1 3/4, 4 1/4.
	for path, typed := range map[string]string{"side1": "7 1/2", "side2": "10 3/4", "left": "1/2", "right": "1/2", "top": "1 3/4", "bottom": "4 1/4"} {
		t.Run(path, func(t *testing.T) {
			if j, problems = plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "recipe." + path, Text: typed}}); len(problems) > 0 {
				t.Fatal(problems)
			}
		})
	}
	j.Card.Width, j.Card.Height, j.Parts = 6*in+in/4, 4*in+in/2, j.Parts[:1]
	r = plan.Make(j, shop).Recipe
	if got := r.Readings[0]; got.Inside != "6 1⁄2 × 4 3⁄4" || got.Seams[2] != "1 1⁄4" || got.Hole != "1⁄2 at the throat" || !got.Suits {
		t.Errorf("%+v", got)
	}
	if !strings.Contains(r.Rescaled, "with tabs of 3⁄4, cut ") {
		t.Errorf("%s", r.Rescaled)
	}
	for _, tt := range []struct{ path, typed, want string }{
		{"left", "1/4", "The tabs differ, 1⁄4 and 1⁄2"},
		{"left", "1/4", "A tab of 1⁄4 is narrower than the double-sided tape, 1⁄2"},
		{"right", "1", "too narrow. Set the two tabs' scores together"},
		{"top", "3", "too low. Set the scores of flap and back"},
		{"bottom", "5", "The back is 1 higher than the front"},
		{"top", "3/4", "The closing flap covers"},
		{"left", "7", "The scores of the two tabs cross"},
		{"side2", "6", "The scores of flap and back cross"},
	} {
		t.Run(tt.path, func(t *testing.T) {
			got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "recipe." + tt.path, Text: tt.typed}})
			if n := notes(plan.Make(got, shop).Recipe.Notes); len(problems) > 0 || !strings.Contains(n, tt.want) {
				t.Errorf("%s = %s: %s, want %q", tt.path, tt.typed, n, tt.want)
			}
		})
	}
	back, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: "recipe", Text: "pair"}})
	if len(problems) > 0 || back.Recipe.Form != job.PairRecipe || back.Recipe.Side1 != j.Recipe.Side1 {
		t.Errorf("back to a square: %v, %+v", problems, back.Recipe)
	}
}

// A limit that a note names is held against every rulebook, and a stretched
// outline is told from a solved one.
func TestNotesQuoteLimitsAndStretch(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop()
	j.Mail.Destination = "us-domestic"
	j.Recipe = &job.Recipe{Form: job.PairRecipe, Side1: 155 * in / 16, Left: 51 * in / 16, Right: 21 * in / 2, Top: 67 * in / 16, Bottom: 19 * in / 2}
	for _, tt := range []struct {
		typed string
		of    mail.Measure
		want  string
	}{
		{"6 1/8", "", "the greatest height of a letter, United States, home mail. Check it"},
		{"5 mm", mail.Thickness, "of a letter, United Kingdom, inland mail"},
		{"6", mail.Height, "No rulebook here has 6 in as a limit of height. Where this job goes, the greatest height of a letter, United States, home mail is 6 1⁄8 in."},
	} {
		t.Run(tt.typed, func(t *testing.T) {
			got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "recipe.quoted", Text: tt.typed}})
			got.Recipe.QuotedOf = tt.of
			if n := notes(plan.Make(got, shop).Recipe.Notes); len(problems) > 0 || !strings.Contains(n, tt.want) {
				t.Errorf("%s: %s", tt.typed, n)
			}
		})
	}
	j.Recipe.QuotedOf = "smell"
	if list := plan.Check(j, shop); len(list) != 1 || list[0].Path != "recipe.quotedOf" {
		t.Errorf("a limit of smell: %v", list)
	}
	j.Recipe.QuotedOf = ""
	if n := notes(plan.Make(j, shop).Recipe.Notes); strings.Contains(n, "Enlarged") {
		t.Errorf("a note that suits is stretched: %s", n)
	}
	j.Card.Width += in
	if n := notes(plan.Make(j, shop).Recipe.Notes); !strings.Contains(n, "Enlarged to 11") || !strings.Contains(n, "Take these sizes instead") {
		t.Errorf("%s", n)
	}
}

// A recipe is followed with one act: the envelope is then what it was told to be
// for this card, of a square and of a pocket.
func TestFollowARecipe(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "recipe"}}); len(problems) != 1 || !strings.Contains(problems[0].Message, "type one first") {
		t.Errorf("without a recipe: %v", problems)
	}
	j.Envelope.Construction, j.Envelope.Double = blank.TuckID, true
	for _, tt := range []struct {
		recipe job.Recipe
		want   blank.ID
	}{
		{job.Recipe{Form: job.PairRecipe, Side1: 35 * in / 4, Side2: 35 * in / 4, Left: 3 * in, Right: 67 * in / 8, Top: 3 * in, Bottom: 67 * in / 8}, blank.DiamondID},
		{job.Recipe{Form: job.PocketRecipe, Side1: 8 * in, Side2: 12 * in, Left: 5 * in / 8, Right: 5 * in / 8, Top: 2 * in, Bottom: 4 * in}, blank.PocketID},
	} {
		j.Recipe = &tt.recipe
		told := plan.Make(j, shop).Recipe.Rescaled
		got := acted(t, j, shop, field.Edit{Act: field.Take, Path: "recipe"})
		b := plan.Make(got, shop).Envelope.Blank
		if got.Envelope.Construction != tt.want {
			t.Errorf("it is made as %s", got.Envelope.Construction)
		}
		// Sheet and scores stand in the sentence as they stood in what was told.
		for _, span := range b.Sentence.Spans {
			if span.Mark && !strings.Contains(told, span.Text) {
				t.Errorf("the envelope says %s, told was %s", span.Text, told)
			}
		}
	}
}

// A note so far off that a flap is missing is drawn as far as it goes.
func TestEveryRecipeIsDrawn(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(91, 92))
	j, shop := demo.Jobs()[0], demo.Shop()
	drawn := 0
	for range 1500 {
		side := func() measure.Length { return measure.Length(16+r.IntN(200)) * in / 16 }
		j.Recipe = &job.Recipe{Form: anyjob.Pick(r, job.PairRecipe, job.CornersRecipe), Side1: side(), Side2: side(), Left: side() / 3, Right: side(), Top: side() / 3, Bottom: side()}
		if len(plan.Check(j, shop)) > 0 || r.IntN(10) > 0 {
			continue
		}
		for _, reading := range plan.Make(j, shop).Recipe.Readings {
			drawn++
			if n := reading.Net; len(n.Outline) < 3 || n.CutAway == nil || n.Glue == nil {
				t.Errorf("%+v: an outline of %d corners, %v, %v", *j.Recipe, len(n.Outline), n.CutAway, n.Glue)
			}
		}
	}
	if drawn < 60 {
		t.Errorf("only %d were drawn", drawn)
	}
}
