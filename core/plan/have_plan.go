package plan

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/card"
	"yellowparcel/core/cutting"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
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

// foldsFor are the folds that a table compares: side and top, and the job's own.
func (m maker) foldsFor() (list []card.Fold) {
	for _, f := range card.Folds() {
		if f.Kind().Usual {
			list = append(list, f)
		}
	}
	if !slices.Contains(list, m.Job().Card.Fold) {
		list = append(list, m.Job().Card.Fold)
	}
	return list
}

func (m maker) foldSheets() []FoldSheet {
	list := []FoldSheet{}
	stock, _ := m.Shop().Stock(m.Job().Parts[0].Stock)
	for _, sheet := range m.Shop().OnShelf() {
		row := FoldSheet{ID: sheet.ID, Name: sheet.Name, Width: sheet.Width, Height: sheet.Height}
		for _, fold := range m.foldsFor() {
			row.Folds = append(row.Folds, m.foldYield(stock, sheet, fold))
		}
		for i := range row.Folds {
			m.helps(&row, i)
		}
		list = append(list, row)
	}
	return list
}

func (m maker) foldYield(stock paper.Stock, sheet paper.Sheet, fold card.Fold) FoldYield {
	on, piece := m.BaseOn(m.Job(), stock, sheet, fold)
	y := FoldYield{Fold: fold, Name: fold.Kind().Words.Name, Each: m.effort.Yield(on, piece), Flat: m.by(piece.Width, piece.Height)}
	if y.Each > 0 {
		y.Text = fmt.Sprintf("%d a sheet", y.Each)
		return y
	}
	switch on.Possible(piece) {
	case cutting.BeyondTrimmer:
		y.Text = fmt.Sprintf("no: a cut is longer than the trimmer's %s", m.Style().Show(on.Cut))
	case cutting.OnlyTurned:
		y.Text = "no: only turned, against pattern or grain"
	default:
		long, short := max(piece.Width, piece.Height), min(piece.Width, piece.Height)
		if long > max(on.Width, on.Height) {
			y.Text = fmt.Sprintf("no: needs %s one way, the sheet has %s", m.Style().Show(long), m.Style().Show(max(on.Width, on.Height)))
		} else {
			y.Text = fmt.Sprintf("no: needs %s the other way, the sheet has %s", m.Style().Show(short), m.Style().Show(min(on.Width, on.Height)))
		}
	}
	return y
}

// helps adds what would make a fold possible on this sheet: another fold, or the
// largest card of this shape.
func (m maker) helps(row *FoldSheet, i int) {
	if row.Folds[i].Each > 0 {
		return
	}
	for _, other := range row.Folds {
		if other.Each > 0 {
			row.Folds[i].Text += fmt.Sprintf("; a %s gives %d", strings.ToLower(other.Fold.Kind().Words.Name), other.Each)
			return
		}
	}
	b := card.NewBase(m.Job().Spec(row.Folds[i].Fold, m.Shop()))
	long, short := max(b.Width, b.Height), min(b.Width, b.Height)
	factor := min(max(row.Width, row.Height).Inches()/long.Inches(), min(row.Width, row.Height).Inches()/short.Inches())
	w, h := measure.Round(float64(m.Job().Card.Width)*factor).Down(m.Style().Tick), measure.Round(float64(m.Job().Card.Height)*factor).Down(m.Style().Tick)
	row.Folds[i].Text += fmt.Sprintf("; a card of %s would go", m.by(w, h))
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
	Post     string `json:"post"`
	Current  bool   `json:"current"`

	waste float64
	card  card.Size
	fold  card.Fold
}

// have ranks what can be made of the maker's sheet; nil when there is none.
func (m maker) have() *HavePlan {
	sheet, ok := m.Shop().Sheet(m.Job().Paper.Have)
	if !ok {
		return nil
	}
	p := &HavePlan{Sheet: sheet.ID, Largest: m.largest(sheet), Rows: []HaveRow{}}
	seen := map[string]bool{}
	for _, f := range m.Shop().Formats() {
		for _, size := range m.cardsOf(f) {
			if m.Job().Holds(size) != nil {
				continue // something would lie off its face
			}
			for _, fold := range card.Folds() {
				row := m.haveRow(sheet, f, size, fold)
				key := row.Size + row.Fold
				if row.Each == 0 || seen[key] {
					continue
				}
				seen[key] = true
				p.Rows = append(p.Rows, row)
			}
		}
	}
	slices.SortStableFunc(p.Rows, func(a, b HaveRow) int {
		owned := map[bool]int{true: 0, false: 1}
		return cmp.Or(cmp.Compare(b.Each, a.Each), cmp.Compare(a.waste, b.waste), cmp.Compare(owned[a.Owned], owned[b.Owned]))
	})
	if len(p.Rows) == 0 {
		p.Sentence = say.That("No card of the trade can be cut from %s.", sheet.Name)
		return p
	}
	p.Sentence = say.That("%s gives these cards.", sheet.Name)
	if len(p.Largest) > 0 {
		p.Sentence = say.That("%s gives these cards; the largest in one piece is [%s].", sheet.Name, p.Largest[0].Size)
	}
	return p
}

// cardsOf are the cards that an envelope is sold for, else the quarter step's,
// both ways round.
func (m maker) cardsOf(f envelope.Format) (list []card.Size) {
	cards := f.Cards
	if len(cards) == 0 {
		if c, ok := envelope.CardFor(envelope.QuarterStep, f, 0, 0, m.Style().Tick); ok {
			cards = []envelope.Size{c}
		}
	}
	for _, c := range cards {
		list = append(list, card.Size{Width: c.Width, Height: c.Height})
		if c.Width != c.Height {
			list = append(list, card.Size{Width: c.Height, Height: c.Width})
		}
	}
	return list
}

func (m maker) haveRow(sheet paper.Sheet, f envelope.Format, size card.Size, fold card.Fold) HaveRow {
	made := ofSheet(m.Job(), size, fold)
	row := HaveRow{
		ID:   fmt.Sprintf("%d:%d:%s", size.Width, size.Height, fold),
		Size: m.by(size.Width, size.Height), Fold: fold.Kind().Words.Name, Envelope: f.Name, Owned: f.Owned, card: size, fold: fold,
		Current: size == m.Job().Face() && fold == m.Job().Card.Fold,
	}
	stock, _ := m.Shop().Stock(m.Job().Parts[0].Stock)
	on, piece := m.BaseOn(made, stock, sheet, fold)
	row.Each = m.effort.Yield(on, piece)
	row.Flat = m.by(piece.Width, piece.Height)
	row.waste = 1 - float64(row.Each)*piece.Width.Inches()*piece.Height.Inches()/(sheet.Width.Inches()*sheet.Height.Inches())
	row.Waste = percent(max(0, row.waste))
	if row.Each > 0 {
		row.Post = m.postIn(made, f)
	}
	return row
}

// ofSheet is the job with one of the cards that the sheet gives.
func ofSheet(j job.Job, size card.Size, fold card.Fold) job.Job {
	j.Card.Width, j.Card.Height, j.Card.Fold = size.Width, size.Height, fold
	return j
}

// postIn is the forecast for the card alone in a bought envelope.
func (m maker) postIn(j job.Job, f envelope.Format) string {
	book, ok := m.book()
	if !ok {
		return "by hand"
	}
	stock, _ := m.Shop().Stock(soldPaper)
	grams := 2.3 * stock.Weight(f.Width, f.Height) // front, back and flaps
	base, _ := m.Shop().Stock(j.Parts[0].Stock)
	layers := j.Spec(j.Card.Fold, m.Shop()).Layers()
	grams += base.Weight(j.Card.Width, j.Card.Height) * float64(layers)
	return m.forecast(book.Judge(mail.Piece{
		Width: f.Width, Height: f.Height, Thickness: base.Caliper*measure.Length(layers) + 3*stock.Caliper,
		Weight: grams * (1 + glueShare), SizeError: m.Style().Tick,
	})).short
}

// largest are the largest cards with one fold that the sheet gives one, two and
// four at a time.
func (m maker) largest(sheet paper.Sheet) (list []HaveRow) {
	down := func(l measure.Length) measure.Length { return l.Down(m.Style().Tick) }
	list = []HaveRow{}
	for _, n := range []struct{ across, down measure.Length }{{1, 1}, {1, 2}, {2, 1}, {2, 2}} {
		w, h := down(sheet.Width/n.across), down(sheet.Height/n.down)
		for _, c := range []struct {
			size card.Size
			fold card.Fold
		}{{card.Size{Width: down(w / 2), Height: h}, card.SideFold}, {card.Size{Width: w, Height: down(h / 2)}, card.TopFold}} {
			if m.Job().Holds(c.size) != nil {
				continue // something would lie off its face
			}
			list = append(list, HaveRow{
				ID: fmt.Sprintf("%d:%d:%s", c.size.Width, c.size.Height, c.fold), Size: m.by(c.size.Width, c.size.Height), Fold: c.fold.Kind().Words.Name,
				Flat: m.by(w, h), Each: int(n.across * n.down), card: c.size, fold: c.fold,
				Current: c.size == m.Job().Face() && c.fold == m.Job().Card.Fold,
			})
		}
	}
	return list
}
