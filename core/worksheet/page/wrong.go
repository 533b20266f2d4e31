package page

import (
	"fmt"
	"math"

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
	ease, seam, ok := asItIs(t, w, number, is)
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
		m.Ways = append(m.Ways, Mend{Text: "Go on with it as it is."})
	}
	m.Ways = append(m.Ways, p.smaller(s, off)...)
	if s.Act == worksheet.Score && !m.Fine {
		m.Ways = append(m.Ways, Mend{Text: "Press the wrong score flat with the folder, turn the sheet over, and score it anew."})
	}
	if !m.Fine {
		m.Ways = append(m.Ways, Mend{Text: "Keep it for tags and trials, and cut another one."})
	}
	for i := range m.Ways {
		if m.Ways[i].Edits == nil {
			m.Ways[i].Edits = []field.Edit{}
		}
	}
	return m, true
}

// fine writes a length that is only read.
func (p teller) fine(mm float64) string {
	style := p.style.Finest()
	return style.ShowUnit(measure.Round(mm * float64(measure.Millimetre)).Near(style.Tick))
}

// asItIs makes everything with one setting as it came out: the tighter ease and the narrowest seam,
// in millimetres.
func asItIs(t plan.Table, w worksheet.Worksheet, number int, is measure.Length) (ease, seam float64, ok bool) {
	b := benchOf(t)
	b.Wrong = func() float64 { return 0 } // whatever comes of it, it is followed
	for i, s := range w.Steps {
		if i == number {
			s.At = is
		}
		if b.Follow(s) != nil {
			return 0, 0, false
		}
	}
	one := measured(t, b)
	seam = math.Inf(1)
	for _, x := range one.Seams {
		seam = min(seam, x)
	}
	return min(one.EaseWidth, one.EaseHeight), seam, true
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
func (p teller) typed(l measure.Length) string { return p.withUnit(p.length(l)) }

// inShop says what is typed in a shop.
func inShop(t plan.Table, text string) (measure.Length, error) {
	l, err := measure.Parse(text, t.Shop.Unit)
	if err != nil {
		return 0, say.Refuse("%v", err)
	}
	return l, nil
}

// WrongAs is Wrong for a length as it was typed.
func WrongAs(t plan.Table, number int, text string) (Mended, bool, error) {
	l, err := inShop(t, text)
	if err != nil || l <= 0 || l > mostWrong {
		if err == nil {
			err = say.Refuse("Type what it measures, between nothing and 5 m.")
		}
		return Mended{}, true, err
	}
	m, ok := Wrong(t, number, l)
	return m, ok, nil
}

// mostWrong is the longest that anything is measured.
const mostWrong = 5 * measure.Metre
