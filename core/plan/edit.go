package plan

import (
	"cmp"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/envelope"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/offer"
	"yellowparcel/core/piece"
	"yellowparcel/core/recipe"
	"yellowparcel/core/say"
)

// Check refuses a job that no plan can be made of, naming each field: what its
// fields and what holds between them refuse, and a card thicker than it is wide.
func Check(j job.Job, shop job.Shop) []field.Problem {
	list := j.Check(shop)
	if len(list) > 0 || !j.Card.Sized() {
		return list // nothing follows from such a job, or not yet
	}
	if p := piece.Of(j, shop); p.Block() {
		list = append(list, field.ProblemOf("card.thickness", say.Refuse("The card would be thicker (%s) than it is wide or high (%s). Check the unit, or type a smaller thickness.",
			p.Style().ShowUnit(p.Thick().Used), p.Style().ShowUnit(min(j.Card.Width, j.Card.Height)))))
	}
	return list
}

// Apply carries out edits on a copy of the job. Whatever cannot be used is left as it
// was and reported as a problem at its field, so that the rest of the plan still
// shows.
func Apply(j job.Job, shop job.Shop, edits []field.Edit) (job.Job, []field.Problem) {
	var problems []field.Problem
	for _, e := range edits {
		changed, err := applyOne(j, shop, e)
		if err != nil {
			problems = append(without(problems, e.Path), field.ProblemOf(e.Path, err))
			continue
		}
		problems = without(problems, e.Path)
		j = changed
	}
	return j, problems
}

// without drops what was wrong with what stood in a field before: typed fast, the
// first half of a number is wrong by itself.
func without(problems []field.Problem, path string) []field.Problem {
	return slices.DeleteFunc(problems, func(p field.Problem) bool { return p.Path == path })
}

// applyOne carries out one edit, or refuses it with a sentence.
func applyOne(j job.Job, shop job.Shop, e field.Edit) (job.Job, error) {
	path, err := j.Place(e.Path)
	if err != nil {
		return j, err
	}
	e.Path = path
	changed, err := act(j, shop, e)
	if err != nil {
		return j, err
	}
	if !j.Card.Sized() && changed.Card.Sized() {
		changed = job.WithCard(changed)
		if changed.Card.Fold == j.Card.Fold && e.Path != "paper.have" {
			changed.Card.Fold = offer.To(newMaker(changed, shop).Maker).FoldThatGoes()
		}
	}
	// What the job as a whole refuses is told at the field that was typed: a card made
	// so small that a thing lies off its face, say.
	if list := Check(changed, shop); len(list) > 0 && len(Check(j, shop)) == 0 {
		return j, say.Refusal(list[0].Message)
	}
	return noted(j, changed, shop, path), nil
}

func act(j job.Job, shop job.Shop, e field.Edit) (job.Job, error) {
	if changed, asked, err := job.Instead(j, shop, e); asked {
		return changed, err
	}
	switch {
	case e.Act == field.Take:
		return take(j, shop, e)
	case e.Act == field.Add && e.Path == "recipe":
		return beginRecipe(j, shop, e.Text)
	case e.Act == field.Add && e.Path == "recipe.text":
		return pasteRecipe(j, shop, e.Text)
	case e.Act == field.Step && e.Path == "card.thickness":
		t := piece.Of(j, shop).Thick().Used // steps begin at what the sums count with
		j.Card.Thickness = &t
	}
	return j.Apply(shop, e)
}

// noted keeps with a reading what the sums say of the piece that it is of.
func noted(before, j job.Job, shop job.Shop, path string) job.Job {
	if !j.Card.Sized() {
		return j
	}
	if path != "card.thickness" && path != "mail.gaugeSlot" && !strings.HasPrefix(path, "mail.measured.") {
		return j
	}
	m := newMaker(j, shop)
	now := m.Noting(m.Closed(m.Chosen()))
	t, said := &j.Mail.Measured, now.Mail.Measured
	switch path {
	case "card.thickness":
		j.Card.ThicknessOf = now.Card.ThicknessOf
		samePiece(before, &j, shop)
	case "mail.measured.thickness":
		t.ThicknessOf, t.ThicknessOn = said.ThicknessOf, said.ThicknessOn
	case "mail.measured.through", "mail.gaugeSlot":
		t.GaugeOf, t.Slot, t.For, t.TriedOn = said.GaugeOf, said.Slot, said.For, said.TriedOn
	case "mail.measured.grams":
		t.GramsOf, t.GramsOn = said.GramsOf, said.GramsOn
	default:
		t.Stiffer = said.Stiffer
	}
	return j
}

// samePiece keeps the readings of a closed piece of which more is known now, and nothing has changed: what
// the sums said of it moves with what they say now.
func samePiece(before job.Job, j *job.Job, shop job.Shop) {
	t := &j.Mail.Measured
	if t.ThicknessOf == 0 && t.GaugeOf == 0 {
		return
	}
	was, _ := Predicted(before, shop)
	is, _ := Predicted(*j, shop)
	for _, of := range []*measure.Length{&t.ThicknessOf, &t.GaugeOf} {
		if *of > 0 {
			*of = max(1, *of+is-was)
		}
	}
}

// takeMeasured sizes the card, and with it its envelope, for what was measured of the closed piece.
func takeMeasured(m maker, id string) (job.Job, error) {
	c := m.Chosen()
	e := m.Closed(c)
	if id != "size" || m.Job().Mail.Measured.Thickness == 0 {
		return m.Job(), say.Refuse("Nothing of the closed piece was measured that it could be sized for: type its thickness first.")
	}
	flat := e.Thickness - max(m.Thick().Used, e.Depth)
	thick := m.Mailed(e).Thickness - flat
	j, err := m.Job().Apply(m.Shop(), field.Edit{Act: field.Type, Path: "card.thickness", Text: measure.Decimal(thick, measure.Millimetre) + " mm"})
	if err != nil {
		return m.Job(), err
	}
	return noted(m.Job(), j, m.Shop(), "card.thickness"), nil
}

// offers are what the plan offers, by the path at which it stands in the plan: the
// job that one has after taking it.
var offers = map[string]func(m maker, id string) (job.Job, error){
	"start.schools":  maker.takeSchool,
	"envelope":       maker.takeEnvelope,
	"card":           turnCard,
	"envelope.sizes": takeSize,
	"things":         maker.takeApart,
	"match":          maker.takeMatch,
	"paper.have":     maker.takeCard,
	"mail.remedies":  maker.takeRemedy,
	"mail.measured":  takeMeasured,
	"recipe":         maker.takeRecipe,
	"layers.rungs":   maker.takeRung,
	"bench.mats":     takeMat,
}

// turnCard turns the card a quarter, with all that lies on it.
func turnCard(m maker, how string) (job.Job, error) {
	if how != "turn" {
		return m.Job(), say.Refuse("“%s” is nothing that can be done to the card.", say.Clip(how))
	}
	return job.TurnCard(m.Job()), nil
}

// Offers are the paths at which the plan offers something to take.
func Offers() (list []string) {
	for path := range offers {
		list = append(list, path)
	}
	slices.Sort(list)
	return list
}

func take(j job.Job, shop job.Shop, e field.Edit) (job.Job, error) {
	of, ok := offers[e.Path]
	if !ok {
		return j, say.Refuse("The plan offers nothing at “%s”.", say.Clip(e.Path))
	}
	if !j.Card.Sized() && !givesCard(e) {
		return j, say.Refuse("That goes by the card, which is not chosen yet: choose it first.")
	}
	m := newMaker(j, shop)
	taken, err := of(m, e.Text)
	if err != nil {
		return j, err
	}
	return taken, nil
}

// takeSchool makes the job's card the one that a school makes for its envelope.
func (m maker) takeSchool(id string) (job.Job, error) {
	if m.Job().Start == nil {
		return m.Job(), say.Refuse("There is no envelope to make the card for: choose one first.")
	}
	if !slices.Contains(envelope.Schools(), envelope.School(id)) {
		return m.Job(), say.Refuse("“%s” is not a way to choose a card: choose one of the list.", say.Clip(id))
	}
	j, ok := offer.To(m.Maker).TakeSchool(envelope.School(id))
	if !ok {
		return m.Job(), say.Refuse("That way leaves no card of this envelope: choose another.")
	}
	return j, nil
}

// takeCard makes the job's card one that the maker's sheet gives.
func (m maker) takeCard(id string) (job.Job, error) {
	sheet, ok := m.Shop().Sheet(m.Job().Paper.Have)
	if !ok {
		return m.Job(), say.Refuse("There is no sheet to make the card from: choose one first.")
	}
	list, largest := offer.To(m.Maker).SheetCards(sheet)
	for _, c := range slices.Concat(list, largest) {
		if t := c.Twin; t != nil && t.ID() == id {
			return t.Take(m.Job()), nil
		}
		if c.ID() == id {
			return c.Take(m.Job()), nil
		}
	}
	return m.Job(), say.Refuse("That card is not in the list of what the sheet gives: choose one of the list.")
}

// takeRemedy changes the job as one of its remedies says.
func (m maker) takeRemedy(id string) (job.Job, error) {
	book, ok := m.Book()
	if !ok {
		return m.Job(), say.Refuse("Given by hand it needs no remedy.")
	}
	all := m.Candidates()
	c := m.Choose(all)
	for _, r := range offer.To(m.Maker).Remedies(c, all, m.VerdictOf(book, m.Mailed(m.Closed(c)))) {
		if r.ID() == id {
			return r.Take(m.Job()), nil
		}
	}
	return m.Job(), say.Refuse("The remedy “%s” no longer belongs to this piece: look at the list again.", say.Clip(strings.TrimSpace(id)))
}

// takeEnvelope makes a construction the job's envelope, or a bought envelope: one of the
// shop's formats, or the one that the maker came with and measured.
func (m maker) takeEnvelope(id string) (job.Job, error) {
	kind, format, whole := strings.Cut(id, ":")
	j := m.Job()
	k := blank.ByID(blank.ID(kind))
	if string(k.ID) != kind {
		return j, say.Refuse("There is no envelope type “%s”: choose one of the list.", say.Clip(kind))
	}
	j.Envelope.Construction = k.ID
	if !whole {
		return j, nil
	}
	if err := j.Envelope.Take(format, m.Shop(), j.Start, j.Card); err != nil {
		return m.Job(), err
	}
	return j, nil
}

// takeMatch makes liner and envelope of a layer's paper.
func (m maker) takeMatch(id string) (job.Job, error) {
	for _, k := range offer.To(m.Maker).Matches(m.Chosen()) {
		if k.ID() == id {
			return k.Take(m.Job().Clone()), nil
		}
	}
	return m.Job(), say.Refuse("One sheet does not give that set any more: look at the comparison again.")
}

// takeRecipe makes the job's envelope follow its recipe, or takes it as it stands, or keeps
// the corner reading that was found as its board's.
func (m maker) takeRecipe(what string) (job.Job, error) {
	if m.Job().Recipe == nil {
		return m.Job(), say.Refuse("There is no recipe to follow: type one first.")
	}
	r := recipe.In(m.Maker)
	if missing := r.Missing(); len(missing) > 0 {
		return m.Job(), say.Refuse("The recipe is not whole: type the %s first.", strings.ToLower(say.And(missing)))
	}
	j := m.Job().Clone()
	switch what {
	case recipeCard:
		size, ok := r.Card()
		if !ok {
			return m.Job(), say.Refuse("The recipe leaves no card: look at what is wrong with it.")
		}
		j.Card.Width, j.Card.Height = size.Width, size.Height
		return j, nil
	case "as it stands":
		if c := m.Candidate(blank.ByID(blank.NotedID)); !c.OK {
			return m.Job(), say.Refuse("The recipe makes no envelope as it stands: look at what is wrong with it.")
		}
		j.Envelope.Construction = blank.NotedID
		return j, nil
	case "corner":
		o, found := r.Offset()
		if !found || o.Open {
			return m.Job(), say.Refuse("No corner reading was found for this recipe.")
		}
		j.Recipe.Corner = o.At
		return j, nil
	}
	return r.Take(), nil
}

// takeRung gives a layer the border of a rung, all round.
func (m maker) takeRung(id string) (job.Job, error) {
	for _, row := range (layersStation{m}).layerRows() {
		for _, r := range row.Rungs {
			if r.ID == id {
				j := m.Job().Clone()
				p := &j.Parts[row.on]
				p.Border, p.Edges, p.Own = r.Border.Nm, nil, nil
				return j, nil
			}
		}
	}
	return m.Job(), say.Refuse("That border is not among the stops any more: look at the slider again.")
}

// beginRecipe begins an empty recipe in a form: both scores of a pair from one corner where
// none is named.
func beginRecipe(j job.Job, shop job.Shop, form string) (job.Job, error) {
	f := job.RecipeForm(cmp.Or(form, string(job.PairRecipe)))
	if !slices.Contains(job.RecipeForms(), f) {
		return j, say.Refuse("A recipe comes in one of the forms of the list: choose one.")
	}
	r := recipe.Begin(newMaker(j, shop).Maker, f)
	j.Recipe = &r
	return j, nil
}
