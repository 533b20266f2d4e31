package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/compare"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// MailPlan is the station Mail.
type MailPlan struct {
	Destination string `json:"destination"`
	Title       string `json:"title"`
	Source      string `json:"source"`
	// Short is the forecast on the ticket: "Goes as a letter with a surcharge".
	Short    string       `json:"short"`
	Tone     say.Tone     `json:"tone"`
	Sentence say.Sentence `json:"sentence"`
	Readings []Reading    `json:"readings"`
	Classes  []ClassPlan  `json:"classes"`
	Notes    []say.Note   `json:"notes"`
	// Width, Height and Thickness of the piece for its drawing.
	Width     Shown  `json:"width"`
	Height    Shown  `json:"height"`
	Thickness Shown  `json:"thickness"`
	Drawing   string `json:"drawing"`
	// AddressUpright is set where the address runs along the drawing's upright edge.
	AddressUpright bool `json:"addressUpright"`
	// Rectangle is the plain envelope that a surcharged card would go in, when
	// there is one.
	Rectangle *RectanglePlan `json:"rectangle,omitempty"`
	// Everywhere is the verdict of every rulebook, side by side.
	Everywhere []DestinationPlan `json:"everywhere"`
	Relief     ReliefPlan        `json:"relief"`
	Beam       BeamPlan          `json:"beam"`
	Weights    []WeightPlan      `json:"weights"`
	// Measured sets what was measured beside what was predicted.
	Measured []MeasuredPlan `json:"measured"`
	Remedies []RemedyPlan   `json:"remedies"`
	// FixesNote says that no fix is needed, known or sure; empty where those there are say it.
	FixesNote string        `json:"fixesNote"`
	Postage   PostagePlan   `json:"postage"`
	Cautions  []CautionPlan `json:"cautions"`
	// Options are the paths of what is chosen for closing and addressing it.
	Options []string   `json:"options" format:"field-path"`
	Gauge   *GaugePlan `json:"gauge,omitempty"`
}

// RectanglePlan is an envelope whose aspect passes.
type RectanglePlan struct {
	Width  Shown `json:"width"`
	Height Shown `json:"height"`
}

// ClassPlan is one class of mail with its checks.
type ClassPlan struct {
	ID      string       `json:"id"`
	Name    string       `json:"name"`
	Outcome mail.Outcome `json:"outcome" enum:"goes,surcharged,ask,refused,not needed"`
	Chosen  bool         `json:"chosen"`
	Checks  []CheckPlan  `json:"checks"`
}

// DestinationPlan is what one rulebook says of the piece.
type DestinationPlan struct {
	ID     string   `json:"id"`
	Name   string   `json:"name"`
	Short  string   `json:"short"`
	Tone   say.Tone `json:"tone"`
	Why    string   `json:"why"`
	Price  string   `json:"price"`
	Chosen bool     `json:"chosen"`
}

// WeightPlan is what one thing of the piece weighs.
type WeightPlan struct {
	Name  string `json:"name"`
	Grams string `json:"grams"`
	Share string `json:"share"`
}

// MeasuredPlan is one measure as it was predicted and as it was measured.
type MeasuredPlan struct {
	ID        string `json:"id"`
	Label     string `json:"label"`
	Predicted string `json:"predicted"`
	Measured  string `json:"measured"`
	// Off is how far the prediction was off; empty when nothing was measured.
	Off string `json:"off"`
	// About is what it was read with, and the day.
	About string `json:"about,omitempty"`
}

func (m mailStation) mail(e compare.Closed, c compare.Candidate, all func() []compare.Candidate) MailPlan {
	piece := m.Mailed(e)
	about := fmt.Sprintf("card and %s of envelope", say.Plural(e.Layers, "layer"))
	drawing := fmt.Sprintf("The closed envelope, %s %s, with its address side towards you, and its edge, %s thick, beside it.", m.by(e.Width, e.Height), m.Style().Unit, m.fine().Show(piece.Thickness))
	if e.Bare {
		about = "the bare card"
		drawing = fmt.Sprintf("The bare card, %s %s, and its edge, %s thick, beside it.", m.by(e.Width, e.Height), m.Style().Unit, m.fine().Show(piece.Thickness))
	}
	p := MailPlan{
		Destination: m.Job().Mail.Destination, Notes: []say.Note{}, Classes: []ClassPlan{}, Remedies: []RemedyPlan{}, Postage: PostagePlan{Notes: []say.Note{}},
		Width: m.shown(e.Width), Height: m.shown(e.Height), Thickness: shownIn(m.fine(), piece.Thickness),
		AddressUpright: e.Width != e.Height && m.Job().Mail.AddressShort == (e.Width > e.Height),
		Drawing:        drawing, Relief: m.reliefPlan(), Cautions: m.cautions(), Options: m.mailOptions(),
		Readings: []Reading{
			{"closed", "Closed size", m.by(e.Width, e.Height), "lying flat", exactly(m.maker, e.Width, e.Height)},
			{"thickness", "Thickness", m.fine().Show(piece.Thickness), about, exactly(m.maker, piece.Thickness)},
			{"weight", "Weight", m.weight(piece.Weight), "predicted from the parts", ""},
		},
	}
	m.readingNotes(&p, e, piece)
	p.Weights = m.weightPlans(e)
	p.Measured = m.measuredPlans(e)
	if p.Everywhere = []DestinationPlan{}; m.open.shows("mail/destinations") {
		p.Everywhere = m.everywhere(piece)
	}
	if p.Beam = (BeamPlan{Stiffness: []float64{}, Rows: []Reading{}, Tone: say.Fine}); m.open.shows("mail/bending") {
		p.Beam = m.beamPlan(e, piece)
	}
	book, ok := m.Book()
	if !ok {
		p.Title, p.Short, p.Tone = "By hand", "By hand", say.Fine
		p.FixesNote = "Nothing needs fixing for this destination."
		p.Sentence = say.That("Given by hand, it needs to meet no postal rules. A dot at the tip of the flap lets it be opened again.")
		return p
	}
	v := m.VerdictOf(book, piece)
	p.Title = book.Region + ", " + book.Service
	p.Source = fmt.Sprintf("%s; as published around %s, %s.", book.Source, orUnknown(book.Published), book.Confidence)
	if !allPass(v.Floor) {
		p.Classes = append(p.Classes, ClassPlan{ID: "floor", Name: "least for any mail", Outcome: mail.Refused, Checks: m.checks(v.Floor)})
	}
	for _, r := range v.Results {
		p.Classes = append(p.Classes, ClassPlan{ID: r.Class.ID, Name: r.Class.Name, Outcome: r.Outcome, Chosen: r.Class.ID == v.Class, Checks: m.checks(r.Checks)})
	}
	f := compare.ForecastOf(v)
	p.Short, p.Tone = shortly(f), toneOf(f)
	m.verdict(&p, v, e, piece)
	p.Notes = append(p.Notes, m.bookNotes(book)...)
	_, grams := m.Weights(e)
	p.Notes = gathered(m.doubted(e, grams), m.stale(e.Thickness, grams), m.typedThickness(), m.pieceNotes(c), p.Notes)
	p.Postage = m.postage(v, piece)
	if m.open.shows("mail/fixes") {
		p.Remedies = m.remedyPlans(c, all(), v)
		p.FixesNote = m.fixesNote(v, p.Remedies)
	}
	if !m.open.shows("mail/checks") {
		p.Classes = []ClassPlan{}
	}
	if m.open.shows("mail/gauge") || strings.HasPrefix(string(m.open), "bench/") {
		p.Gauge = m.gaugePlan(book, e)
	}
	if p.Gauge != nil {
		p.Gauge.Decides = v.Class == book.Enveloped().ID
	}
	return p
}

func orUnknown(s string) string {
	if s == "" {
		return "an unknown day"
	}
	return s
}

// bookNotes reminds that a rulebook was not looked at for a year.
func (m maker) bookNotes(b mail.Rulebook) []say.Note {
	switch {
	case mail.YearOld(b.LastChecked, m.Shop().Today):
		return []say.Note{say.Care.Says(fmt.Sprintf("These rules were last checked on %s, more than a year ago. Check them against the published page.", b.LastChecked))}
	case b.LastChecked == "":
		return []say.Note{say.Fine.Says("These rules have not been checked against the published page. Check them before you rely on a narrow margin.")}
	}
	return nil
}

// pieceNotes says what about the piece itself should be known before posting.
func (m mailStation) pieceNotes(c compare.Candidate) (notes []say.Note) {
	for _, p := range m.Job().Parts {
		if t := p.Thing; t != nil && t.Crushable && c.Made.Depth == 0 {
			notes = append(notes, say.Care.Says(fmt.Sprintf("“%s” is crushed by pressure. Put it in a box, even where a letter would take it.", p.Name)))
		}
	}
	id := m.Job().Envelope.Stock
	if c.Kind.Bought {
		id = compare.SoldPaper
	}
	if stock, _ := m.Shop().Stock(id); m.Pierces(stock) {
		notes = append(notes, say.Care.Says(fmt.Sprintf("Hard points come through %s. Take a stronger envelope, or lay a shield over them.", say.Lower(stock.Name))))
	}
	if long, short := max(c.Made.Width, c.Made.Height), min(c.Made.Width, c.Made.Height); m.Job().Mail.AddressShort && !m.Job().Mail.WithoutEnvelope() {
		notes = append(notes, say.Fine.Says(fmt.Sprintf("Its longest edge is %s, but along the address it is %s. Machines go by that.", m.Style().ShowUnit(long), m.Style().ShowUnit(short))))
	}
	if c.Made.Ease() < 0 && !m.Job().Mail.WithoutEnvelope() {
		notes = append(notes, say.Trouble.Says("The card does not go into its envelope. What stands here is for the envelope alone."))
	}
	if _, posted := m.Book(); posted && m.Job().Mail.WithoutEnvelope() && !m.Job().Mail.Bare {
		notes = append(notes, say.Trouble.Says("Without an envelope it can be given by hand only. Choose another closure to mail it."))
	}
	if _, posted := m.Book(); posted && !m.Job().Mail.WithoutEnvelope() {
		notes = append(notes, say.Fine.Says("To mail it, seal the flap along both its edges. An open corner catches."))
	}
	if over := m.Over(); over.Width > m.Job().Card.OverWidth || over.Height > m.Job().Card.OverHeight {
		size := m.Outer()
		notes = append(notes, say.Fine.Says(fmt.Sprintf("With its overhang the card is %s. The envelope is sized for that.", m.by(size.Width, size.Height))))
	}
	t, long := m.Job().Mail.Measured, max(c.Made.Width, c.Made.Height).Millimetres()
	if t.Overhang > 0 && t.Droop > 0 && !compare.DroopOK(t, long) {
		notes = append(notes, say.Care.Says("The droop counts only between 1 mm and a quarter of the overhang. Let more or less of the piece stand out."))
	}
	if t.Apart > 0 && t.Sag > 0 && t.Load > 0 && t.Apart.Millimetres() >= long {
		notes = append(notes, say.Care.Says("The supports stand further apart than the piece is long. Set them closer, and measure again."))
	}
	return notes
}

// weightNames are what weighs of a piece that is no part of the card.
var weightNames = map[compare.Weight]string{compare.CardWeight: "Finished card", compare.EnvelopeWeight: "Envelope", compare.AdhesiveWeight: "Adhesive", compare.ClosureWeight: "Closure"}

func weightName(w compare.Weighed) string {
	if w.Of == compare.PartWeight {
		return w.Name
	}
	return weightNames[w.Of]
}

func (m mailStation) weightPlans(e compare.Closed) []WeightPlan {
	list, sum := m.Weights(e)
	plans := []WeightPlan{}
	for _, w := range list {
		plans = append(plans, WeightPlan{weightName(w), m.fineWeight(w.Grams), percent(w.Grams / sum)})
	}
	return append(plans, WeightPlan{"together", m.fineWeight(sum), percent(1)})
}

// fineWeight writes the weight of a part, which the whole ounces hide.
func (m maker) fineWeight(g float64) string {
	if m.Style().Unit == measure.Millimetres {
		return fmt.Sprintf("%.1f g", g)
	}
	if g > 0 && g < 0.005*field.Ounce {
		return "< 0.01 oz"
	}
	return fmt.Sprintf("%.2f oz", g/field.Ounce)
}

// everywhere holds the piece against every rulebook.
func (m mailStation) everywhere(piece mail.Piece) []DestinationPlan {
	list := []DestinationPlan{}
	for _, b := range m.Shop().Books() {
		v := m.VerdictOf(b, piece)
		f := compare.ForecastOf(v)
		d := DestinationPlan{ID: b.ID, Name: b.Region + ", " + b.Service, Short: shortly(f), Tone: toneOf(f), Chosen: b.ID == m.Job().Mail.Destination}
		r, taken := v.Result()
		switch {
		case !v.Mailable:
			d.Why = m.broken(v.Floor, false)
		case !taken && !v.AskFirst:
			d.Why = m.noClass(v)
		case taken && r.Outcome == mail.Surcharged:
			d.Why = m.broken(r.Checks, true)
		case taken && r.Outcome == mail.Doubtful:
			d.Why = m.broken(doubts(r.Checks), false)
		case taken:
			d.Why = m.tightest(r)
		}
		d.Price = m.postage(v, piece).Each
		list = append(list, d)
	}
	return append(list, DestinationPlan{ID: job.ByHand, Name: "By hand", Short: "By hand", Tone: say.Fine, Why: "no postal rules", Chosen: m.Job().Mail.Destination == job.ByHand})
}

// tightest names the limit that has least room left, as a share of it.
func (m mailStation) tightest(r mail.ClassResult) string {
	best, words := 2.0, ""
	for _, c := range r.Checks {
		kind, _ := c.Measure.Kind()
		if kind == mail.Flags || c.Max == nil || *c.Max <= 0 || c.Asked > 0 || c.Open {
			continue
		}
		if share := c.Margin / float64(*c.Max); share >= 0 && share < best {
			best, words = share, fmt.Sprintf("%s to spare in %s", m.spare(c), together(c.Measure.Words().Name))
		}
	}
	return words
}

// spare is the margin of a check, down to a tick of the shop where it is more than that.
func (m mailStation) spare(c mail.Check) string {
	if kind, _ := c.Measure.Kind(); kind == mail.Lengths && c.Margin >= float64(m.Style().Tick) {
		return m.Style().ShowUnit(measure.Round(c.Margin).Down(m.Style().Tick))
	}
	return m.checkText(c, c.Margin)
}

// together names a measure that is a sum: "length, height and thickness together".
func together(name string) string {
	if terms := strings.Split(name, " + "); len(terms) > 1 {
		return say.And(terms) + " together"
	}
	return name
}

// Verdicts is what every rulebook says of a job's piece, with the remedies for
// where it goes: the station Mail without its drawings.
func Verdicts(j job.Job, shop job.Shop) ([]DestinationPlan, []RemedyPlan) {
	m := newMaker(j, shop)
	all := m.Candidates()
	c := m.Choose(all)
	piece := m.Mailed(m.Closed(c))
	book, ok := m.Book()
	if !ok {
		return mailStation{m}.everywhere(piece), nil
	}
	return mailStation{m}.everywhere(piece), mailStation{m}.remedyPlans(c, all, m.VerdictOf(book, piece))
}

// Predicted is what the sums say of the finished piece: its thickness, and its
// weight in grams.
func Predicted(j job.Job, shop job.Shop) (measure.Length, float64) {
	m := newMaker(j, shop)
	e := m.Closed(m.Choose(m.Candidates()))
	_, grams := m.Weights(e)
	return e.Thickness, grams
}
