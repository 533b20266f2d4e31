package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/card"
	"yellowparcel/core/cutting"
	"yellowparcel/core/measure"
	"yellowparcel/core/offer"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// FoldSheet is what one sheet gives of the base in every fold.
type FoldSheet struct {
	ID     string         `json:"id"`
	Name   string         `json:"name"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
	Folds  []FoldYield    `json:"folds"`
}

// FoldYield is one fold on one sheet.
type FoldYield struct {
	Fold card.Fold `json:"fold"`
	Name string    `json:"name"`
	Each int       `json:"each"`
	Flat string    `json:"flat"`
	Text string    `json:"text"`
}

func (m paperStation) foldSheets() []FoldSheet {
	list := []FoldSheet{}
	stock, _ := m.Shop().Stock(m.Job().Parts[0].Stock)
	for _, sheet := range m.Shop().OnShelf() {
		row := FoldSheet{ID: sheet.ID, Name: sheet.Name, Width: sheet.Width, Height: sheet.Height}
		for _, fold := range offer.To(m.Maker).FoldsFor() {
			row.Folds = append(row.Folds, m.foldYield(stock, sheet, fold))
		}
		for i := range row.Folds {
			m.helps(&row, i)
		}
		list = append(list, row)
	}
	return list
}

func (m paperStation) foldYield(stock paper.Stock, sheet paper.Sheet, fold card.Fold) FoldYield {
	on, piece := m.BaseOn(m.Job(), stock, sheet, fold)
	y := FoldYield{Fold: fold, Name: fold.Kind().Words.Name, Each: m.Effort.Yield(on, piece), Flat: m.by(piece.Width, piece.Height)}
	if y.Each > 0 {
		y.Text = fmt.Sprintf("%d a sheet", y.Each)
		return y
	}
	long, short := max(piece.Width, piece.Height), min(piece.Width, piece.Height)
	slots := say.Slots{"cut": m.Style().Show(on.Cut)}
	if most := max(on.Width, on.Height); long > most {
		slots["long"], slots["most"] = m.Style().Show(long), m.Style().Show(most)
	} else {
		slots["short"], slots["least"] = m.Style().Show(short), m.Style().Show(min(on.Width, on.Height))
	}
	y.Text = slots.Text(notOn[on.Possible(piece)]...)
	return y
}

// notOn say why a base is not cut from a sheet.
var notOn = map[cutting.Reason][]say.Clause{
	cutting.BeyondTrimmer: {say.Always("no: a cut is longer than the trimmer's {cut}")},
	cutting.OnlyTurned:    {say.Always("no: only turned, against pattern or grain")},
	cutting.TooLarge:      {say.Always("no: needs {long} one way, the sheet has {most}"), say.Always("no: needs {short} the other way, the sheet has {least}")},
}

// helps adds what would make a fold possible on this sheet: another fold, or the
// largest card of this shape.
func (m paperStation) helps(row *FoldSheet, i int) {
	if row.Folds[i].Each > 0 {
		return
	}
	for _, other := range row.Folds {
		if other.Each > 0 {
			row.Folds[i].Text += fmt.Sprintf("; a %s gives %d", strings.ToLower(other.Name), other.Each)
			return
		}
	}
	size := offer.To(m.Maker).LargestOf(card.Size{Width: row.Width, Height: row.Height}, row.Folds[i].Fold)
	row.Folds[i].Text += fmt.Sprintf("; a card of %s would go", m.by(size.Width, size.Height))
}

// HavePlan is what the sheet that the maker came with can become.
type HavePlan struct {
	Sheet    string       `json:"sheet"`
	Sentence say.Sentence `json:"sentence"`
	Rows     []HaveRow    `json:"rows"`
	// Largest are the largest cards that the sheet gives.
	Largest []HaveRow `json:"largest"`
}

// HaveRow is one card size in one fold from the sheet.
type HaveRow struct {
	ID       string `json:"id"`
	Size     string `json:"size"`
	Fold     string `json:"fold"`
	Flat     string `json:"flat"`
	Each     int    `json:"each"`
	Waste    string `json:"waste"`
	Envelope string `json:"envelope"`
	Owned    bool   `json:"owned"`
	Mail     string `json:"mail"`
	Current  bool   `json:"current"`
	// Twin is the same base turned, in words, TwinID its ID; empty for none.
	Twin   string `json:"twin"`
	TwinID string `json:"twinId"`
}

// have says what can be made of the maker's sheet; nil when there is none.
func (m paperStation) have() *HavePlan {
	sheet, ok := m.Shop().Sheet(m.Job().Paper.Have)
	if !ok {
		return nil
	}
	p := &HavePlan{Sheet: sheet.ID, Rows: []HaveRow{}, Largest: []HaveRow{}}
	cards, largest := offer.To(m.Maker).SheetCards(sheet)
	for _, c := range largest {
		p.Largest = append(p.Largest, m.haveRow(c))
	}
	for _, c := range cards {
		row := m.haveRow(c)
		row.Waste, row.Envelope, row.Owned = percent(max(0, c.Waste)), c.Format.Name, c.Format.Owned
		row.Mail = shortly(c.Mail)
		p.Rows = append(p.Rows, row)
	}
	switch {
	case len(p.Rows) == 0:
		p.Sentence = say.That("No card of the trade can be cut from %s.", sheet.Name)
	default:
		p.Sentence = say.That("%s gives these cards.", sheet.Name)
	}
	if size, ok := offer.To(m.Maker).Largest(sheet); ok {
		p.Sentence = p.Sentence.And(say.That("The largest in one piece is [%s].", m.by(size.Width, size.Height)))
	}
	return p
}

func (m paperStation) haveRow(c offer.SheetCard) HaveRow {
	row := HaveRow{
		ID: c.ID(), Size: m.by(c.Size.Width, c.Size.Height), Fold: c.Fold.Kind().Words.Name, Flat: m.by(c.Flat.Width, c.Flat.Height), Each: c.Each, Current: c.Is(m.Job()),
	}
	if t := c.Twin; t != nil {
		row.Twin, row.TwinID = fmt.Sprintf("%s, %s", m.by(t.Size.Width, t.Size.Height), say.Lower(t.Fold.Kind().Words.Name)), t.ID()
		row.Current = row.Current || t.Is(m.Job())
	}
	return row
}
