package plan

import (
	"fmt"

	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// RoomPlan is what the thickness takes of an envelope, both ways of counting.
type RoomPlan struct {
	Chosen     Room   `json:"chosen" enum:"block,heap"`
	Block      Shown  `json:"block"`
	HeapWidth  Shown  `json:"heapWidth"`
	HeapHeight Shown  `json:"heapHeight"`
	Text       string `json:"text"`
	// Section is the card seen end-on, in millimetres from its left edge and up
	// from the table.
	Section []SectionPart `json:"section"`
	Outer   string        `json:"outer"`
}

// SectionPart is one part in the section through the thickness.
type SectionPart struct {
	Name   string  `json:"name"`
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Width  float64 `json:"width"`
	Height float64 `json:"height"`
	Foam   bool    `json:"foam"`
}

// room is the way that decides.
func (m maker) room() Room {
	if m.job.Card.Room == AsHeap {
		return AsHeap
	}
	return AsBlock
}

// pile is the flat part of the card and the layers on it with the heights that
// the parts add up to; when the whole was measured, what rises above the base is
// stretched to it.
type pile struct {
	base   measure.Length
	layers []card.Layer
	foam   []measure.Length
	top    []measure.Length
	part   []int
}

func (m maker) pile() pile {
	p := pile{layers: m.job.stacked()[1:]}
	places := m.job.layerParts()
	for _, q := range m.job.Parts {
		if q.Kind != LayerPart {
			stock, _ := m.shop.stock(q.Stock)
			p.base += stock.Caliper * measure.Length(layersOf(m.job, q))
		}
	}
	up := p.base
	for i := range p.layers {
		part := m.job.Parts[places[i]]
		stock, _ := m.shop.stock(part.Stock)
		up += part.Foam + stock.Caliper
		p.foam, p.top, p.part = append(p.foam, part.Foam), append(p.top, up), append(p.part, places[i])
	}
	if m.thick.Measured && up != m.thick.Used {
		p.stretch(up, m.thick.Used)
	}
	return p
}

// stretch makes the pile as high as it was measured.
func (p *pile) stretch(from, to measure.Length) {
	if from == p.base || to <= p.base {
		p.base = to // nothing on the base, or pressed flat: a block
		for i := range p.top {
			p.top[i] = to
		}
		return
	}
	factor := float64(to-p.base) / float64(from-p.base)
	for i := range p.top {
		p.top[i] = p.base + measure.Round(float64(p.top[i]-p.base)*factor)
	}
}

// heap is what the thickness takes of width and height as the card lies.
func (m maker) heap() card.Size {
	p := m.pile()
	var across, down []card.Rise
	for i, l := range p.layers {
		across = append(across, card.Rise{From: l.X, To: l.X + l.Width, Top: p.top[i]})
		down = append(down, card.Rise{From: l.Y, To: l.Y + l.Height, Top: p.top[i]})
	}
	return card.Size{Width: card.Room(m.job.Card.Width, p.base, across), Height: card.Room(m.job.Card.Height, p.base, down)}
}

func (m maker) roomPlan() RoomPlan {
	fine := func(l measure.Length) Shown { return Shown{l, m.fine().Show(l)} }
	heap, outer := m.heap(), m.outer()
	r := RoomPlan{
		Chosen: m.room(), Block: fine(m.thick.Used), HeapWidth: fine(heap.Width), HeapHeight: fine(heap.Height),
		Outer: m.by(outer.Width, outer.Height), Section: m.section(),
	}
	r.Text = fmt.Sprintf("Thickness takes %s of the envelope both ways counted as a block, %s across and %s down as it lies; the sums go by %s.",
		r.Block.Text, r.HeapWidth.Text, r.HeapHeight.Text, map[Room]string{AsBlock: "the block", AsHeap: "how it lies"}[r.Chosen])
	return r
}

func (m maker) section() []SectionPart {
	p := m.pile()
	list := []SectionPart{{Name: m.job.Parts[0].Name, Width: m.job.Card.Width.Millimetres(), Height: p.base.Millimetres()}}
	below := p.base
	for i, l := range p.layers {
		x, w := l.X.Millimetres(), l.Width.Millimetres()
		y, rise := below.Millimetres(), (p.top[i] - below).Millimetres()
		if p.foam[i] > 0 {
			part := m.job.Parts[p.part[i]]
			stock, _ := m.shop.stock(part.Stock)
			foam := rise * part.Foam.Millimetres() / (part.Foam + stock.Caliper).Millimetres()
			list = append(list, SectionPart{"foam", x, y, w, foam, true})
			y, rise = y+foam, rise-foam
		}
		list = append(list, SectionPart{m.job.Parts[p.part[i]].Name, x, y, w, rise, false})
		below = p.top[i]
	}
	return list
}
