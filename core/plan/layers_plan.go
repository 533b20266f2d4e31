package plan

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// LayersPlan is the station Layers.
type LayersPlan struct {
	Sentence Sentence   `json:"sentence"`
	Rows     []LayerRow `json:"rows"`
	// Liners are the papers inside.
	Liners []LayerRow `json:"liners"`
	// Order are the places of the papers in the job's list of parts, from the top
	// down, liners last; Full is set when no more parts can be added.
	Order []int `json:"order"`
	Full  bool  `json:"full"`
	// Things are the embellishments that lie on the face; they are moved at the
	// station Post.
	Things []LayerThing `json:"things"`
	// Panel is the top layer, what is left to stamp or draw on.
	PanelWidth  Shown      `json:"panelWidth"`
	PanelHeight Shown      `json:"panelHeight"`
	Items       ItemsPlan  `json:"items"`
	Ladder      LadderPlan `json:"ladder"`
	Notes       []Note     `json:"notes"`
	Drawing     string     `json:"drawing"`
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
	// Rungs are the stops of "show more of this paper": the borders that the
	// layer on it may leave.
	Rungs []RungPlan `json:"rungs"`
	// Window is the middle that may be cut out behind the layer on top.
	Window string `json:"window"`
}

// LayerThing is an embellishment on the face, in millimetres.
type LayerThing struct {
	ID     string  `json:"id"`
	Name   string  `json:"name"`
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Width  float64 `json:"width"`
	Height float64 `json:"height"`
	Disc   bool    `json:"disc"`
}

// RungPlan is one stop: a border and what the paper below then shows.
type RungPlan struct {
	Border Shown  `json:"border"`
	Share  string `json:"share"`
}

func (j Job) Face() card.Size { return card.Size{Width: j.Card.Width, Height: j.Card.Height} }

// layerParts are the places of the layers in the list of parts.
func (j Job) LayerParts() []int { return j.PartsOf(LayerPart) }

func (j Job) PartsOf(kind PartKind) (list []int) {
	for i, p := range j.Parts {
		if p.Kind == kind {
			list = append(list, i)
		}
	}
	return list
}

// mounts say how the layers lie on each other, in their order.
func (j Job) Mounts() (list []card.Mount) {
	for _, i := range j.LayerParts() {
		list = append(list, j.Parts[i].Mount())
	}
	return list
}

func (p Part) Mount() card.Mount {
	m := card.Mount{Edges: card.Even(p.Border), Own: p.Own}
	if p.Edges != nil {
		m.Edges = *p.Edges
	}
	return m
}

// stacked is the face with the layers that lie on it.
func (j Job) Stacked() []card.Layer {
	layers, _, _ := card.Stack(j.Face(), j.Mounts())
	return append([]card.Layer{{Size: j.Face()}}, layers...)
}

// page is what a liner lies on: one panel of the inside.
func (j Job) Page() card.Size { return j.Face() }

func (m maker) layers() LayersPlan {
	face := m.job.Face()
	layers, eaten, ok := card.Stack(face, m.job.Mounts())
	p := LayersPlan{Notes: []Note{}, Liners: []LayerRow{}, Things: []LayerThing{}, Full: len(m.job.Parts) >= MostParts}
	p.Order = append(append(slices.Clone(m.job.LayerParts()), 0), m.job.PartsOf(LinerPart)...)
	slices.Reverse(p.Order[:len(m.job.LayerParts())])
	for _, at := range m.job.PartsOf(ThingPart) {
		if q := m.job.Parts[at]; !q.Thing.Inside {
			t := q.Thing
			p.Things = append(p.Things, LayerThing{q.ID, q.Name, t.X.Millimetres(), t.Y.Millimetres(), t.Width.Millimetres(), t.Height.Millimetres(), t.Disc})
		}
	}
	shares := card.Shares(face, layers)
	places := append([]int{0}, m.job.LayerParts()...)
	for i, l := range m.job.Stacked() {
		row := m.layerRow(places[i], l)
		row.Share = percent(shares[i])
		if i < len(layers) {
			row.Rungs = m.rungs(l.Size)
			row.Window = m.window(places[i], l, layers[i])
		}
		p.Rows = append(p.Rows, row)
	}
	for _, i := range m.job.PartsOf(LinerPart) {
		if l, _, ok := card.Stack(m.job.Page(), []card.Mount{m.job.Parts[i].Mount()}); ok {
			p.Liners = append(p.Liners, m.layerRow(i, l[0]))
		}
	}
	top := m.job.Stacked()[len(layers)]
	p.PanelWidth, p.PanelHeight = m.shown(top.Width), m.shown(top.Height)
	p.Sentence = m.layersSentence(layers)
	if !ok {
		p.Notes = append(p.Notes, Note{Trouble, fmt.Sprintf("The border of “%s” leaves nothing of it: make the border narrower or the card larger.", m.job.Parts[places[eaten+1]].Name)})
	}
	p.Notes = append(p.Notes, m.layerNotes(layers, shares)...)
	p.Items = m.items()
	p.Ladder = m.ladder()
	p.Drawing = m.layersDrawing(p.Rows)
	return p
}

func (m maker) layerRow(at int, l card.Layer) LayerRow {
	part := m.job.Parts[at]
	stock, _ := m.shop.Stock(part.Stock)
	row := LayerRow{
		ID: part.ID, Name: part.Name, Part: at, Width: l.Width, Height: l.Height, Size: m.by(l.Width, l.Height),
		X: l.X.Millimetres(), Y: l.Y.Millimetres(), Paper: stock.Name, Mount: "glued flat", Rungs: []RungPlan{},
	}
	switch {
	case part.Kind == BasePart:
		row.Mount = "the card itself"
	case part.Kind == LinerPart:
		row.Mount = "glued inside"
	case part.Foam > 0:
		row.Mount = "on foam, " + m.fine().ShowUnit(part.Foam)
	}
	return row
}

// rungs are the stops at which a paper of a size may be covered by the next.
func (m maker) rungs(s card.Size) (list []RungPlan) {
	whole := card.Layer{Size: m.job.Face()}
	for _, b := range card.Rungs(s, m.style.Unit) {
		on := card.Layer{Size: card.Size{Width: s.Width - 2*b, Height: s.Height - 2*b}}
		share := card.Shares(whole.Size, []card.Layer{{Size: s}, on})[1]
		list = append(list, RungPlan{m.shown(b), percent(share)})
	}
	return list
}

// layerNotes says what the trade knows to go wrong with layers.
func (m maker) layerNotes(layers []card.Layer, shares []float64) (notes []Note) {
	below := m.job.Face()
	for i, at := range m.job.LayerParts() {
		if i >= len(layers) {
			break
		}
		part := m.job.Parts[at]
		if part.Own != nil {
			notes = append(notes, m.ownSize(part, below)...)
		}
		if s := shares[i]; s < hairlineShare && i > 0 {
			notes = append(notes, Note{Care, fmt.Sprintf("“%s” shows only %s of the face: hardly worth its paper.", m.job.Parts[m.job.LayerParts()[i-1]].Name, percent(s))})
		}
		below = layers[i].Size
	}
	if m.job.Card.Fold == card.FlatCard && len(m.job.PartsOf(LinerPart)) > 0 {
		notes = append(notes, Note{Care, "A flat card has no inside: take the liner off, or choose a fold."})
	}
	return notes
}

// ownSize holds a size that the maker typed against the border that was chosen.
// The classic mistake is to take the border off once instead of on both sides.
func (m maker) ownSize(part Part, below card.Size) []Note {
	offWidth, offHeight := below.Width-part.Own.Width, below.Height-part.Own.Height
	want := card.Size{Width: below.Width - 2*part.Border, Height: below.Height - 2*part.Border}
	switch {
	case offWidth < 0 || offHeight < 0:
		return []Note{{Trouble, fmt.Sprintf("“%s” is larger than the paper it lies on, %s: it would hang over the edge.", part.Name, m.by(below.Width, below.Height))}}
	case part.Border > 0 && (offWidth == part.Border || offHeight == part.Border):
		return []Note{{Trouble, fmt.Sprintf("The border of %s is taken off “%s” once, but it shows on both sides: that leaves half of it, %s, on each. Cut %s instead.",
			m.style.Show(part.Border), part.Name, m.fine().Show(part.Border/2), m.by(want.Width, want.Height))}}
	case offWidth != offHeight:
		return []Note{{Fine, fmt.Sprintf("“%s” shows %s of the paper below on the left and right, %s above and below.", part.Name, m.fine().Show(offWidth/2), m.fine().Show(offHeight/2))}}
	}
	return nil
}

// hairlineShare is what a paper should at least show to be seen at all.
const hairlineShare = 0.01

func percent(share float64) string {
	if share > 0 && share < 0.005 {
		return "< 1 %"
	}
	return fmt.Sprintf("%.0f %%", math.Round(share*100))
}

func (m maker) layersSentence(sizes []card.Layer) Sentence {
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
	layers := m.job.LayerParts()
	switch len(layers) {
	case 0:
		return "none"
	case 1:
		if p := m.job.Parts[layers[0]]; p.Edges == nil && p.Own == nil {
			return "1, border " + m.style.Show(p.Border)
		}
	}
	return number(len(layers))
}

func (m maker) layersDrawing(rows []LayerRow) string {
	words := make([]string, len(rows))
	for i, r := range rows {
		words[i] = fmt.Sprintf("%s, %s, showing %s", r.Name, r.Size, r.Share)
	}
	return fmt.Sprintf("The front of the card in %s, each paper on the one below: %s.", m.style.Unit, strings.Join(words, "; "))
}
