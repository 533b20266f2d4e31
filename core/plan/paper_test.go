package plan_test

import (
	"fmt"
	"strings"
	"testing"

	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/demo"
)

// stockOf finds the cutting of one stock.
func stockOf(t *testing.T, p plan.Plan, id string) plan.StockPlan {
	t.Helper()
	for _, s := range p.Paper.Stocks {
		if s.ID == id {
			return s
		}
	}
	t.Fatalf("nothing is cut from %s", id)
	return plan.StockPlan{}
}

func notes(list []say.Note) string {
	words := ""
	for _, n := range list {
		words += n.Text + "\n"
	}
	return words
}

func TestPaperOfTheSampleJob(t *testing.T) {
	p := plan.Make(demo.Jobs()[0], demo.Shop())
	// Twelve bases 10 3/4 x 5 3/8, two from a 12 x 12; twelve layers 5 1/8, two
	// from a letter sheet or four from a 12 x 12.
	base := stockOf(t, p, "cover-100")
	if base.SheetName != "12 × 12" || base.Sheets != 6 || !base.Proven || len(base.Layouts) != 1 || base.Layouts[0].Times != 6 {
		t.Errorf("bases: %s, %d sheets, %d layouts", base.SheetName, base.Sheets, len(base.Layouts))
	}
	if base.Settings != 2 || base.Steps[0].Setting.Text != "10 3⁄4" || !strings.Contains(base.Steps[0].Cuts[0], "1: sheet A on all 6, down through 12 × 12. Keep strip 10 3⁄4 × 12. Offcut 1 1⁄4 × 12 falls off") {
		t.Errorf("steps %+v", base.Steps)
	}
	layers := stockOf(t, p, "pattern-130")
	if layers.Sheets != 3 || layers.SheetName != "12 × 12" {
		t.Errorf("layers: %d of %s", layers.Sheets, layers.SheetName)
	}
	if blanks := stockOf(t, p, "copy-80"); blanks.Sheets != 12 || blanks.Pieces[0].Size != "8 13⁄16 × 8 13⁄16" {
		t.Errorf("blanks: %+v", blanks.Pieces)
	}
	if p.Paper.Short != "21 sheets" || !strings.Contains(p.Paper.Sentence.Text, "Take 6 sheets of Cover 100 lb, 270 gsm; 3 of Patterned, light 130 gsm; 12 of Copy 80 gsm, for 12 cards.") {
		t.Errorf("%s: %s", p.Paper.Short, p.Paper.Sentence.Text)
	}
}

func TestGrainAndPattern(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	at := func(id string) *paper.Stock {
		for i := range shop.Stocks {
			if shop.Stocks[i].ID == id {
				return &shop.Stocks[i]
			}
		}
		t.Fatalf("no stock %s", id)
		return nil
	}
	at("cover-100").Grain = paper.Unknown
	if n := notes(stockOf(t, plan.Make(j, shop), "cover-100").Notes); !strings.Contains(n, "Bend a sheet both ways") {
		t.Errorf("unknown grain: %s", n)
	}
	cover := at("cover-100")
	cover.Sheet, cover.Grain = "12x12", paper.AlongShort
	p := stockOf(t, plan.Make(j, shop), "cover-100")
	if n := notes(p.Notes); !strings.Contains(n, "12 of 12 bases fold across the grain") {
		t.Errorf("across: %s", n)
	}
	j.Paper.AlongGrain = true
	p = stockOf(t, plan.Make(j, shop), "cover-100")
	if n := notes(p.Notes); strings.Contains(n, "across") || !p.Layouts[0].Pieces[0].Turned {
		t.Errorf("along: %s, %+v", n, p.Layouts[0].Pieces)
	}
	cover.Pattern = paper.AlongLong
	p = stockOf(t, plan.Make(j, shop), "cover-100")
	if n := notes(p.Notes); !strings.Contains(n, "runs across the grain on 12 × 12, so that its pattern is upright") || p.Layouts[0].Pieces[0].Turned {
		t.Errorf("contradiction: %s", n)
	}
	// A pattern with a top lets a letter sheet give the long base no way at all.
	cover.Sheet, cover.Grain, j.Paper.AlongGrain = "letter", paper.Unknown, false
	p = stockOf(t, plan.Make(j, shop), "cover-100")
	if n := notes(p.Notes); p.Sheets != 0 || !strings.Contains(n, "only turned, which its pattern or grain forbids") {
		t.Errorf("pattern: %d sheets, %s", p.Sheets, n)
	}
	if made := plan.Make(j, shop).Paper; made.Tone != say.Trouble || !strings.Contains(made.Sentence.Text, "Not everything") {
		t.Errorf("the rest is planned still: %s", made.Sentence.Text)
	}
}

func TestReadyCutWindowsAndLiners(t *testing.T) {
	j, shop := demo.Jobs()[2], demo.Shop() // mat 5 3/8 x 4 1/8 under a star panel 5 1/8 x 3 7/8, eight cards
	j.Parts[1].Stock, j.Parts[2].Stock = "pattern-200", "pattern-200"
	j.Parts[2].Border = in // the panel becomes 3 3/8 x 2 1/8
	count := func(p plan.Plan) string {
		words := ""
		for _, q := range stockOf(t, p, "pattern-200").Pieces {
			words += fmt.Sprintf("%d %s; ", q.Count, q.Size)
		}
		return words
	}
	if got := count(plan.Make(j, shop)); got != "8 5 3⁄8 × 4 1⁄8; 8 3 3⁄8 × 2 1⁄8; " {
		t.Errorf("plain: %s", got)
	}
	// The window is 3 3/8 x 2 1/8 less a ledge of 1/2 on each side: too small for it.
	j.Parts[1].Window = true
	if n := notes(stockOf(t, plan.Make(j, shop), "pattern-200").Notes); !strings.Contains(n, "8 of 2 3⁄8 × 1 1⁄8 fall out of “Brass mat”") {
		t.Errorf("window: %s", n)
	}
	j.Parts = append(j.Parts, job.Part{ID: "tag", Name: "Tag", Kind: job.LayerPart, Stock: "pattern-200", Border: 5 * in / 8})
	p := plan.Make(j, shop)
	if got := count(p); got != "8 5 3⁄8 × 4 1⁄8; 8 3 3⁄8 × 2 1⁄8; 0 2 1⁄8 × 7⁄8; " || !strings.Contains(notes(stockOf(t, p, "pattern-200").Notes), "8 of “Tag” come out of the middle of “Brass mat”") {
		t.Errorf("tags from the windows: %s %s", got, notes(stockOf(t, p, "pattern-200").Notes))
	}
	if p.Layers.Rows[1].Window == "" || p.Layers.Rows[0].Window != "" {
		t.Errorf("windows offered: %q, %q", p.Layers.Rows[0].Window, p.Layers.Rows[1].Window)
	}
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "parts.2.ready", Text: "5"}})
	if len(problems) > 0 || !strings.Contains(count(plan.Make(got, shop)), "3 3 3⁄8") {
		t.Errorf("five are cut already: %v, %s", problems, count(plan.Make(got, shop)))
	}
	if _, problems = plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "parts.2.ready", Text: "some"}}); len(problems) != 1 {
		t.Errorf("“some” ready: %v", problems)
	}
	j.Parts = append(j.Parts, job.Part{ID: "liner", Name: "Liner", Kind: job.LinerPart, Stock: "copy-80", Border: in / 8})
	p = plan.Make(j, shop)
	if len(p.Layers.Liners) != 1 || p.Layers.Liners[0].Size != "5 1⁄4 × 4" || stockOf(t, p, "copy-80").Pieces[0].Count != 8 {
		t.Errorf("liner %+v", p.Layers.Liners)
	}
	j.Card.Fold = card.FlatCard
	if n := notes(plan.Make(j, shop).Layers.Notes); !strings.Contains(n, "has no inside") {
		t.Errorf("a liner in a flat card: %s", n)
	}
}

func TestWhatCannotBeCut(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Card.Width, j.Card.Height = 9*in, 9*in
	p := plan.Make(j, shop)
	if s := stockOf(t, p, "cover-100"); s.Sheets != 0 || !strings.Contains(notes(s.Notes), "larger than every sheet for it") {
		t.Errorf("%s", notes(s.Notes))
	}
	if s := stockOf(t, p, "pattern-130"); s.Sheets == 0 {
		t.Error("the layers could be cut and are not planned")
	}
	for _, row := range p.Paper.Folds {
		for _, f := range row.Folds {
			if f.Each != 0 || !strings.Contains(f.Text, "no: needs 18 one way") || !strings.Contains(f.Text, "a card of") {
				t.Errorf("%s, %s: %s", row.Name, f.Fold, f.Text)
			}
		}
	}
	// 4 3/4 x 6 1/2 from letter: the top fold needs 13, the side fold gives one.
	j.Card.Width, j.Card.Height = 19*in/4, 13*in/2
	for _, f := range plan.Make(j, shop).Paper.Folds[0].Folds {
		if f.Fold == card.TopFold && f.Text != "no: needs 13 one way, the sheet has 11; a side fold gives 1" || f.Fold == card.SideFold && f.Each != 1 {
			t.Errorf("%s: %s", f.Fold, f.Text)
		}
	}
	shop.Tools.TrimmerLength = 5 * in
	if n := notes(stockOf(t, plan.Make(j, shop), "cover-100").Notes); !strings.Contains(n, "longer than your trimmer's 5 in") {
		t.Errorf("short trimmer: %s", n)
	}
	j.Count = 10_000
	if p := plan.Make(j, demo.Shop()); p.Paper.Tone != say.Fine {
		t.Errorf("ten thousand cards: %s", p.Paper.Sentence.Text)
	}
}

func TestHavePaper(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Paper.Have = "letter"
	p := plan.Make(j, shop).Paper.Have
	if p == nil || len(p.Rows) < 20 || p.Largest[0].Size != "8 1⁄2 × 5 1⁄2" || !strings.HasSuffix(p.Sentence.Text, "The largest in one piece is 8 1⁄2 × 5 1⁄2.") {
		t.Fatalf("%+v", p)
	}
	// Usual folds first, what no post takes last, and within them most a sheet first.
	usual := func(r plan.HaveRow) bool { return r.Fold == "Side fold" || r.Fold == "Top fold" }
	refused := func(r plan.HaveRow) bool { return r.Mail == "Does not go" || r.Mail == "Does not go as a letter" }
	for i := 1; i < len(p.Rows); i++ {
		a, b := p.Rows[i-1], p.Rows[i]
		switch {
		case refused(a) != refused(b):
			if refused(a) {
				t.Errorf("row %d goes, the one before it does not", i)
			}
		case usual(a) != usual(b):
			if usual(b) {
				t.Errorf("row %d has a usual fold, the one before it has not", i)
			}
		case b.Each > a.Each:
			t.Errorf("row %d gives more than the one before it", i)
		}
		if side, _, _ := strings.Cut(b.Size, " × "); b.Twin != "" && strings.HasPrefix(b.Twin, b.Size+",") && b.Size != side+" × "+side {
			t.Errorf("row %d is its own twin: %+v", i, b)
		}
	}
	find := func(size, fold string) plan.HaveRow {
		for _, r := range plan.Make(j, shop).Paper.Have.Rows {
			if r.Size == size && r.Fold == fold {
				return r
			}
		}
		return plan.HaveRow{}
	}
	if r := find("4 1⁄4 × 5 1⁄2", "Top fold"); r.Twin != "5 1⁄2 × 4 1⁄4, side fold" && r.Size != "" {
		t.Errorf("turned it is a side fold: %+v", r)
	}
	if r := find("5 1⁄2 × 4 1⁄4", "Top fold"); r.Each != 2 || r.Waste != "0 %" || r.Envelope != "A2" || r.Owned || r.Mail != "Goes as a letter" {
		t.Errorf("A2 top fold from letter: %+v", r)
	}
	shop.Envelopes = []job.OwnedEnvelope{{ID: "mine", Name: "Cream A2", Width: 23 * in / 4, Height: 35 * in / 8}}
	r := find("5 1⁄2 × 4 1⁄4", "Top fold")
	if r.Envelope != "Cream A2" || !r.Owned {
		t.Errorf("an envelope on the shelf: %+v", r)
	}
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "paper.have", Text: r.ID}})
	if len(problems) > 0 || got.Card.Width != 11*in/2 || got.Card.Fold != card.TopFold {
		t.Errorf("%v, %+v", problems, got.Card)
	}
	for _, id := range []string{"", "1:2:side"} {
		if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "paper.have", Text: id}}); len(problems) != 1 {
			t.Errorf("%q is taken", id)
		}
	}
	j.Paper.Have = "moon"
	if p := plan.Make(j, shop); p.Paper.Have != nil || len(p.Missing) != 1 {
		t.Errorf("a sheet that nobody has is taken: %+v", p.Missing)
	}
}

// An adhesive of one's own: it is offered, says what it holds, and once off the
// shelf is offered last and never proposed, while old jobs keep knowing it.
func TestAdhesivesOnTheShelf(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	hide := paper.Adhesive{ID: "hide", Name: "Hide glue", Width: in / 4, Holds: []paper.Surface{paper.Acetate}}
	shop.Adhesives = append([]paper.Adhesive{hide}, shop.Adhesives...)
	j.Envelope.Stock, j.Envelope.Adhesive = "acetate-02", "glue"
	if n := notes(plan.Make(j, shop).Envelope.Blank.Notes); len(shop.Check()) > 0 || !strings.Contains(n, "take the hide glue") {
		t.Errorf("%v; %s", shop.Check(), n)
	}
	shop.Adhesives[0].Off = true
	if n := notes(plan.Make(j, shop).Envelope.Blank.Notes); !strings.Contains(n, "take the double-sided tape") {
		t.Errorf("off the shelf: %s", n)
	}
	if list := job.ChoicesIn(shop)["adhesives"]; list[len(list)-1].Name != "Hide glue, 1⁄4 in (off the shelf)" {
		t.Errorf("%v", list)
	}
	if j.Envelope.Adhesive = "hide"; len(plan.Check(j, shop)) > 0 {
		t.Errorf("an old job forgets its adhesive: %v", plan.Check(j, shop))
	}
	shop.Adhesives[0].Holds, shop.Adhesives[1].ID = []paper.Surface{"moonlight"}, "hide"
	if list := shop.Check(); len(list) != 2 || !strings.Contains(list[0].Message, "“moonlight” is not known") || !strings.Contains(list[1].Message, "Two entries") {
		t.Errorf("%v", list)
	}
}

func TestShelfIsTyped(t *testing.T) {
	shop := demo.Shop()
	shop.Envelopes = []job.OwnedEnvelope{{ID: "mine", Name: "Blue square", Width: 6 * in, Height: 6 * in}}
	got, problems, _ := job.ApplyToShop(shop, []field.Edit{
		{Act: field.Type, Path: "envelopes.0.width", Text: "155 mm"}, {Act: field.Type, Path: "envelopes.0.have", Text: "25"},
		{Act: field.Type, Path: "sheets.0.height", Text: "10 1/2"}, {Act: field.Type, Path: "stocks.0.caliper", Text: "0.11 mm"}, {Act: field.Type, Path: "stocks.0.gsm", Text: "82,5"},
		{Act: field.Type, Path: "tools.cornerAt", Text: "-1/2"},
	})
	if len(problems) > 0 || got.Envelopes[0].Width != 155*measure.Millimetre || got.Envelopes[0].Have != 25 || got.Stocks[0].GSM != 82.5 || got.Tools.CornerAt != -in/2 {
		t.Errorf("%v, %+v", problems, got.Envelopes)
	}
	if shop.Envelopes[0].Width != 6*in || shop.Sheets[0].Height != 11*in {
		t.Error("ApplyToShop changed the shop it was given")
	}
	if f := got.Inputs(); f["envelopes.0.width"].Text != "6 1⁄8" || f["envelopes.0.width"].Exact != "155 mm" || f["stocks.0.caliper"].Text != "0.11 mm" || f["stocks.1.have"].Text != "" || f["stocks.0.have"].Text != "180" {
		t.Errorf("%v", f["envelopes.0.width"])
	}
	for path, typed := range map[string]string{
		"envelopes.0.width": "1/16", "envelopes.0.have": "-3", "stocks.0.caliper": "2 in", "stocks.0.gsm": "0", "sheets.9.width": "4", "sheets.0.width": "0",
	} {
		t.Run(path, func(t *testing.T) {
			same, problems, _ := job.ApplyToShop(shop, []field.Edit{{Act: field.Type, Path: path, Text: typed}})
			if len(problems) != 1 || problems[0].Path != path || len(same.Check()) > 0 {
				t.Errorf("%s = %q: %v", path, typed, problems)
			}
		})
	}
	shop.Stocks[1].ID = shop.Stocks[0].ID
	if list := shop.Check(); len(list) != 1 {
		t.Errorf("two stocks of one ID: %v", list)
	}
}
