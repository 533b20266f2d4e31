package line

import (
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
