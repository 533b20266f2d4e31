package page_test

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/page"
	"yellowparcel/demo"
)

// of is all that a step says.
func of(s page.BenchStep) string { return s.Says.Text + " " + strings.Join(s.How, " ") }

// at is the place of the first step of an act that is done to a piece, and -1 where there is none.
func at(p page.Worksheet, act worksheet.Act, part string) int {
	return slices.IndexFunc(p.Steps, func(s page.BenchStep) bool { return s.Act == act && strings.Contains(s.Piece+" "+s.Says.Text, part) })
}

// The flap that closes is glued when the card is in and in no step before, in every construction, and
// with what the job closes it with; a box is filled before its lid is folded down.
func TestNothingIsSealedEmpty(t *testing.T) {
	t.Parallel()
	want := map[blank.ID][2]string{ // what is glued before, and what closes
		blank.DiamondID: {"Glue the bottom onto the 2 sides.", "Glue the closing flap onto the 2 sides and the bottom."},
		blank.PocketID:  {"Glue the 2 tabs onto the back.", "Glue the closing flap onto the back."},
		blank.GussetID:  {"Glue the 2 tabs onto the back.", "Glue the closing flap onto the back."},
		blank.BoxID:     {"Glue the 4 corner squares onto the 4 walls.", "fold the 4 flaps down and stick them"},
		blank.TuckID:    {"Glue the 4 tabs onto the 2 walls.", ""},
	}
	for _, j := range []job.Job{demo.Jobs()[0], demo.Jobs()[5], noted()} {
		for _, k := range blank.Constructions() {
			if j.Envelope.Construction == blank.NotedID && k.ID != blank.NotedID {
				continue
			}
			shop := demo.Shop()
			j.Envelope.Construction = k.ID
			if k.ID == blank.NotedID && j.Recipe == nil || len(plan.Check(j, shop)) > 0 {
				continue
			}
			p := page.Of(plan.TableOf(j, shop))
			made, filled, sealed := at(p, worksheet.Glue, "seams"), at(p, worksheet.Fill, ""), at(p, worksheet.Seal, "")
			if filled < 0 || sealed < filled || made > filled || made < 0 && !k.Whole {
				t.Fatalf("%s, %s: made up in step %d, filled in %d, closed in %d", j.Name, k.ID, made, filled, sealed)
			}
			says, closes := want[k.ID], of(p.Steps[sealed])
			if made >= 0 && (says[0] != "" && !strings.Contains(of(p.Steps[made]), says[0]) || strings.Contains(of(p.Steps[made]), "Glue the closing flap")) {
				t.Errorf("%s, %s is made up so: %s", j.Name, k.ID, of(p.Steps[made]))
			}
			if !strings.Contains(closes, says[1]) || !strings.Contains(closes, "Close ") {
				t.Errorf("%s, %s is closed so: %s", j.Name, k.ID, closes)
			}
			if tried := at(p, worksheet.Try, "finished card"); tried < 0 || made >= 0 && tried > made || k.Bought != (at(p, worksheet.Fold, "Envelope") < 0) {
				t.Errorf("%s, %s: tried in step %d", j.Name, k.ID, tried)
			}
		}
	}
}

// noted is a job whose envelope is a recipe as it stands.
func noted() job.Job {
	j := demo.Jobs()[0]
	j.Name, j.Card.Width, j.Card.Height, j.Card.Fold, j.Parts = "Recipe", 6*in+3*in/8, 4*in+3*in/4, card.TopFold, j.Parts[:1]
	j.Recipe = &job.Recipe{Form: job.EndRecipe, Side1: 8*in + in/2, Side2: 12 * in, Left: in, Top: 2*in + 3*in/8, Bottom: 7*in + in/4, ClaimWidth: j.Card.Width, ClaimHeight: j.Card.Height}
	j.Envelope.Construction = blank.NotedID
	return j
}

// Every closure says what is done with it; what is mailed is stuck down too, but for a strip of tape
// that holds all of the edge; by hand the closure alone will do.
func TestEveryClosureIsSaid(t *testing.T) {
	t.Parallel()
	for _, c := range paper.Closures() {
		if c.Bare {
			continue
		}
		for _, hand := range []bool{false, true} {
			j := demo.Jobs()[0]
			j.Mail.Closure = c.ID
			if hand {
				j.Mail.Destination = job.ByHand
			}
			p := page.Of(plan.TableOf(j, demo.Shop()))
			text := of(p.Steps[at(p, worksheet.Seal, "")])
			stuck := c.Flap || !hand && !c.Alone
			if c.Close == "" != c.Flap || !strings.Contains(text, c.Close) || stuck != strings.Contains(text, "stick it with double-sided tape") {
				t.Errorf("%s, by hand %v: %s", c.Name, hand, text)
			}
		}
	}
}

// What is glued is told as it is done: foam under what stands on it, a liner inside the card, the
// envelope's in the envelope; and no two sheets of a worksheet have one name.
func TestGluedAsItIsDone(t *testing.T) {
	t.Parallel()
	shop, raised := demo.Shop(), demo.Jobs()[2]
	p := page.Of(plan.TableOf(raised, shop))
	if s := p.Steps[at(p, worksheet.Glue, "Star panel")]; !strings.Contains(s.Says.Text, "Put foam of 1⁄8 in under all 8") || strings.Contains(s.Says.Text, "Glue") {
		t.Errorf("a layer on foam: %s", of(s))
	}
	lined := demo.Jobs()[1]
	lined.Parts = append(slices.Clone(lined.Parts), job.Part{ID: "inside", Name: "Writing sheet", Kind: job.LinerPart, Stock: "copy-80", Border: in / 8})
	lined.Envelope.Liner = "pattern-130"
	p = page.Of(plan.TableOf(lined, shop))
	if text := of(p.Steps[at(p, worksheet.Glue, "Writing sheet")]); !strings.Contains(text, "inside “Card base”") || !strings.Contains(text, "Open the card") || strings.Contains(text, "back") {
		t.Errorf("a liner of the card: %s", text)
	}
	if text := of(p.Steps[at(p, worksheet.Glue, "liner")]); !strings.Contains(text, "inside “Envelope blank”") || !strings.Contains(text, "over the front and the closing flap") {
		t.Errorf("a liner of the envelope: %s", text)
	}
	for _, j := range demo.Jobs() {
		names := map[string]bool{}
		for _, s := range page.Of(plan.TableOf(j, shop)).Steps {
			_, name, named := strings.Cut(s.Says.Text, "This is ")
			if s.Act == worksheet.Take && named && names[name] {
				t.Errorf("%s: two sheets are called so: %s", j.Name, s.Says.Text)
			}
			names[name] = true
		}
	}
}

// Where no sheet gives the base, paper is got for it, and everything else is done as ever.
func TestNoSheetForTheBase(t *testing.T) {
	t.Parallel()
	j := demo.Jobs()[0]
	j.Card.Width, j.Card.Height = 6*in+3*in/8, 4*in+3*in/4 // 12 3/4 wide, from sheets of 12
	table := plan.TableOf(j, demo.Shop())
	p := page.Of(table)
	if w := worksheet.Write(table); !slices.Equal(w.Missing, []string{"base"}) {
		t.Fatalf("missing: %v", w.Missing)
	}
	got := at(p, worksheet.Take, "“Card base”")
	if got < 0 || !strings.Contains(of(p.Steps[got]), "Get 12 of “Card base”, cut to 12 3⁄4 × 4 3⁄4 in. Pencil a small T") || !strings.Contains(of(p.Steps[got]), "No sheet on your shelf gives it.") {
		t.Fatalf("step %d: %+v", got, p.Steps)
	}
	for _, act := range []worksheet.Act{worksheet.Try, worksheet.Fold, worksheet.Glue, worksheet.Address, worksheet.Fill, worksheet.Seal} {
		if at(p, act, "") < got {
			t.Errorf("nothing is told of %s", act)
		}
	}
}

// A gauge is cut only where the class that the piece goes by has such a limit; its slot stands in numbers that
// can be set.
func TestGaugeOnlyWhereItDecides(t *testing.T) {
	t.Parallel()
	j, shop := demo.Jobs()[2], demo.Shop()
	p := page.Of(plan.TableOf(j, shop))
	cut := at(p, worksheet.CutOut, "gauge")
	if cut < 0 || strings.ContainsAny(of(p.Steps[cut]), ".≈") && strings.Contains(of(p.Steps[cut]), " mm") {
		t.Errorf("the slot of a card that goes as a letter: %d", cut)
	}
	thick := 22 * measure.Millimetre
	j.Card.Thickness, j.Envelope.Construction = &thick, blank.BoxID
	if p = page.Of(plan.TableOf(j, shop)); at(p, worksheet.CutOut, "gauge") >= 0 || at(p, worksheet.Try, "gauge") >= 0 {
		t.Errorf("a box of 22 mm is slid through a slot")
	}
	for _, unit := range []measure.Unit{measure.Inches, measure.Millimetres} {
		shop.Unit = unit
		for _, j := range demo.Jobs() {
			table := plan.TableOf(j, shop)
			for i, s := range worksheet.Write(table).Steps {
				if s.Piece != plan.GaugePiece || s.Act != worksheet.CutOut {
					continue
				}
				for _, m := range s.Lines[0] {
					if m.In[0]%shop.Style().Tick != 0 || m.In[1]%shop.Style().Tick != 0 {
						t.Errorf("%s, step %d: %v cannot be set", j.Name, i+1, *m.In)
					}
				}
			}
		}
	}
}

// What a recipe measures from the flap's end is told from there, and what it gives from an edge from that: of the recipe
// as it stands, on the drawing, at the bench, and made for another card.
func TestRecipeIsToldAsItIsMeasured(t *testing.T) {
	t.Parallel()
	j, shop := noted(), demo.Shop()
	table := plan.TableOf(j, shop)
	blankPlan := table.Plan.Envelope.Blank
	text := blankPlan.Sentence.Text + " " + strings.Join(blankPlan.Ways[0].Steps, " ")
	if !strings.Contains(text, "2 3⁄8 and 7 1⁄4 from the flap's end") || strings.Contains(text, "4 3⁄4") {
		t.Errorf("as it stands: %s", text)
	}
	for _, s := range blankPlan.Ways[0].Settings {
		if s.From == "from the bottom" {
			t.Errorf("%s %s %s", s.Label, s.At.Text, s.From)
		}
	}
	bench := ""
	for _, s := range page.Of(table).Steps {
		if s.Act == worksheet.Score && s.Piece == "“Envelope blank”" {
			bench += of(s)
		}
	}
	if !strings.Contains(bench, "at 7 1⁄4") || strings.Contains(bench, "bottom edge") {
		t.Errorf("at the bench: %s", bench)
	}
	square := job.Recipe{Side1: 9 * in, Left: 3 * in, Top: 4 * in}
	pair := job.Recipe{Side1: 9 * in, Left: 3 * in, Right: 9 * in, Top: 4 * in, Bottom: 8 * in}
	edges := *j.Recipe
	edges.Bottom = 4*in + 3*in/4
	for _, tt := range []struct {
		form job.RecipeForm
		note job.Recipe
		want string
	}{ // 4 15/16 from one end of 12 is 7 1/16 from the other
		{job.EndRecipe, *j.Recipe, "from the flap's end at 2 and 7 1⁄16."}, {job.PocketRecipe, edges, "2 from the flap's end and 4 15⁄16 from the other."},
		{job.CornersRecipe, square, "Score from the side corners at "}, {job.PairRecipe, pair, "Turn a quarter and score at "},
	} {
		note := tt.note
		note.Form = tt.form
		j.Recipe = &note
		got, _ := plan.MakeFor(t.Context(), j, shop, "envelope/recipe")
		if got.Recipe == nil || !strings.Contains(got.Recipe.Rescaled, tt.want) {
			t.Errorf("%s: %q", tt.form, got.Recipe.Rescaled)
		}
	}
	// A bought envelope that is used as sold is scored by nobody.
	thick := 5 * measure.Millimetre
	j = demo.Jobs()[0]
	j.Card.Thickness, j.Envelope.Construction = &thick, blank.BoughtID
	if text := fmt.Sprint(plan.Make(j, shop).Envelope.Blank.Notes); strings.Contains(text, "score every crease") {
		t.Error(text)
	}
}
