package plan

import (
	"fmt"

	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/measure"
)

// OwnEnvelope is the format of an envelope that the maker measured.
const OwnEnvelope = "own"

// Start is the envelope that a card is made for, when the maker comes with one.
type Start struct {
	// Format is the ID of a standard format, or OwnEnvelope.
	Format string `json:"format" maxLength:"40"`
	// Width and Height are the outer size that a ruler says of an own envelope.
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
}

// format is the envelope with its long side as Width.
func (s Start) In(shop Shop) (envelope.Format, bool) {
	if s.Format == OwnEnvelope {
		return envelope.Format{ID: OwnEnvelope, Name: "Your envelope", Width: max(s.Width, s.Height), Height: min(s.Width, s.Height)}, true
	}
	for _, e := range shop.Envelopes { // those taken off the shelf stay known
		if e.ID == s.Format {
			return e.AsFormat(), true
		}
	}
	for _, f := range envelope.Formats() {
		if f.ID == s.Format {
			return f, true
		}
	}
	return envelope.Format{}, false
}

// StartPlan is what each school makes of the envelope that the maker has.
type StartPlan struct {
	Sentence Sentence    `json:"sentence"`
	Schools  []SchoolRow `json:"schools"`
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
		return fmt.Sprintf("Thickness and %s %s ease less", m.style.Show(m.job.Envelope.Ease), m.style.Unit)
	case envelope.MetricStep:
		return "6 mm less"
	}
	return fmt.Sprintf("Your ease of %s %s less", m.style.Show(m.job.Envelope.Ease), m.style.Unit)
}

// start works out the card of every school; nil when the maker has not come
// with an envelope.
func (m maker) start() *StartPlan {
	if m.job.Start == nil {
		return nil
	}
	f, ok := m.job.Start.In(m.shop)
	if !ok {
		return nil
	}
	stock, _ := m.shop.Stock(soldPaper)
	p := &StartPlan{Sentence: say("%s, %s %s outside, takes these cards.", f.Name, m.by(f.Width, f.Height), m.style.Unit)}
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
		fit := m.sized(size).fit(f, stock.Caliper)
		made := m.sized(size).job
		base := card.NewBase(made.Spec(made.Card.Fold, m.shop))
		row.Size, row.Flat = m.by(size.Width, size.Height), m.by(base.Width, base.Height)
		row.Verdict, row.Why = fit.Verdict, m.why(fit)
		row.Current = size == envelope.Size{Width: m.job.Card.Width, Height: m.job.Card.Height}
		p.Schools = append(p.Schools, row)
	}
	return p
}

// sized is the same job with a card of another size.
func (m maker) sized(s envelope.Size) maker {
	m.job.Card.Width, m.job.Card.Height = s.Width, s.Height
	return m
}

// cardFor is the card of one school, turned as the job's card is.
func (m maker) cardFor(s envelope.School) (envelope.Size, bool) {
	f, ok := m.job.Start.In(m.shop)
	if !ok {
		return envelope.Size{}, false
	}
	size, ok := envelope.CardFor(s, f, m.thick.Used, m.job.Envelope.Ease, m.style.Tick)
	// What sticks out past the edges has to go in too.
	over := envelope.Size{Width: m.job.Card.OverWidth, Height: m.job.Card.OverHeight}
	if m.job.Card.Height > m.job.Card.Width {
		over.Width, over.Height = over.Height, over.Width
	}
	size.Width, size.Height = size.Width-over.Width, size.Height-over.Height
	if m.job.Card.Height > m.job.Card.Width {
		size.Width, size.Height = size.Height, size.Width
	}
	return size, ok && min(size.Width, size.Height) >= LeastCard
}

// startRoom is how much larger than the card a measured envelope is taken to be
// until the maker types what the ruler says.
const startRoom = measure.Inch / 2

// applyFormat chooses the envelope that the maker came with; an empty text means
// that there is none.
func applyFormat(j Job, shop Shop, e Edit) (Job, error) {
	if e.Text == nil || *e.Text == "" {
		j.Start = nil
		return j, nil
	}
	s := Start{Format: *e.Text, Width: j.Card.Width + startRoom, Height: j.Card.Height + startRoom}
	if j.Start != nil {
		s.Width, s.Height = j.Start.Width, j.Start.Height // as measured before
		s.MeasureAs(j.Card)
	}
	if _, ok := s.In(shop); !ok {
		return j, refuse("The envelope “%s” is not known: choose one of the list, or measure yours.", clip(s.Format))
	}
	j.Start = &s
	return j, nil
}

// applySchool makes the job's card the one that a school makes for its envelope.
func applySchool(j Job, shop Shop, e Edit) (Job, error) {
	if j.Start == nil || e.Text == nil {
		return j, refuse("There is no envelope to make the card for: choose one first.")
	}
	for _, s := range envelope.Schools() {
		if string(s) != *e.Text {
			continue
		}
		m := newMaker(j, shop)
		size, ok := m.cardFor(s)
		if !ok {
			return j, refuse("That way leaves no card of this envelope: choose another.")
		}
		j.Card.Width, j.Card.Height = size.Width, size.Height
		return j, thicknessFits(j, shop, shop.Style())
	}
	return j, refuse("“%s” is not a way to choose a card: choose one of the list.", clip(*e.Text))
}
