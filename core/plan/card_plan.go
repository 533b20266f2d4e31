package plan

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"yellowparcel/core/card"
	"yellowparcel/core/cutting"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// CardPlan is the station Card.
type CardPlan struct {
	Width     Shown `json:"width"`
	Height    Shown `json:"height"`
	Thickness Shown `json:"thickness"`
	// Predicted is the thickness that the parts add up to.
	Predicted Shown `json:"predicted"`
	// PredictedExact is the same to the micrometre.
	PredictedExact string `json:"predictedExact"`
	Measured       bool   `json:"measured"`
	// Made is set for a card that is finished: nothing of it is made.
	Made  bool       `json:"made"`
	Parts []PartPlan `json:"parts"`
	// Overlaps are the things that lie over each other, where nobody said that they are glued
	// so.
	Overlaps []OverlapPlan `json:"overlaps"`
	Bases    []BasePlan    `json:"bases"`
	// Flat is the chosen base as it is drawn.
	Flat     drawing.Drawing `json:"flat"`
	Sentence say.Sentence    `json:"sentence"`
	Notes    []say.Note      `json:"notes"`
	Sheets   []SheetPlan     `json:"sheets"`
	// Drawing describes the drawing of the flat base in words.
	Drawing string   `json:"drawing"`
	Room    RoomPlan `json:"room"`
	// How is how it is worked out.
	How []HowLine `json:"how"`
	// Options are the paths of what else is asked of a card in its fold, More of what most
	// cards leave alone; MoreSet says that some of that is set.
	Options []string `json:"options" format:"field-path"`
	More    []string `json:"more" format:"field-path"`
	MoreSet bool     `json:"moreSet"`
}

// PartPlan is one part as the maker sees it.
type PartPlan struct {
	ID string `json:"id"`
	// Part is the place in the job's list of parts; Thing is set for what is no
	// paper.
	Part  int  `json:"part"`
	Thing bool `json:"thing"`
	// Edited are the paths of what is typed and chosen of a thing.
	Edited  []string `json:"edited" format:"field-path"`
	Name    string   `json:"name"`
	Stock   string   `json:"stock"`
	Size    string   `json:"size"`
	Caliper string   `json:"caliper"`
	Layers  int      `json:"layers"`
	Grams   float64  `json:"grams"`
}

// BasePlan is the flat base of one fold.
type BasePlan struct {
	Fold   card.Fold `json:"fold"`
	Name   string    `json:"name"`
	Width  Shown     `json:"width"`
	Height Shown     `json:"height"`
	// Across is true when the scores run from left to right.
	Across bool        `json:"across"`
	Panels []PanelPlan `json:"panels"`
	Scores []ScorePlan `json:"scores"`
}

// PanelPlan is one panel of a flat base.
type PanelPlan struct {
	Name string `json:"name"`
	Size Shown  `json:"size"`
}

// ScorePlan is one score line of a flat base, from its left or top edge.
type ScorePlan struct {
	At     Shown `json:"at"`
	Inside bool  `json:"inside"`
}

func (m cardStation) base(fold card.Fold) (card.Base, BasePlan) {
	b := m.Base(fold)
	p := BasePlan{Fold: fold, Name: fold.Kind().Words.Name, Width: m.shown(b.Width), Height: m.shown(b.Height), Across: b.Across, Scores: []ScorePlan{}}
	names := fold.Kind().Words.Panels(len(b.Panels))
	// A panel is drawn as what lies between the two places that are set, so that they add up along the edge.
	from, at := measure.Length(0), measure.Length(0)
	for i, w := range b.Panels {
		size := m.shown(w)
		size.Text = m.Style().Show((at + w).Near(m.Style().Tick) - from)
		at, from = at+w, (at + w).Near(m.Style().Tick)
		p.Panels = append(p.Panels, PanelPlan{names[i], size})
	}
	for _, s := range b.Scores {
		p.Scores = append(p.Scores, ScorePlan{m.shown(s.At), s.Inside})
	}
	return b, p
}

// flat draws the flat base of the card, exactly.
func (m cardStation) flat() drawing.Drawing {
	b := m.Base(m.Job().Card.Fold)
	return drawing.Base(b, b.Fold.Kind().Words.Panels(len(b.Panels)))
}

// SheetPlan is what one of the shop's sheets gives of the chosen base.
type SheetPlan struct {
	ID     string         `json:"id"`
	Name   string         `json:"name"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
	Each   int            `json:"each"`
	Take   int            `json:"take"`
	// Pieces are the bases where they lie on the sheet.
	Pieces []cutting.Placed `json:"pieces"`
	Text   string           `json:"text"`
	// Drawing describes the sheet in words.
	Drawing string `json:"drawing"`
}

// mostDrawn is how many bases are drawn on a sheet; more could not be told apart.
const mostDrawn = 400

func (m cardStation) card() CardPlan {
	j := m.Job()
	c := CardPlan{Overlaps: m.overlaps(),
		Width: m.shown(j.Card.Width), Height: m.shown(j.Card.Height),
		Thickness: shownIn(m.fine(), m.Thick().Used), Predicted: shownIn(m.fine(), m.Thick().Predicted),
		PredictedExact: m.exact(m.Thick().Predicted), Measured: m.Thick().Measured,
		Notes: []say.Note{}, Sheets: []SheetPlan{}, Options: m.cardOptions(), More: cardMore, MoreSet: m.cardMoreSet(),
	}
	c.Parts = m.parts()
	if c.How = []HowLine{}; m.open.shows("card/sums") {
		c.How = m.how()
	}
	c.Room = m.roomPlan()
	for _, fold := range card.Folds() {
		_, p := m.base(fold)
		c.Bases = append(c.Bases, p)
	}
	base, _ := m.base(j.Card.Fold)
	c.Sentence, c.Drawing = m.baseWords(base)
	c.Flat = m.flat().Drawn()
	if c.Made = j.Card.Made; c.Made {
		m.finished(&c)
		return c
	}
	c.Notes = append(append(c.Notes, m.foldNotes(base)...), m.baseGrooves(base)...)
	none := true
	stock, _ := m.Shop().Stock(j.Parts[0].Stock)
	for _, s := range m.Shop().OnShelf() {
		on, piece := m.BaseOn(j, stock, s, j.Card.Fold)
		p := SheetPlan{ID: s.ID, Name: s.Name, Width: s.Width, Height: s.Height, Each: m.Effort.Yield(on, piece), Pieces: []cutting.Placed{}}
		if p.Each > 0 && p.Each <= mostDrawn {
			p.Pieces = cutting.Equal(on, piece, cutting.YieldSteps).Pieces
		}
		if p.Each > 0 {
			p.Take = (j.Count + p.Each - 1) / p.Each
			none = false
		}
		p.Text, p.Drawing = m.sheetWords(base, p)
		c.Sheets = append(c.Sheets, p)
	}
	if none {
		c.Notes = append(c.Notes, say.Trouble.Says(fmt.Sprintf("No sheet on your shelf is large enough: the base needs %s %s. Try another fold, or a flat card.", m.by(base.Width, base.Height), m.Style().Unit)))
	}
	if m.Thick().Measured && (m.Thick().Used-m.Thick().Predicted).Abs() > max(m.Thick().Predicted/4, measure.Millimetre/2) {
		c.Notes = append(c.Notes, say.Care.Says(fmt.Sprintf("You typed a thickness of %s; the parts listed add up to %s. The sums use what you typed.", m.fine().ShowUnit(m.Thick().Used), m.fine().ShowUnit(m.Thick().Predicted))))
	}
	if t := m.Thick(); t.Measured && t.Used != *j.Card.Thickness {
		c.Notes = append(c.Notes, say.Care.Says(fmt.Sprintf("You typed a thickness of %s when the parts added up to %s. They changed, so the sums count %s: measure again, or empty the field.", m.fine().ShowUnit(*j.Card.Thickness), m.fine().Show(j.Card.ThicknessOf), m.fine().ShowUnit(t.Used))))
	}
	return c
}

// finished says of a card that is made already what it still asks for.
func (m cardStation) finished(c *CardPlan) {
	c.How, c.Options = []HowLine{}, []string{}
	c.Sentence = say.That("Your card of [%s] is finished: only its envelope is made.", m.by(m.Job().Card.Width, m.Job().Card.Height))
	if m.Job().Mail.WithoutEnvelope() {
		c.Sentence = say.That("Your card of [%s] is finished: nothing of it is made.", m.by(m.Job().Card.Width, m.Job().Card.Height))
	}
	if !c.Measured {
		c.Notes = append(c.Notes, say.Care.Says(fmt.Sprintf("Measure its thickness: until then the sums take %s from its parts.", m.fine().ShowUnit(m.Thick().Predicted))))
	}
	c.Notes = append(c.Notes, say.Fine.Says("No base, layer or paper of it stands in cuts, counts, prints and files."))
}

// parts sizes every part; one of which nothing is left is not there.
func (m cardStation) parts() []PartPlan {
	var list []PartPlan
	for i, size := range m.Job().PartSizes() {
		if size.Width == 0 {
			continue
		}
		p := m.Job().Parts[i]
		if t := p.Thing; t != nil {
			list = append(list, PartPlan{ID: p.ID, Part: i, Thing: true, Edited: thingOptions(i, *t), Name: p.Name, Stock: "", Size: m.by(t.Width, t.Height), Caliper: measure.Decimal(t.Caliper, measure.Millimetre) + " mm", Layers: 1, Grams: t.Grams})
			continue
		}
		stock, _ := m.Shop().Stock(p.Stock)
		n := job.LayersOf(m.Job(), p)
		list = append(list, PartPlan{
			ID: p.ID, Part: i, Edited: []string{}, Name: p.Name, Stock: stock.Name, Size: m.by(size.Width, size.Height),
			Caliper: measure.Decimal(stock.Caliper*measure.Length(n)+p.Foam, measure.Millimetre) + " mm",
			Layers:  n, Grams: stock.Weight(size.Width, size.Height) * float64(n),
		})
	}
	return list
}

// baseWords say how a base is cut, scored and folded, and what its drawing shows.
func (m cardStation) baseWords(b card.Base) (sentence say.Sentence, drawing string) {
	words := b.Fold.Kind().Words
	s := m.baseSlots(b)
	return s.Sentence(words.Sentence...), s.Text(words.Drawing...)
}

// baseSlots are what the words of a fold are filled with.
func (m cardStation) baseSlots(b card.Base) say.Slots {
	words := b.Fold.Kind().Words
	s := say.Slots{
		"size": m.by(b.Width, b.Height), "unit": string(m.Style().Unit), "outside": m.scores(b, false), "mirrored": m.mirrored(b), "opens": words.Opens,
		"scores": say.Plural(len(b.Scores), "score"), "edge": "left", "line": "down",
	}
	if b.Across {
		s["edge"], s["line"] = "top", "across"
	}
	if inside := m.scores(b, true); inside != "" {
		s["inside"] = inside
	}
	s.Flag("towards", m.Job().Card.Towards)
	panels := slices.Clone(words.Panels(len(b.Panels)))
	for i, n := range panels {
		panels[i] = n + " " + m.Style().Show(b.Panels[i])
	}
	s["panels"] = strings.Join(panels, ", ")
	for name, l := range b.Lengths() {
		if l > 0 {
			s[name] = m.fine().Show(l)
		}
	}
	return s
}

// mirrored lists the scores as they are read with the inside up: from the same
// side of the table, what was on the right when the outside was up is on the
// left now.
func (m cardStation) mirrored(b card.Base) string {
	if b.Across {
		return m.scores(b, false) // turned over sideways, top stays top
	}
	turned := card.Base{}
	for i := len(b.Scores) - 1; i >= 0; i-- {
		turned.Scores = append(turned.Scores, card.Score{At: b.Width - b.Scores[i].At})
	}
	return m.scores(turned, false)
}

// scores lists where a base is scored from one of its faces.
func (m cardStation) scores(b card.Base, inside bool) string {
	var list []string
	for _, s := range b.Scores {
		if s.Inside == inside {
			list = append(list, m.Style().Show(s.At))
		}
	}
	if len(list) < 2 {
		return strings.Join(list, "")
	}
	return strings.Join(list[:len(list)-1], ", ") + " and " + list[len(list)-1]
}

// thinStrip is the narrowest strip of paper that can be cut and laid at a fence.
const thinStrip = measure.Inch / 8

// baseGrooves says how scores of a base that fall between the board's grooves are
// made: a strip between fence and sheet moves the sheet until one falls in.
func (m cardStation) baseGrooves(b card.Base) []say.Note {
	groove, list, near := m.Shop().Tools.Groove, []string(nil), []say.Note(nil)
	if groove == 0 {
		return nil
	}
	for _, s := range b.Scores {
		strip := s.At.Up(groove) - s.At
		if strip == 0 {
			continue
		}
		if at := s.At.Near(groove); (at - s.At).Abs() <= m.Style().Tick/2 { // no more than any setting is off
			near = append(near, say.Fine.Says(fmt.Sprintf("For %s take the groove at %s: it is %s %s off, less than a step.", m.Style().Show(s.At), m.fine().Show(at), m.decimal((at-s.At).Abs()), m.Style().Unit)))
			continue
		}
		if strip < thinStrip {
			strip += groove
		}
		list = append(list, fmt.Sprintf("For %s lay a strip of %s at the fence and score at %s.", m.Style().Show(s.At), m.fine().Show(strip), m.fine().Show(s.At+strip)))
	}
	if list == nil {
		return near
	}
	notes := []say.Note{say.Care.Says(fmt.Sprintf("Your board's grooves, every %s, miss %s. %s", m.fine().Show(groove), say.Plural(len(list), "score"), list[0]))}
	for _, more := range list[1:] {
		notes = append(notes, say.Care.Says(more))
	}
	return append(notes, near...)
}

// foldNotes says what the trade knows of a fold.
func (m cardStation) foldNotes(b card.Base) (notes []say.Note) {
	for _, line := range m.baseSlots(b).Lines(b.Fold.Kind().Words.Notes...) {
		notes = append(notes, say.Fine.Says(line))
	}
	if own := m.Job().Card.Own; len(own) > 0 && slices.Contains(m.cardOptions(), "card.own") {
		if err := m.Job().Card.PanelsFit(own, m.Style()); err != nil {
			notes = append(notes, say.Trouble.Says(err.Error()))
		}
	}
	return notes
}

func (m cardStation) sheetWords(b card.Base, p SheetPlan) (text, drawing string) {
	if p.Each == 0 {
		text = fmt.Sprintf("too small: this base needs %s", m.by(b.Width, b.Height))
		return text, fmt.Sprintf("%s gives no base of %s.", p.Name, m.by(b.Width, b.Height))
	}
	turned, n := "", 0
	for _, q := range p.Pieces {
		if q.Turned {
			n++
		}
	}
	if n > 0 && n < p.Each {
		turned = fmt.Sprintf(", %d of them turned", n)
	}
	text = fmt.Sprintf("%s a sheet%s, %s for %s", number(p.Each), turned, say.Plural(p.Take, "sheet"), say.Plural(m.Job().Count, "card"))
	return text, fmt.Sprintf("%s with %s marked on it%s.", p.Name, say.Plural(p.Each, "base"), turned)
}

func number(n int) string { return strconv.Itoa(n) }
