package field

import (
	"strings"
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
	text = strings.TrimSpace(text)
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
