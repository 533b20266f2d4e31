// Package say is how people are spoken to: words that every room needs to make a
// sentence, and refusals that are one.
//
//	say.Refuse("“%s” is not a weight: type it as 22.5 g.", say.Clip(text))
package say

import (
	"fmt"
	"unicode"
	"unicode/utf8"
)

// Refusal is an error that is a sentence for the maker: what is wrong, and what to
// do instead.
type Refusal string

func (r Refusal) Error() string { return string(r) }

// Refuse makes a refusal of a format and what fills it.
func Refuse(format string, args ...any) error { return Refusal(fmt.Sprintf(format, args...)) }

// mostQuoted is how many characters of what somebody typed are quoted back.
const mostQuoted = 30

// Clip keeps a text that somebody typed short enough to be quoted back.
func Clip(text string) string {
	if r := []rune(text); len(r) > mostQuoted {
		return string(r[:mostQuoted]) + "…"
	}
	return text
}

// Lower begins a text with a small letter, Capital with a large one.
func Lower(s string) string { return first(s, unicode.ToLower) }

// Capital begins a text with a large letter.
func Capital(s string) string { return first(s, unicode.ToUpper) }

// first changes the first letter of a text, which may be longer than a byte: a name in “marks” begins
// with one.
func first(s string, to func(rune) rune) string {
	r, n := utf8.DecodeRuneInString(s)
	if n == 0 {
		return s
	}
	return string(to(r)) + s[n:]
}
