package plan

import (
	"fmt"
	"math"
	"strconv"
	"strings"

	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// thingModulus is the stiffness of what a kind of thing is made of, in GPa.
func thingModulus(id string) float64 {
	if t, ok := paper.ThingByID(id); ok {
		return t.Modulus
	}
	return 3
}

// The bounds of a thing.
const (
	leastThing     = measure.Millimetre / 2
	mostThingThick = 100 * measure.Millimetre
	mostGrams      = 5000.0
)

// thingFields are the lengths of the things that are typed.
func thingFields(j Job) []lengthField {
	var list []lengthField
	for i, p := range j.Parts {
		if p.Thing == nil {
			continue
		}
		at := func(name, label string, least, most measure.Length, of func(*Thing) *measure.Length) lengthField {
			return lengthField{
				path: fmt.Sprintf("parts.%d.%s", i, name), name: label, least: least, most: most,
				at: func(j *Job) *measure.Length {
					if i >= len(j.Parts) || j.Parts[i].Thing == nil {
						return nil
					}
					return of(j.Parts[i].Thing)
				},
				check: func(j Job, _ Shop, _ measure.Style) error { return j.Parts[i].Thing.onFace(j.Parts[i].Name, j) },
			}
		}
		x := at("x", "place across", -MostCard, MostCard, func(t *Thing) *measure.Length { return &t.X })
		y := at("y", "place down", -MostCard, MostCard, func(t *Thing) *measure.Length { return &t.Y })
		x.signed, y.signed = true, true
		wide := at("thingWidth", "width", leastThing, MostCard, func(t *Thing) *measure.Length { return &t.Width })
		if p.Thing.Disc {
			// A disc has one size: the other one follows.
			wide.follow = func(j *Job) { j.Parts[i].Thing.Height = j.Parts[i].Thing.Width }
		} else {
			list = append(list, at("thingHeight", "height", leastThing, MostCard, func(t *Thing) *measure.Length { return &t.Height }))
		}
		caliper := at("caliper", "thickness", 10*measure.Micrometre, mostThingThick, func(t *Thing) *measure.Length { return &t.Caliper })
		caliper.check, caliper.fine = thicknessFits, true
		list = append(list, x, y, wide, caliper)
	}
	return list
}

// problems are what is wrong with a thing that its fields' bounds do not say.
func (t Thing) problems(path, name string, j Job, _ measure.Style) (list []Problem) {
	if err := t.onFace(name, j); err != nil {
		list = append(list, Problem{Path: path + "x", Message: err.Error()})
	}
	if !(t.Grams >= 0 && t.Grams <= mostGrams) {
		list = append(list, Problem{Path: path + "grams", Message: fmt.Sprintf("“%s” cannot weigh %g g: type a weight from 0 to 5000 g.", clip(name), t.Grams)})
	}
	return list
}

// weightField is a weight of the job that is typed.
type weightField struct {
	path, name string
	at         func(*Job) *float64
	// ounces is set where a bare number is meant in ounces in a shop that works in
	// inches.
	ounces bool
}

// weightFields lists the weights of a job that are typed.
func (j Job) weightFields() []weightField {
	list := []weightField{
		{"post.grams", "weight", func(j *Job) *float64 { return &j.Post.Measured.Grams }, true},
		{"post.load", "load", func(j *Job) *float64 { return &j.Post.Measured.Load }, false},
	}
	for i, p := range j.Parts {
		if p.Thing == nil {
			continue
		}
		list = append(list, weightField{fmt.Sprintf("parts.%d.grams", i), "weight of “" + clip(p.Name) + "”", func(j *Job) *float64 { return &j.Parts[i].Thing.Grams }, false})
	}
	return list
}

// text is the weight as the field shows it, with its unit.
func (f weightField) text(j Job, unit measure.Unit) string {
	g := *f.at(&j)
	if g == 0 && strings.HasPrefix(f.path, "post.") {
		return ""
	}
	if f.ounces && unit == measure.Inches {
		return strconv.FormatFloat(math.Round(g/ounce*100)/100, 'f', -1, 64) + " oz"
	}
	return strconv.FormatFloat(math.Round(g*100)/100, 'f', -1, 64) + " g"
}

const ounce = mail.Ounce // grams

// parseWeight reads a weight: "22", "22,5 g", "0.8 oz". A bare number is in the
// unit given.
func parseWeight(text, bare string) (grams float64, err error) {
	text = strings.ToLower(strings.TrimSpace(text))
	number := strings.TrimRight(text, "abcdefghijklmnopqrstuvwxyz. ")
	unit := strings.TrimSpace(strings.TrimPrefix(text, number))
	if unit == "" {
		unit = bare
	}
	v, err := strconv.ParseFloat(strings.Replace(strings.TrimSpace(number), ",", ".", 1), 64)
	factor, ok := map[string]float64{"g": 1, "gram": 1, "grams": 1, "kg": 1000, "oz": ounce, "ounce": ounce, "ounces": ounce, "lb": 16 * ounce}[unit]
	switch {
	case err != nil || !ok:
		return 0, &measure.ParseError{Text: text, Advice: fmt.Sprintf("“%s” is not a weight: type it as 22.5 g or 0.8 oz.", clip(text)), Unfinished: number == ""}
	case math.Signbit(v):
		return 0, refuse("A weight cannot be below nothing: type it as 22.5 g or 0.8 oz.")
	case v*factor > mostGrams:
		return 0, refuse("%s is more than anything here weighs: type at most 5 kg.", clip(text))
	}
	return v * factor, nil
}

// applyWeight carries out an edit of a weight; an empty text takes a measured
// one away.
func (f weightField) apply(j Job, shop Shop, e Edit) (Job, error) {
	j = j.Clone()
	at := f.at(&j)
	if e.Text == nil {
		*at = max(0, *at+float64(e.Steps))
		return j, nil
	}
	if strings.TrimSpace(*e.Text) == "" && strings.HasPrefix(f.path, "post.") {
		*at = 0
		return j, nil
	}
	bare := "g"
	if f.ounces && shop.Unit == measure.Inches {
		bare = "oz"
	}
	g, err := parseWeight(*e.Text, bare)
	if err == nil {
		*at = g
	}
	return j, err
}

// addThing lays a thing of the table on the card, with its usual measures.
func addThing(j Job, shop Shop, e Edit) (Job, error) {
	id := ""
	if e.Text != nil {
		id = *e.Text
	}
	kind, ok := paper.ThingByID(id)
	if !ok {
		return j, refuse("There is no thing “%s” in the table: choose one of the list.", clip(id))
	}
	if len(j.Parts) >= MostParts {
		return j, refuse("A card of more than %d parts cannot be planned: leave something off first.", MostParts)
	}
	taken := map[string]bool{}
	for _, p := range j.Parts {
		taken[p.ID] = true
	}
	n := 1
	for taken[fmt.Sprintf("%s-%d", id, n)] {
		n++
	}
	name := kind.Name
	if n > 1 {
		name = fmt.Sprintf("%s %d", name, n)
	}
	t := &Thing{
		Type: id, Disc: kind.Disc, Width: kind.Width, Height: kind.Height, Caliper: kind.Caliper, Grams: kind.Grams,
		Draping: kind.Draping, Crushable: kind.Crushable, Inside: kind.Inside, Over: kind.Over,
	}
	tick := shop.Style().Tick
	switch {
	case kind.Across:
		t.Width = j.Card.Width
	case kind.Over:
		t.Grams *= float64(j.Card.Width) * float64(j.Card.Height) / float64(kind.Width) / float64(kind.Height)
		t.Width, t.Height = j.Card.Width, j.Card.Height
	}
	// In the middle, each further one of a kind beside the one before.
	aside := measure.Length(n-1) * (t.Width / 2)
	t.X, t.Y = ((j.Card.Width-t.Width)/2 + aside).Near(tick), ((j.Card.Height - t.Height) / 2).Near(tick)
	if t.X >= j.Card.Width {
		t.X = (j.Card.Width / 2).Near(tick)
	}
	j = j.Clone()
	j.Parts = append(j.Parts, Part{ID: fmt.Sprintf("%s-%d", id, n), Name: name, Kind: ThingPart, Thing: t})
	return j, thicknessFits(j, shop, shop.Style())
}

// mostParts is how many parts a job may have.
const MostParts = 60
