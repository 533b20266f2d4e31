package line

import (
	"slices"
	"strings"

	"yellowparcel/core/job"
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

// reader goes through the tokens of a recipe.
type reader struct {
	note   RecipeNote
	list   []token
	where  place
	scores []token
	of     []Meaning // what each score is of, as far as the words beside it say
	claims []token
	sheets []token
	means  map[Meaning]bool
	punch  bool    // a punch board is spoken of
	clause int     // the first score of the clause that is read
	ahead  Meaning // what the scores of this clause are of, where that is said before them
}

// ReadRecipe reads a recipe from a text; bare numbers are in the shop's unit.
func ReadRecipe(text string, s measure.Style) RecipeNote {
	text = text[:min(len(text), Most)]
	r := reader{means: map[Meaning]bool{}}
	r.list, r.note.Unread = split(text, s)
	r.note.Recipe.Text = text
	for i, t := range r.list {
		if t.breaks {
			r.clause, r.ahead = len(r.scores), ""
		}
		if t.number {
			r.number(t, i)
		} else {
			r.word(t, i)
		}
	}
	r.decide()
	slices.SortStableFunc(r.note.Chips, func(a, b Chip) int { return a.From - b.From })
	slices.SortStableFunc(r.note.Unread, func(a, b Unread) int { return a.From - b.From })
	return r.note
}

func (r *reader) chip(t token, m Meaning) {
	r.note.Chips = append(r.note.Chips, Chip{t.from, t.to, m, t.length})
}

func (r *reader) unread(t token) {
	r.note.Unread = append(r.note.Unread, Unread{From: t.from, To: t.to})
}

// once sets a length that a recipe has one of; a second one is not understood.
func (r *reader) once(to *measure.Length, t token, m Meaning) {
	if *to != 0 && *to != t.length {
		r.unread(t)
		return
	}
	*to = t.length
	r.chip(t, m)
}

// sides adds to the one or two lengths of a size: the second one stands behind a cross.
func (r *reader) sides(list *[]token, t token, i int, m Meaning) {
	n := len(*list)
	if n == 2 || n == 1 && (i == 0 || !slices.Contains(crosses, strings.ToLower(r.list[i-1].text))) {
		r.unread(t)
		return
	}
	*list = append(*list, t)
	r.chip(t, m)
}

func (r *reader) number(t token, i int) {
	n := &r.note.Recipe
	switch r.where {
	case atSheet:
		r.sides(&r.sheets, t, i, Sheet)
	case atScores:
		r.scores, r.of = append(r.scores, t), append(r.of, r.ahead)
	case atMark:
		r.means[Mark] = true
		r.once(&n.Left, t, Mark)
	case atNotch:
		r.once(&n.Notch, t, Notch)
	case atClaim:
		r.sides(&r.claims, t, i, Claim)
	case atLimit:
		r.once(&n.Quoted, t, Limit)
	case atWalls:
		r.once(&n.Wall, t, Walls)
	}
}

func (r *reader) word(t token, i int) {
	w := strings.ToLower(t.text)
	if p, ok := starts[w]; ok {
		r.begin(p, w, i)
		return
	}
	if m, ok := parts[w]; ok {
		r.part(m, i)
		return
	}
	if m, ok := r.meaning(w, i); ok {
		if m != "" {
			r.means[m] = true
			r.chip(t, m)
		}
		return
	}
	switch m, of := limits[w]; {
	case of && r.where == atLimit && r.note.Recipe.QuotedOf == "":
		r.note.Recipe.QuotedOf = m
	case claims[w] != "" && r.where == atClaim && (len(r.claims) == 0 || r.numberBefore(i, 2)):
		r.note.Recipe.ClaimOf = claims[w]
	case claims[w] == job.ForFloor: // a floor is always what it is for
		r.note.Recipe.ClaimOf = job.ForFloor
	}
	if !slices.Contains(plain, w) {
		r.unread(t)
	}
}

// begin takes a word after which numbers are something else.
func (r *reader) begin(p place, w string, i int) {
	switch {
	case w == "deep" || p == atWalls && !r.numberNext(i):
		if r.where != atWalls && r.numberBefore(i, 1) {
			r.takeLast(i)
		}
		return
	case p == atLimit && !r.numberNext(i), w == "for" && r.where == atLimit && !r.numberNext(i):
		return
	case p == atMark:
		r.punch = true
		if i+1 < len(r.list) && strings.EqualFold(r.list[i+1].text, "board") {
			return
		}
	}
	r.where = p
	r.clause, r.ahead = len(r.scores), ""
	if m, ok := limits[w]; ok {
		r.note.Recipe.QuotedOf = m
	}
}

// meaning is what a word means by itself; empty where it is let be, false where it has none.
func (r *reader) meaning(w string, i int) (Meaning, bool) {
	m, ok := says[w]
	switch {
	case w == "one" && r.near(i, "end"), w == "same" && r.near(i, "end"):
		return OneEnd, true
	case !ok:
		return "", false
	case m == Square && r.where == atClaim:
		return "", true
	case m == Square && r.where == atScores && len(r.sheets) == 0 && r.numberBefore(i, 1): // “score 3 on 8 3/4 square”
		t := r.dropScore()
		r.sheets = append(r.sheets, t)
		r.chip(t, Sheet)
	case m == Corners && w != "each" && w != "every" && !r.near(i, "corner", "corners"):
		return "", true
	case m == Corners && r.where != atScores && len(r.scores) == 0:
		return "", true
	}
	return m, true
}

// part takes a word that says what scores are of. Behind the numbers of a clause it is said
// of all of them that have nothing yet; before them of those that come: "score 1/2 from both
// sides", "tabs 1/2, flap 1 3/4".
func (r *reader) part(m Meaning, i int) {
	behind := false
	if r.where == atScores {
		for k := r.clause; k < len(r.of); k++ {
			if r.of[k] == "" {
				r.of[k], behind, r.means[m] = m, true, true
			}
		}
	}
	if !behind && (r.where == atScores || len(r.sheets) > 0) && r.numberNext(i) {
		r.where, r.ahead, r.means[m] = atScores, m, true
	}
}

// takeLast makes the number before a word the depth of walls: "5/8 deep", "5/8 walls".
func (r *reader) takeLast(i int) {
	t := r.list[i-1]
	switch r.where {
	case atScores:
		r.dropScore()
	case atSheet:
		r.drop(&r.sheets, t)
	case atClaim:
		r.drop(&r.claims, t)
	default:
		return
	}
	r.once(&r.note.Recipe.Wall, t, Walls)
}

// dropScore takes the last score out of the list: it was something else.
func (r *reader) dropScore() token {
	n := len(r.scores) - 1
	t := r.scores[n]
	r.scores, r.of = r.scores[:n], r.of[:n]
	return t
}

// drop takes a number out of a size, with its chip; one that was not understood there is
// understood now.
func (r *reader) drop(list *[]token, t token) {
	*list = slices.DeleteFunc(*list, func(x token) bool { return x.from == t.from })
	r.note.Chips = slices.DeleteFunc(r.note.Chips, func(c Chip) bool { return c.From == t.from })
	r.note.Unread = slices.DeleteFunc(r.note.Unread, func(u Unread) bool { return u.From == t.from })
}

// near reports whether one of some words follows within three.
func (r *reader) near(i int, words ...string) bool {
	for k := i + 1; k < len(r.list) && k <= i+3; k++ {
		if slices.Contains(words, strings.ToLower(r.list[k].text)) {
			return true
		}
	}
	return false
}

// numberBefore reports whether a number stands among the so many tokens before.
func (r *reader) numberBefore(i, many int) bool {
	for k := max(0, i-many); k < i; k++ {
		if r.list[k].number {
			return true
		}
	}
	return false
}

// numberNext reports whether a number follows in the same clause, with small words at most
// between.
func (r *reader) numberNext(i int) bool {
	for k := i + 1; k < len(r.list) && !r.list[k].breaks; k++ {
		if r.list[k].number {
			return true
		}
		if !slices.Contains(between, strings.ToLower(r.list[k].text)) {
			return false
		}
	}
	return false
}
