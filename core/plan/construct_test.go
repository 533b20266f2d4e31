package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

func rowOf(t *testing.T, p plan.Plan, id blank.ID) plan.ConstructionPlan {
	t.Helper()
	for _, r := range p.Envelope.Comparison.Rows {
		if r.ID == string(id) {
			return r
		}
	}
	t.Fatalf("%s is not compared", id)
	return plan.ConstructionPlan{}
}

func TestConstructionsSideBySide(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop() // 7 x 5, flat
	shop.Envelopes = shop.Envelopes[1:]    // or one of the shelf would be taken
	p := plan.Make(j, shop)
	c := p.Envelope.Comparison
	if len(c.Rows) < len(blank.IDs()) || !c.Rows[0].Recommended || !strings.Contains(c.Sentence, "square inches of paper") || !strings.Contains(c.Sentence, "Its seam is") {
		t.Fatalf("%s, %d rows", c.Sentence, len(c.Rows))
	}
	pocket := rowOf(t, p, blank.PocketID)
	// Creases 7 + 0.8 mm + 1/4 up to 7 5/16, tabs of 3/4 a side; front 5 5/16, back
	// 1/2 less, flap 2.
	if pocket.Sheet != "8 13⁄16 × 12 1⁄8" || pocket.Fits || pocket.FitText != "1⁄8 too large for 12 × 12" {
		t.Errorf("pocket: %s, %s", pocket.Sheet, pocket.FitText)
	}
	for _, sort := range []job.CompareSort{job.Quickest, job.Neatest, job.Cheapest} {
		j.Envelope.Sort = sort
		if s := plan.Make(j, shop).Envelope.Comparison; s.Sort != sort || s.Sentence == c.Sentence {
			t.Errorf("%s: %s", sort, s.Sentence)
		}
	}
}

// Whatever is chosen flows on: ticket, post, and paper to cut.
func TestChosenConstructionFlowsOn(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	for _, tt := range []struct {
		id              blank.ID
		sentence, sheet string
	}{
		{blank.DiamondID, "Cut 8 13⁄16 square. Score twice", "8 13⁄16 square"},
		{blank.PocketID, "Cut 7 3⁄16 × ", "7 3⁄16 × "},
		{blank.GussetID, "Score each again 1⁄8 further in", " × "},
		{blank.BoxID, "square. From every corner", "square"},
		{blank.TuckID, "Cut 6 5⁄8 × ", " × "},
		{blank.CutDownID, "off either side", ""},
	} {
		j.Envelope.Construction = tt.id
		if list := plan.Check(j, shop); len(list) > 0 {
			t.Fatalf("%s: %v", tt.id, list)
		}
		p := plan.Make(j, shop)
		if p.Envelope.Construction != tt.id || !strings.Contains(p.Envelope.Blank.Sentence.Text, tt.sentence) || !strings.Contains(p.Ticket[3].Value, tt.sheet) {
			t.Errorf("%s: %s; ticket %s", tt.id, p.Envelope.Blank.Sentence.Text, p.Ticket[3].Value)
		}
		if b := p.Envelope.Blank; p.Mail.Width.Nm != b.Closed.Width.Nm || len(b.Readings) < 6 || len(b.Scores) == 0 && tt.id != blank.CutDownID && tt.id != blank.BoughtID || b.Drawing == "" {
			t.Errorf("%s: posted %s wide, closed %s", tt.id, p.Mail.Width.Text, b.Closed.Width.Text)
		}
		cut := ""
		for _, s := range p.Paper.Stocks {
			for _, q := range s.Pieces {
				if q.Name == "Envelope blank" {
					cut = q.Size
				}
			}
		}
		if (cut == "") != (tt.id == blank.CutDownID) {
			t.Errorf("%s: blanks to cut: %q", tt.id, cut)
		}
	}
	j.Envelope.Construction = blank.CutDownID
	// One seam of 3/4 and half of 1/4 and 0.85 mm.
	if n := notes(plan.Make(j, shop).Envelope.Blank.Notes); !strings.Contains(n, "mark 7⁄8 beyond each side") {
		t.Errorf("without sums: %s", n)
	}
	j.Envelope.Construction = "origami"
	if len(plan.Check(j, shop)) != 1 {
		t.Error("an unknown construction is accepted")
	}
	j.Envelope.Construction, j.Envelope.Pocket = blank.PocketID, "guess"
	if len(plan.Check(j, shop)) != 1 {
		t.Error("an unknown pocket is accepted")
	}
}

// The plain rectangle in which a square card costs nothing, with its strips.
func TestPlainRectangle(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Envelope.Construction, j.Envelope.Adhesive = blank.PocketID, "tape-1-4"
	p := plan.Make(j, shop)
	if !strings.Contains(p.Envelope.Comparison.Rectangle, "would not pay the surcharge") || p.Mail.Short != "Goes as a letter with a surcharge" {
		t.Fatalf("%s: %s", p.Mail.Short, p.Envelope.Comparison.Rectangle)
	}
	j.Envelope.Mailable = true
	p = plan.Make(j, shop)
	throat := ""
	for _, r := range p.Envelope.Blank.Readings {
		if r.ID == "throat" {
			throat = r.Value
		}
	}
	// 5 3/8 + 0.85 mm + 1/4.
	if p.Mail.Short != "Goes as a letter" || throat != "5 11⁄16" {
		t.Errorf("%s; between the strips %q", p.Mail.Short, throat)
	}
}

func TestWhatWouldDo(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop()
	j.Envelope.Construction = blank.PocketID // 1/8 too large for 12 x 12
	n := notes(plan.Make(j, shop).Envelope.Blank.Notes)
	for _, want := range []string{"1⁄8 too large for 12 × 12. Make the ease 1⁄8.", "Or: make this type instead: diamond", "Or: make the card at most", "Or: join ", "over the back"} {
		if !strings.Contains(n, want) {
			t.Errorf("nothing is said of %q: %s", want, n)
		}
	}
	j.Envelope.Seam = in / 4
	if n := notes(plan.Make(j, shop).Envelope.Blank.Notes); !strings.Contains(n, "narrower than the double-sided tape") {
		t.Errorf("a seam under its tape: %s", n)
	}
	j.Envelope.Seam = 4 * in
	if n := notes(plan.Make(j, shop).Envelope.Blank.Notes); !strings.Contains(n, "The tabs meet") {
		t.Errorf("tabs that meet: %s", n)
	}
	thick := 3 * in / 8
	j.Card.Thickness, j.Envelope.Seam = &thick, 3*in/4
	p := plan.Make(j, shop)
	if n := notes(p.Envelope.Blank.Notes); !strings.Contains(n, "score every crease twice") {
		t.Errorf("a thick card in a flat pocket: %s", n)
	}
	j.Envelope.Double = true
	if b := plan.Make(j, shop).Envelope.Blank; strings.Contains(notes(b.Notes), "score every crease twice") || b.Readings[0].Note != "3⁄8 deep" || !strings.Contains(b.Sentence.Text, "Score each again 3⁄8 further in.") || len(b.Ways[0].Settings) != 8 {
		t.Errorf("two creases: %s, %+v", notes(b.Notes), b.Ways[0].Settings)
	}
	j.Envelope.Double = false
	if best := p.Envelope.Comparison.Rows[0]; best.Recommended && best.Depth == "" {
		t.Errorf("for a thick card: %+v", best)
	}
	j.Envelope.Depth, j.Envelope.Construction = in, blank.TuckID
	if p := plan.Make(j, shop); p.Envelope.Blank.Readings[0].Note != "1 deep" || p.Mail.Thickness.Nm < in {
		t.Errorf("walls of an inch: %s, posted %s thick", p.Envelope.Blank.Readings[0].Note, p.Mail.Thickness.Text)
	}
	shop.Sheets = nil
	if n := notes(plan.Make(j, shop).Envelope.Blank.Notes); !strings.Contains(n, "There is no sheet on your shelf") {
		t.Errorf("an empty shelf: %s", n)
	}
	if blank.Wider(measure.Inch/100) == 0 {
		t.Error("heavy paper widens no crease")
	}
}

// The options of a pocket: what it ends in, its liner, and what does not hold.
func TestPocketOptions(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop()
	j.Envelope.Construction, j.Envelope.Liner = blank.PocketID, "pattern-130"
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "envelope.notch", Text: "1/2"}, {Act: field.Type, Path: "envelope.flap", Text: "3"}, {Act: field.Type, Path: "envelope.corner", Text: "1/4"}})
	p := plan.Make(got, shop)
	if len(problems) > 0 || len(plan.Check(got, shop)) > 0 || p.Envelope.Blank.Readings[7].ID != "liner" {
		t.Fatalf("%v, %+v", problems, p.Envelope.Blank.Readings)
	}
	// 7 5/16 less 1/4; front 5 5/16 and flap 3 less 1/2 of tape and 1/4.
	if r := p.Envelope.Blank.Readings[7]; r.Value != "7 1⁄16 × 7 9⁄16" {
		t.Errorf("liner %s", r.Value)
	}
	if s := stockOf(t, p, "pattern-130"); s.Pieces[0].Name != "Envelope liner" {
		t.Errorf("liners to cut: %+v", s.Pieces)
	}
	ways := p.Envelope.Blank.Ways
	if len(ways) != 2 || !ways[1].Safer || ways[0].Safer || ways[1].Settings[1].From != "from the left" || ways[1].EaseWorst.Nm <= ways[0].EaseWorst.Nm {
		t.Errorf("ways to score: %+v", ways)
	}
	outline := len(p.Envelope.Blank.Net.Outline)
	got.Envelope.FlapShape = blank.RoundFlap
	if n := len(plan.Make(got, shop).Envelope.Blank.Net.Outline); n == outline {
		t.Error("a rounded flap is drawn like a square one")
	}
	got.Envelope.FlapShape = "wavy"
	if len(plan.Check(got, shop)) != 1 {
		t.Errorf("%v", plan.Check(got, shop))
	}
	j.Envelope.Stock, j.Envelope.Adhesive = "acetate-02", "glue"
	for _, id := range []blank.ID{blank.PocketID, blank.DiamondID} {
		j.Envelope.Construction = id
		if n := notes(plan.Make(j, shop).Envelope.Blank.Notes); !strings.Contains(n, "Glue line does not hold on a face that is acetate: take the double-sided tape") {
			t.Errorf("%s: %s", id, n)
		}
	}
}

// What the card would rattle in is not proposed, however little paper it takes.
func TestWhatRattlesIsNotProposed(t *testing.T) {
	j, shop := demo.Jobs()[3], demo.Shop() // slim: only a C4 is wide enough to be cut down for it, 5 in too high
	for _, sort := range []job.CompareSort{job.Quickest, job.LeastPaper, job.Neatest, job.Cheapest} {
		j.Envelope.Sort = sort
		c := plan.Make(j, shop).Envelope.Comparison
		for _, r := range c.Rows {
			if r.ID == string(blank.CutDownID) && r.Recommended {
				t.Errorf("by %s: %s", sort, c.Sentence)
			}
		}
		if !c.Rows[0].Recommended || !strings.Contains(c.Sentence, "that fit") {
			t.Errorf("by %s: %s", sort, c.Sentence)
		}
	}
}
