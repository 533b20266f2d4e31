package line

import (
	"math"
	"slices"
	"strings"

	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// RecipeNote is a recipe as it was read from a text.
type RecipeNote struct {
	Recipe job.Recipe
	Chips  []Chip
	Unread []Unread
}

// place is what the numbers that come next are.
type place int

const (
	atSheet place = iota
	atScores
	atMark
	atNotch
	atClaim
	atLimit
	atWalls
)

// starts are the words after which numbers are something.
var starts = map[string]place{
	"cut": atSheet, "sheet": atSheet, "paper": atSheet, "trim": atSheet, "start": atSheet,
	"score": atScores, "scores": atScores, "scored": atScores, "crease": atScores, "creases": atScores, "line": atScores, "lines": atScores,
	"punch": atMark, "mark": atMark, "notch": atNotch, "notches": atNotch,
	"for": atClaim, "fits": atClaim, "holds": atClaim, "makes": atClaim, "takes": atClaim,
	"limit": atLimit, "most": atLimit, "under": atLimit, "thicker": atLimit, "higher": atLimit, "longer": atLimit,
	"walls": atWalls, "wall": atWalls, "deep": atWalls, "gusset": atWalls,
}

// says are words that mean something by themselves.
var says = map[string]Meaning{
	"square": Square, "each": Corners, "every": Corners, "own": Corners, "all": Corners, "four": Corners,
	"repeat": Repeat, "again": Repeat, "turn": Repeat, "rotate": Repeat, "same": Repeat,
	"box": Box, "round": Round, "around": Round, "wrap": Round,
}

// parts are the words that say what a pocket's score is of.
var parts = map[string]Meaning{
	"side": Tabs, "sides": Tabs, "tab": Tabs, "tabs": Tabs, "flap": Flap, "top": Flap, "back": Back, "bottom": Back, "other": Back,
}

// plain words are let be.
var plain = strings.Fields("a an the and at from to of on in with then by it is card cards envelope both one corner corners side sides end ends edge edges first second near far quarter way up down left right inch inches mm cm x × * both your you any no not than more be or over so next mail post letter note board fold folds folded floor size sized wide high long tall thick please use using make per only half")

// reader goes through the tokens of a recipe.
type reader struct {
	note   RecipeNote
	where  place
	scores []token
	of     []Meaning // what each score is of, as far as the words beside it say
	claims []token
	sheets []token
	means  map[Meaning]bool
	clause int // the first score of the clause that is read
}

// ReadRecipe reads a recipe from a text; bare numbers are in the shop's unit.
func ReadRecipe(text string, s measure.Style) RecipeNote {
	text = text[:min(len(text), Most)]
	list, odd := split(text, s)
	r := reader{means: map[Meaning]bool{}}
	r.note.Unread = odd
	r.note.Recipe.Text = text
	for i, t := range list {
		before := byte(0)
		if i > 0 {
			if gap := text[list[i-1].to:t.from]; strings.ContainsAny(gap, ".;,\n") {
				before = ','
			}
		}
		if before == ',' {
			r.clause = len(r.scores)
		}
		if t.number {
			r.number(t)
			continue
		}
		r.word(t, list, i)
	}
	r.decide()
	slices.SortStableFunc(r.note.Chips, func(a, b Chip) int { return a.From - b.From })
	slices.SortStableFunc(r.note.Unread, func(a, b Unread) int { return a.From - b.From })
	return r.note
}

func (r *reader) chip(t token, m Meaning) {
	r.note.Chips = append(r.note.Chips, Chip{t.from, t.to, m, t.length})
}

func (r *reader) number(t token) {
	n := &r.note.Recipe
	switch r.where {
	case atSheet:
		if len(r.sheets) == 2 {
			r.note.Unread = append(r.note.Unread, Unread{From: t.from, To: t.to})
			return
		}
		r.sheets = append(r.sheets, t)
		r.chip(t, Sheet)
	case atScores:
		r.scores, r.of = append(r.scores, t), append(r.of, "")
	case atMark:
		n.Left = t.length
		r.means[Mark] = true
		r.chip(t, Mark)
	case atNotch:
		n.Notch = t.length
		r.chip(t, Notch)
	case atClaim:
		if len(r.claims) == 2 {
			r.note.Unread = append(r.note.Unread, Unread{From: t.from, To: t.to})
			return
		}
		r.claims = append(r.claims, t)
		r.chip(t, Claim)
	case atLimit:
		n.Quoted = t.length
		r.chip(t, Limit)
	case atWalls:
		n.Wall = t.length
		r.chip(t, Walls)
	}
}

func (r *reader) word(t token, list []token, i int) {
	w := strings.ToLower(t.text)
	if p, ok := starts[w]; ok {
		switch {
		case w == "deep":
			r.takeLast(Walls)
			return
		case w == "for" && r.where == atLimit:
			return
		}
		r.where = p
		r.clause = len(r.scores)
		switch w {
		case "thicker":
			r.note.Recipe.QuotedOf = mail.Thickness
		case "longer":
			r.note.Recipe.QuotedOf = mail.Length
		case "higher":
			r.note.Recipe.QuotedOf = mail.Height
		}
		return
	}
	if m, ok := parts[w]; ok && r.where == atScores && len(r.scores) > 0 {
		// What is said behind the numbers of a clause is said of all of them that have
		// nothing yet.
		for k := range r.of {
			if k >= r.clause && r.of[k] == "" {
				r.of[k] = m
			}
		}
		r.means[m] = true
		return
	}
	if m, ok := says[w]; ok {
		if m == Square && r.where == atClaim || m == Corners && !near(list, i, "corner", "corners") && w != "each" && w != "every" {
			return
		}
		if w == "same" && near(list, i, "end") {
			m = OneEnd
		}
		if m == Corners && r.where != atScores && !r.means[Score] && len(r.scores) == 0 {
			return
		}
		r.means[m] = true
		r.chip(t, m)
		return
	}
	if w == "one" && near(list, i, "end") {
		r.means[OneEnd] = true
		r.chip(t, OneEnd)
		return
	}
	switch w {
	case "floor":
		r.note.Recipe.ClaimOf = job.ForFloor
	case "envelope":
		if r.where == atClaim {
			r.note.Recipe.ClaimOf = job.ForEnvelope
		}
	case "card":
		if r.where == atClaim {
			r.note.Recipe.ClaimOf = job.ForCard
		}
	}
	if _, known := parts[w]; !known && !slices.Contains(plain, w) {
		r.note.Unread = append(r.note.Unread, Unread{From: t.from, To: t.to})
	}
}

// takeLast makes the last number that was read as something else the depth of walls: "walls
// 5/8 deep", "5/8 deep".
func (r *reader) takeLast(m Meaning) {
	if n := len(r.note.Chips); n > 0 && r.note.Chips[n-1].Length > 0 && r.note.Chips[n-1].Meaning != Walls {
		c := &r.note.Chips[n-1]
		if c.Meaning == Claim && len(r.claims) > 0 {
			r.claims = r.claims[:len(r.claims)-1]
		}
		c.Meaning, r.note.Recipe.Wall = m, c.Length
	}
}

// near reports whether one of some words follows within three.
func near(list []token, i int, words ...string) bool {
	for k := i + 1; k < len(list) && k <= i+3; k++ {
		if slices.Contains(words, strings.ToLower(list[k].text)) {
			return true
		}
	}
	return false
}

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
