package plan

import (
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/envelope"
	"yellowparcel/core/offer"
	"yellowparcel/core/say"
)

// StartPlan is what each school makes of the envelope that the maker has.
type StartPlan struct {
	Sentence say.Sentence `json:"sentence"`
	// Taken is set where it is the job's envelope.
	Taken   bool        `json:"taken"`
	Schools []SchoolRow `json:"schools"`
}

// SchoolRow is the card of a school, and of every other one that gives the same.
type SchoolRow struct {
	ID    envelope.School `json:"id" enum:"quarter,raised,trade,inch,measure,metric,own"`
	Names []string        `json:"names"`
	// Size is the card and Flat its base in the job's fold; empty when the
	// school has no card for this envelope.
	Size    string           `json:"size"`
	Flat    string           `json:"flat"`
	Verdict envelope.Verdict `json:"verdict"`
	// Said is the verdict in words.
	Said string `json:"said"`
	Why  string `json:"why"`
	// Current is set when the job's card is this one.
	Current bool `json:"current"`
}

// schoolNames are what the schools are called: {ease} is the ease wanted.
var schoolNames = map[envelope.School]say.Clause{
	envelope.QuarterStep: say.Always("1⁄4 in less"), envelope.RaisedStep: say.Always("3⁄8 in less, for a raised card"), envelope.TradeSizes: say.Always("The size it is sold for"),
	envelope.QuarterInch: say.Always("Quarter inches, 1⁄8 left at least"), envelope.Measured: say.Always("Thickness and {ease} {unit} ease less"),
	envelope.MetricStep: say.Always("6 mm less"), envelope.OwnEase: say.Always("Your ease of {ease} {unit} less"),
}

func (m maker) schoolName(s envelope.School) string {
	return say.Slots{"ease": m.Style().Show(m.Job().Envelope.Ease), "unit": string(m.Style().Unit)}.Text(schoolNames[s])
}

// start works out the card of every school; nil when the maker has not come
// with an envelope.
func (m maker) start() *StartPlan {
	if m.Job().Start == nil {
		return nil
	}
	f, ok := m.Job().Start.In(m.Shop())
	if !ok || f.Height == 0 {
		return nil // it is not measured yet
	}
	p := &StartPlan{Sentence: say.That("%s, %s %s outside, takes these cards.", f.Name, m.by(f.Width, f.Height), m.Style().Unit)}
	p.Taken = m.Job().Construction() == blank.BoughtID && m.Job().Envelope.From == m.Job().Start.Format
	for _, c := range offer.To(m.Maker).SchoolCards() {
		row := SchoolRow{ID: c.School, Names: []string{m.schoolName(c.School)}}
		switch {
		case !c.OK && c.School == envelope.TradeSizes:
			row.Why = "the trade lists no card for it"
		case !c.OK:
			row.Why = "leaves no card of this envelope"
		case c.Off:
			row.Why = "something would lie off its face: move it first"
		default:
			made := maker{Maker: c.Made.Maker}
			base := made.Base(made.Job().Card.Fold)
			row.Size, row.Flat = m.by(c.Size.Width, c.Size.Height), m.by(base.Width, base.Height)
			row.Verdict, row.Said, row.Why = c.Fit.Verdict, verdicts[c.Fit.Verdict].good, made.why(c.Fit)
			row.Current = c.Size == envelope.Size{Width: m.Job().Card.Width, Height: m.Job().Card.Height}
		}
		// Schools that give the same card are one row.
		if i := slices.IndexFunc(p.Schools, func(r SchoolRow) bool { return c.OK && !c.Off && r.Size == row.Size }); i >= 0 {
			p.Schools[i].Names = append(p.Schools[i].Names, row.Names...)
			continue
		}
		p.Schools = append(p.Schools, row)
	}
	return p
}
