package page

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/core/worksheet"
)

// Mended is what can still be made of a piece that came out wrong.
type Mended struct {
	// Says is the answer; Fine is set where one simply goes on.
	Says string `json:"says"`
	Fine bool   `json:"fine"`
	Ways []Mend `json:"ways"`
	// Ask is asked back where what it measures is surely a slip; nothing else is answered then.
	Ask string `json:"ask"`
}

// Mend is one way on: words, and what of the job it changes; nothing where only the hand does.
type Mend struct {
	Text  string       `json:"text"`
	Edits []field.Edit `json:"edits"`
}

// Wrong answers what can still be made where the setting of a step came out as another length: the
// simulated bench makes everything with it, and what is left of ease and seams is told. It is false
// where the step sets nothing.
func Wrong(t plan.Table, number int, is measure.Length) (Mended, bool) {
	w := worksheet.Write(t)
	if number < 0 || number >= len(w.Steps) || w.Steps[number].At <= 0 {
		return Mended{}, false
	}
	s := w.Steps[number]
	p := teller{Table: t, style: t.Shop.Style()}
	m := Mended{Ways: []Mend{}}
	off := is - s.At
	if off.Abs() <= p.style.Tick/2 {
		m.Fine, m.Says = true, "That is as near as it has to be: go on."
		return m, true
	}
	size := func(l measure.Length) string { return p.withUnit(p.length(l)) }
	if s.Act == worksheet.Cut && off > 0 && s.Keep != "" {
		m.Ways = append(m.Ways, Mend{Text: fmt.Sprintf("Cut it again: it is %s too large.", size(off))})
	}
	made, ok := asItIs(t, w, number, is)
	planned, _ := asItIs(t, w, number, s.At)
	ease, seam := made.ease(), made.seam()
	a, _ := t.Shop.Adhesive(t.Job.Envelope.Adhesive)
	touches := t.Enveloped && (s.Piece == plan.BlankPiece || s.Keep == plan.BlankPiece || s.Piece == t.Job.Parts[0].ID || s.Keep == t.Job.Parts[0].ID)
	switch {
	case !ok || !touches:
		m.Says = fmt.Sprintf("It is %s off.", size(off.Abs()))
	case ease < 0:
		m.Says = fmt.Sprintf("Made so, the card does not go in: it is %s too tight.", p.fine(-ease))
	case seam < a.Width.Millimetres():
		m.Says = fmt.Sprintf("Made so, the card goes in, and a seam of %s is too narrow for the adhesive.", p.fine(seam))
	default:
		m.Says = fmt.Sprintf("Made so, the card goes in with %s to spare, and the seams hold.", p.fine(ease))
		m.Fine = true
		m.Ways = append(m.Ways, Mend{Text: "Go on with it as it is." + p.takenUp(s, off, planned, made)})
	}
	m.Ways = append(m.Ways, p.smaller(s, off)...)
	if ok && touches && ease < 0 && !t.Kind.Bought && uncut(w, number) {
		more := measure.Round((-ease)*float64(measure.Millimetre)).Up(p.style.Tick) + p.style.Tick
		m.Ways = append(m.Ways, Mend{
			Text:  fmt.Sprintf("Give the envelope %s more ease: its blank is not cut yet.", size(more)),
			Edits: []field.Edit{{Act: field.Type, Path: "envelope.ease", Text: p.typed(t.Job.Envelope.Ease + more)}},
		})
	}
	if s.Act == worksheet.Score && !m.Fine {
		m.Ways = append(m.Ways, Mend{Text: "Press the wrong score flat with the folder, turn the sheet over, and score it anew."})
	}
	if !m.Fine {
		m.Ways = append(m.Ways, Mend{Text: "Keep it for tags and trials, and cut another one." + p.another(s)})
	}
	for i := range m.Ways {
		if m.Ways[i].Edits == nil {
			m.Ways[i].Edits = []field.Edit{}
		}
	}
	return m, true
}

// uncut reports whether nothing was done to the envelope's blank before a step.
func uncut(w worksheet.Worksheet, number int) bool {
	return !slices.ContainsFunc(w.Steps[:number], func(s worksheet.Step) bool { return s.Piece == plan.BlankPiece || s.Keep == plan.BlankPiece })
}

// takenUp says what takes up that a piece came out otherwise: the envelope's ease, and the borders of what lies
// on it.
func (p teller) takenUp(s worksheet.Step, off measure.Length, planned, made Making) (text string) {
	for _, side := range [][2]float64{{planned.EaseWidth, made.EaseWidth}, {planned.EaseHeight, made.EaseHeight}} {
		if math.Abs(side[0]-side[1]) > measure.Micrometre.Millimetres() && text == "" {
			text = fmt.Sprintf(" The ease takes it up: %s instead of %s.", p.fine(side[1]), p.fine(side[0]))
		}
	}
	if s.Keep != p.Job.Parts[0].ID || s.Act != worksheet.Cut {
		return text
	}
	for _, i := range p.Job.PartsOf(job.LayerPart) {
		if part := p.Job.Parts[i]; part.Own == nil {
			more := "more"
			if off < 0 {
				more = "less"
			}
			return text + fmt.Sprintf(" “%s”, cut as planned, shows %s %s border on two sides.", part.Name, p.fine(off.Abs().Millimetres()/2), more)
		}
	}
	return text
}

// another says what a piece is cut of anew, and whether there is some.
func (p teller) another(s worksheet.Step) string {
	id := s.Piece
	if s.Keep != "" {
		id = s.Keep
	}
	for _, k := range p.Plan.Paper.Stocks {
		if !slices.ContainsFunc(k.Pieces, func(q plan.PieceLine) bool { return q.ID == id }) && !strings.Contains(id, " of "+k.ID) {
			continue
		}
		if x, ok := p.Piece(id); ok {
			for _, l := range k.Layouts {
				for _, o := range l.Offcuts {
					if strings.HasSuffix(o.Makes, " more × "+x.Name) {
						return fmt.Sprintf(" It goes out of the offcut of %s that sheet %s leaves.", o.Size, l.Name)
					}
				}
			}
		}
		sheet := fmt.Sprintf(" Take another sheet of %s, %s", k.SheetName, k.Name)
		stock, _ := p.Shop.Stock(k.ID)
		switch {
		case stock.Have == 0:
			return sheet + ". Count whether you have one left."
		case stock.Have > k.Sheets:
			return sheet + fmt.Sprintf(": of your %d this job takes %d.", stock.Have, k.Sheets)
		}
		return sheet + fmt.Sprintf(". Your %d are all in this job: buy one.", stock.Have)
	}
	return ""
}

// fine writes a length that is only read.
func (p teller) fine(mm float64) string {
	style := p.style.Finest()
	return style.ShowUnit(measure.Round(mm * float64(measure.Millimetre)).Near(style.Tick))
}

// ease is the tighter one, seam the narrowest seam, in millimetres.
func (o Making) ease() float64 { return min(o.EaseWidth, o.EaseHeight) }

func (o Making) seam() float64 {
	least := math.Inf(1)
	for _, x := range o.Seams {
		least = min(least, x)
	}
	return least
}

// asItIs makes everything with one setting as it came out; false where the steps cannot be followed so.
func asItIs(t plan.Table, w worksheet.Worksheet, number int, is measure.Length) (Making, bool) {
	b := benchOf(t)
	b.Wrong = func() float64 { return 0 } // whatever comes of it, it is followed
	for i, s := range w.Steps {
		if i == number {
			s.At = is
		}
		if b.Follow(s) != nil {
			return Making{}, false
		}
	}
	return measured(t, b), true
}

// smaller are the ways in which a piece that is cut too small still serves: a smaller card, with
// all that lies on it, or a layer with a wider border.
func (p teller) smaller(s worksheet.Step, off measure.Length) (list []Mend) {
	if s.Act != worksheet.Cut || off >= 0 {
		return nil
	}
	for i, part := range p.Job.Parts {
		if part.ID != s.Keep || part.Thing != nil {
			continue
		}
		wide := s.Fence == worksheet.Left || s.Fence == worksheet.Right
		if s.KeepTurned {
			wide = !wide
		}
		x, ok := p.Piece(part.ID)
		if !ok {
			continue
		}
		w, h := x.Width, x.Height
		if wide {
			w += off
		} else {
			h += off
		}
		if part.Kind == job.BasePart {
			list = append(list, p.smallerCard(x, w, h)...)
			continue
		}
		path := fmt.Sprintf("parts.%d.own", i)
		list = append(list, Mend{
			Text:  fmt.Sprintf("Keep “%s” at %s × %s: the border shows that much more.", part.Name, p.length(w), p.length(h)),
			Edits: p.own(part, path, w, h),
		})
	}
	return list
}

// own gives a layer a size of its own.
func (p teller) own(part job.Part, path string, w, h measure.Length) (list []field.Edit) {
	if part.Own == nil {
		list = append(list, field.Edit{Act: field.Add, Path: path})
	}
	return append(list, field.Edit{Act: field.Type, Path: path + ".width", Text: p.typed(w)}, field.Edit{Act: field.Type, Path: path + ".height", Text: p.typed(h)})
}

// smallerCard is a card as large as its base still gives.
func (p teller) smallerCard(x plan.BenchPiece, w, h measure.Length) []Mend {
	c := p.Job.Card
	width, height := c.Width, c.Height
	if w < x.Width {
		width = measure.Length(math.Floor(float64(c.Width) * float64(w) / float64(x.Width))).Down(p.style.Tick)
	}
	if h < x.Height {
		height = measure.Length(math.Floor(float64(c.Height) * float64(h) / float64(x.Height))).Down(p.style.Tick)
	}
	return []Mend{{
		Text:  fmt.Sprintf("Make the card %s × %s: layers, envelope and the steps to come follow.", p.style.Show(width), p.style.Show(height)),
		Edits: []field.Edit{{Act: field.Type, Path: "card.width", Text: p.typed(width)}, {Act: field.Type, Path: "card.height", Text: p.typed(height)}},
	}}
}

// typed is a length as it is typed into a field.
func (p teller) typed(l measure.Length) string {
	if p.style.Rounds(l) {
		return measure.Decimal(l, measure.Millimetre) + " mm"
	}
	return p.style.ShowUnit(l)
}

// inShop says what is typed in a shop.
func inShop(t plan.Table, text string) (measure.Length, error) {
	l, err := measure.Parse(text, t.Shop.Unit)
	if err != nil {
		return 0, say.Refuse("%v", err)
	}
	return l, nil
}

// WrongAs is Wrong for a length as it was typed. It is asked back whether a length so far from what was wanted is a
// slip, unless that is sure.
func WrongAs(t plan.Table, number int, text string, sure bool) (Mended, bool, error) {
	if t.Plan.Waits != nil {
		return Mended{}, true, say.Refuse("There is no card to cut for yet: choose it first.")
	}
	l, err := inShop(t, text)
	if err != nil || l <= 0 || l > mostWrong {
		if err == nil {
			err = say.Refuse("Type what it measures, between nothing and 5 m.")
		}
		return Mended{}, true, err
	}
	if steps := worksheet.Write(t).Steps; !sure && number >= 0 && number < len(steps) && slip(steps[number].At, l) {
		p := teller{Table: t, style: t.Shop.Style()}
		ask := fmt.Sprintf("%s instead of %s: is that a slip? Measure it again, or say that it is so.", p.withUnit(p.length(l)), p.withUnit(p.length(steps[number].At)))
		return Mended{Ask: ask, Ways: []Mend{}}, true, nil
	}
	m, ok := Wrong(t, number, l)
	return m, ok, nil
}

// slip reports whether a length is so far from the one wanted that it was surely read or typed wrong.
func slip(wanted, is measure.Length) bool {
	const least = 3 * measure.Inch / 4
	return wanted > 0 && (is-wanted).Abs() > least && (5*is < 3*wanted || 5*is > 8*wanted)
}

// mostWrong is the longest that anything is measured.
const mostWrong = 5 * measure.Metre
