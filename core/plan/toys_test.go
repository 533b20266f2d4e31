package plan_test

import (
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
)

// wallet is a toy: a sheet folded in two and closed with a flap, its sides glued in
// strips as wide as the maker asks.
var wallet = blank.Construction{
	ID: "wallet", HasTop: true,
	Words: blank.Words{
		Name: "Toy wallet", Sentence: []say.Clause{say.Always("Cut [{sheet size}], a wallet.")}, Drawing: []say.Clause{say.Always("A wallet of {sheet size}: {parts}.")},
		Overlap: []say.Clause{say.Always("of the wallet's flap")}, Roles: map[blank.Role]string{"fold": "the fold", "flap": "the flap"},
		First: "Burnish it.", Seal: "For the post tie it up.", Thick: "or take something with walls", Flap: "Flap", FlapNote: "0 for an inch",
	},
	Wishes:  func(blank.Spec) []string { return []string{"ease"} },
	Options: []string{"stock", "adhesive", "liner"},
	Asked:   []measure.Asked{strips},
	Ways: []blank.WayKind{{
		ID: "wallet-fence", Name: "at the fence", Sentence: []say.Clause{say.Always(" Score at [{flap}] and [{fold}].")}, Steps: []say.Clause{say.Always("Score at {flap}, then at {fold}.")},
	}},
	Make: makeWallet,
}

var strips = measure.Asked{Name: "strip", Label: "Strips", Note: "beside the card", Least: measure.Inch / 8, Most: measure.Inch, Usual: measure.Inch / 2}

func makeWallet(s blank.Spec) (blank.Made, bool) {
	strip, flap := strips.In(s.Asked), measure.Inch
	w := (s.Width + s.Thickness + s.Ease + 2*strip).Up(s.Style.Tick)
	h := (s.Height + s.Thickness + s.Ease).Up(s.Style.Tick)
	m := blank.Made{
		ID: "wallet", SheetWidth: w, SheetHeight: flap + 2*h, Width: w, Height: h, Seam: strip, Flap: flap, Overlap: flap, Cuts: 4, Folds: 2,
		EaseWidth: w - 2*strip - s.Width - s.Thickness, EaseHeight: h - 2*s.Caliper - s.Height - s.Thickness,
	}
	m.Ways = []blank.Way{{
		ID: "wallet-fence", SheetWidth: w, SheetHeight: m.SheetHeight, EaseWidth: m.EaseWidth, EaseHeight: m.EaseHeight, Seam: strip,
		Scores: []blank.Setting{{Role: "flap", From: blank.FromTop, At: flap, Exact: flap}, {Role: "fold", From: blank.FromTop, At: flap + h, Exact: flap + h}},
	}}
	rect := func(x0, y0, x1, y1 measure.Length) blank.Polygon {
		a, b, c, d := x0.Millimetres(), y0.Millimetres(), x1.Millimetres(), y1.Millimetres()
		return blank.Polygon{{X: a, Y: b}, {X: c, Y: b}, {X: c, Y: d}, {X: a, Y: d}}
	}
	at := func(x, y measure.Length) blank.Point { return blank.Point{X: x.Millimetres(), Y: y.Millimetres()} }
	sheet := rect(0, 0, w, m.SheetHeight)
	m.Net = blank.Net{
		Sheet: sheet, Outline: sheet, CutAway: []blank.Polygon{},
		Panels: []blank.Panel{{ID: "face", Name: "front", Outline: rect(0, flap, w, flap+h)}, {ID: "back", Name: "back", Outline: rect(0, flap+h, w, flap+2*h)}, {ID: "top", Name: "closing flap", Outline: rect(0, 0, w, flap)}},
		Creases: []blank.Crease{
			{Panel: "back", From: at(0, flap+h), To: at(w, flap+h), Angle: 180, Order: 1},
			{Panel: "top", From: at(0, flap), To: at(w, flap), Angle: 180, Order: 2},
		},
		Glue: []blank.Glue{{Panel: "back", Onto: "face", Zone: rect(0, flap+h, strip, flap+2*h), Joins: true}, {Panel: "back", Onto: "face", Zone: rect(w-strip, flap+h, w, flap+2*h), Joins: true}},
	}
	return m.Finished(s), true
}

// peek is a toy: a card whose front covers only as much as the maker asks.
var peek = card.Kind{
	ID: "peek",
	Words: card.Words{
		Name: "Toy peek", Opens: "it peeks", Sentence: []say.Clause{say.Always("Cut [{size}], score at [{outside}] from the {edge}: {opens}.")},
		Drawing: []say.Clause{say.Always("A peek of {size}: {panels}.")}, Panels: func(int) []string { return []string{"short front", "back"} },
		Notes: []say.Clause{say.Always("It leaves {shown} {unit} of the inside to be seen.")},
	},
	Panels:  func(s card.Spec) []measure.Length { return []measure.Length{s.Width - peekAsked.In(s.Asked), s.Width} },
	Layers:  func(card.Spec) int { return 2 },
	Options: func(card.Spec) []string { return nil },
	Asked:   []measure.Asked{peekAsked},
	Lengths: func(b card.Base) map[string]measure.Length {
		return map[string]measure.Length{"shown": b.Panels[1] - b.Panels[0]}
	},
}

var peekAsked = measure.Asked{Name: "peek", Label: "Peeks out", Least: measure.Inch / 4, Most: 2 * measure.Inch, Usual: measure.Inch}

// wrap is a toy: how long a string is that is tied once round the piece.
var wrap = mail.MeasureKind{
	ID: "wrap", Words: mail.MeasureWords{Name: "string once round", Low: "too little to tie", High: "too much to tie"}, Fine: true,
	Of: func(p mail.Piece) (float64, float64) {
		once := 2 * float64(min(p.Width, p.Height)+p.Thickness)
		return once, once
	},
}

// A construction, a fold and a measure that are nothing but a value each are compared,
// drawn, folded, worded, planned on paper and edited as those that ship: nothing else
// knows of them.
func TestToysNeedNothingElse(t *testing.T) { // not in parallel: it adds to what all plans know
	defer blank.Register(&wallet)()
	defer card.Register(&peek)()
	defer mail.Register(&wrap)()
	j, shop := sample()
	file := mail.Files()[0].Clone()
	file.ID, file.Region = "toy", "Toyland"
	for i := range file.Classes {
		file.Classes[i].Limits = append(file.Classes[i].Limits, mail.LimitFile{Measure: "wrap", Max: "4 in"})
	}
	shop.Rulebooks = append(shop.Rulebooks, job.OwnRulebook{File: file})
	if problems := shop.Check(); len(problems) > 0 {
		t.Fatal(problems)
	}
	for _, e := range []field.Edit{
		{Act: field.Set, Path: "envelope.construction", Text: "wallet"},
		{Act: field.Set, Path: "card.fold", Text: "peek"},
		{Act: field.Set, Path: "mail.destination", Text: "toy"},
	} {
		j = acted(t, j, shop, e)
	}

	t.Run("construction", func(t *testing.T) { toyWallet(t, j, shop) })
	t.Run("fold", func(t *testing.T) { toyPeek(t, j, shop) })
	t.Run("measure", func(t *testing.T) { toyWrap(t, j, shop) })
}

func toyWallet(t *testing.T, j job.Job, shop job.Shop) {
	p := plan.Make(j, shop)
	b := p.Envelope.Blank
	row := slices.IndexFunc(p.Envelope.Comparison.Rows, func(r plan.ConstructionPlan) bool { return r.ID == "wallet" })
	if row < 0 {
		t.Fatal("it is not compared")
	}
	if r := p.Envelope.Comparison.Rows[row]; !r.OK || !r.Chosen || r.Name != "Toy wallet" || r.Sheet == "" || len(r.Net.Outline) != 4 || r.Mail == "" || r.Work != "4 cuts, 2 folds" {
		t.Errorf("compared as %+v", r)
	}
	if p.Envelope.Construction != "wallet" || len(b.Net.Panels) != 3 || b.Size == "" || b.Drawing != "A wallet of "+p.Envelope.Comparison.Rows[row].Sheet+": 1 front, 1 back, 1 closing flap." {
		t.Errorf("drawn as %d panels of %q, %q", len(b.Net.Panels), b.Size, b.Drawing)
	}
	if len(b.Folds) != 2 || b.Folds[0].Text != "Fold the back." || !strings.HasPrefix(b.Folds[0].Advice, "Burnish it.") || !strings.HasSuffix(b.Folds[1].Advice, "For the post tie it up.") {
		t.Errorf("folded as %+v", b.Folds)
	}
	if want := "Cut " + p.Envelope.Comparison.Rows[row].Sheet + ", a wallet. Score at 1 and "; !strings.HasPrefix(b.Sentence.Text, want) || len(b.Ways) != 1 || b.Ways[0].Settings[0].Label != "the flap" {
		t.Errorf("worded as %q, %+v", b.Sentence.Text, b.Ways)
	}
	cut := false
	for _, s := range p.Paper.Stocks {
		for _, q := range s.Pieces {
			cut = cut || q.Name == "Envelope blank" && q.Size == p.Envelope.Comparison.Rows[row].Sheet
		}
	}
	if !cut {
		t.Error("it is not planned on paper")
	}
	if !slices.Equal(b.Wishes, []string{"envelope.ease", "envelope.asked.strip"}) || p.Fields["envelope.asked.strip"].Label != "Strips" || p.Fields["envelope.asked.strip"].Text != "1⁄2" {
		t.Errorf("it asks for %v, %+v", b.Wishes, p.Fields["envelope.asked.strip"])
	}
	wide := plan.Make(edit(t, j, shop, "envelope.asked.strip", "3/4"), shop)
	if got := wide.Envelope.Blank.Sheet.Nm - b.Sheet.Nm; got != in/2 || wide.Envelope.Blank.Readings[2].Value != "3⁄4" {
		t.Errorf("strips 1/4 wider make the sheet %v wider", got)
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "envelope.asked.strip", Text: "3"}}); len(problems) != 1 {
		t.Errorf("strips of 3 in: %v", problems)
	}
	found := false
	for _, c := range job.ChoicesIn(shop)["constructions"] {
		found = found || c == field.Choice{ID: "wallet", Name: "Toy wallet"}
	}
	if !found {
		t.Error("it cannot be chosen")
	}
}

func toyPeek(t *testing.T, j job.Job, shop job.Shop) {
	p := plan.Make(j, shop)
	at := slices.IndexFunc(p.Card.Bases, func(b plan.BasePlan) bool { return b.Fold == "peek" })
	if at < 0 {
		t.Fatal("it is not drawn")
	}
	// 5 3/8 wide, an inch peeks out: 4 3/8 and 5 3/8.
	b := p.Card.Bases[at]
	if b.Width.Nm != 9*in+3*in/4 || len(b.Panels) != 2 || b.Panels[0].Name != "short front" || len(b.Scores) != 1 || b.Scores[0].At.Nm != 4*in+3*in/8 {
		t.Errorf("drawn as %+v", b)
	}
	if p.Card.Sentence.Text != "Cut 9 3⁄4 × 5 3⁄8, score at 4 3⁄8 from the left: it peeks." || p.Card.Drawing != "A peek of 9 3⁄4 × 5 3⁄8: short front 4 3⁄8, back 5 3⁄8." || !strings.Contains(notes(p.Card.Notes), "It leaves 1 in of the inside to be seen.") {
		t.Errorf("worded as %q, %q, %s", p.Card.Sentence.Text, p.Card.Drawing, notes(p.Card.Notes))
	}
	if row := p.Paper.Folds[0]; row.Folds[len(row.Folds)-1].Name != "Toy peek" {
		t.Errorf("compared on paper as %+v", row.Folds)
	}
	if len(p.Paper.Stocks) == 0 || p.Paper.Stocks[0].Pieces[0].Size != "9 3⁄4 × 5 3⁄8" {
		t.Error("it is not planned on paper")
	}
	if !slices.Contains(p.Card.Options, "card.asked.peek") || p.Fields["card.asked.peek"].Label != "Peeks out" {
		t.Errorf("it asks for %v", p.Card.Options)
	}
	if got := plan.Make(edit(t, j, shop, "card.asked.peek", "1/2"), shop).Card; got.Bases[at].Width.Nm != 10*in+in/4 {
		t.Errorf("with half an inch peeking out it is %s", got.Bases[at].Width.Text)
	}
	with := j
	with.Paper.Have = shop.Sheets[0].ID
	if !slices.ContainsFunc(plan.Make(with, shop).Paper.Have.Rows, func(r plan.HaveRow) bool { return r.Fold == "Toy peek" }) {
		t.Error("no sheet gives it")
	}
}

func toyWrap(t *testing.T, j job.Job, shop job.Shop) {
	p := plan.Make(j, shop).Mail
	at := slices.IndexFunc(p.Classes[len(p.Classes)-1].Checks, func(c plan.CheckPlan) bool { return c.Measure == "wrap" })
	if at < 0 {
		t.Fatal("it is not checked")
	}
	c := p.Classes[len(p.Classes)-1].Checks[at]
	if c.Label != "string once round" || c.OK || c.Limit != "to 4 in" || c.Gauge.At <= c.Gauge.To {
		t.Errorf("checked as %+v", c)
	}
	if !strings.Contains(p.Sentence.Text, "too much to tie by ") {
		t.Errorf("worded as %q", p.Sentence.Text)
	}
	page := plan.RulePages(shop)
	last := page[len(page)-1]
	rows := last.Classes[len(last.Classes)-1].Rows
	path := strings.TrimSuffix(rows[len(rows)-1].Path, ".")
	wider, problems, _ := job.ApplyToShop(shop, []field.Edit{{Act: field.Type, Path: path + ".max", Text: "60 in"}})
	if len(problems) > 0 || rows[len(rows)-1].Label != "string once round" {
		t.Fatalf("%v, %+v", problems, rows[len(rows)-1])
	}
	if c := plan.Make(j, wider).Mail.Classes[len(p.Classes)-1].Checks[at]; !c.OK || c.Limit != "to 60 in" {
		t.Errorf("with a limit of 60 in: %+v", c)
	}
	if list := job.ChoicesIn(shop)["measures"]; list[len(list)-1] != (field.Choice{ID: "wrap", Name: "string once round"}) {
		t.Error("no limit of it can be added")
	}
}
