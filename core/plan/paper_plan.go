package plan

import (
	"cmp"
	"fmt"

	"yellowparcel/core/card"
	"yellowparcel/core/compare"
	"yellowparcel/core/cutting"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/piece"
	"yellowparcel/core/say"
)

// PaperPlan is the station Paper: what is cut from which sheets, and how.
type PaperPlan struct {
	Sentence say.Sentence `json:"sentence"`
	// Short is the line on the ticket.
	Short  string      `json:"short"`
	Tone   say.Tone    `json:"tone"`
	Stocks []StockPlan `json:"stocks"`
	Folds  []FoldSheet `json:"folds"`
	Notes  []say.Note  `json:"notes"`
	Have   *HavePlan   `json:"have,omitempty"`
	// Options are the paths of what is chosen for the cutting.
	Options []string `json:"options" format:"field-path"`
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
	Notes      []say.Note    `json:"notes"`
	// Saved are the middles of papers that are cut out, and what is made of them.
	Saved []piece.Saved `json:"-"`
	// Unfit are the places of the pieces that the sheet does not give.
	Unfit []int `json:"-"`
}

// PieceLine is one line of the order.
type PieceLine struct {
	// ID is that of the piece at the bench.
	ID    string `json:"-"`
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
	// Numbers are those of the cuts, in the layouts.
	Numbers []int `json:"-"`
}

// SheetChoice is what the same pieces take of another sheet.
type SheetChoice struct {
	ID     string `json:"id"`
	Name   string `json:"name"`
	Text   string `json:"text"`
	Chosen bool   `json:"chosen"`
}

func (m paperStation) paper(made compare.Candidate) PaperPlan {
	p := PaperPlan{Notes: []say.Note{}, Stocks: []StockPlan{}, Tone: say.Fine, Options: m.paperOptions(made)}
	if p.Folds = []FoldSheet{}; job.MakesBase(m.Job()) {
		p.Folds = m.foldSheets()
	}
	if m.open.shows("card/from-paper") {
		p.Have = m.have()
	}
	for i, orders := 0, m.cuts(made); i < len(orders); i++ {
		// What is left is shared out evenly among the papers that are still to be cut.
		p.Stocks = append(p.Stocks, m.stockPlan(orders[i], m.Effort.Left()/(len(orders)-i)))
	}
	m.paperSentence(&p)
	p.Notes = append(p.Notes, m.envelopesToTake(made)...)
	return p
}

// envelopesToTake says how many bought envelopes the job takes, and how many of them are
// to be bought.
func (m paperStation) envelopesToTake(c compare.Candidate) []say.Note {
	if !c.Kind.Bought || !job.MakesEnvelope(m.Job()) {
		return nil
	}
	own, _ := m.Shop().Owned(c.Made.From.ID)
	take := fmt.Sprintf("Take %s: %s", say.Plural(m.Job().Count, "envelope"), m.Format(c.Made.From.ID).Name)
	switch count := m.Job().Count; {
	case own.Have > 0 && own.Have < count:
		return []say.Note{say.Care.Says(fmt.Sprintf("%s. You have %d: buy %d more.", take, own.Have, count-own.Have))}
	case own.Have > 0:
		return []say.Note{say.Fine.Says(fmt.Sprintf("%s, of the %d on your shelf.", take, own.Have))}
	case c.Made.From.Owned || c.Made.From.ID == job.OwnEnvelope:
		return []say.Note{say.Fine.Says(take + ". Count whether you have enough.")}
	}
	return []say.Note{say.Fine.Says(take + ", to buy.")}
}

// savedWords say what comes out of the middle of a windowed paper.
func (m paperStation) savedWords(s piece.Saved) string {
	size := m.by(s.Size.Width, s.Size.Height)
	if s.Of == nil {
		return fmt.Sprintf("%s of %s fall out of “%s”: keep them, nothing else in this job is small enough.", number(s.Count), size, s.From)
	}
	return fmt.Sprintf("%d of “%s” come out of the middle of “%s”. Cut them with a knife, %s each, before you mount it.", s.Count, cutName(*s.Of), s.From, size)
}

// cuts are what the job takes, with the envelope where that is made.
func (m paperStation) cuts(c compare.Candidate) []piece.Order {
	var b piece.Blank
	if !m.Job().Paper.NoBlanks && job.MakesEnvelope(m.Job()) {
		if l := c.Made.Liner; l.Width > 0 {
			b.Liner = card.Size{Width: l.Width.Down(m.Style().Tick), Height: l.Height.Down(m.Style().Tick)}
		}
		if !c.Kind.Bought {
			b.Width, b.Height, b.Upright = c.Made.SheetWidth, c.Made.SheetHeight, c.Kind.HasTop
		}
	}
	return m.Orders(b)
}

// tried is a plan on one sheet.
type tried struct {
	sheet paper.Sheet
	plan  cutting.Plan
	on    piece.On
	// folded is how many pieces of heavy stock are folded, across how many of them across its grain.
	folded, across int
}

func (t tried) area() float64 {
	return float64(t.plan.Sheets) * t.sheet.Width.Inches() * t.sheet.Height.Inches()
}

// over compares sheets: all pieces first, then what folds along the grain where that matters, the
// fewest sheets, and of as many the least paper.
func (t tried) over(u tried) bool {
	return cmp.Or(cmp.Compare(len(t.plan.Unfit), len(u.plan.Unfit)), cmp.Compare(t.across, u.across), cmp.Compare(t.plan.Sheets, u.plan.Sheets), cmp.Compare(t.area(), u.area())) < 0
}

func (m paperStation) try(o piece.Order, sheet paper.Sheet, steps int, tell func(cutting.Progress)) tried {
	t := tried{sheet: sheet, on: m.On(o, sheet)}
	t.plan = m.Effort.Search(t.on.Cutting, steps, tell)
	t.folded, t.across = folds(o, t)
	return t
}

// folds counts the pieces of heavy stock that are folded, and those of them that fold across its grain.
func folds(o piece.Order, t tried) (folded, across int) {
	if o.Stock.GSM <= paper.HeavyFold {
		return 0, 0
	}
	for _, l := range t.plan.Layouts {
		for _, q := range l.Pieces {
			line := o.Cuts[q.Piece]
			if !line.Fold {
				continue
			}
			folded += l.Times
			down := line.Down != (q.Turned != t.on.Swapped[q.Piece]) // how the fold runs on the sheet
			if o.Stock.Grain != paper.Unknown && o.Stock.Grain.Upright(t.sheet) != down {
				across += l.Times
			}
		}
	}
	return folded, across
}

// stockPlan plans one stock on every sheet it may be cut from with a quick look,
// takes the one chosen, else the one that is over the others, and searches that
// one with all the steps that are left.
func (m paperStation) stockPlan(o piece.Order, steps int) StockPlan {
	sheets := m.Shop().SheetsFor(o.Stock)
	p := StockPlan{ID: o.Stock.ID, Name: o.Stock.Name, Pieces: []PieceLine{}, Layouts: []LayoutPlan{}, Steps: []StepPlan{}, Choices: []SheetChoice{}, Notes: []say.Note{}}
	for _, q := range o.Cuts {
		p.Pieces = append(p.Pieces, PieceLine{pieceID(q), cutName(q), m.by(q.Size.Width, q.Size.Height), q.Count})
	}
	p.Saved = o.Saved
	for _, s := range o.Saved {
		p.Notes = append(p.Notes, say.Fine.Says(m.savedWords(s)))
	}
	if len(sheets) == 0 {
		p.Notes = append(p.Notes, say.Trouble.Says("There is no sheet on your shelf to cut it from: enter one there."))
		return p
	}
	all := make([]tried, len(sheets))
	best, until := 0, m.Effort.Used()+steps
	for i, s := range sheets {
		all[i] = m.try(o, s, min(trySteps, steps/2/len(sheets)), nil)
		if i > 0 && all[i].over(all[best]) {
			best = i
		}
	}
	for i, s := range sheets {
		if s.ID == m.Job().Paper.Sheets[o.Stock.ID] {
			best = i
		}
	}
	if t := m.try(o, all[best].sheet, max(0, until-m.Effort.Used()), nil); !all[best].over(t) {
		all[best] = t
	}
	for i, t := range all {
		p.Choices = append(p.Choices, SheetChoice{t.sheet.ID, t.sheet.Name, m.choiceWords(o, t), i == best})
	}
	m.takeTried(&p, o, all[best])
	return p
}

func (m paperStation) choiceWords(o piece.Order, t tried) string {
	if n := len(t.plan.Unfit); n == len(o.Cuts) {
		return "too small"
	} else if n > 0 {
		return fmt.Sprintf("too small for “%s”", cutName(o.Cuts[t.plan.Unfit[0]]))
	}
	return say.Plural(t.plan.Sheets, "sheet")
}

// takeTried fills in the plan of the sheet that is taken.
func (m paperStation) takeTried(p *StockPlan, o piece.Order, t tried) {
	p.Sheet, p.SheetName, p.Width, p.Height = t.sheet.ID, t.sheet.Name, t.sheet.Width, t.sheet.Height
	p.Unfit = t.plan.Unfit
	p.Sheets, p.Settings, p.Proven, p.Unfinished = t.plan.Sheets, len(t.plan.Steps), t.plan.Proven(), t.plan.Unfinished
	for _, name := range t.on.Against {
		p.Notes = append(p.Notes, say.Care.Says(fmt.Sprintf("The fold of “%s” runs across the grain on %s, so that its pattern is upright. Turn the design, or choose the other fold.", name, t.sheet.Name)))
	}
	for _, i := range t.plan.Unfit {
		p.Notes = append(p.Notes, say.Trouble.Says(m.unfitWords(o, t, i)))
	}
	words := cutWords{m: m.maker, o: o, t: t, made: map[[2]measure.Length]string{}}
	p.Layouts, p.Steps = words.layouts(), words.steps()
	p.Notes = append(p.Notes, m.grainNotes(o, t)...)
	take := fmt.Sprintf("%s of %s", say.Plural(p.Sheets, "sheet"), t.sheet.Name)
	switch have := o.Stock.Have; {
	case o.Stock.Off:
		p.Notes = append(p.Notes, say.Care.Says(o.Stock.Name+" was taken off your shelf: take another paper, or put it back."))
	case have > 0 && have < p.Sheets:
		take += fmt.Sprintf(": you have %d, buy %d more", have, p.Sheets-have)
	case have > 0:
		take += fmt.Sprintf(" of your %d", have)
	}
	p.Text = fmt.Sprintf("%s. Set the guide %s.", take, times(p.Settings))
	if p.Sheets > 1 {
		p.Text += " " + fewerWords(t.plan)
	}
}

// fewerWords says whether fewer sheets are impossible, and why, or only not
// found.
func fewerWords(c cutting.Plan) string {
	switch {
	case c.Proven() && c.ByCount:
		return "Fewer is impossible: a sheet holds no more of these pieces."
	case c.Proven():
		return "Fewer is impossible: the pieces fill more than " + say.Plural(c.Sheets-1, "sheet") + "."
	}
	return fmt.Sprintf("Fewer were not found, but %d may be enough.", c.Bound)
}

// unfitWords says why a sheet does not give a piece and what would help.
func (m paperStation) unfitWords(o piece.Order, t tried, i int) string {
	q := o.Cuts[i]
	slots := say.Slots{"what": fmt.Sprintf("“%s”, %s,", cutName(q), m.by(q.Size.Width, q.Size.Height)), "trimmer": m.Style().ShowUnit(m.Shop().Tools.TrimmerLength), "sheet": t.sheet.Name}
	return slots.Text(unfit[t.on.Cutting.Sheet.Possible(t.on.Cutting.Pieces[i])])
}

// unfit say why a sheet does not give a piece, and what would help.
var unfit = map[cutting.Reason]say.Clause{
	cutting.BeyondTrimmer: say.Always("{what} needs a cut longer than your trimmer's {trimmer}. Cut it with a knife and ruler, or from a smaller sheet."),
	cutting.OnlyTurned:    say.Always("{what} goes on {sheet} only turned, which its pattern or grain forbids. Choose another sheet or fold."),
	cutting.TooLarge:      say.Always("{what} is larger than every sheet for it, {sheet} among them. Choose a larger sheet, another fold or a smaller card."),
}

// grainNotes warns of heavy stock that is folded across its grain.
func (m paperStation) grainNotes(o piece.Order, t tried) []say.Note {
	switch {
	case t.folded == 0:
		return nil
	case o.Stock.Grain == paper.Unknown:
		return []say.Note{say.Fine.Says(fmt.Sprintf("%s is heavy enough to crack when folded across its grain. Bend a sheet both ways, and enter the easier one on the shelf.", o.Stock.Name))}
	case t.across > 0:
		return []say.Note{say.Care.Says(fmt.Sprintf("%d of %d bases fold across the grain of %s, which cracks over %.0f gsm. Keep folds along the grain, or score deeper.", t.across, t.folded, o.Stock.Name, paper.HeavyFold))}
	}
	return nil
}

func (m paperStation) paperSentence(p *PaperPlan) {
	sheets, troubled := 0, false
	var take say.Sentence
	for _, s := range p.Stocks {
		if s.Sheets > 0 {
			more := say.That("Take [%s] of %s", say.Plural(s.Sheets, "sheet"), s.Name)
			if sheets > 0 {
				more = say.That("; [%d] of %s", s.Sheets, s.Name)
			}
			take = take.Joined(more)
		}
		sheets += s.Sheets
		for _, n := range s.Notes {
			troubled = troubled || n.Tone == say.Trouble
		}
	}
	p.Short = say.Plural(sheets, "sheet")
	switch {
	case troubled && sheets == 0:
		p.Tone, p.Sentence = say.Trouble, say.That("Nothing of this job can be cut from the sheets on your shelf.")
	case troubled:
		p.Tone, p.Sentence = say.Trouble, take.Then(". Not everything can be cut from what is on your shelf.")
	case sheets == 0:
		p.Sentence = say.That("There is nothing to cut: everything is cut already.")
		if m.Job().Card.Made {
			p.Sentence = say.That("Nothing is to be cut: the card is finished.")
		}
	case m.Job().Card.Made:
		p.Sentence = take.Then(fmt.Sprintf(", for the envelopes of %s.", say.Plural(m.Job().Count, "finished card")))
	default:
		p.Sentence = take.Then(fmt.Sprintf(", for %s.", say.Plural(m.Job().Count, "card")))
	}
}
