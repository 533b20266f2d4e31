package job

import (
	"maps"
	"slices"

	"yellowparcel/core/card"
)

func (j Job) Face() card.Size { return card.Size{Width: j.Card.Width, Height: j.Card.Height} }

// LayerParts are the places of the layers in the list of parts.
func (j Job) LayerParts() []int { return j.PartsOf(LayerPart) }

func (j Job) PartsOf(kind PartKind) (list []int) {
	for i, p := range j.Parts {
		if p.Kind == kind {
			list = append(list, i)
		}
	}
	return list
}

// Mounts say how the layers lie on each other, in their order.
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

// Stacked is the face with the layers that lie on it.
func (j Job) Stacked() []card.Layer {
	layers, _, _ := card.Stack(j.Face(), j.Mounts())
	return append([]card.Layer{{Size: j.Face()}}, layers...)
}

// Page is what a liner lies on: one panel of the inside.
func (j Job) Page() card.Size { return j.Face() }

// PartSizes are the finished sizes of all parts; nothing for one that a border
// ate.
func (j Job) PartSizes() []card.Size {
	sizes := make([]card.Size, len(j.Parts))
	places := append([]int{0}, j.LayerParts()...)
	for i, l := range j.Stacked() {
		sizes[places[i]] = l.Size
	}
	for i, p := range j.Parts {
		if p.Thing != nil {
			sizes[i] = card.Size{Width: p.Thing.Width, Height: p.Thing.Height}
		}
	}
	for _, at := range j.PartsOf(LinerPart) {
		if l, _, ok := card.Stack(j.Page(), []card.Mount{j.Parts[at].Mount()}); ok {
			sizes[at] = l[0].Size
		}
	}
	return sizes
}

// UsualPanels is what an accordion has when nobody says.
const UsualPanels = 4

func (j Job) Panels() int {
	if j.Card.Panels == 0 {
		return UsualPanels
	}
	return j.Card.Panels
}

// Spec is the base of the job in a fold.
func (j Job) Spec(fold card.Fold, shop Shop) card.Spec {
	s := card.Spec{Fold: fold, Width: j.Card.Width, Height: j.Card.Height, Panels: j.Panels(), Own: j.Card.Own, Spine: j.Card.Spine, Tick: shop.Style().Tick, Asked: j.Card.Asked}
	if len(j.Parts) > 0 {
		stock, _ := shop.Stock(j.Parts[0].Stock)
		s.Caliper = stock.Caliper
	}
	return s
}

// LayersOf is how many times a part lies on itself when the card is closed.
func LayersOf(j Job, p Part) int {
	if p.Kind == BasePart {
		return j.Spec(j.Card.Fold, Shop{}).Layers()
	}
	return 1
}

// Clone copies what a job points to.
func (j Job) Clone() Job {
	j.Parts = slices.Clone(j.Parts)
	for i, p := range j.Parts {
		if p.Edges != nil {
			edges := *p.Edges
			j.Parts[i].Edges = &edges
		}
		if p.Own != nil {
			size := *p.Own
			j.Parts[i].Own = &size
		}
		if p.Thing != nil {
			thing := *p.Thing
			j.Parts[i].Thing = &thing
		}
	}
	j.Items = slices.Clone(j.Items)
	j.Card.Own, j.Card.Outline, j.Mail.Contents = slices.Clone(j.Card.Own), slices.Clone(j.Card.Outline), slices.Clone(j.Mail.Contents)
	j.Paper.Sheets, j.Envelope.Asked, j.Card.Asked = maps.Clone(j.Paper.Sheets), maps.Clone(j.Envelope.Asked), maps.Clone(j.Card.Asked)
	if j.Card.Thickness != nil {
		t := *j.Card.Thickness
		j.Card.Thickness = &t
	}
	if j.Envelope.Wished != nil {
		w := *j.Envelope.Wished
		j.Envelope.Wished = &w
	}
	if j.Start != nil {
		s := *j.Start
		j.Start = &s
	}
	if j.Recipe != nil {
		r := *j.Recipe
		j.Recipe = &r
	}
	return j
}
