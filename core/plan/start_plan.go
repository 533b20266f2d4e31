package plan

import (
	"fmt"

	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// StartPlan is what each school makes of the envelope that the maker has.
type StartPlan struct {
	Sentence say.Sentence `json:"sentence"`
	Schools  []SchoolRow  `json:"schools"`
}

// SchoolRow is the card of one school.
type SchoolRow struct {
	ID   envelope.School `json:"id" enum:"quarter,raised,trade,inch,measure,metric,own"`
	Name string          `json:"name"`
	// Size is the card and Flat its base in the job's fold; empty when the
	// school has no card for this envelope.
	Size    string           `json:"size"`
	Flat    string           `json:"flat"`
	Verdict envelope.Verdict `json:"verdict"`
	Why     string           `json:"why"`
	// Current is set when the job's card is this one.
	Current bool `json:"current"`
}

func (m maker) schoolName(s envelope.School) string {
	switch s {
	case envelope.QuarterStep:
		return "1⁄4 in less"
	case envelope.RaisedStep:
		return "3⁄8 in less, for a raised card"
	case envelope.TradeSizes:
		return "The size it is sold for"
	case envelope.QuarterInch:
		return "Quarter inches, 1⁄8 left at least"
	case envelope.Measured:
		return fmt.Sprintf("Thickness and %s %s ease less", m.Style().Show(m.Job().Envelope.Ease), m.Style().Unit)
	case envelope.MetricStep:
		return "6 mm less"
	}
	return fmt.Sprintf("Your ease of %s %s less", m.Style().Show(m.Job().Envelope.Ease), m.Style().Unit)
}

// start works out the card of every school; nil when the maker has not come
// with an envelope.
func (m maker) start() *StartPlan {
	if m.Job().Start == nil {
		return nil
	}
	f, ok := m.Job().Start.In(m.Shop())
	if !ok {
		return nil
	}
	stock, _ := m.Shop().Stock(soldPaper)
	p := &StartPlan{Sentence: say.That("%s, %s %s outside, takes these cards.", f.Name, m.by(f.Width, f.Height), m.Style().Unit)}
	for _, s := range envelope.Schools() {
		row := SchoolRow{ID: s, Name: m.schoolName(s)}
		size, ok := m.cardFor(s)
		if !ok {
			row.Why = "leaves no card of this envelope"
			if s == envelope.TradeSizes {
				row.Why = "the trade lists no card for it"
			}
			p.Schools = append(p.Schools, row)
			continue
		}
		if m.Job().Holds(card.Size(size)) != nil {
			row.Why = "something would lie off its face: move it first"
			p.Schools = append(p.Schools, row)
			continue
		}
		made := m.sized(size)
		fit := made.fit(f, stock.Caliper)
		base := card.NewBase(made.Job().Spec(made.Job().Card.Fold, m.Shop()))
		row.Size, row.Flat = m.by(size.Width, size.Height), m.by(base.Width, base.Height)
		row.Verdict, row.Why = fit.Verdict, made.why(fit)
		row.Current = size == envelope.Size{Width: m.Job().Card.Width, Height: m.Job().Card.Height}
		p.Schools = append(p.Schools, row)
	}
	return p
}

// sized is the same job with a card of another size, with all that follows.
func (m maker) sized(s envelope.Size) maker {
	j := m.Job()
	j.Card.Width, j.Card.Height = s.Width, s.Height
	return m.with(j)
}

// mostTurns is how often a card is sized anew since its size changes how thick it is
// and how far things stick out past its edges.
const mostTurns = 8

// cardFor is the card of one school, turned as the job's card is. It begins from no
// thickness at all, whatever the job's card is, so that the card is the same when it
// has been taken.
func (m maker) cardFor(s envelope.School) (envelope.Size, bool) {
	j := m.Job()
	f, ok := j.Start.In(m.Shop())
	if !ok {
		return envelope.Size{}, false
	}
	thick, over := measure.Length(0), card.Size{Width: j.Card.OverWidth, Height: j.Card.OverHeight}
	var size envelope.Size
	for range mostTurns {
		was := size
		if size, ok = envelope.CardFor(s, f, thick, j.Envelope.Ease, m.Style().Tick); !ok {
			return size, false
		}
		if j.Card.Height > j.Card.Width {
			size.Width, size.Height = size.Height, size.Width
		}
		// What sticks out past the edges has to go in too.
		size.Width, size.Height = size.Width-over.Width, size.Height-over.Height
		if min(size.Width, size.Height) < job.LeastCard {
			return size, false
		}
		if size == was {
			break
		}
		made := m.sized(size)
		thick, over = made.Thick().Used, made.Over()
	}
	return size, true
}
