package plan

import (
	"fmt"
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// TemplatePlan is a ready-made envelope of a file, held against the card.
type TemplatePlan struct {
	Sentence say.Sentence `json:"sentence"`
	// Creases says what was taken for fold lines, Inside and Ease what room there is, Seam how its flaps lie on each other.
	Creases string `json:"creases"`
	Inside  string `json:"inside"`
	Seam    string `json:"seam"`
	// Suits is set where the card goes in and it closes.
	Suits bool       `json:"suits"`
	Notes []say.Note `json:"notes"`
	// Stretched is what pulling it to the card's size does to it.
	Stretched []TemplateStretch `json:"stretched"`
	// Instead is the envelope that is worked out for the card.
	Instead string          `json:"instead"`
	Size    string          `json:"size"`
	Flat    drawing.Drawing `json:"flat"`
	Words   string          `json:"words"`
}

// TemplateStretch is a template pulled to another size.
type TemplateStretch struct {
	Name string   `json:"name"`
	Text string   `json:"text"`
	Tone say.Tone `json:"tone"`
}

// templateFaults say why a drawing is no envelope.
var templateFaults = map[error]string{
	blank.ErrNoCreases: "There is no fold line in it. Draw them as dashes, or in a group or layer named “score”.",
	blank.ErrNoFront:   "Its fold lines enclose no rectangle that could be the front. Look whether they run from edge to edge.",
	blank.ErrTooMany:   "It has more lines than can be worked with. Leave only the outline and its fold lines in it.",
}

// PlanTemplate holds a ready-made envelope against a job's card: which fold lines it has, what seam, and what stretching it to the
// card does to it. Told is set where the file says which lines are folded.
func PlanTemplate(outline blank.Polygon, folds, slits []blank.Line, told bool, j job.Job, shop job.Shop) (TemplatePlan, error) {
	if !j.Card.Sized() {
		return TemplatePlan{}, say.Refuse("A template is held against your card, which is not chosen yet: choose it first.")
	}
	n, err := blank.FromDrawing(outline, folds, slits)
	if err != nil {
		if text := templateFaults[err]; text != "" {
			return TemplatePlan{}, say.Refuse("%s", text)
		}
		return TemplatePlan{}, say.Refuse("It cannot be folded: %v.", err)
	}
	m := templateHeld{envelopeStation{newMaker(j, shop)}, n.Look()}
	m.turn()
	return m.plan(told), nil
}

// templateHeld is a template with the card in it.
type templateHeld struct {
	envelopeStation
	found blank.Found
}

// turn lays the card the way in which it has more room.
func (m *templateHeld) turn() {
	size := m.Outer()
	as := min(m.found.Width-size.Width, m.found.Height-size.Height)
	if turned := min(m.found.Width-size.Height, m.found.Height-size.Width); turned > as {
		m.found.Net = m.found.Net.QuarterTurned()
		m.found = m.found.Net.Look()
	}
}

// takes is what of a side a card's thickness takes: less where there are walls.
func (m templateHeld) takes() measure.Length { return max(0, m.Thick().Used-m.found.Depth) }

// room is what is left both ways round the card.
func (m templateHeld) room(f blank.Found) (wide, high measure.Length) {
	size := m.Outer()
	return f.Width - size.Width - m.takes(), f.Height - size.Height - m.takes()
}

func (m templateHeld) plan(told bool) TemplatePlan {
	f, show, size := m.found, m.Style().Show, m.Outer()
	read := func(l measure.Length) string { return show(l.Near(m.Style().Tick)) }
	wide, high := m.room(f)
	p := TemplatePlan{Notes: []say.Note{}, Stretched: []TemplateStretch{}}
	flat := drawing.Net(f.Net, drawing.Laid{Card: card.Size{Width: size.Width, Height: size.Height}, Holes: f.Folded.Holes, Names: netNames})
	p.Flat, p.Size = flat.Drawn(), m.by(nmOf(flat.Width).Near(m.Style().Tick), nmOf(flat.Height).Near(m.Style().Tick))
	p.Creases = fmt.Sprintf("%s, %s.", say.Capital(say.Plural(len(f.Net.Creases), "fold line")), say.Plural(len(f.Net.Panels), "panel"))
	if !told {
		p.Creases += " The file names no fold lines, so every line inside it was taken for one."
	}
	p.Inside = fmt.Sprintf("Inside %s", m.by(f.Width.Near(m.Style().Tick), f.Height.Near(m.Style().Tick)))
	if f.Depth > 0 {
		p.Inside += ", walls " + read(f.Depth)
	}
	p.Seam = m.seamWords(f)
	goes := min(wide, high) > 0
	p.Suits = goes && m.closes(f)
	switch {
	case !goes:
		p.Sentence = say.That("Your card does not go in: it is [%s] too large.", m.Style().ShowUnit((-min(wide, high)).Up(m.Style().Tick)))
		p.Inside += "."
	case !m.closes(f):
		p.Sentence = say.That("Your card goes in, but [it does not hold]: look at its seams.")
		p.Inside += fmt.Sprintf(": ease %s and %s.", read(wide), read(high))
	default:
		p.Sentence = say.That("Your card goes in with [%s] to spare, and it closes.", m.Style().ShowUnit(min(wide, high).Near(m.Style().Tick)))
		p.Inside += fmt.Sprintf(": ease %s and %s.", read(wide), read(high))
	}
	if f.Folded.Overhang > 1 {
		p.Notes = append(p.Notes, say.Care.Says("A flap stands out beyond the front when it is folded. Trim it."))
	}
	ease := m.Job().Envelope.Ease
	fw := float64(size.Width+m.takes()+ease) / float64(f.Width)
	fh := float64(size.Height+m.takes()+ease) / float64(f.Height)
	p.Stretched = append(p.Stretched, m.stretched("Stretched all over", max(fw, fh), max(fw, fh)))
	if math.Abs(fw-fh) > 0.005 {
		p.Stretched = append(p.Stretched, m.stretched("Stretched each way", fw, fh))
	}
	c := m.Chosen()
	if c.OK && !c.Kind.Bought {
		p.Instead = fmt.Sprintf("Made for this card, %s takes %s: ease %s, seam %s.", say.Lower(c.Kind.Words.Name), m.by(c.Made.SheetWidth, c.Made.SheetHeight), show(c.Made.Ease().Near(m.Style().Tick)), show(c.Made.Seam.Near(m.Style().Tick)))
	}
	p.Words = fmt.Sprintf("A template of %s, lying flat. %s %s", p.Size, p.Creases, p.Inside)
	return p
}

// closes reports whether every seam takes the adhesive and nothing is left open.
func (m templateHeld) closes(f blank.Found) bool {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	return f.Seams > 0 && f.Seam >= a.Width && f.Folded.Hole < openHole
}

// openHole is an area that is no hole yet, in square millimetres.
const openHole = 1

// seamWords say how the flaps lie on each other.
func (m templateHeld) seamWords(f blank.Found) string {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	show := func(l measure.Length) string { return m.Style().Show(l.Near(m.Style().Tick)) }
	switch {
	case f.Seams == 0:
		return "Its flaps do not lie on each other: there is no seam."
	case f.Seam < a.Width:
		return fmt.Sprintf("The narrowest seam is %s, too narrow for your adhesive of %s.", show(f.Seam), m.Style().Show(a.Width))
	case f.Folded.Hole >= openHole:
		return fmt.Sprintf("The narrowest seam is %s, and a hole stays in the back.", show(f.Seam))
	}
	return fmt.Sprintf("The narrowest seam is %s.", show(f.Seam))
}

// stretched is what a template is when it is pulled so that the card has the ease that the job asks for.
func (m templateHeld) stretched(name string, wide, high float64) TemplateStretch {
	f := m.found.Net.Stretched(wide, high).Look()
	times := fmt.Sprintf("%.0f %%", 100*wide)
	if wide != high {
		times = fmt.Sprintf("%.0f %% wide and %.0f %% high", 100*wide, 100*high)
	}
	w, h := m.room(f)
	show := func(l measure.Length) string { return m.Style().Show(l.Near(m.Style().Tick)) }
	s := TemplateStretch{Name: name, Tone: say.Fine}
	s.Text = fmt.Sprintf("To %s: ease %s and %s. %s", times, show(max(0, w)), show(max(0, h)), m.seamWords(f))
	if !m.closes(f) {
		s.Tone = say.Trouble
	} else if f.Seam < m.found.Seam-m.Style().Tick/2 {
		s.Tone = say.Care
	}
	return s
}

// nmOf is a length of so many millimetres.
func nmOf(mm float64) measure.Length { return measure.Round(mm * float64(measure.Millimetre)) }
