package plan

import (
	"context"
	"fmt"
	"slices"

	"yellowparcel/core/cutting"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// PaperPlan is the station Paper: what is cut from which sheets, and how.
type PaperPlan struct {
	Sentence say.Sentence `json:"sentence"`
	// Short is the line on the ticket.
	Short  string      `json:"short"`
	Tone   Tone        `json:"tone"`
	Stocks []StockPlan `json:"stocks"`
	Folds  []FoldSheet `json:"folds"`
	Notes  []Note      `json:"notes"`
	Have   *HavePlan   `json:"have,omitempty"`
	// Options are the paths of what is chosen for the cutting.
	Options []string `json:"options"`
}

// StockPlan is how everything of one stock is cut.
type StockPlan struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	Sheet string `json:"sheet"`
	// SheetName, Width and Height are of the sheet that is cut.
	SheetName string         `json:"sheetName"`
	Width     measure.Length `json:"width"`
	Height    measure.Length `json:"height"`
	Sheets    int            `json:"sheets"`
	Settings  int            `json:"settings"`
	// Pieces are the lines of the order, for the drawing.
	Pieces  []PieceLine  `json:"pieces"`
	Layouts []LayoutPlan `json:"layouts"`
	Steps   []StepPlan   `json:"steps"`
	Text    string       `json:"text"`
	// Proven is set when no plan takes fewer sheets; Unfinished when the search
	// was stopped.
	Proven     bool          `json:"proven"`
	Unfinished bool          `json:"unfinished"`
	Choices    []SheetChoice `json:"choices"`
	Notes      []Note        `json:"notes"`
}

// PieceLine is one line of the order.
type PieceLine struct {
	Name  string `json:"name"`
	Size  string `json:"size"`
	Count int    `json:"count"`
}

// LayoutPlan is one way of cutting the sheet, drawn.
type LayoutPlan struct {
	Name    string           `json:"name"`
	Times   int              `json:"times"`
	Pieces  []cutting.Placed `json:"pieces"`
	Offcuts []OffcutPlan     `json:"offcuts"`
	Cuts    []cutting.Cut    `json:"cuts"`
	Drawing string           `json:"drawing"`
}

// OffcutPlan is a rectangle that is left over and what it still makes.
type OffcutPlan struct {
	cutting.Rect
	Size  string `json:"size"`
	Makes string `json:"makes"`
}

// StepPlan is one setting of the guide and the cuts made at it.
type StepPlan struct {
	Setting Shown    `json:"setting"`
	Cuts    []string `json:"cuts"`
}

// SheetChoice is what the same pieces take of another sheet.
type SheetChoice struct {
	ID     string `json:"id"`
	Name   string `json:"name"`
	Text   string `json:"text"`
	Chosen bool   `json:"chosen"`
}

func (m maker) paper(made candidate) PaperPlan {
	p := PaperPlan{Notes: []Note{}, Stocks: []StockPlan{}, Tone: Fine, Options: m.paperOptions()}
	p.Folds = m.foldSheets()
	p.Have = m.have()
	for i, orders := 0, m.orders(made); i < len(orders); i++ {
		// What is left is shared out evenly among the papers that are still to be cut.
		p.Stocks = append(p.Stocks, m.stockPlan(orders[i], m.effort.left()/(len(orders)-i)))
	}
	m.paperSentence(&p)
	return p
}

// sheetsFor are the sheets that a stock may be cut from.
func (m maker) sheetsFor(stock paper.Stock) []paper.Sheet {
	id := stock.Sheet
	if id == "" {
		return m.Shop().OnShelf()
	}
	if s, ok := m.Shop().Sheet(id); ok {
		return []paper.Sheet{s}
	}
	return nil
}

// tried is a plan on one sheet.
type tried struct {
	sheet   paper.Sheet
	plan    cutting.Plan
	order   cutting.Order
	swapped []bool
	notes   []Note
}

func (t tried) area() float64 {
	return float64(t.plan.Sheets) * t.sheet.Width.Inches() * t.sheet.Height.Inches()
}

// over compares sheets: all pieces first, then the least paper.
func (t tried) over(u tried) bool {
	if len(t.plan.Unfit) != len(u.plan.Unfit) {
		return len(t.plan.Unfit) < len(u.plan.Unfit)
	}
	return t.area() < u.area()
}

func (m maker) try(o stockOrder, sheet paper.Sheet, steps int, tell func(cutting.Progress)) tried {
	as, turned, notes := m.lies(o, sheet)
	t := tried{sheet: sheet, notes: notes}
	t.order, t.swapped = o.cuttingOrder(sheet, m.Shop().Tools.TrimmerLength, as, turned)
	t.plan = m.effort.cut(t.order, steps, tell)
	return t
}

// stockPlan plans one stock on every sheet it may be cut from with a quick look,
// takes the one chosen, else the one that takes the least paper, and searches that
// one with all the steps that are left.
func (m maker) stockPlan(o stockOrder, steps int) StockPlan {
	sheets := m.sheetsFor(o.stock)
	p := StockPlan{ID: o.stock.ID, Name: o.stock.Name, Pieces: []PieceLine{}, Layouts: []LayoutPlan{}, Steps: []StepPlan{}, Choices: []SheetChoice{}, Notes: []Note{}}
	for _, q := range o.pieces {
		p.Pieces = append(p.Pieces, PieceLine{q.name, m.by(q.size.Width, q.size.Height), q.count})
	}
	for _, s := range o.saved {
		p.Notes = append(p.Notes, Note{Fine, s})
	}
	if len(sheets) == 0 {
		p.Notes = append(p.Notes, Note{Trouble, "There is no sheet on your shelf to cut it from: enter one there."})
		return p
	}
	all := make([]tried, len(sheets))
	best, until := 0, m.effort.used+steps
	for i, s := range sheets {
		all[i] = m.try(o, s, min(trySteps, steps/2/len(sheets)), nil)
		if i > 0 && all[i].over(all[best]) {
			best = i
		}
	}
	for i, s := range sheets {
		if s.ID == m.Job().Paper.Sheets[o.stock.ID] {
			best = i
		}
	}
	if t := m.try(o, all[best].sheet, max(0, until-m.effort.used), nil); !all[best].over(t) {
		all[best] = t
	}
	for i, t := range all {
		p.Choices = append(p.Choices, SheetChoice{t.sheet.ID, t.sheet.Name, m.choiceWords(o, t), i == best})
	}
	m.takeTried(&p, o, all[best])
	return p
}

func (m maker) choiceWords(o stockOrder, t tried) string {
	if n := len(t.plan.Unfit); n == len(o.pieces) {
		return "too small"
	} else if n > 0 {
		return fmt.Sprintf("too small for “%s”", o.pieces[t.plan.Unfit[0]].name)
	}
	return plural(t.plan.Sheets, "sheet")
}

// takeTried fills in the plan of the sheet that is taken.
func (m maker) takeTried(p *StockPlan, o stockOrder, t tried) {
	p.Sheet, p.SheetName, p.Width, p.Height = t.sheet.ID, t.sheet.Name, t.sheet.Width, t.sheet.Height
	p.Sheets, p.Settings, p.Proven, p.Unfinished = t.plan.Sheets, len(t.plan.Steps), t.plan.Proven(), t.plan.Unfinished
	p.Notes = append(p.Notes, t.notes...)
	for _, i := range t.plan.Unfit {
		p.Notes = append(p.Notes, Note{Trouble, m.unfitWords(o, t, i)})
	}
	words := cutWords{m: m, o: o, t: t, made: map[[2]measure.Length]string{}}
	p.Layouts, p.Steps = words.layouts(), words.steps()
	p.Notes = append(p.Notes, m.grainNotes(o, t)...)
	take := fmt.Sprintf("%s of %s", plural(p.Sheets, "sheet"), t.sheet.Name)
	switch have := o.stock.Have; {
	case have > 0 && have < p.Sheets:
		take += fmt.Sprintf(": you have %d, buy %d more", have, p.Sheets-have)
	case have > 0:
		take += fmt.Sprintf(" of your %d", have)
	}
	p.Text = fmt.Sprintf("%s, %s of the guide", take, plural(p.Settings, "setting"))
	if p.Sheets > 1 {
		p.Text += "; " + fewerWords(t.plan)
	}
}

// fewerWords says whether fewer sheets are impossible, and why, or only not
// found.
func fewerWords(c cutting.Plan) string {
	switch {
	case c.Proven() && c.ByCount:
		return "fewer is impossible: a sheet holds no more of these pieces"
	case c.Proven():
		return "fewer is impossible: the pieces fill more than " + plural(c.Sheets-1, "sheet")
	}
	return fmt.Sprintf("fewer were not found, but %d may be enough", c.Bound)
}

// unfitWords says why a sheet does not give a piece and what would help.
func (m maker) unfitWords(o stockOrder, t tried, i int) string {
	q := o.pieces[i]
	what := fmt.Sprintf("“%s”, %s, ", q.name, m.by(q.size.Width, q.size.Height))
	switch t.order.Sheet.Possible(t.order.Pieces[i]) {
	case cutting.BeyondTrimmer:
		return what + fmt.Sprintf("needs a cut longer than the %s that your trimmer makes: cut it with a knife and ruler, or from a smaller sheet.", m.Style().ShowUnit(m.Shop().Tools.TrimmerLength))
	case cutting.OnlyTurned:
		return what + fmt.Sprintf("would go on %s only a quarter turn round, which its pattern or grain forbids: choose another sheet or fold.", t.sheet.Name)
	}
	return what + fmt.Sprintf("is larger than every sheet it may be cut from, %s among them: choose a larger sheet, another fold or a smaller card.", t.sheet.Name)
}

// grainNotes warns of heavy stock that is folded across its grain.
func (m maker) grainNotes(o stockOrder, t tried) []Note {
	if o.stock.GSM <= paper.HeavyFold {
		return nil
	}
	across, folded := 0, 0
	for _, l := range t.plan.Layouts {
		for _, q := range l.Pieces {
			line := o.pieces[q.Piece]
			if !line.fold {
				continue
			}
			folded += l.Times
			down := line.down != (q.Turned != t.swapped[q.Piece]) // how the fold runs on the sheet
			if o.stock.Grain != paper.Unknown && o.stock.Grain.Upright(t.sheet) != down {
				across += l.Times
			}
		}
	}
	switch {
	case folded == 0:
		return nil
	case o.stock.Grain == paper.Unknown:
		return []Note{{Fine, fmt.Sprintf("%s is heavy enough to crack when folded across its grain. Bend a sheet both ways: it gives more easily along the grain; enter it on the shelf.", o.stock.Name)}}
	case across > 0:
		return []Note{{Care, fmt.Sprintf("%d of %d bases are folded across the grain of %s, which cracks over %.0f gsm: keep the folds along the grain, or score deeper.", across, folded, o.stock.Name, paper.HeavyFold)}}
	}
	return nil
}

func (m maker) paperSentence(p *PaperPlan) {
	sheets, troubled := 0, false
	var take say.Sentence
	for _, s := range p.Stocks {
		if s.Sheets > 0 {
			more := say.That("Take [%s] of %s", plural(s.Sheets, "sheet"), s.Name)
			if sheets > 0 {
				more = say.That("; [%d] of %s", s.Sheets, s.Name)
			}
			take = take.Joined(more)
		}
		sheets += s.Sheets
		for _, n := range s.Notes {
			troubled = troubled || n.Tone == Trouble
		}
	}
	p.Short = plural(sheets, "sheet")
	switch {
	case troubled && sheets == 0:
		p.Tone, p.Sentence = Trouble, say.That("Nothing of this job can be cut from the sheets on your shelf; below is what would make it possible.")
	case troubled:
		p.Tone, p.Sentence = Trouble, take.Then(". Not everything can be cut from what is on your shelf.")
	case sheets == 0:
		p.Sentence = say.That("There is nothing to cut: everything is cut already.")
	default:
		p.Sentence = take.Then(fmt.Sprintf(", for %s.", plural(m.Job().Count, "card")))
	}
}

// Cuts reports whether the job cuts anything from a stock, and the stock from such a
// sheet.
func Cuts(j job.Job, shop job.Shop, stock, sheet string) bool {
	m := newMaker(j, shop)
	for _, o := range m.orders(m.chosen()) {
		if s, ok := shop.Sheet(sheet); ok && o.stock.ID == stock && slices.Contains(m.sheetsFor(o.stock), s) {
			return true
		}
	}
	return false
}

// CutStock searches longer for the cutting of one stock from one sheet: so many
// steps at most, until the context ends. The plan of a search that was stopped
// is whole, and marked unfinished. It is false when the job cuts nothing from
// that stock, or the stock from no such sheet.
func CutStock(ctx context.Context, j job.Job, shop job.Shop, stock, sheet string, steps int, tell func(cutting.Progress)) (StockPlan, bool) {
	m := newMaker(j, shop)
	m.effort = newEffort(ctx, steps+planSteps)
	for _, o := range m.orders(m.chosen()) {
		if s, ok := shop.Sheet(sheet); ok && o.stock.ID == stock && slices.Contains(m.sheetsFor(o.stock), s) {
			// The other sheets keep the plans that a quick look gives.
			p := m.stockPlan(o, planSteps/2)
			t := m.try(o, s, steps, tell)
			p.Notes, p.Layouts, p.Steps = p.Notes[:len(o.saved)], nil, nil
			for i, c := range p.Choices {
				if p.Choices[i].Chosen = c.ID == sheet; c.ID == sheet {
					p.Choices[i].Text = m.choiceWords(o, t)
				}
			}
			m.takeTried(&p, o, t)
			return p, true
		}
	}
	return StockPlan{}, false
}
