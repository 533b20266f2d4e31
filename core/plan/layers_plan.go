package plan

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// LayersPlan is the station Layers.
type LayersPlan struct {
	Sentence say.Sentence `json:"sentence"`
	Rows     []LayerRow   `json:"rows"`
	// Liners are the papers inside.
	Liners []LayerRow `json:"liners"`
	// Order are the places of the papers in the job's list of parts, from the top
	// down, liners last.
	Order []int `json:"order"`
	// Things are the embellishments that lie on the face; they are moved at the
	// station Mail.
	Things []LayerThing `json:"things"`
	// Panel is the top layer, what is left to stamp or draw on.
	PanelWidth  Shown      `json:"panelWidth"`
	PanelHeight Shown      `json:"panelHeight"`
	Items       ItemsPlan  `json:"items"`
	Ladder      LadderPlan `json:"ladder"`
	Notes       []say.Note `json:"notes"`
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
	// Rung is the stop that the border on it stands at, or the last one below it;
	// OnRung is set when it is that stop.
	Rung   int  `json:"rung"`
	OnRung bool `json:"onRung"`
	// Face is the side of its paper that is up.
	Face paper.Face `json:"face"`
	// Window is the middle that may be cut out behind the layer on top.
	Window string `json:"window"`
	// Edited are the paths of the fields that size it; Sizing is how that is done.
	Edited []string `json:"edited" format:"field-path"`
	Sizing string   `json:"sizing"`
	// MayRise and MaySink say whether it may change places with the layer on it or
	// below it.
	MayRise bool `json:"mayRise"`
	MaySink bool `json:"maySink"`

	on int // the place of the layer on it in the list of parts
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
	// ID is what is taken to give the layer on it that border.
	ID     string `json:"id"`
	Border Shown  `json:"border"`
	Share  string `json:"share"`
}

func (m layersStation) layers() LayersPlan {
	face := m.Job().Face()
	layers, eaten, ok := card.Stack(face, m.Job().Mounts())
	p := LayersPlan{Notes: []say.Note{}, Liners: []LayerRow{}, Things: []LayerThing{}}
	p.Order = append(append(slices.Clone(m.Job().LayerParts()), 0), m.Job().PartsOf(job.LinerPart)...)
	slices.Reverse(p.Order[:len(m.Job().LayerParts())])
	for _, at := range m.Job().PartsOf(job.ThingPart) {
		if q := m.Job().Parts[at]; !q.Thing.Inside {
			t := q.Thing
			p.Things = append(p.Things, LayerThing{q.ID, q.Name, t.X.Millimetres(), t.Y.Millimetres(), t.Width.Millimetres(), t.Height.Millimetres(), t.Disc})
		}
	}
	p.Rows = m.layerRows()
	shares, places := card.Shares(face, layers), append([]int{0}, m.Job().LayerParts()...)
	for _, i := range m.Job().PartsOf(job.LinerPart) {
		if l, _, ok := card.Stack(m.Job().Page(), []card.Mount{m.Job().Parts[i].Mount()}); ok {
			p.Liners = append(p.Liners, m.layerRow(i, l[0]))
		}
	}
	top := m.Job().Stacked()[len(layers)]
	p.PanelWidth, p.PanelHeight = m.shown(top.Width), m.shown(top.Height)
	p.Sentence = m.layersSentence(layers)
	if !ok {
		p.Notes = append(p.Notes, say.Trouble.Says(fmt.Sprintf("The border of “%s” leaves nothing of it: make the border narrower or the card larger.", m.Job().Parts[places[eaten+1]].Name)))
	}
	if m.Job().Card.Made {
		p.Sentence, p.Notes = say.That("Your card is finished: its layers stay as they are."), []say.Note{}
	} else {
		p.Notes = append(p.Notes, m.layerNotes(layers, shares)...)
	}
	p.Items = m.items()
	p.Ladder = m.ladder()
	p.Drawing = m.layersDrawing(p.Rows)
	return p
}

// layerRows are the papers as they are seen from the front.
func (m layersStation) layerRows() (rows []LayerRow) {
	face := m.Job().Face()
	layers, _, _ := card.Stack(face, m.Job().Mounts())
	shares := card.Shares(face, layers)
	places := append([]int{0}, m.Job().LayerParts()...)
	for i, l := range m.Job().Stacked() {
		row := m.layerRow(places[i], l)
		row.Share = percent(shares[i])
		row.MayRise, row.MaySink = i > 0 && i < len(places)-1, i > 1
		if i < len(layers) {
			row.on = places[i+1]
			m.rungs(&row, l.Size)
			row.Window = m.window(places[i], l, layers[i])
		}
		rows = append(rows, row)
	}
	return rows
}

func (m layersStation) layerRow(at int, l card.Layer) LayerRow {
	part := m.Job().Parts[at]
	stock, _ := m.Shop().Stock(part.Stock)
	row := LayerRow{
		ID: part.ID, Name: part.Name, Part: at, Width: l.Width, Height: l.Height, Size: m.by(l.Width, l.Height),
		X: l.X.Millimetres(), Y: l.Y.Millimetres(), Paper: stock.Name, Mount: "glued flat", Rungs: []RungPlan{}, Edited: edited(at, part), Sizing: sizing(part), Face: stock.Up(part.Turned),
	}
	switch {
	case part.Kind == job.BasePart:
		row.Mount = "the card itself"
	case part.Kind == job.LinerPart:
		row.Mount = "glued inside"
	case part.Foam > 0:
		row.Mount = "on foam, " + m.fine().ShowUnit(part.Foam)
	}
	return row
}

// rungs are the stops at which a paper of a size may be covered by the next.
func (m layersStation) rungs(row *LayerRow, s card.Size) {
	on := m.Job().Parts[row.on]
	whole := card.Layer{Size: m.Job().Face()}
	for _, b := range card.Rungs(s, m.Style().Unit) {
		upon := card.Layer{Size: card.Size{Width: s.Width - 2*b, Height: s.Height - 2*b}}
		share := card.Shares(whole.Size, []card.Layer{{Size: s}, upon})[1]
		if b <= on.Border {
			row.Rung, row.OnRung = len(row.Rungs), b == on.Border
		}
		row.Rungs = append(row.Rungs, RungPlan{fmt.Sprintf("%s:%d", on.ID, b), m.shown(b), percent(share)})
	}
}

// sizing is how a layer is sized: by an even border, by one on each edge, or by a
// size of its own.
func sizing(p job.Part) string {
	switch {
	case p.Own != nil:
		return "own"
	case p.Edges != nil:
		return "edges"
	}
	return ""
}

// edited are the paths of the fields of a layer or a liner.
func edited(at int, p job.Part) []string {
	list := []string{}
	if p.Kind != job.LayerPart && p.Kind != job.LinerPart {
		return list
	}
	names := map[string][]string{"own": {"own.width", "own.height"}, "edges": {"edges.top", "edges.bottom", "edges.left", "edges.right"}, "": {"border"}}[sizing(p)]
	if p.Kind == job.LayerPart {
		names = append(names, "foam")
	}
	for _, name := range append(names, "ready") {
		list = append(list, fmt.Sprintf("parts.%d.%s", at, name))
	}
	return list
}

// layerNotes says what the trade knows to go wrong with layers.
func (m layersStation) layerNotes(layers []card.Layer, shares []float64) (notes []say.Note) {
	below := m.Job().Face()
	for i, at := range m.Job().LayerParts() {
		if i >= len(layers) {
			break
		}
		part := m.Job().Parts[at]
		if part.Own != nil {
			notes = append(notes, m.ownSize(part, below)...)
		}
		if s := shares[i]; s < hairlineShare && i > 0 {
			notes = append(notes, say.Care.Says(fmt.Sprintf("“%s” shows only %s of the face: hardly worth its paper.", m.Job().Parts[m.Job().LayerParts()[i-1]].Name, percent(s))))
		}
		below = layers[i].Size
	}
	if m.Job().Card.Fold.Kind().Unfolded && len(m.Job().PartsOf(job.LinerPart)) > 0 {
		notes = append(notes, say.Care.Says("A flat card has no inside: take the liner off, or choose a fold."))
	}
	return notes
}

// ownSize holds a size that the maker typed against the border that was chosen.
// The classic mistake is to take the border off once instead of on both sides.
func (m layersStation) ownSize(part job.Part, below card.Size) []say.Note {
	offWidth, offHeight := below.Width-part.Own.Width, below.Height-part.Own.Height
	want := card.Size{Width: below.Width - 2*part.Border, Height: below.Height - 2*part.Border}
	switch {
	case offWidth < 0 || offHeight < 0:
		return []say.Note{say.Trouble.Says(fmt.Sprintf("“%s” is larger than the paper it lies on, %s: it would hang over the edge.", part.Name, m.by(below.Width, below.Height)))}
	case part.Border > 0 && (offWidth == part.Border || offHeight == part.Border):
		return []say.Note{say.Trouble.Says(fmt.Sprintf("The border of %s comes off “%s” once, but it shows on both sides, %s each. Cut %s instead.",
			m.Style().Show(part.Border), part.Name, m.fine().Show(part.Border/2), m.by(want.Width, want.Height)))}
	case offWidth != offHeight:
		return []say.Note{say.Fine.Says(fmt.Sprintf("“%s” shows %s of the paper below on the left and right, %s above and below.", part.Name, m.fine().Show(offWidth/2), m.fine().Show(offHeight/2)))}
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

func (m layersStation) layersSentence(sizes []card.Layer) say.Sentence {
	switch len(sizes) {
	case 0:
		return say.That("No layers: the whole front, [%s], is left to work on.", m.by(m.Job().Card.Width, m.Job().Card.Height))
	case 1:
		return say.That("Cut a layer of [%s]; that is the panel to work on.", m.by(sizes[0].Width, sizes[0].Height))
	}
	s := say.That("Cut layers of [%s]", m.by(sizes[0].Width, sizes[0].Height))
	for i, l := range sizes[1:] {
		joint := say.That(", [%s]", m.by(l.Width, l.Height))
		if i == len(sizes)-2 {
			joint = say.That(" and [%s]; the last is the panel to work on.", m.by(l.Width, l.Height))
		}
		s = s.Joined(joint)
	}
	return s
}

// layersShort is the layers' line on the ticket.
func (m layersStation) layersShort() string {
	layers := m.Job().LayerParts()
	switch len(layers) {
	case 0:
		return "none"
	case 1:
		if p := m.Job().Parts[layers[0]]; p.Edges == nil && p.Own == nil {
			return "1, border " + m.Style().Show(p.Border)
		}
	}
	return number(len(layers))
}

func (m layersStation) layersDrawing(rows []LayerRow) string {
	words := make([]string, len(rows))
	for i, r := range rows {
		words[i] = fmt.Sprintf("%s, %s, shows %s.", r.Name, r.Size, r.Share)
	}
	return fmt.Sprintf("The front of the card in %s, each paper on the one before. %s", m.Style().Unit, strings.Join(words, " "))
}
