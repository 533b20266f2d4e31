package plan

import (
	"fmt"
	"slices"

	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// partFields are the lengths of the layers, the liners and the things on the
// panel that are typed.
func partFields(j Job) []lengthField {
	var list []lengthField
	for i, p := range j.Parts {
		if p.Kind == BasePart || p.Kind == ThingPart {
			continue
		}
		// A part's field is there as long as the part and what it belongs to are.
		at := func(name, label string, least, most measure.Length, of func(*Part) *measure.Length) lengthField {
			return lengthField{path: fmt.Sprintf("parts.%d.%s", i, name), name: label, least: least, most: most, check: bordersFit, at: func(j *Job) *measure.Length {
				if i >= len(j.Parts) {
					return nil
				}
				return of(&j.Parts[i])
			}}
		}
		foam := at("foam", "foam", 0, 2*measure.Inch, func(p *Part) *measure.Length { return &p.Foam })
		foam.check = thicknessFits
		list = append(list, foam, at("border", "border", 0, MostCard, func(p *Part) *measure.Length { return &p.Border }))
		if p.Edges != nil {
			list = append(list,
				at("top", "margin above", 0, MostCard, edge(func(e *card.Edges) *measure.Length { return &e.Top })),
				at("right", "margin on the right", 0, MostCard, edge(func(e *card.Edges) *measure.Length { return &e.Right })),
				at("bottom", "margin below", 0, MostCard, edge(func(e *card.Edges) *measure.Length { return &e.Bottom })),
				at("left", "margin on the left", 0, MostCard, edge(func(e *card.Edges) *measure.Length { return &e.Left })))
		}
		if p.Own != nil {
			list = append(list,
				at("ownWidth", "width of the layer", 5*measure.Millimetre, MostCard, own(func(s *card.Size) *measure.Length { return &s.Width })),
				at("ownHeight", "height of the layer", 5*measure.Millimetre, MostCard, own(func(s *card.Size) *measure.Length { return &s.Height })))
		}
	}
	for i := range j.Items {
		at := func(of func(*Item) *measure.Length) func(*Job) *measure.Length {
			return func(j *Job) *measure.Length {
				if i >= len(j.Items) {
					return nil
				}
				return of(&j.Items[i])
			}
		}
		list = append(list,
			lengthField{path: fmt.Sprintf("items.%d.width", i), name: "width", least: 0, most: MostCard, at: at(func(t *Item) *measure.Length { return &t.Width })},
			lengthField{path: fmt.Sprintf("items.%d.height", i), name: "height", least: measure.Millimetre, most: MostCard, at: at(func(t *Item) *measure.Length { return &t.Height })})
	}
	return list
}

// addPaper puts a layer on the topmost one, under what lies on the face already, or
// a liner inside: with the usual border, and of the paper below it.
func addPaper(j Job, shop Shop, e Edit) (Job, error) {
	if e.Text == nil || (*e.Text != string(LayerPart) && *e.Text != string(LinerPart)) {
		return j, refuse("A layer or a liner can be added: choose one of the two.")
	}
	if len(j.Parts) >= MostParts {
		return j, refuse("A card of more than %d parts cannot be planned: leave something off first.", MostParts)
	}
	kind := PartKind(*e.Text)
	layers := j.LayerParts()
	at, stock := len(j.Parts), j.Parts[0].Stock
	p := Part{Kind: kind, Name: "Liner to write on", Border: usualBorder(shop)}
	if kind == LayerPart {
		at = 1
		if n := len(layers); n > 0 {
			at, stock = layers[n-1]+1, j.Parts[layers[n-1]].Stock
		}
		p.Name = fmt.Sprintf("Layer %d", len(layers)+1)
	} else if light := stocksNear(envelopeGSM)(shop); len(light) > 0 {
		stock = light[0].ID
	}
	p.Stock, p.ID = stock, j.FreeID(string(kind))
	j = j.Clone()
	j.Parts = slices.Insert(j.Parts, at, p)
	return j, bordersFit(j, shop, shop.Style())
}

// usualBorder is the border that a layer begins with.
func usualBorder(shop Shop) measure.Length {
	for _, b := range card.Borders() {
		if b.ID == "classic" {
			return b.Width
		}
	}
	return shop.Style().Tick
}

// freeID is an ID that no part of the job has.
func (j Job) FreeID(kind string) string {
	taken := map[string]bool{}
	for _, p := range j.Parts {
		taken[p.ID] = true
	}
	n := 1
	for taken[fmt.Sprintf("%s-%d", kind, n)] {
		n++
	}
	return fmt.Sprintf("%s-%d", kind, n)
}

func edge(of func(*card.Edges) *measure.Length) func(*Part) *measure.Length {
	return func(p *Part) *measure.Length {
		if p.Edges == nil {
			return nil
		}
		return of(p.Edges)
	}
}

func own(of func(*card.Size) *measure.Length) func(*Part) *measure.Length {
	return func(p *Part) *measure.Length {
		if p.Own == nil {
			return nil
		}
		return of(p.Own)
	}
}

// bordersFit refuses borders of which a layer or a liner would be all border.
func bordersFit(j Job, _ Shop, s measure.Style) error {
	refused := func(at int) error {
		return refuse("That border leaves nothing of “%s” on a card of %s × %s %s: type less.", clip(j.Parts[at].Name), s.Show(j.Card.Width), s.Show(j.Card.Height), s.Unit)
	}
	if _, eaten, ok := card.Stack(j.Face(), j.Mounts()); !ok {
		return refused(j.LayerParts()[eaten])
	}
	for _, i := range j.PartsOf(LinerPart) {
		if _, _, ok := card.Stack(j.Page(), []card.Mount{j.Parts[i].Mount()}); !ok {
			return refused(i)
		}
	}
	return nil
}
