package plan

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/compare"
	"yellowparcel/core/cutting"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/line"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/offer"
	"yellowparcel/core/paper"
	"yellowparcel/core/piece"
	"yellowparcel/core/recipe"
	"yellowparcel/core/say"
	"yellowparcel/internal/anyjob"
)

// said are clauses that say something.
func said(list ...say.Clause) bool {
	return len(list) > 0 && !slices.ContainsFunc(list, func(c say.Clause) bool { return strings.TrimSpace(c.Text) == "" })
}

// worded reports every ID of a list that has no words, and every one that has words
// and is not in the list.
func worded[K comparable, V any](t *testing.T, what string, ids []K, words map[K]V, ok func(V) bool) {
	t.Helper()
	t.Run(what, func(t *testing.T) {
		for _, id := range ids {
			if v, has := words[id]; !has || !ok(v) {
				t.Errorf("“%v” has no words", id)
			}
		}
		for id := range words {
			if !slices.Contains(ids, id) && fmt.Sprint(id) != "" {
				t.Errorf("“%v” has words, and is no fact", id)
			}
		}
	})
}

func isText(s string) bool { return s != "" }

// Every fact that is decided below the plan has its words here: there are none to fall
// back on.
func TestEveryFactHasItsWords(t *testing.T) {
	faulty := func(f faultTold) bool { return f.tone != "" && said(f.words...) }
	worded(t, "faults of blanks", blank.FaultIDs(), faults, faulty)
	worded(t, "doubts of the folding engine", blank.DoubtIDs(), foldDoubts, func(c say.Clause) bool { return said(c) })
	worded(t, "faults of notes", recipe.FaultIDs(), noteFaults, faulty)
	worded(t, "notes that make nothing", blank.RecipeFaults(), recipeFaults, isText)
	worded(t, "ways to read a note", recipe.Ways(), readAs, func(c []say.Clause) bool { return said(c...) })
	worded(t, "what would", offer.WouldIDs(), woulds, func(c say.Clause) bool { return said(c) })
	worded(t, "remedies", offer.RemedyIDs(), remediesTold, func(r remedyTold) bool { return said(r.title...) && said(r.text...) })
	worded(t, "endings", compare.Endings(), endings, func(e struct {
		tone  say.Tone
		words say.Clause
	},
	) bool {
		return e.tone != "" && said(e.words)
	})
	worded(t, "rescues", compare.Rescues(), rescues, isText)
	worded(t, "meanings of a line", line.Meanings(), meanings, isText)
	worded(t, "sizes", compare.SizeIDs(), sizeNames, isText)
	worded(t, "rests of a cut", cutting.Rests(), restWords, isText)
	worded(t, "terms", blank.Terms(), termWords, func(c say.Clause) bool { return said(c) })
	worded(t, "sides", envelope.Sides(), opensOn, isText)
	worded(t, "openings", compare.Openings()[2:], openings, func(c say.Clause) bool { return said(c) })
	worded(t, "weights", compare.Weights(), weightNames, isText)
	worded(t, "what is cut", []piece.Role{piece.BlankRole, piece.LinerRole}, cutNames, isText)
	worded(t, "measured from", blank.Froms()[1:], fromWords, isText)
	worded(t, "schools of cards", envelope.Schools(), schoolNames, func(c say.Clause) bool { return said(c) })
	worded(t, "verdicts", envelope.Verdicts(), verdicts, func(v struct{ name, good, sits, why string }) bool { return v.name != "" && v.sits != "" })
	worded(t, "why a base is not cut", cutting.Reasons(), notOn, func(c []say.Clause) bool { return said(c...) })
	worded(t, "why a piece is not cut", cutting.Reasons(), unfit, func(c say.Clause) bool { return said(c) })
	worded(t, "gauges", mail.GaugeFaults(), gaugeFaults, isText)
	worded(t, "cautions", paper.Cautions(), cautionTexts, isText)
}

// Every kind brings its own words, and they ask for no slot that nobody fills.
func TestEveryKindHasItsWords(t *testing.T) {
	shop := job.DefaultShop()
	shop.Tools.Groove, shop.Tools.Reach = measure.Inch/8, 3*measure.Inch
	for _, k := range blank.Constructions() {
		t.Run(string(k.ID), func(t *testing.T) {
			j := anyjob.Star(5*measure.Inch, 4*measure.Inch, k.ID)
			m := envelopeStation{newMaker(j, shop)}
			c := m.Candidate(k)
			w := k.Words
			for what, text := range map[string]string{"name": w.Name, "seal": w.Seal, "thick": w.Thick, "flap": w.Flap, "flap note": w.FlapNote} {
				if text == "" {
					t.Errorf("it has no %s", what)
				}
			}
			if k.Bought && w.Not == "" {
				t.Error("nothing says why it cannot be made")
			}
			slots := m.slots(c)
			if slots.Text(w.Drawing...) == "" || slots.Text(w.Overlap...) == "" {
				t.Error("its drawing or its overlap is not said")
			}
			for _, way := range c.Made.Ways {
				kind, slots := k.Way(way.ID), m.waySlots(c, way, slots)
				if kind.ID != way.ID || kind.Name == "" {
					t.Errorf("the way “%s” has no name", way.ID)
				}
				sentence := slots.Sentence(slices.Concat(w.Sentence, kind.Sentence)...).Text
				if !strings.HasSuffix(sentence, ".") || strings.Contains(sentence, "{") {
					t.Errorf("%s says %q", way.ID, sentence)
				}
				if len(slots.Lines(kind.Steps...)) == 0 {
					t.Errorf("the way “%s” has no steps", way.ID)
				}
				if board := kind.Tool == blank.ScoreBoard; board != (slots.Text(kind.InGrooves...) != "") {
					t.Errorf("the way “%s” goes by the board: %v, and grooves are told otherwise", way.ID, board)
				}
				if kind.Tool != blank.NoTool && slots.Text(kind.Beyond...) == "" {
					t.Errorf("the way “%s” says nothing where its tool does not reach", way.ID)
				}
				for _, s := range way.Scores {
					if w.Roles[s.Role] == "" {
						t.Errorf("%s: the score “%s” has no name", way.ID, s.Role)
					}
				}
			}
		})
	}
	for _, f := range card.Folds() {
		t.Run(string(f), func(t *testing.T) {
			j := anyjob.Star(5*measure.Inch, 4*measure.Inch, blank.DiamondID)
			j.Card.Fold = f
			m := cardStation{newMaker(j, shop)}
			base := m.Base(f)
			sentence, drawing := m.baseWords(base)
			if w := f.Kind().Words; w.Name == "" || w.Opens == "" || !strings.HasSuffix(sentence.Text, ".") || drawing == "" {
				t.Errorf("%q, %q, %q", w.Name, sentence.Text, drawing)
			}
			if names := f.Kind().Words.Panels(len(base.Panels)); len(names) != len(base.Panels) {
				t.Errorf("%d names for %d panels", len(names), len(base.Panels))
			}
		})
	}
	for _, of := range mail.Measures() {
		if w := of.Words(); w.Name == "" || w.Low == "" || w.High == "" {
			t.Errorf("%s: %+v", of, w)
		}
	}
}
