package plan

import (
	"fmt"
	"math"
	"strings"

	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// PostPlan is the station Post.
type PostPlan struct {
	Destination string `json:"destination"`
	Title       string `json:"title"`
	Source      string `json:"source"`
	// Short is the forecast on the ticket: "letter + surcharge".
	Short    string      `json:"short"`
	Tone     Tone        `json:"tone"`
	Sentence Sentence    `json:"sentence"`
	Readings []Reading   `json:"readings"`
	Classes  []ClassPlan `json:"classes"`
	Notes    []Note      `json:"notes"`
	// Width, Height and Thickness of the piece for its drawing.
	Width     Shown  `json:"width"`
	Height    Shown  `json:"height"`
	Thickness Shown  `json:"thickness"`
	Drawing   string `json:"drawing"`
	// Rectangle is the plain envelope that a surcharged card would go in, when
	// there is one.
	Rectangle *RectanglePlan `json:"rectangle,omitempty"`
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
	Outcome mail.Outcome `json:"outcome" enum:"goes,surcharged,refused,not needed"`
	Chosen  bool         `json:"chosen"`
	Checks  []CheckPlan  `json:"checks"`
}

// CheckPlan is one measure against its limit, as text and as places on a gauge
// that runs from 0 to 1.
type CheckPlan struct {
	Measure   mail.Measure `json:"measure" enum:"length,height,thickness,weight,aspect"`
	Label     string       `json:"label"`
	About     string       `json:"about"` // which state was measured, or what breaking it costs
	Measured  string       `json:"measured"`
	Limit     string       `json:"limit"`
	Margin    string       `json:"margin"`
	OK        bool         `json:"ok"`
	Close     bool         `json:"close"` // within measuring error of the limit
	Surcharge bool         `json:"surcharge"`
	Gauge     Gauge        `json:"gauge"`
}

// Gauge places the allowed range and the value on a scale from 0 to 1.
type Gauge struct {
	From float64 `json:"from"`
	To   float64 `json:"to"`
	At   float64 `json:"at"`
}

// glueShare is what adhesive adds to the weight of the paper.
const glueShare = 0.03

// piece is the closed envelope with the card in it.
func (m maker) piece(e closed) mail.Piece {
	grams := 0.0
	for _, p := range m.parts() {
		grams += p.Grams
	}
	grams += e.area / 1e6 * e.stock.GSM
	return mail.Piece{
		Width: e.width, Height: e.height, Thickness: e.thickness,
		Weight:    grams * (1 + glueShare),
		SizeError: m.style.Tick, // two creases, each half a tick off
	}
}

func (m maker) post(e closed) PostPlan {
	piece := m.piece(e)
	p := PostPlan{
		Destination: m.job.Post.Destination, Notes: []Note{}, Classes: []ClassPlan{},
		Width: m.shown(e.width), Height: m.shown(e.height), Thickness: Shown{piece.Thickness, m.fine().Show(piece.Thickness)},
		Drawing: fmt.Sprintf("The closed envelope, %s %s, with its address side towards you, and its edge, %s thick, beside it.", m.by(e.width, e.height), m.style.Unit, m.fine().Show(piece.Thickness)),
		Readings: []Reading{
			{"closed", "Closed size", m.by(e.width, e.height), "lying flat"},
			{"thickness", "Thickness", m.fine().Show(piece.Thickness), fmt.Sprintf("card and %s of envelope", plural(e.layers, "layer"))},
			{"weight", "Weight", m.weight(piece.Weight), "predicted from the papers"},
		},
	}
	book, ok := mail.RulebookByID(m.job.Post.Destination)
	if !ok {
		p.Title, p.Short, p.Tone = "By hand", "by hand", Fine
		p.Sentence = say("Given by hand, it needs to meet no post's rules. A dot at the tip of the flap lets it be opened again.")
		return p
	}
	v := book.Judge(piece)
	p.Title = book.Region + ", " + book.Service
	p.Source = fmt.Sprintf("%s; as published around %s, %s.", book.Source, book.Published, book.Confidence)
	if !allPass(v.Floor) {
		p.Classes = append(p.Classes, ClassPlan{ID: "floor", Name: "least for any mail", Outcome: mail.Refused, Checks: m.checks(v.Floor)})
	}
	for _, r := range v.Results {
		p.Classes = append(p.Classes, ClassPlan{ID: r.Class.ID, Name: r.Class.Name, Outcome: r.Outcome, Chosen: r.Class.ID == v.Class, Checks: m.checks(r.Checks)})
	}
	m.verdict(&p, v, e, piece)
	return p
}

func allPass(checks []mail.Check) bool {
	for _, c := range checks {
		if !c.OK {
			return false
		}
	}
	return true
}

// verdict puts the verdict in words: what it goes as, why, and what would be
// better.
func (m maker) verdict(p *PostPlan, v mail.Verdict, e closed, piece mail.Piece) {
	r, taken := v.Result()
	switch {
	case !v.Mailable:
		p.Short, p.Tone = "not mailable", Trouble
		p.Sentence = say("Too small for any mail: %s. A larger envelope with holding strips would do.", m.broken(v.Floor, false))
	case !taken && v.AskFirst:
		p.Short, p.Tone = "ask first", Care
		p.Sentence = say("Small but thick: the published rules do not say what becomes of it. Ask at the counter first.")
	case !taken:
		p.Short, p.Tone = "no letter", Trouble
		last := v.Results[len(v.Results)-1]
		p.Sentence = say("No class of letter takes it: %s even for a %s. Ask for a parcel.", m.whyNot(last), last.Class.Name)
	case r.Outcome == mail.Surcharged:
		p.Short, p.Tone = r.Class.Name+" + surcharge", Care
		p.Sentence = m.surcharged(p, r, e, piece)
	default:
		p.Short, p.Tone = r.Class.Name, Fine
		p.Sentence = say("By the published limits it goes as a [%s].", r.Class.Name)
		if first := v.Results[0]; first.Class.ID != r.Class.ID {
			p.Tone = Care
			p.Sentence = say("By the published limits it goes as a [%s]: %s for a %s.", r.Class.Name, m.whyNot(first), first.Class.Name)
		}
	}
	if taken {
		for _, c := range r.Checks {
			if c.OK && c.Worst < 0 {
				p.Notes = append(p.Notes, Note{Care, fmt.Sprintf("Its %s passes, but by less than your cuts and scores may be off.", measureNames[c.Measure])})
			}
		}
	}
	p.Notes = append(p.Notes, Note{Fine, "Not looked at here: stiffness, lumps, clasps or string, round corners. Rules change and offices differ: ask your own post office."})
}

// whyNot says why a class does not take the piece: by what it is too much, or
// else too little.
func (m maker) whyNot(r mail.ClassResult) string {
	if list := over(r.Checks); len(list) > 0 {
		return m.broken(list, false)
	}
	return m.broken(r.Checks, false)
}

// over keeps the checks whose greatest limit is broken.
func over(checks []mail.Check) []mail.Check {
	var list []mail.Check
	for _, c := range checks {
		if c.Max != nil && c.Measured > float64(*c.Max) {
			list = append(list, c)
		}
	}
	return list
}

// surcharged says why a surcharge falls due and in what envelope it would not.
func (m maker) surcharged(p *PostPlan, r mail.ClassResult, e closed, piece mail.Piece) Sentence {
	for _, c := range r.Checks {
		if c.OK || c.Measure != mail.Aspect {
			continue
		}
		shape := "Nearly square"
		switch {
		case piece.Width == piece.Height:
			shape = "Square"
		case c.Max != nil && c.Measured > float64(*c.Max):
			shape = "Long and slim"
		}
		s := fmt.Sprintf("%s, so as a %s it pays the surcharge", shape, r.Class.Name)
		need := m.thick.Used + m.job.Envelope.Ease + e.wider()
		rect := r.Class.PlainRectangle(m.outer().Width+need, m.outer().Height+need, piece.Thickness, piece.SizeError, m.style.Tick)
		if rect.OK {
			p.Rectangle = &RectanglePlan{m.shown(rect.Width), m.shown(rect.Height)}
			return say("%s; in a [%s %s] envelope it would not.", s, m.by(rect.Width, rect.Height), m.style.Unit)
		}
		return say("%s. No envelope saves it: one of the right shape would be over the limit for %s.", s, measureNames[rect.Why])
	}
	return say("As a %s it pays the surcharge: %s.", r.Class.Name, m.broken(r.Checks, true))
}

var measureNames = map[mail.Measure]string{
	mail.Length: "length", mail.Height: "height", mail.Thickness: "thickness", mail.Weight: "weight", mail.Aspect: "length ÷ height",
}

var tooMuch = map[mail.Measure][2]string{
	mail.Length: {"too short", "too long"}, mail.Height: {"too low", "too high"}, mail.Thickness: {"too thin", "too thick"},
	mail.Weight: {"too light", "too heavy"}, mail.Aspect: {"too square", "too slim"},
}

// broken names the limits that a class's checks break: "too thick by 1/16".
func (m maker) broken(checks []mail.Check, surcharge bool) string {
	var list []string
	for _, c := range checks {
		if c.OK || c.Surcharge != surcharge {
			continue
		}
		which := 0
		if c.Max != nil && c.Measured > float64(*c.Max) {
			which = 1
		}
		list = append(list, fmt.Sprintf("%s by %s", tooMuch[c.Measure][which], m.amount(c.Measure, -c.Margin, true)))
	}
	return strings.Join(list, " and ")
}

func (m maker) checks(checks []mail.Check) []CheckPlan {
	list := make([]CheckPlan, 0, len(checks))
	for _, c := range checks {
		about := ""
		switch {
		case c.Surcharge:
			about = "or a surcharge"
		case c.Filled:
			about = "filled"
		}
		list = append(list, CheckPlan{
			Measure: c.Measure, Label: measureNames[c.Measure], About: about, Measured: m.amount(c.Measure, c.Measured, false),
			Limit: m.limit(c), Margin: m.amount(c.Measure, c.Margin, false), OK: c.OK, Close: c.OK && c.Worst < 0,
			Surcharge: c.Surcharge, Gauge: gauge(c),
		})
	}
	return list
}

func (m maker) limit(c mail.Check) string {
	switch {
	case c.Min == nil:
		return "to " + m.amount(c.Measure, float64(*c.Max), false)
	case c.Max == nil:
		return "from " + m.amount(c.Measure, float64(*c.Min), false)
	}
	return m.amount(c.Measure, float64(*c.Min), false) + " to " + m.amount(c.Measure, float64(*c.Max), false)
}

// amount writes a quantity of some measure in the shop's units.
func (m maker) amount(of mail.Measure, v float64, withUnit bool) string {
	switch of {
	case mail.Weight:
		return m.weight(v)
	case mail.Aspect:
		return strings.Replace(fmt.Sprintf("%.2f", v), "-", "−", 1)
	}
	l := measure.Round(v)
	text := m.style.Show(l)
	if of == mail.Thickness {
		// Thousandths decide here, and the shop's tick would hide them.
		if text = m.fine().Show(l); l.Abs() < measure.Inch/16 && m.fine().Rounds(l) {
			text = strings.Replace(m.decimal(l), "-", "−", 1)
		}
	}
	if withUnit {
		return text + " " + string(m.style.Unit)
	}
	return text
}

func (m maker) weight(g float64) string {
	if m.style.Unit == measure.Millimetres {
		return strings.Replace(fmt.Sprintf("%.0f g", g), "-", "−", 1)
	}
	const ounce = 28.349523125
	return strings.Replace(fmt.Sprintf("%.1f oz", g/ounce), "-", "−", 1)
}

// gauge lays the allowed range over the middle of a scale, and the value where
// it falls, held to the ends.
func gauge(c mail.Check) Gauge {
	low, high := 0.0, c.Measured*2
	if c.Max != nil {
		high = float64(*c.Max)
	}
	if c.Min != nil {
		low = float64(*c.Min)
	}
	span := math.Max(high-low, 1e-9)
	start, whole := math.Max(0, low-span/4), span*1.5
	if start == 0 {
		whole = high + span/4
	}
	place := func(v float64) float64 { return math.Min(1, math.Max(0, (v-start)/whole)) }
	g := Gauge{From: place(low), To: place(high), At: place(c.Measured)}
	if c.Max == nil {
		g.To = 1
	}
	return g
}
