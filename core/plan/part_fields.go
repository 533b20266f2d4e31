package plan

import (
	"fmt"

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
		list = append(list, foam, at("border", "border", 0, mostCard, func(p *Part) *measure.Length { return &p.Border }))
		if p.Edges != nil {
			list = append(list,
				at("top", "margin above", 0, mostCard, edge(func(e *card.Edges) *measure.Length { return &e.Top })),
				at("right", "margin on the right", 0, mostCard, edge(func(e *card.Edges) *measure.Length { return &e.Right })),
				at("bottom", "margin below", 0, mostCard, edge(func(e *card.Edges) *measure.Length { return &e.Bottom })),
				at("left", "margin on the left", 0, mostCard, edge(func(e *card.Edges) *measure.Length { return &e.Left })))
		}
		if p.Own != nil {
			list = append(list,
				at("ownWidth", "width of the layer", 5*measure.Millimetre, mostCard, own(func(s *card.Size) *measure.Length { return &s.Width })),
				at("ownHeight", "height of the layer", 5*measure.Millimetre, mostCard, own(func(s *card.Size) *measure.Length { return &s.Height })))
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
			lengthField{path: fmt.Sprintf("items.%d.width", i), name: "width", least: 0, most: mostCard, at: at(func(t *Item) *measure.Length { return &t.Width })},
			lengthField{path: fmt.Sprintf("items.%d.height", i), name: "height", least: measure.Millimetre, most: mostCard, at: at(func(t *Item) *measure.Length { return &t.Height })})
	}
	return list
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
	if _, eaten, ok := card.Stack(j.face(), j.mounts()); !ok {
		return refused(j.layerParts()[eaten])
	}
	for _, i := range j.partsOf(LinerPart) {
		if _, _, ok := card.Stack(j.page(), []card.Mount{j.Parts[i].mount()}); !ok {
			return refused(i)
		}
	}
	return nil
}
