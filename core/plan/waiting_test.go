package plan_test

import (
	"encoding/json"
	"math/rand/v2"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// Any job whose card is taken away is a job: every drawer asks for it, no number is told that would follow
// from a size, and files, prints, the list and the line take it.
func TestJobsWithoutACard(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(61, 62))
	made := 0
	for made < 240 {
		shop := anyjob.Shop(r)
		j := anyjob.Job(r, shop)
		switch r.IntN(4) {
		case 0:
			j.Start, j.Recipe = nil, nil
		case 1:
			j.Card.Width = 0 // the other half is typed already
		}
		if j.Card.Height = 0; j.Card.Width > 0 && r.IntN(2) > 0 {
			j.Card.Width = 0
		}
		if len(plan.Check(j, shop)) > 0 {
			continue
		}
		made++
		var kept struct{ Card map[string]any }
		if raw, err := json.Marshal(j); err != nil || json.Unmarshal(raw, &kept) != nil || kept.Card["height"] != nil || (kept.Card["width"] != nil) != (j.Card.Width > 0) {
			t.Fatalf("it is kept as %v: %v", kept.Card, err)
		}
		station := job.Stations()[made%6]
		drawer := station.Drawers[made/6%len(station.Drawers)]
		p, err := plan.MakeFor(t.Context(), j, shop, plan.Open(station.ID+"/"+drawer.ID))
		if err != nil || p.Waits == nil || p.Waits.Sentence.Text == "" || p.Waits.Text == "" || len(p.Waits.Acts) == 0 {
			t.Fatalf("%s/%s says %+v: %v", station.ID, drawer.ID, p.Waits, err)
		}
		for _, l := range p.Ticket {
			if l.Value != "–" || l.Tone != "fine" {
				t.Errorf("the ticket tells %+v", l)
			}
		}
		told, _ := json.Marshal(p)
		for _, slip := range []string{"%!", "NaN", ":null", "<nil>", "“”"} {
			if at := strings.Index(string(told), slip); at >= 0 {
				t.Errorf("the plan says %q: …%s…", slip, told[max(0, at-80):min(len(told), at+60)])
			}
		}
		// Each act that gives the card gives one, and does what it says.
		for _, a := range p.Waits.Acts {
			if a.To != "" {
				continue
			}
			got, problems := plan.Apply(j, shop, a.Edits)
			if len(problems) == 0 && (!got.Card.Sized() || !strings.HasSuffix(a.Label, measure.Style{Unit: shop.Unit, Tick: shop.Style().Tick}.Show(got.Card.Width)+" × "+shop.Style().Show(got.Card.Height))) {
				t.Errorf("%q gives a card of %v × %v", a.Label, got.Card.Width, got.Card.Height)
			}
		}
		if l := plan.Line(j, shop); l.Mail != "No card yet" || !strings.HasSuffix(l.Problem, "o card yet.") || l.Door != p.Waits.Door || l.Tone != "fine" {
			t.Errorf("the list says %+v", l)
		}
		table := plan.TableOf(j, shop)
		if print := plan.PrintJob(table); len(table.Pieces) > 0 || len(print.Blocks) == 0 {
			t.Errorf("it has %d pieces", len(table.Pieces))
		}
		for _, id := range plan.Lists() {
			if l, ok := plan.ListOf(j, shop, id); !ok || len(l.Rows) > 0 {
				t.Errorf("the list of %s has %d rows", id, len(l.Rows))
			}
		}
		if _, ok := plan.PieceOf(j, shop, "base"); ok {
			t.Error("it has a base")
		}
		for _, said := range []string{"12 cards", "5 x 7", "3 layers", "to the UK"} {
			s := plan.Say(said, j, shop, true)
			got, _ := plan.Apply(j, shop, s.Edits)
			if said == "12 cards" && (got.Count != 12 || got.Card.Sized()) {
				t.Errorf("%s: %d cards, a size is there: %v", said, got.Count, got.Card.Sized())
			}
		}
		_ = plan.ChangesSaid(&j, j, shop)
	}
}

// What a maker came with is told and asked about; the card that is offered first is one act away, and what
// was typed on the way is kept.
func TestDoors(t *testing.T) {
	shop := demo.Shop()
	type asked struct{ text, sentence, door, act, card string }
	add := func(path, text string) []field.Edit { return []field.Edit{{Act: field.Add, Path: path, Text: text}} }
	for name, d := range map[string]struct {
		edits []field.Edit
		want  asked
	}{
		"card":     {nil, asked{"", "How large is your card?", "card/base", "Make 7 × 5", "7 × 5"}},
		"envelope": {add("start", "a6"), asked{"", "Which card? These go into your A6.", "card/from-envelope", "Make 6 1⁄4 × 4 1⁄2", "6 1⁄4 × 4 1⁄2"}},
		"measured": {append(add("start", "own"), field.Edit{Act: field.Type, Path: "start.width", Text: "6"}, field.Edit{Act: field.Type, Path: "start.height", Text: "4 1/2"}), asked{"", "Which card? These go into your envelope of 6 × 4 1⁄2.", "card/from-envelope", "Make 5 3⁄4 × 4 1⁄4", "5 3⁄4 × 4 1⁄4"}},
		"sheet":    {[]field.Edit{{Act: field.Set, Path: "paper.have", Text: "letter"}}, asked{"", "Which card? Letter gives these.", "card/from-paper", "Make 5 1⁄2 × 4 1⁄4", "5 1⁄2 × 4 1⁄4"}},
		"recipe":   {add("recipe.text", "for a 5 x 7 card cut 8 3/4 square, score at 3 and 8 3/8"), asked{"", "Which card? The recipe is for one of 5 × 7.", "envelope/recipe", "Make 5 × 7", "5 × 7"}},
	} {
		t.Run(name, func(t *testing.T) {
			j, problems := plan.Apply(job.Begun(shop), shop, d.edits)
			if len(problems) > 0 || j.Card.Sized() {
				t.Fatalf("%v, a card of %v", problems, j.Card.Width)
			}
			p := plan.Make(j, shop)
			got := asked{"", p.Waits.Sentence.Text, p.Waits.Door, p.Waits.Acts[0].Label, ""}
			taken, problems := plan.Apply(j, shop, p.Waits.Acts[0].Edits)
			if len(problems) > 0 {
				t.Fatal(problems)
			}
			got.card = shop.Style().Show(taken.Card.Width) + " × " + shop.Style().Show(taken.Card.Height)
			if got != d.want {
				t.Errorf("%+v\nwant %+v", got, d.want)
			}
			if q := plan.Make(taken, shop); q.Waits != nil || q.Ticket[0].Value != got.card {
				t.Errorf("taken, it still waits, or its ticket says %s", q.Ticket[0].Value)
			}
		})
	}
	// Typed one after the other, the first is kept and the other is asked for.
	j, _ := plan.Apply(job.Begun(shop), shop, []field.Edit{{Act: field.Type, Path: "card.width", Text: "6"}})
	if p := plan.Make(j, shop); p.Waits == nil || p.Fields["card.width"].Text != "6" || p.Fields["card.height"].Text != "" || p.Waits.Acts[0].Label != "Make 6 × 5" {
		t.Errorf("%+v %q", p.Waits, p.Fields["card.height"].Text)
	}
	if j, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.height", Text: "0"}}); len(problems) != 1 || j.Card.Height != 0 {
		t.Errorf("no height at all is taken: %v", problems)
	}
	j, _ = plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.height", Text: "4"}})
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.height", Text: ""}}); plan.Make(j, shop).Waits != nil || len(problems) != 1 {
		t.Error("a card that has a size loses it")
	}
	// What goes by the card is not taken before there is one.
	for _, e := range []field.Edit{{Act: field.Take, Path: "card", Text: "turn"}, {Act: field.Take, Path: "envelope", Text: "pocket"}, {Act: field.Take, Path: "recipe"}} {
		if got, problems := plan.Apply(job.Begun(shop), shop, []field.Edit{e}); len(problems) != 1 || got.Card.Sized() {
			t.Errorf("%s is taken: %v", e.Path, problems)
		}
	}
}

// A recipe offers the card that it names where the job's is another one; one that names none offers the largest that it
// takes, while there is no card.
func TestTheCardOfARecipe(t *testing.T) {
	shop := demo.Shop()
	paste := func(j job.Job, text string) plan.Plan {
		j, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: "recipe.text", Text: text}})
		if len(problems) > 0 {
			t.Fatal(problems)
		}
		return plan.Make(j, shop)
	}
	const named, bare = "for a 5 x 7 card cut 8 3/4 square, score at 3 and 8 3/8", "cut 8 3/4 square, score at 3 1/8 and 8 3/4"
	if p := paste(job.Begun(shop), named); p.Recipe.Card != "5 × 7" || !strings.Contains(p.Recipe.Sentence.Text, "The card that it names") || p.Recipe.Rescaled != "" {
		t.Errorf("%+v", p.Recipe)
	}
	if p := paste(demo.Jobs()[0], named); p.Recipe.Card != "5 × 7" {
		t.Errorf("beside another card: %q", p.Recipe.Card)
	}
	if p := paste(demo.Jobs()[0], bare); p.Recipe.Card != "" || p.Recipe.Rescaled == "" {
		t.Errorf("a recipe for no card, beside a card: %q", p.Recipe.Card)
	}
	p := paste(job.Begun(shop), bare)
	for _, r := range p.Recipe.Readings {
		if r.Ease != "" || strings.Contains(r.Said, "card") {
			t.Errorf("of no card is told: %+v", r)
		}
	}
	// Creases 5 5/8 apart by both pairs, less twice .1 mm, a base of .68 mm and an ease of 1/4: 5.34, down to 5 5/16.
	if p.Recipe.Card != "5 5⁄16 × 5 5⁄16" || p.Waits.Acts[0].Label != "Make 5 5⁄16 × 5 5⁄16" {
		t.Errorf("it leaves room for %q, %+v", p.Recipe.Card, p.Waits.Acts)
	}
}

// A card whose size is given, and no fold, is folded so that a sheet of the shelf gives it; a fold that is said stays.
func TestTheFoldThatASheetGives(t *testing.T) {
	shop := demo.Shop()
	typed := func(j job.Job, w, h string) job.Job {
		j, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.width", Text: w}, {Act: field.Type, Path: "card.height", Text: h}})
		if len(problems) > 0 {
			t.Fatal(problems)
		}
		return j
	}
	// 5 × 12: 5 × 24 is on no sheet, 10 × 12 is. 7 × 5 folds at the top; 20 × 20 is on none.
	for size, want := range map[[2]string]string{{"5", "12"}: "side", {"7", "5"}: "top", {"20", "20"}: "top"} {
		if got := typed(job.Begun(shop), size[0], size[1]).Card.Fold; string(got) != want {
			t.Errorf("%v is folded %s, want %s", size, got, want)
		}
	}
	j, problems := plan.Begin("5 x 12 top fold", shop)
	if len(problems) > 0 || j.Card.Fold != "top" {
		t.Errorf("said at the top, it is folded %s: %v", j.Card.Fold, problems)
	}
	shop.Usual.Fold = "top"
	if got := typed(job.Begun(shop), "5", "12").Card.Fold; got != "top" {
		t.Errorf("the usual fold is left for %s", got)
	}
}
