package job

import (
	"fmt"

	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// partFields are the fields of the papers, the things and what is laid out on the
// panel.
func (j *Job) partFields(shop Shop) (list []field.Field) {
	stocks := stockList(shop)
	for i := range j.Parts {
		p, path := &j.Parts[i], fmt.Sprintf("parts.%d.", i)
		list = append(list, field.Field{Path: path + "name", Label: "Name", Value: &field.Word{At: &p.Name, Most: mostName, Needed: true}})
		if p.Thing != nil {
			list = append(list, p.Thing.fields(path+"thing.")...)
			continue
		}
		if p.Kind == ThingPart {
			continue
		}
		list = append(list, field.Field{Path: path + "stock", Label: "Paper", Value: &field.One[string]{At: &p.Stock, List: stocks, Gone: true}},
			field.Field{Path: path + "turned", Label: "Paper turned over", Value: &field.Flag{At: &p.Turned}},
			field.Field{Path: path + "embossed", Label: "Embossed", Value: &field.Flag{At: &p.Embossed}})
		if p.Kind != BasePart {
			list = append(list, j.paperFields(p, path, shop)...)
		}
	}
	for i := range j.Items {
		t, path := &j.Items[i], fmt.Sprintf("items.%d.", i)
		note := ""
		if t.Width == 0 {
			note = "right across"
		}
		list = append(list,
			field.Field{Path: path + "name", Label: "Name", Value: &field.Word{At: &t.Name, Most: mostName, Needed: true}},
			length(path+"width", "Width", note, &t.Width, MostCard),
			field.Field{Path: path + "height", Label: "Height", Value: &field.Length{At: &t.Height, Least: measure.Millimetre, Most: MostCard}})
	}
	return list
}

// paperFields are those of a layer or a liner.
func (j *Job) paperFields(p *Part, path string, shop Shop) []field.Field {
	fits := func() error { return j.bordersFit(shop.Style()) }
	at := func(name, label string, l measure.Length, at *measure.Length) field.Field {
		return field.Field{Path: path + name, Label: label, Value: &field.Length{At: at, Least: l, Most: MostCard}, Fits: fits}
	}
	border := at("border", "Border", 0, &p.Border)
	usual := border.Value.(*field.Length)
	usual.List = "borders"
	for _, b := range card.Borders(shop.Unit) {
		usual.Usual = append(usual.Usual, field.UsualLength{ID: b.ID, Length: b.Width})
	}
	list := []field.Field{
		border,
		{Path: path + "foam", Label: "Foam", Value: &field.Length{At: &p.Foam, Most: 2 * measure.Inch, Fine: true}},
		{Path: path + "ready", Label: "Cut already", Value: &field.Count{At: &p.Ready, Most: MostCount, Things: "ready-cut pieces"}},
		{Path: path + "window", Label: "Cut middle out", Value: &field.Flag{At: &p.Window}},
	}
	if e := p.Edges; e != nil {
		list = append(list,
			at("edges.top", "Above", 0, &e.Top), at("edges.right", "Right", 0, &e.Right),
			at("edges.bottom", "Below", 0, &e.Bottom), at("edges.left", "Left", 0, &e.Left))
	}
	if s := p.Own; s != nil {
		list = append(list, at("own.width", "Width", 5*measure.Millimetre, &s.Width), at("own.height", "Height", 5*measure.Millimetre, &s.Height))
	}
	return list
}

// fields are those of a thing at its path.
func (t *Thing) fields(path string) []field.Field {
	sized := func(name, label string, at *measure.Length) field.Field {
		return field.Field{Path: path + name, Label: label, Value: &field.Length{At: at, Least: leastThing, Most: MostCard}}
	}
	placed := func(name, label, note string, at *measure.Length) field.Field {
		return field.Field{Path: path + name, Label: label, Note: note, Value: &field.Length{At: at, Least: -MostCard, Most: MostCard, Signed: true}}
	}
	flag := func(name, label string, at *bool) field.Field {
		return field.Field{Path: path + name, Label: label, Value: &field.Flag{At: at}}
	}
	list := []field.Field{
		placed("x", "From the left", "below zero where it sticks out", &t.X),
		placed("y", "From the top", "", &t.Y),
	}
	if t.Disc {
		// A disc has one size: the other one follows.
		round := sized("width", "Width, round", &t.Width)
		round.Then = func() { t.Height = t.Width }
		list = append(list, round)
	} else {
		list = append(list, sized("width", "Width", &t.Width), sized("height", "Height", &t.Height))
	}
	return append(list,
		field.Field{Path: path + "caliper", Label: "Thickness", Value: &field.Length{At: &t.Caliper, Least: 10 * measure.Micrometre, Most: 100 * measure.Millimetre, Fine: true}},
		field.Field{Path: path + "grams", Label: "Weight", Note: "g or oz", Value: &field.Weight{At: &t.Grams, Most: mostGrams}},
		flag("draping", "Follows below", &t.Draping),
		flag("crushable", "Crushable", &t.Crushable),
		flag("inside", "Loose inside", &t.Inside),
		flag("stacked", "Glued below", &t.Stacked),
		flag("keep", "Must stay", &t.Keep),
	)
}

// bordersFit refuses borders of which a layer or a liner would be all border.
func (j Job) bordersFit(s measure.Style) error {
	refused := func(at int) error {
		return say.Refuse("That border leaves nothing of “%s” on a card of %s × %s %s: type less.", say.Clip(j.Parts[at].Name), s.Show(j.Card.Width), s.Show(j.Card.Height), s.Unit)
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

// Holds refuses a size of card of whose face something would lie wholly off.
func (j Job) Holds(size card.Size) error {
	j.Card.Width, j.Card.Height = size.Width, size.Height
	for _, p := range j.Parts {
		if p.Thing != nil {
			if err := p.Thing.onFace(p.Name, j); err != nil {
				return err
			}
		}
	}
	return nil
}

// onFace refuses a thing that lies wholly off the face.
func (t Thing) onFace(name string, j Job) error {
	if t.X >= j.Card.Width || t.Y >= j.Card.Height || t.X+t.Width <= 0 || t.Y+t.Height <= 0 {
		return say.Refuse("“%s” lies wholly off the face of the card: move it so that some of it lies on it.", say.Clip(name))
	}
	if t.Disc && t.Width != t.Height {
		return say.Refuse("“%s” is round, so it is as high as it is wide: type one size for both.", say.Clip(name))
	}
	return nil
}
