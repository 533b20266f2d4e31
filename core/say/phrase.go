package say

import (
	"fmt"
	"strings"
)

// Clause is a stretch of what is said, with slots: {depth} is filled with what the
// slot of that name holds, and what stands in [square brackets] is marked. It is
// said where all of its slots are filled, with the slots If and without Unless, each
// of which may be several parted by commas: so a table of clauses holds all that a
// kind of thing may have to say.
type Clause struct {
	Text       string
	If, Unless string
}

// Always is a clause that is said wherever its slots are filled.
func Always(text string) Clause { return Clause{Text: text} }

// When is a clause that is said with a slot, Unless one that is said without it.
func When(slot, text string) Clause   { return Clause{Text: text, If: slot} }
func Unless(slot, text string) Clause { return Clause{Text: text, Unless: slot} }

// Slots are what fills clauses, by name. One that is there only to be asked for
// holds nothing.
type Slots map[string]string

// Flag sets a slot that is only asked for.
func (s Slots) Flag(name string, set bool) {
	if set {
		s[name] = ""
	}
}

// slots calls back with the plain words of a text and its slots, in turn.
func slots(text string, words, slot func(string) bool) bool {
	for {
		open := strings.IndexByte(text, '{')
		if open < 0 {
			return words(text)
		}
		end := open + strings.IndexByte(text[open:], '}')
		if !words(text[:open]) || !slot(text[open+1:end]) {
			return false
		}
		text = text[end+1:]
	}
}

func anyWords(string) bool { return true }

// Names are the slots that a clause goes by: those that it fills, and those that
// decide whether it is said.
func (c Clause) Names() (list []string) {
	slots(c.Text, anyWords, func(name string) bool {
		list = append(list, name)
		return true
	})
	return append(append(list, parted(c.If)...), parted(c.Unless)...)
}

func parted(names string) []string {
	if names == "" {
		return nil
	}
	return strings.Split(names, ",")
}

// Says reports whether a clause is said of these slots.
func (s Slots) Says(c Clause) bool {
	for _, name := range parted(c.If) {
		if _, ok := s[name]; !ok {
			return false
		}
	}
	for _, name := range parted(c.Unless) {
		if _, ok := s[name]; ok {
			return false
		}
	}
	return slots(c.Text, anyWords, func(name string) bool {
		_, ok := s[name]
		return ok
	})
}

// Sentence says those of the clauses that are to be said, one after the other.
func (s Slots) Sentence(clauses ...Clause) (out Sentence) {
	mark := false
	say := func(text string) {
		if text == "" {
			return
		}
		out.Text += text
		if last := len(out.Spans) - 1; last >= 0 && out.Spans[last].Mark == mark {
			out.Spans[last].Text += text
			return
		}
		out.Spans = append(out.Spans, Span{text, mark})
	}
	for _, c := range clauses {
		if !s.Says(c) {
			continue
		}
		slots(c.Text, func(words string) bool {
			for {
				at := strings.IndexAny(words, "[]")
				if at < 0 {
					say(words)
					return true
				}
				say(words[:at])
				mark, words = words[at] == '[', words[at+1:]
			}
		}, func(name string) bool {
			say(s[name])
			return true
		})
	}
	return out
}

// Text is Sentence without its marks.
func (s Slots) Text(clauses ...Clause) string { return s.Sentence(clauses...).Text }

// Lines says the clauses as a list, one line each.
func (s Slots) Lines(clauses ...Clause) (list []string) {
	for _, c := range clauses {
		if s.Says(c) {
			list = append(list, s.Text(c))
		}
	}
	return list
}

// And joins words as a list: "a, b and c".
func And(list []string) string {
	if len(list) < 2 {
		return strings.Join(list, "")
	}
	return strings.Join(list[:len(list)-1], ", ") + " and " + list[len(list)-1]
}

// Plural counts a thing by its noun: "1 sheet", "3 sheets".
func Plural(n int, noun string) string {
	if n == 1 {
		return "1 " + noun
	}
	return fmt.Sprintf("%d %ss", n, noun)
}
