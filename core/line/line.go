// Package line reads what people write in a line: a job to begin, a change of one, or a
// recipe that is pasted whole.
//
// It answers with what was understood, each with its place in the text, and with what was
// not; nothing is guessed in place of what cannot be read. Places are counted in bytes.
//
//	n := line.ReadRecipe("Cut 8 3/4 square, score at 3 and 8 3/8, turn, repeat", style)
//	n.Recipe.Side1 // 8 3/4 in
package line

import (
	"regexp"
	"slices"
	"strings"
	"unicode"

	"yellowparcel/core/measure"
)

// Most is how long a text may be.
const Most = 600

// Meaning is what a stretch of a text was understood as.
type Meaning string

// The meanings.
const (
	Sheet   Meaning = "sheet"
	Square  Meaning = "square" // the sheet is one
	Score   Meaning = "score"
	Mark    Meaning = "mark"  // of a punch board
	Notch   Meaning = "notch" // how deep that notches
	Tabs    Meaning = "tabs"
	Flap    Meaning = "flap"
	Back    Meaning = "back"
	Walls   Meaning = "walls"
	Corners Meaning = "corners" // each score from its own corner
	OneEnd  Meaning = "end"     // both scores from one end
	Repeat  Meaning = "repeat"  // the same again, turned
	Box     Meaning = "box"
	Round   Meaning = "round" // folded round the card
	Claim   Meaning = "claim" // what it is for
	Limit   Meaning = "limit"
)

// Meanings lists them.
func Meanings() []Meaning {
	return []Meaning{Sheet, Square, Score, Mark, Notch, Tabs, Flap, Back, Walls, Corners, OneEnd, Repeat, Box, Round, Claim, Limit}
}

// Chip is one thing that was understood; Length is zero for a word.
type Chip struct {
	From, To int
	Meaning  Meaning
	Length   measure.Length
}

// Unread is a stretch that was not understood; Err says why of a number that cannot be read
// or used, and is nil for a word. Near is a word that is known and like it.
type Unread struct {
	From, To int
	Near     string
	Err      error
}

// token is a word or a number in a text.
type token struct {
	from, to int
	text     string
	number   bool
	unit     bool // it names its unit
	breaks   bool // a clause ends before it
	length   measure.Length
	err      error
}

// tokens of a text: lengths as people write them, with their units, and words. A cross
// between two lengths is a word of its own.
var tokens = regexp.MustCompile(`(?i)\d+(?:[.,]\d+)?(?:\s*[½¼¾⅛⅜⅝⅞⅓⅔]|[ -]\d+\s*[/⁄]\s*\d+|\s*[/⁄]\s*\d+)?\s*(?:inches|inch|in\b|cm\b|mm\b|"|”|″)?|[½¼¾⅛⅜⅝⅞⅓⅔]\s*(?:inches|inch|in\b|"|”|″)?|[×x*]|\p{L}\d{1,2}\b|\p{L}+(?:['’]\p{L}+)?`)

// split is a text in its words and numbers. A number in parentheses behind another one is
// the same in another unit: it is held against it.
func split(text string, s measure.Style) (list []token, odd []Unread) {
	for _, at := range tokens.FindAllStringIndex(text, -1) {
		t := token{from: at[0], to: at[1], text: text[at[0]:at[1]]}
		if n := len(list); n > 0 {
			t.breaks = strings.ContainsAny(text[list[n-1].to:t.from], ".;,\n")
		}
		if n := len(list); n > 0 && list[n-1].to == t.from && strings.EqualFold(list[n-1].text, "x") && unicode.IsLetter([]rune(t.text)[0]) {
			list[n-1].text, list[n-1].to = list[n-1].text+t.text, t.to // a word that begins with x
			continue
		}
		trimmed := strings.TrimRight(t.text, " ")
		t.to -= len(t.text) - len(trimmed)
		t.text = trimmed
		if c := t.text[0]; c >= '0' && c <= '9' || strings.ContainsAny(t.text, "½¼¾⅛⅜⅝⅞⅓⅔") {
			t.number, t.unit = true, unit.MatchString(t.text)
			t.length, t.err = measure.Parse(t.text, s.Unit)
			if t.err != nil {
				odd = append(odd, Unread{From: t.from, To: t.to, Err: t.err})
				continue
			}
			if n := len(list); n > 0 && list[n-1].number && strings.TrimSpace(text[list[n-1].to:t.from]) == "(" {
				if (list[n-1].length - t.length).Abs() > s.Tick {
					odd = append(odd, Unread{From: t.from, To: t.to, Err: differs{}})
				}
				list[n-1].to = t.to
				continue
			}
		}
		list = append(list, t)
	}
	shareUnits(list)
	return list, odd
}

// unit is what a length ends with that names its own.
var unit = regexp.MustCompile(`(?i)(?:inches|inch|in|cm|mm|"|”|″)$`)

// shareUnits gives the unit that is said once behind a size to its other lengths too: both
// of "21 x 27 cm" are centimetres.
func shareUnits(list []token) {
	for i := len(list) - 3; i >= 0; i-- {
		t, next := &list[i], list[i+2]
		if !t.number || t.unit || !next.number || !next.unit || !slices.Contains(crosses, strings.ToLower(list[i+1].text)) {
			continue
		}
		if length, err := measure.Parse(t.text+" "+unit.FindString(next.text), measure.Inches); err == nil {
			t.length, t.unit = length, true
		}
	}
}

// differs says that a value is given twice, and not the same.
type differs struct{}

func (differs) Error() string { return "it is not the same as the number before it" }

// ofWhat says that nothing tells what a number is of.
type ofWhat struct{}

func (ofWhat) Error() string { return "say what it is: thick, seam, border, cards" }

// twice says that a line says two things of one.
type twice struct{ before string }

func (t twice) Error() string { return "the line says “" + t.before + "” already" }

// noSheet says that a sheet is not on the shelf.
type noSheet struct{}

func (noSheet) Error() string { return "it is not on your shelf: add that sheet there" }

// noLayer says that there is nothing to have a border.
type noLayer struct{}

func (noLayer) Error() string { return "there is no layer yet: say how many, as 1 layer" }

// noRules says that no postal rules are known for a place.
type noRules struct{}

func (noRules) Error() string { return "no postal rules are kept for it" }
