package plan

import (
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/envelope"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
	"yellowparcel/core/say"
)

// Check refuses a job that no plan can be made of, naming each field: what its
// fields and what holds between them refuse, and a card thicker than it is wide.
func Check(j job.Job, shop job.Shop) []field.Problem {
	list := j.Check(shop)
	if len(list) > 0 {
		return list // nothing follows from such a job
	}
	if err := piece.Of(j, shop).Check(); err != nil {
		list = append(list, field.ProblemOf("card.thickness", err))
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
	// What the job as a whole refuses is told at the field that was typed: a card made
	// so small that a thing lies off its face, say.
	if list := Check(changed, shop); len(list) > 0 && len(Check(j, shop)) == 0 {
		return j, say.Refusal(list[0].Message)
	}
	return noted(changed, shop, path), nil
}

func act(j job.Job, shop job.Shop, e field.Edit) (job.Job, error) {
	switch {
	case e.Act == field.Take:
		return take(j, shop, e)
	case e.Act == field.Add && e.Path == "recipe":
		return beginRecipe(j, shop, e.Text)
	case e.Act == field.Step && e.Path == "card.thickness":
		t := piece.Of(j, shop).Thick().Used // steps begin at what the sums count with
		j.Card.Thickness = &t
	}
	return j.Apply(shop, e)
}

// noted keeps with a reading what the sums say of the piece that it is of.
func noted(j job.Job, shop job.Shop, path string) job.Job {
	if path != "card.thickness" && !strings.HasPrefix(path, "post.measured.") {
		return j
	}
	m := newMaker(j, shop)
	now := m.noting(m.closed(m.chosen()))
	t, said := &j.Post.Measured, now.Post.Measured
	switch path {
	case "card.thickness":
		j.Card.ThicknessOf = now.Card.ThicknessOf
	case "post.measured.thickness":
		t.ThicknessOf = said.ThicknessOf
	case "post.measured.grams":
		t.GramsOf = said.GramsOf
	default:
		t.Stiffer = said.Stiffer
	}
	return j
}

// offers are what the plan offers, by the path at which it stands in the plan: the
// job that one has after taking it.
var offers = map[string]func(m maker, id string) (job.Job, error){
	"start.schools": maker.takeSchool,
	"paper.have":    maker.takeCard,
	"post.remedies": maker.takeRemedy,
	"recipe":        maker.takeRecipe,
	"layers.rungs":  maker.takeRung,
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
	m := newMaker(j, shop)
	taken, err := of(m, e.Text)
	if err != nil {
		return j, err
	}
	return taken, nil
}

// takeSchool makes the job's card the one that a school makes for its envelope.
func (m maker) takeSchool(id string) (job.Job, error) {
	j := m.Job()
	if j.Start == nil {
		return j, say.Refuse("There is no envelope to make the card for: choose one first.")
	}
	for _, s := range envelope.Schools() {
		if string(s) != id {
			continue
		}
		size, ok := m.cardFor(s)
		if !ok {
			return j, say.Refuse("That way leaves no card of this envelope: choose another.")
		}
		return m.sized(size).Job(), nil
	}
	return j, say.Refuse("“%s” is not a way to choose a card: choose one of the list.", say.Clip(id))
}

// takeCard makes the job's card one that the maker's sheet gives.
func (m maker) takeCard(id string) (job.Job, error) {
	have := m.have()
	if have == nil {
		return m.Job(), say.Refuse("There is no sheet to make the card from: choose one first.")
	}
	for _, row := range slices.Concat(have.Rows, have.Largest) {
		if row.ID == id {
			return ofSheet(m.Job(), row.card, row.fold), nil
		}
	}
	return m.Job(), say.Refuse("That card is not in the list of what the sheet gives: choose one of the list.")
}

// takeRemedy changes the job as one of its remedies says.
func (m maker) takeRemedy(id string) (job.Job, error) {
	j := m.Job()
	book, ok := m.book()
	if !ok {
		return j, say.Refuse("Given by hand it needs no remedy.")
	}
	all := m.candidates()
	c := m.choose(all)
	for _, r := range m.remedies(c, all, m.verdictOf(book, m.piece(m.closed(c)))) {
		if r.id == id {
			j = j.Clone()
			r.change(&j)
			return j, nil
		}
	}
	return j, say.Refuse("The remedy “%s” no longer belongs to this piece: look at the list again.", say.Clip(strings.TrimSpace(id)))
}

// takeRecipe makes the job's envelope follow its recipe.
func (m maker) takeRecipe(string) (job.Job, error) {
	j := m.Job()
	if j.Recipe == nil {
		return j, say.Refuse("There is no recipe to follow: type one first.")
	}
	j.Envelope = m.rescaledWish(*j.Recipe)
	return j, nil
}

// takeRung gives a layer the border of a rung, all round.
func (m maker) takeRung(id string) (job.Job, error) {
	for _, row := range m.layerRows() {
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

// beginRecipe begins a recipe, in one of the ways of giving scores: both of a pair from
// one corner where none is named. A new one begins as the job's own diamond or pocket.
func beginRecipe(j job.Job, shop job.Shop, scores string) (job.Job, error) {
	if scores == job.PocketRecipe {
		return beginPocketRecipe(j, shop), nil
	}
	if scores == "" {
		scores = job.PairRecipe
	}
	if scores != job.PairRecipe && scores != job.CornersRecipe {
		return j, say.Refuse("A recipe is of a square scored from one corner or from each, or of a pocket: choose one.")
	}
	paired := scores == job.PairRecipe
	r := job.Recipe{Paired: paired}
	if j.Recipe != nil && !j.Recipe.Pocket {
		r = *j.Recipe
		if d := measure.Round(float64(r.Side1+r.Side2) / 1.4142135623730951); r.Paired != paired {
			r.Paired, r.Right, r.Bottom = paired, d-r.Right, d-r.Bottom
		}
	} else {
		s := newMaker(j, shop).blankSpec()
		s.School, s.Way = blank.ExactSeam, blank.PairWay
		d := blank.NewDiamond(s)
		set := d.Ways[0].Scores
		r = job.Recipe{Side1: d.Sheet, Side2: d.Sheet, Paired: true, Left: set[0].At, Right: set[1].At, Top: set[2].At, Bottom: set[3].At}
		if !paired {
			diagonal := measure.Round(d.Diagonal())
			r.Paired, r.Right, r.Bottom = false, diagonal-r.Right, diagonal-r.Bottom
		}
	}
	j.Recipe = &r
	return j, nil
}
