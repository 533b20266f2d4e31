package job

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// What may be noted with a reading: more than any sum comes to.
const (
	mostNoted      = 100 * measure.Metre
	mostNotedGrams = 1e6
	mostStiffer    = 1e12
)

// Check refuses a job that no plan can be made of, naming each field: the bounds of
// its fields, and what must hold between them. What the job goes by and the shop has
// no longer is no reason: the plan says it, and what would take its place.
func (j Job) Check(shop Shop) []field.Problem {
	list := j.checkLists()
	if len(list) > 0 {
		return list // the rest goes by what the lists hold
	}
	add := func(path string, err error) {
		if err != nil {
			list = append(list, field.ProblemOf(path, err))
		}
	}
	style := shop.Style()
	for _, f := range j.Fields(shop) {
		add(f.Path, f.Refused(style))
	}
	if j.Card.Sized() && j.Envelope.ThumbGap > j.Card.Height/2 {
		add("envelope.thumbGap", say.Refuse("The finger gap takes more than half of the card's height of %s: type less.", style.ShowUnit(j.Card.Height)))
	}
	if w := j.Envelope.Wished; w != nil {
		as := j
		as.Envelope = j.Envelope.AsWished()
		for _, f := range as.envelopeFields(shop) {
			add(f.Path, f.Refused(style))
		}
	}
	m := j.Mail.Measured
	for _, noted := range []struct {
		path string
		ok   bool
	}{
		{"card.thicknessOf", j.Card.ThicknessOf >= 0 && j.Card.ThicknessOf <= mostNoted},
		{"mail.measured.thicknessOf", m.ThicknessOf >= 0 && m.ThicknessOf <= mostNoted},
		{"mail.measured.gramsOf", m.GramsOf >= 0 && m.GramsOf <= mostNotedGrams},
		{"mail.measured.stiffer", m.Stiffer >= 0 && m.Stiffer <= mostStiffer},
	} {
		if !noted.ok {
			add(noted.path, say.Refuse("What was noted with a reading lies out of all bounds: type the reading again."))
		}
	}
	if o := j.Card.Outline; len(o) > 0 {
		if err := blank.CheckOutline(o); err != nil {
			add("card.outline", say.Refuse("%s.", say.Capital(err.Error())))
		}
	}
	for i, p := range j.Parts {
		path := fmt.Sprintf("parts.%d.", i)
		if (p.Kind != BasePart && p.Kind != LayerPart && p.Kind != LinerPart && p.Kind != ThingPart) || (p.Kind == BasePart) != (i == 0) || (p.Kind == ThingPart) != (p.Thing != nil) {
			add(path+"kind", say.Refuse("The first part is the base and every other one a layer, a liner or a thing: change the order."))
		}
		if p.Thing != nil && j.Card.Sized() {
			add(path+"thing.x", p.Thing.onFace(p.Name, j))
		}
	}
	return list
}

// checkLists refuses lists that hold nothing, or more than can be planned.
func (j Job) checkLists() (list []field.Problem) {
	switch n := len(j.Parts); {
	case n == 0:
		list = append(list, field.Problem{Path: "parts", Message: "A card needs at least its base: add one."})
	case n > MostParts:
		list = append(list, field.Problem{Path: "parts", Message: fmt.Sprintf("A card of more than %d parts cannot be planned: leave something off first.", MostParts)})
	}
	if len(j.Items) > MostItems {
		list = append(list, field.Problem{Path: "items", Message: fmt.Sprintf("At most %d things on the panel can be laid out: remove one first.", MostItems)})
	}
	return list
}
