package plan

import (
	"fmt"
	"math"
	"strings"

	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// LayersPlan is the station Layers.
type LayersPlan struct {
	Sentence Sentence   `json:"sentence"`
	Rows     []LayerRow `json:"rows"`
	// Panel is the top layer, what is left to stamp or draw on.
	PanelWidth  Shown  `json:"panelWidth"`
	PanelHeight Shown  `json:"panelHeight"`
	Notes       []Note `json:"notes"`
	Drawing     string `json:"drawing"`
}

// LayerRow is one paper as it is seen from the front, the base first.
type LayerRow struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	// Part is the place in the job's list of parts.
	Part int `json:"part"`
	// X and Y are the place on the face, in millimetres.
	X      float64        `json:"x"`
	Y      float64        `json:"y"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
	Size   string         `json:"size"`
	// Share is how much of the face this paper shows.
	Share string `json:"share"`
	// Paper is the stock's name.
	Paper string `json:"paper"`
	// Mount says how it is fixed: glued flat or on foam.
	Mount string `json:"mount"`
}

func (j Job) face() card.Size { return card.Size{Width: j.Card.Width, Height: j.Card.Height} }

// borders are the borders of the layers, in their order.
func (j Job) borders() []measure.Length {
	var list []measure.Length
	for _, p := range j.Parts {
		if p.Kind == LayerPart {
			list = append(list, p.Border)
		}
	}
	return list
}

func (m maker) layers() LayersPlan {
	face := m.job.face()
	sizes, eaten, ok := card.Stack(face, m.job.borders())
	p := LayersPlan{Notes: []Note{}}
	shares := card.Shares(face, sizes)
	all := append([]card.Size{face}, sizes...)
	for i, s := range all {
		part := m.job.Parts[i]
		stock, _ := m.shop.stock(part.Stock)
		row := LayerRow{
			ID: part.ID, Name: part.Name, Part: i, Width: s.Width, Height: s.Height, Size: m.by(s.Width, s.Height),
			X: (face.Width - s.Width).Millimetres() / 2, Y: (face.Height - s.Height).Millimetres() / 2,
			Share: percent(shares[i]), Paper: stock.Name, Mount: "glued flat",
		}
		switch {
		case i == 0:
			row.Mount = "the card itself"
		case part.Foam > 0:
			row.Mount = "on foam, " + m.fine().ShowUnit(part.Foam)
		}
		p.Rows = append(p.Rows, row)
	}
	top := all[len(all)-1]
	p.PanelWidth, p.PanelHeight = m.shown(top.Width), m.shown(top.Height)
	p.Sentence = m.layersSentence(sizes)
	if !ok {
		p.Notes = append(p.Notes, Note{Trouble, fmt.Sprintf("The border of “%s” leaves nothing of it: make the border narrower or the card larger.", m.job.Parts[eaten+1].Name)})
	}
	for i, s := range shares[:len(shares)-1] {
		if s < hairlineShare && i > 0 {
			p.Notes = append(p.Notes, Note{Care, fmt.Sprintf("“%s” shows only %s of the face: hardly worth its paper.", m.job.Parts[i].Name, percent(s))})
		}
	}
	p.Drawing = m.layersDrawing(p.Rows)
	return p
}

// hairlineShare is what a paper should at least show to be seen at all.
const hairlineShare = 0.01

func percent(share float64) string {
	if share > 0 && share < 0.005 {
		return "< 1 %"
	}
	return fmt.Sprintf("%.0f %%", math.Round(share*100))
}

func (m maker) layersSentence(sizes []card.Size) Sentence {
	switch len(sizes) {
	case 0:
		return say("No layers: the whole front, [%s], is left to work on.", m.by(m.job.Card.Width, m.job.Card.Height))
	case 1:
		return say("Cut a layer of [%s]; that is the panel to work on.", m.by(sizes[0].Width, sizes[0].Height))
	}
	s := say("Cut layers of [%s]", m.by(sizes[0].Width, sizes[0].Height))
	for i, l := range sizes[1:] {
		joint := say(", [%s]", m.by(l.Width, l.Height))
		if i == len(sizes)-2 {
			joint = say(" and [%s]; the last is the panel to work on.", m.by(l.Width, l.Height))
		}
		s = Sentence{s.Text + joint.Text, append(s.Spans, joint.Spans...)}
	}
	return s
}

// layersShort is the layers' line on the ticket.
func (m maker) layersShort() string {
	borders := m.job.borders()
	switch len(borders) {
	case 0:
		return "none"
	case 1:
		return "1, border " + m.style.Show(borders[0])
	}
	return number(len(borders))
}

func (m maker) layersDrawing(rows []LayerRow) string {
	words := make([]string, len(rows))
	for i, r := range rows {
		words[i] = fmt.Sprintf("%s, %s, showing %s", r.Name, r.Size, r.Share)
	}
	return fmt.Sprintf("The front of the card in %s, each paper centred on the one below: %s.", m.style.Unit, strings.Join(words, "; "))
}

// partFields are the lengths of the layers that are typed.
func partFields(j Job) []lengthField {
	var list []lengthField
	for i, p := range j.Parts {
		if p.Kind != LayerPart {
			continue
		}
		at := func(of func(*Part) *measure.Length) func(*Job) *measure.Length {
			return func(j *Job) *measure.Length {
				if i >= len(j.Parts) {
					return nil
				}
				return of(&j.Parts[i])
			}
		}
		list = append(list,
			lengthField{fmt.Sprintf("parts.%d.border", i), "border", 0, mostCard, at(func(p *Part) *measure.Length { return &p.Border }), bordersFit},
			lengthField{fmt.Sprintf("parts.%d.foam", i), "foam", 0, 2 * measure.Inch, at(func(p *Part) *measure.Length { return &p.Foam }), thicknessFits})
	}
	return list
}

// bordersFit refuses borders of which a layer would be all border.
func bordersFit(j Job, _ Shop, s measure.Style) error {
	if _, eaten, ok := card.Stack(j.face(), j.borders()); !ok {
		return refuse("That border leaves nothing of “%s” on a card of %s × %s %s: type less.", clip(j.Parts[eaten+1].Name), s.Show(j.Card.Width), s.Show(j.Card.Height), s.Unit)
	}
	return nil
}
