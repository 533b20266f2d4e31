package plan_test

import (
	"encoding/json"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/soak"
)

// Of a card that is finished, and of what is left out by choice, nothing stands in any order, cut, list, piece,
// mat or count: 500 random jobs, a tenth of them in make test.
func TestNothingOfAFinishedCardIsMade(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(71, 72))
	for made := 0; made < soak.Of(500); {
		shop := anyjob.Shop(r)
		j := anyjob.Job(r, shop)
		only := ""
		if j.Card.Made = r.IntN(2) > 0; !j.Card.Made {
			j.Paper.Only = job.Onlys()[r.IntN(3)]
			only = string(j.Paper.Only)
		}
		if len(plan.Check(j, shop)) > 0 {
			continue
		}
		made++
		table := plan.TableOf(j, shop)
		may := func(id string) bool {
			switch {
			case id == plan.BlankPiece || id == plan.LinerPiece:
				return only == "" || only == "envelope"
			case id == j.Parts[0].ID || id == "outline":
				return only == "base"
			case id == plan.GaugePiece:
				return true
			}
			return only == "layers"
		}
		for _, x := range table.Pieces {
			if !may(x.ID) {
				t.Errorf("made %v, only %q: the piece %s is cut", j.Card.Made, only, x.ID)
			}
		}
		for _, s := range table.Plan.Paper.Stocks {
			for _, x := range s.Pieces {
				if !may(x.ID) && x.ID != "" {
					t.Errorf("made %v, only %q: %s is ordered", j.Card.Made, only, x.Name)
				}
			}
		}
		for _, m := range table.Mats {
			for _, d := range m.Drawn {
				for _, s := range d.Shapes {
					if part := slices.IndexFunc(j.Parts, func(p job.Part) bool { return p.Name == s.Part || p.ID == s.Part }); part >= 0 && !may(j.Parts[part].ID) {
						t.Errorf("made %v, only %q: %s lies on a mat", j.Card.Made, only, s.Part)
					}
				}
			}
		}
		for _, id := range plan.Lists() {
			l, _ := plan.ListOf(j, shop, id)
			for _, row := range l.Rows {
				for _, p := range j.Parts {
					if p.Thing == nil && slices.Contains(row, p.Name) && !may(p.ID) {
						t.Errorf("made %v, only %q: the list %s has %s", j.Card.Made, only, id, p.Name)
					}
				}
			}
		}
		if raw, _ := json.Marshal(table.Plan); strings.Contains(string(raw), ":null") {
			t.Errorf("a list of it is none")
		}
	}
}

// A finished card is measured: its size, its thickness, its weight if wanted. Only its envelope follows.
func TestFinishedCard(t *testing.T) {
	shop := demo.Shop()
	typed := func(path, text string) field.Edit { return field.Edit{Act: field.Type, Path: path, Text: text} }
	j, problems := plan.Apply(job.Begun(shop), shop, []field.Edit{{Act: field.Set, Path: "card.made", Text: "yes"}, typed("card.width", "5 3/8"), typed("card.height", "5 3/8")})
	if len(problems) > 0 {
		t.Fatal(problems)
	}
	p := plan.Make(j, shop)
	if p.Card.Sentence.Text != "Your card of 5 3⁄8 × 5 3⁄8 is finished: only its envelope is made." || !strings.HasPrefix(p.Card.Notes[0].Text, "Measure its thickness") {
		t.Errorf("%s %v", p.Card.Sentence.Text, p.Card.Notes)
	}
	j, problems = plan.Apply(j, shop, []field.Edit{typed("card.thickness", "3 mm"), typed("card.grams", "31 g"), typed("count", "12")})
	if len(problems) > 0 {
		t.Fatal(problems)
	}
	p = plan.Make(j, shop)
	// The diamond by the pencil: 5 3/8 and 3 mm and ease 1/4 are the front; all 12 blanks of one paper.
	if p.Paper.Sentence.Text == "" || !strings.Contains(p.Paper.Sentence.Text, "for the envelopes of 12 finished cards") || len(p.Paper.Stocks) != 1 || p.Paper.Stocks[0].Pieces[0].Name != "Envelope blank" {
		t.Errorf("%s %+v", p.Paper.Sentence.Text, p.Paper.Stocks)
	}
	if p.Ticket[1].Value != "Finished" || p.Ticket[2].Value != "As they are" {
		t.Errorf("%+v", p.Ticket[:3])
	}
	// 31 g, an envelope of some 6 g, and its glue.
	_, grams := plan.Predicted(j, shop)
	if grams < 35 || grams > 42 {
		t.Errorf("it weighs %.1f g", grams)
	}
	j.Card.Grams = 0
	if _, from := plan.Predicted(j, shop); from == grams {
		t.Error("its weight is not counted")
	}
}

// Where one thing alone is made, the stations of the others say so.
func TestWhatIsLeftOutIsSaid(t *testing.T) {
	for _, only := range job.Onlys() {
		j := demo.Jobs()[0]
		j.Paper.Only = only
		p := plan.Make(j, demo.Shop())
		for of, notes := range map[job.Only][]say.Note{job.OnlyBase: p.Card.Notes, job.OnlyLayers: p.Layers.Notes, job.OnlyEnvelope: p.Envelope.Blank.Notes} {
			said := slices.ContainsFunc(notes, func(n say.Note) bool { return strings.HasPrefix(n.Text, "You make only the "+string(only)) })
			if said == (of == only) {
				t.Errorf("only %s: at the %s it is said: %v", only, of, said)
			}
		}
	}
}
