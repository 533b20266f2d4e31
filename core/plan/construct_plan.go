package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/offer"
	"yellowparcel/core/say"
)

// ConstructionPlan is one construction beside the others.
type ConstructionPlan struct {
	// ID is that of the construction, and of the format of an envelope that is bought.
	ID   string `json:"id"`
	Name string `json:"name"`
	// OK is false when it cannot be made for this card; Text says why.
	OK      bool         `json:"ok"`
	Text    string       `json:"text"`
	Net     blank.Sketch `json:"net"`
	Sheet   string       `json:"sheet"`
	Fits    bool         `json:"fits"`
	FitText string       `json:"fitText"`
	Seam    string       `json:"seam"`
	Work    string       `json:"work"`
	Depth   string       `json:"depth"`
	Closed  string       `json:"closed"`
	Paper   string       `json:"paper"`
	Opens   string       `json:"opens"`
	// Price is what its paper or the envelope costs, where that is known.
	Price       string   `json:"price"`
	Mail        string   `json:"mail"`
	Tone        say.Tone `json:"tone"`
	Faults      int      `json:"faults"`
	Chosen      bool     `json:"chosen"`
	Recommended bool     `json:"recommended"`
	Drawing     string   `json:"drawing"`
}

// MatchPlan is a layer, liner and envelope that match, of one sheet a card.
type MatchPlan struct {
	ID   string `json:"id"`
	Text string `json:"text"`
}

// ComparisonPlan sets the constructions side by side.
type ComparisonPlan struct {
	Sort     job.CompareSort    `json:"sort" enum:"paper,quick,neat,mail"`
	Sentence string             `json:"sentence"`
	Rows     []ConstructionPlan `json:"rows"`
	// Rectangle offers the plain rectangle when the shape costs a surcharge.
	Rectangle string `json:"rectangle"`
	// Matches are the sets that one sheet gives.
	Matches []MatchPlan `json:"matches"`
}

func (m envelopeStation) comparison(list []compare.Candidate) ComparisonPlan {
	p := ComparisonPlan{Sort: m.Sort(), Rows: []ConstructionPlan{}, Matches: []MatchPlan{}}
	for _, k := range offer.To(m.Maker).Matches(m.Choose(list)) {
		what := fmt.Sprintf("the liner and “%s”", k.Layer)
		if k.Whole {
			what = fmt.Sprintf("envelope, liner and “%s”", k.Layer)
		}
		p.Matches = append(p.Matches, MatchPlan{k.ID(), fmt.Sprintf("One sheet of %s (%s) gives %s.", say.Lower(k.Stock.Name), k.Sheet.Name, what)})
	}
	sorted := m.Order(list)
	best := m.Choose(list)
	chosen := best.ID()
	for i, c := range sorted {
		if !c.OK && c.Kind.Words.Not == "" {
			continue // there is nothing to make it of
		}
		row := m.row(c)
		row.Recommended, row.Chosen = i == 0 && m.Sound(c), c.OK && c.ID() == chosen
		p.Rows = append(p.Rows, row)
	}
	p.Sentence = m.reason(sorted)
	if r, ok := m.PlainRectangle(); ok && !m.Job().Envelope.Mailable && best.Mail.Shape {
		book, _ := m.Book()
		if with, spares := m.Spares(m.Mailed(m.Closed(best)), book.Enveloped(), r.Width, r.Height); spares {
			p.Rectangle = fmt.Sprintf("A rectangle of %s %s%s, with two holding strips, would not pay the surcharge.", m.by(r.Width, r.Height), m.Style().Unit, sparing(with))
		}
	}
	return p
}

// reason says which construction is proposed, and cites two numbers.
func (m envelopeStation) reason(sorted []compare.Candidate) string {
	best := sorted[0]
	if !m.Sound(best) {
		return "None of them serves this card as it is. See what each lacks."
	}
	sound, fit, fits := m.Serving(sorted), "that fit", "that fits"
	if held := m.Surely(sorted); m.HoldsAtWorst(best) && held < sound { // a smaller one that may fail comes after it
		sound, fit, fits = held, "that hold even if all is off", "that holds even if all is off"
	}
	name, of := m.candidateName(best), func(most string) string { return fmt.Sprintf("the %s of %d %s", most, sound, fit) }
	if sound == 1 {
		of = func(string) string { return "the only one " + fits }
	}
	seam := fmt.Sprintf("Its seam is %s.", m.readable(best.Made.Seam))
	if best.Kind.Whole {
		seam = fmt.Sprintf("The ease is %s.", m.by(best.Made.EaseWidth, best.Made.EaseHeight))
	}
	switch m.Sort() {
	case job.Quickest:
		return fmt.Sprintf("%s: %d cuts and folds, %s. %s", name, best.Work(), of("fewest"), seam)
	case job.Neatest:
		return fmt.Sprintf("%s: %s, %s. %s", name, say.Plural(len(best.Made.Faults), "weak point"), of("fewest"), seam)
	case job.Cheapest:
		return fmt.Sprintf("%s: %s, %s thick, %s. %s", name, shortly(best.Mail), m.fine().Show(m.Closed(best).Thickness), of("cheapest"), seam)
	}
	if best.PaperUsed() == 0 {
		return fmt.Sprintf("%s: %s, %s. %s", name, verdicts[best.Fit.Verdict].good, m.stockedWords(best), seam)
	}
	return fmt.Sprintf("%s: %s of paper, %s. %s", name, squares(m.Style().Unit, best.PaperUsed()*measure.Inch.Millimetres()*measure.Inch.Millimetres()), of("least"), seam)
}

// squares writes an area, in mm², in the squares of a unit, as finely as it is small.
func squares(unit measure.Unit, area float64) string {
	cm, inch := area/100, area/(measure.Inch.Millimetres()*measure.Inch.Millimetres())
	switch {
	case unit == measure.Millimetres && cm >= 10:
		return fmt.Sprintf("%.0f cm²", cm)
	case unit == measure.Millimetres:
		return fmt.Sprintf("%.0f mm²", area)
	case inch >= 10:
		return fmt.Sprintf("%.0f square inches", inch)
	case inch >= 0.01:
		return fmt.Sprintf("%.2f square inches", inch)
	}
	return fmt.Sprintf("%.4f square inches", inch)
}

func (m envelopeStation) row(c compare.Candidate) ConstructionPlan {
	row := ConstructionPlan{ID: c.ID(), Name: m.candidateName(c), OK: c.OK, Tone: say.Fine}
	if !c.OK {
		row.Text = m.notWords(c)
		row.Net = blank.Net{}.Sketch()
		return row
	}
	row.Net = c.Made.Seen().Sketch()
	row.Sheet, row.Fits = m.by(c.Made.SheetWidth, c.Made.SheetHeight), c.Found
	row.FitText = fmt.Sprintf("from %s, %s to spare", c.Fits.Name, m.Style().Show(c.Spare.Down(m.Style().Tick)))
	switch {
	case c.Kind.Whole:
		row.Sheet, row.FitText = m.by(c.Made.From.Width, c.Made.From.Height), verdicts[c.Fit.Verdict].good+", "+m.stockedWords(c)
	case c.Kind.Bought:
		row.Sheet, row.FitText = m.Format(c.Made.From.ID).Name, m.stockedWords(c)
	case !c.Found && c.Fits.Name != "":
		row.FitText = fmt.Sprintf("%s too large for %s", m.Style().Show(c.Short), c.Fits.Name)
	case !c.Found:
		row.FitText = "no sheet on your shelf"
	}
	row.Seam, row.Closed = m.readable(c.Made.Seam), m.by(c.Made.Width, c.Made.Height)
	row.Work = fmt.Sprintf("%d cuts, %d folds", c.Made.Cuts, c.Made.Folds)
	row.Opens, row.Price = opensWords(c), m.priceWords(c)
	if c.Kind.Whole {
		row.Seam, row.Work = "as sold", "nothing to cut"
	}
	// Without walls folds stand square up to a quarter inch, creased twice.
	takes := min(m.Thick().Used+min(c.Made.EaseWidth, c.Made.EaseHeight), measure.Inch/4)
	if c.Made.Depth > 0 && c.Kind.Walled {
		takes = c.Made.Depth - blank.WallOver
	}
	row.Depth = m.fine().Show(max(0, takes).Down(m.fine().Tick))
	row.Paper = percent(c.Made.PaperUse())
	row.Mail, row.Tone, row.Faults = shortly(c.Mail), toneOf(c.Mail), len(c.Made.Faults)
	row.Drawing = fmt.Sprintf("%s lying flat: %s.", row.Name, m.partsWords(c.Made))
	return row
}

// candidateName is what a candidate is called: a bought envelope by its own name.
func (m maker) candidateName(c compare.Candidate) string {
	if c.Kind.Whole && c.OK {
		return m.Format(c.Made.From.ID).Name
	}
	return c.Kind.Words.Name
}

// notWords say why a candidate cannot be made.
func (m maker) notWords(c compare.Candidate) string {
	if f, ok := m.Job().Envelope.Bought(m.Shop()); ok && c.Kind.Bought {
		return fmt.Sprintf("%s cannot be cut down to this card: choose another, or the fittest.", f.Name)
	}
	return c.Kind.Words.Not
}

// notAsChosen says that the type that the job asks for cannot be made, and what is shown
// instead.
func (m maker) notAsChosen(shown compare.Candidate) []say.Note {
	k := blank.ByID(m.Job().Construction())
	if k.ID == shown.Kind.ID {
		return nil
	}
	why := m.notWords(compare.Candidate{Kind: k})
	if why == "" {
		why = "The recipe makes no envelope that closes as it stands."
	}
	named := m.candidateName(shown)
	if !shown.Kind.Whole { // a bought one keeps its own name as it is
		named = say.Lower(named)
	}
	return []say.Note{say.Trouble.Says(fmt.Sprintf("%s Shown instead: %s.", why, named))}
}

// noneUsed says that the card goes without an envelope, while one is shown.
func noneUsed(wish job.MailWish) []say.Note {
	if !wish.WithoutEnvelope() {
		return nil
	}
	return []say.Note{say.Care.Says("This card goes without an envelope. What stands here is one that it would need.")}
}

// stockedWords say how many of a bought envelope there are.
func (m maker) stockedWords(c compare.Candidate) string {
	own, _ := m.Shop().Owned(c.Made.From.ID)
	switch {
	case own.Off:
		return "removed from your shelf"
	case own.Have > 0:
		return fmt.Sprintf("%d on your shelf", own.Have)
	case c.Made.From.Owned:
		return "on your shelf"
	case c.Made.From.ID == job.OwnEnvelope:
		return "the one you measured"
	}
	return "to buy"
}

// priceWords say what an envelope costs each, where that is known: one that is bought, or
// its share of the sheet that it is cut from.
func (m maker) priceWords(c compare.Candidate) string {
	cents, ok := c.Cents(m.Shop(), m.Job().Envelope.Stock)
	if !ok {
		return ""
	}
	return fmt.Sprintf("%d.%02d each", cents/100, cents%100)
}

// partsWords lists the panels of a net.
func (m envelopeStation) partsWords(made blank.Made) string {
	counts, names := map[string]int{}, []string{}
	for _, p := range made.Net.Panels {
		if counts[p.Name]++; counts[p.Name] == 1 {
			names = append(names, p.Name)
		}
	}
	for i, n := range names {
		names[i] = say.Plural(counts[n], n)
	}
	return strings.Join(names, ", ")
}
