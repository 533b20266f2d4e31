package say

import (
	"fmt"
	"strings"
)

// Sentence is what a station says in plain words; the numbers to set are
// marked, so that a screen can make them stand out.
type Sentence struct {
	Text  string `json:"text"`
	Spans []Span `json:"spans"`
}

// Span is a stretch of a sentence.
type Span struct {
	Text string `json:"text"`
	Mark bool   `json:"mark"`
}

// That builds a sentence. What stands in [square brackets] in the format is
// marked; arguments never are, whatever characters a maker put in a name.
func That(format string, args ...any) Sentence {
	s, used := Sentence{Spans: []Span{}}, 0
	for i, piece := range strings.FieldsFunc(format, func(r rune) bool { return r == '[' || r == ']' }) {
		n := strings.Count(piece, "%") - 2*strings.Count(piece, "%%")
		mark := i%2 == 1
		if strings.HasPrefix(format, "[") {
			mark = !mark
		}
		span := Span{fmt.Sprintf(piece, args[used:used+n]...), mark}
		used += n
		s.Spans = append(s.Spans, span)
		s.Text += span.Text
	}
	return s
}

// And joins two sentences.
func (s Sentence) And(t Sentence) Sentence {
	gap := Span{" ", false}
	return Sentence{s.Text + " " + t.Text, append(append(append([]Span(nil), s.Spans...), gap), t.Spans...)}
}

// Joined goes on with another piece of the same sentence.
func (s Sentence) Joined(t Sentence) Sentence {
	return Sentence{s.Text + t.Text, append(append([]Span(nil), s.Spans...), t.Spans...)}
}

// Then goes on with plain words.
func (s Sentence) Then(words string) Sentence {
	return Sentence{s.Text + words, append(append([]Span(nil), s.Spans...), Span{words, false})}
}
