package plan

import (
	"context"
	"slices"
	"strings"
	"sync"

	"yellowparcel/core/compare"
	"yellowparcel/core/cutting"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
	"yellowparcel/core/say"
)

// Shown is a length with the text it is shown as, in the shop's unit and tick; Exact is
// the same exactly, where that had to be rounded.
type Shown struct {
	Nm    measure.Length `json:"nm"`
	Text  string         `json:"text"`
	Exact string         `json:"exact,omitempty"`
}

// Reading is one number that a station shows: what it is, its value and a few
// words about it.
type Reading struct {
	ID    string `json:"id"`
	Label string `json:"label"`
	Value string `json:"value"`
	Note  string `json:"note"`
	// Exact is the value exactly, where it had to be rounded.
	Exact string `json:"exact,omitempty"`
}

// exactly writes lengths exactly where one of them is rounded to be shown; empty where none is.
func exactly(m maker, lengths ...measure.Length) string {
	list, rounded := make([]string, len(lengths)), false
	for i, l := range lengths {
		list[i], rounded = m.exact(l), rounded || m.Style().Rounds(l)
	}
	if !rounded {
		return ""
	}
	return strings.Join(list, " × ")
}

// gathered is all notes of some lists in one, which is never null.
func gathered(lists ...[]say.Note) []say.Note {
	return append([]say.Note{}, slices.Concat(lists...)...)
}

// TicketLine is one of the numbers that flow on from station to station.
type TicketLine struct {
	ID      string   `json:"id"`
	Station string   `json:"station" enum:"card,layers,envelope,mail,paper,bench"`
	Label   string   `json:"label"`
	Value   string   `json:"value"`
	Tone    say.Tone `json:"tone"`
}

// Plan is everything that follows from a job in a shop.
type Plan struct {
	// Open is the drawer that it is made for; what only others show is left out.
	Open Open         `json:"open"`
	Unit measure.Unit `json:"unit" enum:"in,mm"`
	// Tick is the smallest step of the shop, by which edges are dragged.
	Tick measure.Length `json:"tick"`
	// Adds is where something may be added to the job, and what.
	Adds []field.Addable `json:"adds"`
	// Missing is what the job goes by and the shop has no longer.
	Missing []job.Missing `json:"missing"`
	Fields  field.Inputs  `json:"fields"`
	Ticket  []TicketLine  `json:"ticket"`
	// Waits is set while the card is not chosen: then nothing that would follow from it is told.
	Waits    *Waiting     `json:"waits,omitempty"`
	Start    *StartPlan   `json:"start,omitempty"`
	Card     CardPlan     `json:"card"`
	Layers   LayersPlan   `json:"layers"`
	Envelope EnvelopePlan `json:"envelope"`
	Mail     MailPlan     `json:"mail"`
	Paper    PaperPlan    `json:"paper"`
	Bench    BenchPlan    `json:"bench"`
	Recipe   *RecipePlan  `json:"recipe,omitempty"`
}

// maker carries what every station of one plan needs: the piece, whole, the envelopes
// for it, and what the searches of the plan share.
type maker struct {
	compare.Maker
	open Open
}

// newMaker gathers what every station of a plan needs.
func newMaker(j job.Job, shop job.Shop) maker {
	return maker{Maker: compare.New(j, shop, cutting.NewEffort(context.Background(), planSteps))}
}

// The stations of a plan: each says what follows for its own page, in files of its own.
type (
	cardStation     struct{ maker }
	layersStation   struct{ maker }
	envelopeStation struct{ maker }
	mailStation     struct{ maker }
	paperStation    struct{ maker }
)

// inShop words what belongs to no job.
func inShop(shop job.Shop) maker {
	return maker{Maker: compare.Maker{Posted: compare.Posted{Piece: piece.In(shop)}}}
}

// fine is the shop's unit at its finest tick.
func (m maker) fine() measure.Style { return m.Style().Finest() }

// exact names a length that is no tick of this shop in the unit that suits it.
func (m maker) exact(l measure.Length) string { return m.Style().Other(l) }

func (m maker) shown(l measure.Length) Shown { return shownIn(m.Style(), l) }

// shownIn shows a length at the tick of a style.
func shownIn(style measure.Style, l measure.Length) Shown {
	s := Shown{Nm: l, Text: style.Show(l)}
	if style.Rounds(l) {
		s.Exact = style.Other(l)
	}
	return s
}

// nearLimit is a length that is read beside its limit: to a tick; finer where it is less than
// a tick from the limit and the tick hides more than a quarter of itself.
func nearLimit(m maker, l, limit measure.Length) string {
	style := m.Style()
	if off := (l - l.Near(style.Tick)).Abs(); (l-limit).Abs() < style.Tick && off > style.Tick/4 {
		return m.readable(l)
	}
	return style.Show(l)
}

// by writes two lengths as a size: "5 3⁄8 × 7".
func (m maker) by(w, h measure.Length) string {
	return m.Style().Show(w) + " × " + m.Style().Show(h)
}

// Make works out the plan. The job must pass Job.Check and the shop
// Shop.Check; what a maker types goes through Apply, which sees to it.
func Make(j job.Job, shop job.Shop) Plan {
	p, _ := MakeFor(context.Background(), j, shop, "") // nobody leaves
	return p
}

// MakeFor is Make for somebody who looks at one drawer, and may leave before it is done:
// then it stops, and returns the context's error.
func MakeFor(ctx context.Context, j job.Job, shop job.Shop, open Open) (Plan, error) {
	return makeWith(cutting.NewEffort(ctx, planSteps), j, shop, open)
}

func makeWith(e *cutting.Effort, j job.Job, shop job.Shop, open Open) (Plan, error) {
	m := newMaker(j, shop)
	m.Effort, m.open = e, open
	if m.Waits() {
		return cardless{m, j}.plan(), e.Err()
	}
	p := Plan{Open: open, Unit: shop.Unit, Tick: m.Style().Tick, Adds: m.Job().Adds(), Missing: m.Missing(), Fields: m.Job().Inputs(m.Shop())}
	var chosen compare.Candidate
	all := sync.OnceValue(m.Candidates) // only some drawers set them side by side
	for _, station := range []func(){
		func() {
			if open.shows("card/from-envelope") {
				p.Start = m.start()
			}
		},
		func() { p.Card = cardStation{m}.card() },
		func() { p.Layers = layersStation{m}.layers() },
		func() { chosen = m.Chosen() },
		func() { p.Envelope = envelopeStation{m}.envelope(chosen, all) },
		func() { p.Mail = mailStation{m}.mail(m.Closed(chosen), chosen, all) },
		func() {
			if open.shows("envelope/recipe") {
				p.Recipe = m.recipe()
			}
		},
		func() { p.Paper = paperStation{m}.paper(chosen) },
		func() { p.Bench = benchStation{m}.bench(chosen, p) },
	} {
		if e.Unwanted() {
			return Plan{}, e.Err()
		}
		station()
	}
	p.Ticket = m.ticket(p, chosen)
	leftOut(m.Job(), &p)
	for _, notes := range [][]say.Note{p.Card.Notes, p.Layers.Notes, p.Envelope.Blank.Notes, p.Mail.Notes} {
		worstFirst(notes)
	}
	return p, e.Err()
}

// worstFirst puts what keeps a maker from going on before what is good to know.
func worstFirst(notes []say.Note) {
	weight := map[say.Tone]int{say.Trouble: 0, say.Care: 1, say.Fine: 2}
	slices.SortStableFunc(notes, func(a, b say.Note) int { return weight[a.Tone] - weight[b.Tone] })
}

// planSteps is what all searches of one plan may use together, so that a plan
// answers while one types.
const planSteps = 1_000_000

// The shares of what looks for something beside the cutting: what each may use at
// most, however much is left. What they leave goes into the cutting.
const (
	itemSteps = 300_000 // stamps, greeting and ribbon laid on the papers
	trySteps  = 40_000  // one sheet tried, before one is chosen
)

// mostTicketScores is how many scores the ticket has room for.
const mostTicketScores = 2

func (m maker) ticket(p Plan, c compare.Candidate) []TicketLine {
	base := p.Card.Bases[0]
	for _, b := range p.Card.Bases {
		if b.Fold == m.Job().Card.Fold {
			base = b
		}
	}
	flat := TicketLine{"flat", "card", "Flat, score at", m.by(base.Width.Nm, base.Height.Nm), say.Fine}
	if len(base.Scores) == 0 {
		flat.Label = "Flat"
	}
	for i, score := range base.Scores {
		if i == mostTicketScores {
			flat.Value += " …"
			break
		}
		flat.Value += " · " + score.At.Text
	}
	layers := layersStation{m}.layersShort()
	if m.Job().Card.Made {
		flat.Label, flat.Value, layers = "Base", "Finished", "As they are"
	}
	ease := say.Fine
	e := c.Made
	sheet := TicketLine{"sheet", "envelope", "Envelope from", m.by(e.SheetWidth, e.SheetHeight), say.Fine}
	switch {
	case c.Kind.Whole:
		sheet.Label, sheet.Value = "Envelope", m.candidateName(c)
	case c.Kind.OnPoint:
		sheet.Value = m.Style().Show(e.SheetWidth) + " square"
	case c.Kind.Bought:
		sheet.Value = m.Format(e.From.ID).Name
	}
	if e.EaseWidth < 0 || e.EaseHeight < 0 {
		ease = say.Trouble
	}
	left := TicketLine{"ease", "envelope", "Ease", nearLimit(m, min(e.EaseWidth, e.EaseHeight), 0), ease}
	if m.Job().Mail.WithoutEnvelope() {
		sheet.Label, sheet.Value = "Envelope", "None"
		left.Value, left.Tone = "None needed", say.Fine
	}
	return []TicketLine{
		{"card", "card", "Card", m.by(m.Job().Card.Width, m.Job().Card.Height), say.Fine},
		flat,
		{"layers", "layers", "Layers", layers, say.Fine},
		sheet,
		left,
		{"mail", "mail", "Mail", p.Mail.Short, p.Mail.Tone},
		{"paper", "paper", "Paper", p.Paper.Short, p.Paper.Tone},
		{"bench", "bench", "Bench", benchShort(p.Paper), say.Fine},
	}
}
