package plan

import (
	"fmt"
	"strconv"

	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// Thickness is how thick the card is over everything.
type Thickness struct {
	// Used is what the sums count with: as measured, else as predicted.
	Used      measure.Length
	Predicted measure.Length
	Measured  bool
}

// thickness adds up the parts: the base once for every panel, each layer with
// the foam below it.
func thickness(job Job, shop Shop) Thickness {
	var t Thickness
	for _, p := range job.Parts {
		stock, _ := shop.stock(p.Stock)
		t.Predicted += stock.Caliper*measure.Length(panels(job, p)) + p.Foam
	}
	t.Used = t.Predicted
	if job.Card.Thickness != nil {
		t.Used, t.Measured = *job.Card.Thickness, true
	}
	return t
}

func panels(job Job, p Part) int {
	if p.Kind == BasePart {
		return job.Card.Fold.Panels()
	}
	return 1
}

// CardPlan is the station Card.
type CardPlan struct {
	Width     Shown `json:"width"`
	Height    Shown `json:"height"`
	Thickness Shown `json:"thickness"`
	// Predicted is the thickness that the parts add up to.
	Predicted Shown `json:"predicted"`
	// PredictedExact is the same to the micrometre.
	PredictedExact string      `json:"predictedExact"`
	Measured       bool        `json:"measured"`
	Parts          []PartPlan  `json:"parts"`
	Bases          []BasePlan  `json:"bases"`
	Sentence       Sentence    `json:"sentence"`
	Notes          []Note      `json:"notes"`
	Sheets         []SheetPlan `json:"sheets"`
	// Drawing describes the drawing of the flat base in words.
	Drawing string `json:"drawing"`
}

// PartPlan is one part as the maker sees it.
type PartPlan struct {
	ID      string  `json:"id"`
	Name    string  `json:"name"`
	Stock   string  `json:"stock"`
	Size    string  `json:"size"`
	Caliper string  `json:"caliper"`
	Layers  int     `json:"layers"`
	Grams   float64 `json:"grams"`
}

// BasePlan is the flat base of one fold.
type BasePlan struct {
	Fold   card.Fold `json:"fold" enum:"side,top,flat"`
	Name   string    `json:"name"`
	Width  Shown     `json:"width"`
	Height Shown     `json:"height"`
	// Score is where the one score line runs, zero for a flat card; Across is
	// true when it runs from left to right.
	Score  Shown `json:"score"`
	Across bool  `json:"across"`
}

// SheetPlan is what one of the shop's sheets gives of the chosen base.
type SheetPlan struct {
	ID     string         `json:"id"`
	Name   string         `json:"name"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
	Each   int            `json:"each"`
	Take   int            `json:"take"`
	Pieces []card.Piece   `json:"pieces"`
	Text   string         `json:"text"`
	// Drawing describes the sheet in words.
	Drawing string `json:"drawing"`
}

var foldNames = map[card.Fold]string{card.SideFold: "Side fold", card.TopFold: "Top fold", card.FlatCard: "Flat card"}

func (m maker) card() CardPlan {
	j := m.job
	c := CardPlan{
		Width: m.shown(j.Card.Width), Height: m.shown(j.Card.Height),
		Thickness: Shown{m.thick.Used, m.fine().Show(m.thick.Used)}, Predicted: Shown{m.thick.Predicted, m.fine().Show(m.thick.Predicted)},
		PredictedExact: m.exact(m.thick.Predicted), Measured: m.thick.Measured,
		Notes: []Note{},
	}
	c.Parts = m.parts()
	for _, fold := range card.Folds() {
		b := card.NewBase(fold, j.Card.Width, j.Card.Height)
		p := BasePlan{Fold: fold, Name: foldNames[fold], Width: m.shown(b.Width), Height: m.shown(b.Height)}
		for _, s := range b.Scores {
			p.Score, p.Across = m.shown(s.At), s.Across
		}
		c.Bases = append(c.Bases, p)
	}
	base := card.NewBase(j.Card.Fold, j.Card.Width, j.Card.Height)
	c.Sentence, c.Drawing = m.baseWords(base)
	none := true
	for _, s := range m.shop.Sheets {
		y := card.PerSheet(base.Width, base.Height, s.Width, s.Height)
		p := SheetPlan{ID: s.ID, Name: s.Name, Width: s.Width, Height: s.Height, Each: y.Count(), Take: y.Sheets(j.Count), Pieces: y.Pieces}
		p.Text, p.Drawing = m.sheetWords(base, p, y)
		none = none && y.Count() == 0
		c.Sheets = append(c.Sheets, p)
	}
	if none {
		c.Notes = append(c.Notes, Note{Trouble, fmt.Sprintf("No sheet on your shelf is large enough: the base needs one of at least %s %s. Try the other fold, or make a flat card.", m.by(base.Width, base.Height), m.style.Unit)})
	}
	if m.thick.Measured && (m.thick.Used-m.thick.Predicted).Abs() > max(m.thick.Predicted/4, measure.Millimetre/2) {
		c.Notes = append(c.Notes, Note{Care, fmt.Sprintf("You typed a thickness of %s; the parts listed add up to %s. The sums use what you typed.", m.fine().ShowUnit(m.thick.Used), m.fine().ShowUnit(m.thick.Predicted))})
	}
	return c
}

// parts sizes every part; one of which nothing is left is not there.
func (m maker) parts() []PartPlan {
	sizes, _, _ := card.Stack(m.job.face(), m.job.borders())
	var list []PartPlan
	for i, size := range append([]card.Size{m.job.face()}, sizes...) {
		p := m.job.Parts[i]
		stock, _ := m.shop.stock(p.Stock)
		n := panels(m.job, p)
		list = append(list, PartPlan{
			ID: p.ID, Name: p.Name, Stock: stock.Name, Size: m.by(size.Width, size.Height),
			Caliper: measure.Decimal(stock.Caliper*measure.Length(n)+p.Foam, measure.Millimetre) + " mm",
			Layers:  n, Grams: stock.Weight(size.Width, size.Height) * float64(n),
		})
	}
	return list
}

func (m maker) baseWords(b card.Base) (sentence Sentence, drawing string) {
	size := m.by(b.Width, b.Height)
	if b.Fold == card.FlatCard {
		return say("Cut [%s]. A flat card has no score.", size),
			fmt.Sprintf("The flat card, %s %s, without a score.", size, m.style.Unit)
	}
	at := b.Scores[0]
	edge, opens, line := "left", "a book", "down"
	if at.Across {
		edge, opens, line = "top", "a tent", "across"
	}
	sentence = say("Cut [%s]. Outside up, score at [%s] from the %s, and fold away from the groove: it opens like %s.",
		size, m.style.Show(at.At), edge, opens)
	drawing = fmt.Sprintf("The base lying flat, %s %s, with one score running %s at %s from the %s edge. The finished card, %s, is the half with the front.",
		size, m.style.Unit, line, m.style.Show(at.At), edge, m.by(m.job.Card.Width, m.job.Card.Height))
	return sentence, drawing
}

func (m maker) sheetWords(b card.Base, p SheetPlan, y card.Yield) (text, drawing string) {
	if y.Count() == 0 {
		text = fmt.Sprintf("too small: this base needs %s", m.by(b.Width, b.Height))
		return text, fmt.Sprintf("%s gives no base of %s.", p.Name, m.by(b.Width, b.Height))
	}
	turned := ""
	if y.Turned > 0 && y.Turned < y.Count() {
		turned = fmt.Sprintf(", %d of them turned", y.Turned)
	}
	text = fmt.Sprintf("%s a sheet%s, %s for %s", number(y.Count()), turned, plural(p.Take, "sheet"), plural(m.job.Count, "card"))
	return text, fmt.Sprintf("%s with %s marked on it%s.", p.Name, plural(y.Count(), "base"), turned)
}

func number(n int) string { return strconv.Itoa(n) }

func plural(n int, noun string) string {
	if n == 1 {
		return "1 " + noun
	}
	return number(n) + " " + noun + "s"
}
