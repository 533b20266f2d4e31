package line

import (
	"math"
	"slices"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// decide makes a recipe of what was read, in the form that its numbers fit.
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
	case r.means[Mark] && len(r.scores) == 0:
		n.Form, n.Side2 = job.PunchRecipe, 0
	case r.means[Box]:
		n.Form, n.Side2 = job.BoxRecipe, 0
		r.fill(&n.Left, &n.Right, &n.Top, &n.Bottom)
	case pocket || r.means[OneEnd] || len(r.sheets) == 2 && r.sheets[0].length != r.sheets[1].length && r.anyPart():
		r.pocket()
	case len(r.scores) == 0:
		n.Form, n.Side2 = job.SquareRecipe, 0
	default:
		r.square()
	}
	for i, t := range r.scores {
		m := Score
		if n.Form.Kind().Pocket && r.of[i] != "" {
			m = r.of[i]
		}
		r.chip(t, m)
	}
}

func (r *reader) anyPart() bool {
	return slices.ContainsFunc(r.of, func(m Meaning) bool { return m != "" })
}

// fill puts the scores into places in their order.
func (r *reader) fill(places ...*measure.Length) {
	for i, t := range r.scores {
		if i < len(places) {
			*places[i] = t.length
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
	beyond := slices.ContainsFunc(r.scores, func(t token) bool { return t.length > half }) && half > 0
	n.Form = job.CornersRecipe
	if beyond && !r.means[Corners] || half == 0 && len(r.scores) > 1 && !r.means[Corners] {
		n.Form = job.PairRecipe
		r.fill(&n.Left, &n.Right, &n.Top, &n.Bottom)
		return
	}
	switch len(r.scores) {
	case 1, 2: // the same for both sides, and for top and bottom
		r.fill(&n.Left, &n.Top)
	default:
		r.fill(&n.Left, &n.Right, &n.Top, &n.Bottom)
	}
}

// pocket is a rectangle with its scores by what they are of.
func (r *reader) pocket() {
	n := &r.note.Recipe
	n.Form = job.PocketRecipe
	if r.means[OneEnd] {
		n.Form = job.EndRecipe
	}
	if n.Wall > 0 && !r.means[OneEnd] {
		n.Form = job.WallsRecipe
	}
	free := []*measure.Length{&n.Top, &n.Bottom}
	for i, t := range r.scores {
		switch r.of[i] {
		case Tabs:
			if n.Left == 0 {
				n.Left = t.length
			} else {
				n.Right = t.length
			}
		case Flap:
			if n.Top != 0 { // of both from one end the second
				n.Bottom = t.length
				continue
			}
			n.Top = t.length
		case Back:
			n.Bottom = t.length
		default:
			for _, f := range free {
				if *f == 0 {
					*f = t.length
					break
				}
			}
		}
	}
}
