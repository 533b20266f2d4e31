package plan_test

import (
	"math"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/paper"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

func reading(t *testing.T, b plan.BlankPlan, id string) plan.Reading {
	t.Helper()
	for _, r := range b.Readings {
		if r.ID == id {
			return r
		}
	}
	t.Fatalf("no reading %q among %+v", id, b.Readings)
	return plan.Reading{}
}

// A liner, round corners and holding strips are carried by every construction.
func TestOptionsOnEveryConstruction(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Envelope.Liner, j.Envelope.Corner, j.Envelope.Adhesive, j.Envelope.Mailable = "pattern-130", in/4, "tape-1-4", true
	for _, id := range blank.IDs() {
		j.Envelope.Construction = id
		p := plan.Make(j, shop)
		if id == blank.NotedID {
			if n := notes(p.Envelope.Blank.Notes); !strings.Contains(n, "The recipe makes no envelope that closes as it stands. Shown instead: diamond.") {
				t.Errorf("without a recipe: %s", n)
			}
			continue
		}
		if p.Envelope.Construction != id {
			t.Errorf("%s cannot be made", id)
			continue
		}
		b := p.Envelope.Blank
		if r, liner := reading(t, b, "liner"), b.Flat.Of(drawing.Liner); r.Value == "" || len(liner) != 1 || len(liner[0].Corners) < 4 {
			t.Errorf("%s: the liner is %q, drawn as %v", id, r.Value, liner)
		}
		if blank.ByID(id).Whole {
			continue // it is as wide as it is
		}
		if r := reading(t, b, "throat"); r.Value == "" {
			t.Errorf("%s: no strips", id)
		}
		strips := 0
		for _, g := range b.Net.Glue {
			if g.Panel == "strip" {
				strips++
			}
		}
		n := notes(b.Notes)
		if walled := id == blank.GussetID || id == blank.BoxID || id == blank.TuckID; strips != 2 || walled != strings.Contains(n, "Fold two rails from scrap") {
			t.Errorf("%s: %d strips; %s", id, strips, n)
		}
	}
}

func TestDiamondOptions(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Envelope.Construction = blank.DiamondID
	thick := in / 4
	j.Card.Thickness = &thick
	b := plan.Make(j, shop).Envelope.Blank
	if !strings.Contains(notes(b.Notes), "tick two creases") {
		t.Errorf("a thick card: %s", notes(b.Notes))
	}
	j.Envelope.Double = true
	b = plan.Make(j, shop).Envelope.Blank
	if got := reading(t, b, "closed"); got.Note != "1⁄4 deep" || strings.Contains(notes(b.Notes), "tick two creases") {
		t.Errorf("two creases: %+v, %s", got, notes(b.Notes))
	}
	if s := b.Ways[0].Settings[0]; !strings.Contains(s.At.Text, " & ") || !strings.Contains(b.Sentence.Text, " & ") {
		t.Errorf("%+v: %s", s, b.Sentence.Text)
	}
	j.Envelope.School = blank.NotchBoard
	if n := notes(plan.Make(j, shop).Envelope.Blank.Notes); !strings.Contains(n, "cannot be set with your tools") {
		t.Errorf("punch board: %s", n)
	}
	j.Envelope.School, j.Envelope.Double, j.Card.Thickness = blank.ExactSeam, false, nil
	j.Envelope.FlapShape = blank.BluntFlap
	b = plan.Make(j, shop).Envelope.Blank
	if n := notes(b.Notes); !strings.Contains(n, "The closing flap is blunted from") || !strings.Contains(n, "cut the tip off") {
		t.Errorf("blunt: %s", n)
	}
	short := reading(t, b, "flap")
	if !strings.Contains(short.Note, "at least ") || !strings.Contains(short.Note, "or a hole opens") {
		t.Errorf("%+v", short)
	}
	j.Envelope.FoldTips = true
	b = plan.Make(j, shop).Envelope.Blank
	if n := notes(b.Notes); !strings.Contains(n, "fold the tip in and glue it") || b.Folds[0].Text != "Fold the tip." {
		t.Errorf("folded in: %s, %+v", n, b.Folds)
	}
	j.Envelope.Flap = in
	if n := notes(plan.Make(j, shop).Envelope.Blank.Notes); !strings.Contains(n, "The back stays open at the throat") {
		t.Errorf("far too short: %s", n)
	}
}

// A pattern with a top lies one way on the sheet, and one side of it shows.
func TestPatternSideAndDirection(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop()
	for i := range shop.Stocks {
		if shop.Stocks[i].ID == j.Envelope.Stock {
			shop.Stocks[i].Pattern = paper.AlongShort
		}
	}
	j.Envelope.Construction, j.Card.Width, j.Card.Height = blank.PocketID, 6*in, 4*in
	p := plan.Make(j, shop)
	if n := notes(p.Envelope.Blank.Notes); !strings.Contains(n, "shows outside: lay it down") || !strings.Contains(n, "lies on the sheet one way only") {
		t.Errorf("%s", n)
	}
	j.Envelope.PatternInside = true
	j.Envelope.Construction = blank.DiamondID
	if n := notes(plan.Make(j, shop).Envelope.Blank.Notes); !strings.Contains(n, "shows inside. Lay it up") || !strings.Contains(n, "runs slantwise over the face") {
		t.Errorf("%s", n)
	}
}

// A turn that saves less than a tick is none.
func TestOutlineIsNotTurnedForNothing(t *testing.T) {
	var egg, star blank.Polygon
	for i := range 4900 {
		a := 2 * math.Pi * float64(i) / 4900
		egg = append(egg, blank.Point{X: 75 + 63.5*math.Cos(a), Y: 75 + 50.8*math.Sin(a)})
	}
	if o := plan.PlanOutline(egg, demo.Shop()); o.Width != 5*in || o.Height != 4*in || o.Sentence != "It fills 5 × 4 in; no turn makes that less." {
		t.Errorf("%v x %v: %s", o.Width, o.Height, o.Sentence)
	}
	for _, p := range [][2]float64{{0, 50.8}, {50.8, 0}, {137.16, 86.36}, {86.36, 137.16}} {
		star = append(star, blank.Point{X: p[0], Y: p[1]})
	}
	if o := plan.PlanOutline(star, demo.Shop()); o.Width.Inches()*o.Height.Inches() > 14 || !strings.Contains(o.Sentence, "Turned by 45.0 degrees") {
		t.Errorf("%v x %v: %s", o.Width, o.Height, o.Sentence)
	}
}

// Corners so round that they cut the seam of a pocket, or open the back of a square
// on its point, are told of; a hole is one, however round its edge is.
func TestRoundCornersThatCut(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Envelope.Seam = 9 * in / 16
	for i := range shop.Adhesives {
		shop.Adhesives[i].Width = 17 * in / 32 // a tab of 9/16 less its taper
	}
	for id, want := range map[blank.ID]string{blank.DiamondID: "The back stays open in the middle: ", blank.BoxID: "The back stays open in the middle: ", blank.PocketID: "The round corners leave "} {
		j.Envelope.Construction, j.Envelope.Corner = id, 0
		plain := plan.Make(j, shop).Envelope.Blank
		j.Envelope.Corner = 3 * in
		round := plan.Make(j, shop).Envelope.Blank
		if strings.Contains(notes(plain.Notes), want) || !strings.Contains(notes(round.Notes), want) {
			t.Errorf("%s: %s; without round corners: %s", id, notes(round.Notes), notes(plain.Notes))
		}
		if id == blank.PocketID && reading(t, round, "seam").Value == reading(t, plain, "seam").Value {
			t.Errorf("%s: the seam stays %s", id, reading(t, plain, "seam").Value)
		}
	}
}
