package line

import (
	"math"
	"slices"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// decide makes a recipe of what was read, in the form that its numbers fit. What that form
// has no place for is not understood.
func (r *reader) decide() {
	n := &r.note.Recipe
	for i, t := range r.sheets {
		*[]*measure.Length{&n.Side1, &n.Side2}[i] = t.length
	}
	for i, t := range r.claims {
		*[]*measure.Length{&n.ClaimWidth, &n.ClaimHeight}[i] = t.length
	}
	if n.ClaimHeight == n.ClaimWidth {
		n.ClaimHeight = 0
	}
	pocket := r.means[Flap] || r.means[Tabs] && !r.means[Corners]
	switch {
	case r.means[Mark] || r.punch && len(r.scores) == 1:
		r.oneSide(job.PunchRecipe)
		r.fill(Mark, &n.Left)
	case r.means[Box]:
		r.oneSide(job.BoxRecipe)
		r.fill(Score, &n.Left, &n.Right, &n.Top, &n.Bottom)
	case pocket || r.means[OneEnd] || len(r.sheets) == 2 && n.Side1 != n.Side2 && r.anyPart():
		r.pocket()
	case len(r.scores) == 0:
		r.oneSide(job.SquareRecipe)
	default:
		r.square()
	}
}

// oneSide is a form whose sheet is a square: a second side that is not the same is not
// understood.
func (r *reader) oneSide(form job.RecipeForm) {
	n := &r.note.Recipe
	if n.Form = form; n.Side2 != 0 && n.Side2 != n.Side1 {
		t := r.sheets[1]
		r.drop(&r.sheets, t)
		r.unread(t)
	}
	n.Side2 = 0
}

func (r *reader) anyPart() bool {
	return slices.ContainsFunc(r.of, func(m Meaning) bool { return m != "" })
}

// fill puts the scores into places in their order; one that repeats the place that it would
// have had once more is the same score.
func (r *reader) fill(m Meaning, places ...*measure.Length) {
	for i, t := range r.scores {
		if i < len(places) {
			r.once(places[i], t, m)
		} else {
			r.once(places[len(places)-1], t, m)
		}
	}
}

// square is one that is scored from its corners: from one corner where a score lies beyond
// the middle, else each from its own.
func (r *reader) square() {
	n := &r.note.Recipe
	side := n.Side1
	if n.Side2 == 0 {
		side *= 2
	} else {
		side += n.Side2
	}
	half := measure.Round(float64(side) / math.Sqrt2 / 2)
	// Without a sheet two scores are taken for a pair.
	pair := len(r.scores) > 1
	if half > 0 {
		pair = slices.ContainsFunc(r.scores, func(t token) bool { return t.length > half })
	}
	switch {
	case pair && !r.means[Corners]:
		n.Form = job.PairRecipe
		r.fill(Score, &n.Left, &n.Right, &n.Top, &n.Bottom)
	case len(r.scores) < 3: // the same for both sides, and for top and bottom
		n.Form = job.CornersRecipe
		r.fill(Score, &n.Left, &n.Top)
	default:
		n.Form = job.CornersRecipe
		r.fill(Score, &n.Left, &n.Right, &n.Top, &n.Bottom)
	}
}

// pocket is a rectangle with its scores by what they are of.
func (r *reader) pocket() {
	n := &r.note.Recipe
	switch {
	case r.means[OneEnd]:
		n.Form = job.EndRecipe
	case n.Wall > 0:
		n.Form = job.WallsRecipe
	default:
		n.Form = job.PocketRecipe
	}
	for i, t := range r.scores {
		places := []*measure.Length{&n.Top, &n.Bottom} // of both from one end the second is the back's
		m := r.of[i]
		switch m {
		case Tabs:
			places = []*measure.Length{&n.Left, &n.Right}
		case Back:
			places = []*measure.Length{&n.Bottom}
		case "":
			m = Score
		}
		at := slices.IndexFunc(places, func(p *measure.Length) bool { return *p == 0 })
		r.once(places[max(at, 0)], t, m)
	}
}
