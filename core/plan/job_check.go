package plan

import (
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/mail"
	"yellowparcel/core/paper"
)

// Check refuses a job that no plan can be made of, naming each field. What the job
// goes by and the shop has no longer is no reason: the plan says it, and what
// would take its place.
func (j Job) Check(shop Shop) []Problem {
	list := j.checkCounts()
	if len(list) > 0 {
		return list // the rest goes by what the lists hold
	}
	add := func(path string, err error) {
		if err != nil {
			list = append(list, Problem{Path: path, Message: err.Error()})
		}
	}
	style := shop.Style()
	for _, f := range j.lengthFields() {
		at := f.at(&j)
		if at == nil {
			continue
		}
		err := f.bounds(*at, style)
		// A layer that its border eats is told of in the plan; the job stands.
		if err == nil && f.check != nil && !strings.HasPrefix(f.path, "parts.") {
			err = f.check(j, shop, style)
		}
		add(f.path, err)
	}
	if j.Count < 1 || j.Count > MostCount {
		add("count", refuse("A job makes from 1 to %d cards: type a number between.", MostCount))
	}
	if !j.Card.Fold.Valid() {
		add("card.fold", refuse("The fold “%s” is not known: choose one of the list.", clip(string(j.Card.Fold))))
	}
	if len(j.Card.Own) > 0 && (len(j.Card.Own) < card.LeastPanels || len(j.Card.Own) > card.MostPanels || slices.Min(j.Card.Own) < leastPanel) {
		add("card.own", refuse("An accordion has from %d to %d panels of at least %s: type their widths parted by commas.", card.LeastPanels, card.MostPanels, style.ShowUnit(leastPanel)))
	}
	if n := j.Panels(); n < card.LeastPanels || n > card.MostPanels {
		add("card.panels", refuse("From %d to %d panels can be planned: type a number between.", card.LeastPanels, card.MostPanels))
	}
	if r := j.Recipe; r != nil && !slices.Contains([]mail.Measure{mail.Length, mail.Height, mail.Thickness}, r.QuotedMeasure()) {
		add("recipe.quoted", refuse("A note's limit is one of length, height or thickness, not of “%s”: choose one.", clip(string(r.QuotedOf))))
	}
	if !slices.Contains(Constructions(), j.Construction()) {
		add("envelope.construction", refuse("The construction “%s” is not known: choose one of the list.", clip(string(j.Envelope.Construction))))
	}
	if p := j.Envelope.Pocket; p != "" && !slices.Contains(blank.PocketSchools(), p) {
		add("envelope.pocket", refuse("The school “%s” of the pocket is not known: choose thumb, close or exact.", clip(string(p))))
	}
	if b := j.Envelope.Box; b != "" && !slices.Contains(blank.BoxSchools(), b) {
		add("envelope.box", refuse("The school “%s” of the box is not known: choose full or least.", clip(string(b))))
	}
	if w := j.Envelope.Walls; w != "" && !slices.Contains(blank.WallSchools(), w) {
		add("envelope.walls", refuse("Walls held by “%s” are not known: choose tabs or hems.", clip(string(w))))
	}
	if f := j.Envelope.FlapShape; f != "" && !slices.Contains(blank.FlapShapes(), f) {
		add("envelope.flapShape", refuse("The flap “%s” is not known: choose square, pointed, blunt or round.", clip(string(f))))
	}
	if !slices.Contains(blank.Schools(), j.Envelope.School) {
		add("envelope.school", refuse("The school “%s” is not known: choose exact, diagonal or notch.", clip(string(j.Envelope.School))))
	}
	if !slices.Contains(blank.WayIDs(), j.Envelope.Way) {
		add("envelope.way", refuse("The way of scoring “%s” is not known: choose pair, corners, centre, edges, round or notch.", clip(string(j.Envelope.Way))))
	}
	if o := j.Card.Outline; len(o) > 0 {
		if err := blank.CheckOutline(o); err != nil {
			add("card.outline", refuse("%s.", capital(err.Error())))
		}
	}
	if r := j.Card.Room; r != "" && r != AsBlock && r != AsHeap {
		add("card.room", refuse("“%s” is no way to count thickness: choose block or heap.", clip(string(r))))
	}
	if _, ok := paper.ClosureByID(j.Post.Closure); !ok {
		add("post.closure", refuse("There is no closure “%s”: choose one of the list.", clip(j.Post.Closure)))
	}
	for _, c := range j.Post.Contents {
		if !slices.Contains(paper.Cautions(), c) {
			add("post.contents", refuse("There is no caution “%s”: choose from the list.", clip(string(c))))
		}
	}
	if g := j.Post.Measured; !(g.Grams >= 0 && g.Grams <= mostGrams && g.Load >= 0 && g.Load <= mostGrams) {
		add("post.grams", refuse("What was weighed lies out of all bounds: type from 0 to 5 kg."))
	}
	return append(list, j.checkParts(shop)...)
}

func (j Job) checkParts(shop Shop) []Problem {
	var list []Problem
	for i, p := range j.Parts {
		path := fmt.Sprintf("parts.%d.", i)
		if (p.Kind != BasePart && p.Kind != LayerPart && p.Kind != LinerPart && p.Kind != ThingPart) || (p.Kind == BasePart) != (i == 0) || (p.Kind == ThingPart) != (p.Thing != nil) {
			list = append(list, Problem{Path: path + "kind", Message: "The first part is the base and every other one a layer, a liner or a thing: change the order."})
		}
		if t := p.Thing; t != nil {
			list = append(list, t.problems(path, p.Name, j, shop.Style())...)
		}
	}
	for i, p := range j.Parts {
		if p.Ready < 0 || p.Ready > MostCount {
			list = append(list, Problem{Path: fmt.Sprintf("parts.%d.ready", i), Message: fmt.Sprintf("From 0 to %d pieces may be cut already: type a number between.", MostCount)})
		}
	}
	return list
}

// checkCounts refuses lists that hold nothing, or more than can be planned.
func (j Job) checkCounts() (list []Problem) {
	switch n := len(j.Parts); {
	case n == 0:
		list = append(list, Problem{Path: "parts", Message: "A card needs at least its base: add one."})
	case n > MostParts:
		list = append(list, Problem{Path: "parts", Message: fmt.Sprintf("A card of more than %d parts cannot be planned: leave something off first.", MostParts)})
	}
	if len(j.Items) > mostItems {
		list = append(list, Problem{Path: "items", Message: fmt.Sprintf("At most %d things on the panel can be laid out: remove one first.", mostItems)})
	}
	return list
}
