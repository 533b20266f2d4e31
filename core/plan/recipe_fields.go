package plan

import (
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

// recipeAt is a length of the note, or nil when there is none.
func recipeAt(of func(*Recipe) *measure.Length) func(*Job) *measure.Length {
	return func(j *Job) *measure.Length {
		if j.Recipe == nil {
			return nil
		}
		return of(j.Recipe)
	}
}

// recipeFields are the lengths of a note.
var recipeFields = []lengthField{
	{path: "recipe.quoted", name: "limit that it names", least: 0, most: 10 * measure.Metre, at: recipeAt(func(r *Recipe) *measure.Length { return &r.Quoted })},
	{path: "recipe.side1", name: "edge of the sheet", least: measure.Inch, most: MostCard, at: recipeAt(func(r *Recipe) *measure.Length { return &r.Side1 })},
	{path: "recipe.side2", name: "other edge of the sheet", least: measure.Inch, most: MostCard, at: recipeAt(func(r *Recipe) *measure.Length { return &r.Side2 })},
	{path: "recipe.left", name: "score", least: 0, most: MostCard, at: recipeAt(func(r *Recipe) *measure.Length { return &r.Left })},
	{path: "recipe.right", name: "score", least: 0, most: MostCard, at: recipeAt(func(r *Recipe) *measure.Length { return &r.Right })},
	{path: "recipe.top", name: "score", least: 0, most: MostCard, at: recipeAt(func(r *Recipe) *measure.Length { return &r.Top })},
	{path: "recipe.bottom", name: "score", least: 0, most: MostCard, at: recipeAt(func(r *Recipe) *measure.Length { return &r.Bottom })},
}

// applyRecipe begins a note, in one of its two ways of giving scores, or ends it
// with an empty text. A new one begins as the job's own diamond.
func applyRecipe(j Job, shop Shop, e Edit) (Job, error) {
	if e.Text == nil || *e.Text == "" {
		j.Recipe = nil
		return j, nil
	}
	if *e.Text == "pocket" {
		return beginPocketRecipe(j, shop), nil
	}
	if *e.Text != "pair" && *e.Text != "corners" {
		return j, refuse("A note is of a square scored from one corner or from each, or of a pocket: choose one.")
	}
	paired := *e.Text == "pair"
	r := Recipe{Paired: paired}
	if j.Recipe != nil && !j.Recipe.Pocket {
		r = *j.Recipe
		if d := measure.Round(float64(r.Side1+r.Side2) / 1.4142135623730951); r.Paired != paired {
			r.Paired, r.Right, r.Bottom = paired, d-r.Right, d-r.Bottom
		}
	} else {
		m := newMaker(j, shop)
		s := m.blankSpec()
		s.School, s.Way = blank.ExactSeam, blank.PairWay
		d := blank.NewDiamond(s)
		set := d.Ways[0].Settings
		r = Recipe{Side1: d.Sheet, Side2: d.Sheet, Paired: true, Left: set[0].At, Right: set[1].At, Top: set[2].At, Bottom: set[3].At}
		if !paired {
			diagonal := measure.Round(d.Diagonal())
			r.Paired, r.Right, r.Bottom = false, diagonal-r.Right, diagonal-r.Bottom
		}
	}
	j.Recipe = &r
	return j, nil
}

// bothUnits reads a value that a note gives twice, as "5 1/2 (140 mm)": the two
// must agree to a tick. It returns the text to read.
func bothUnits(text string, s measure.Style) (string, error) {
	first, second, found := strings.Cut(text, "(")
	if !found {
		return text, nil
	}
	second = strings.TrimSuffix(strings.TrimSpace(second), ")")
	a, err := measure.Parse(first, s.Unit)
	if err != nil {
		return first, nil // told when it is read
	}
	b, err := measure.Parse(second, s.Unit)
	if err != nil {
		return "", err
	}
	if (a - b).Abs() > s.Tick {
		return "", refuse("The note says %s and %s, which is not the same: the second is %s %s. Find out which one it means, and type that.", strings.TrimSpace(first), second, s.Show(b), s.Unit)
	}
	return first, nil
}
