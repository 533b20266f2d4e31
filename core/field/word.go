package field

import (
	"strings"
	"unicode"
	"unicode/utf8"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// Word is a name or a few words.
type Word struct {
	untyped
	At *string
	// Most is how many characters it may have. Needed ones are never empty.
	Most   int
	Needed bool
	// Write finishes what was typed, as with a unit that was left out.
	Write func(text string) string
}

// Kind of the field.
func (*Word) Kind() Kind { return WordKind }

func (w *Word) of() (string, bool) { return "", !w.Needed }

// Show is the word as it is.
func (w *Word) Show(measure.Style) (text, exact string) { return *w.At, "" }

// Type takes the words without what is blank round them.
func (w *Word) Type(text, name string, _ measure.Style) error {
	text = strings.TrimSpace(Plain(text))
	switch n := utf8.RuneCountInString(text); {
	case n == 0 && w.Needed:
		return say.Refuse("This cannot be left empty: type a word or two.")
	case n > w.Most:
		return say.Refuse("The %s is too long: type at most %d characters.", name, w.Most)
	}
	if w.Write != nil {
		text = w.Write(text)
	}
	*w.At = text
	return nil
}

// Check takes every word: what was stored stays.
func (*Word) Check(string, measure.Style) error { return nil }

// Plain is a text of one line without what cannot be seen: control characters, ends of lines, and
// those that turn the direction of what stands round them.
func Plain(text string) string {
	return strings.Map(func(r rune) rune {
		switch {
		case r == '\n' || r == '\r' || r == '\t' || r == '\u2028' || r == '\u2029':
			return ' '
		case unicode.IsControl(r) || turns(r) || r == '\ufeff':
			return -1
		}
		return r
	}, text)
}

// turns reports whether a character is one of those that set the direction of text (Unicode, "Bidirectional
// Algorithm", explicit formatting and marks).
func turns(r rune) bool {
	return r == '\u061c' || r == '\u200e' || r == '\u200f' || r >= '\u202a' && r <= '\u202e' || r >= '\u2066' && r <= '\u2069'
}
