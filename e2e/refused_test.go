package e2e

import (
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// What is refused in the end leaves no number behind that was read on the way to it: neither at once nor
// when the field is left, nor in another window. What was there before is there again.
func TestWhatIsRefusedLeavesNoNumber(t *testing.T) {
	w := begin(t)
	p := w.program
	typed := func(field, text string) {
		w.element(test(field) + " input").MustFocus().MustSelectAllText()
		for _, key := range text {
			w.Keyboard.MustType(input.Key(key))
		}
	}
	was := func(what, want string) {
		t.Helper()
		w.waitFor(what, func() (string, bool) {
			got := w.text(test("measured-thickness"))
			return got, want == "" && plain(got) != "" && !strings.Contains(got, "1.000") || want != "" && strings.Contains(got, want)
		})
	}
	w.station("Moon-watch invitation, brass and knot", "mail/measure")
	w.saved()
	typed("field-mail.measured.thickness", "1")
	was("one inch while it is typed", "1.000 in")
	w.Keyboard.MustType(input.Key('/'), input.Key('0'))
	was("nothing when it divides by nothing", "")
	w.see(test("field-mail.measured.thickness"), "divides by nothing")
	other := open(t, p, w.MustInfo().URL[len(p.URL):])
	other.waitFor("nothing in another window", func() (string, bool) {
		got := other.text(test("measured-thickness"))
		return got, !strings.Contains(got, "1.000")
	})
	// What is unfinished counts until the field is left.
	typed("field-mail.measured.thickness", "")
	w.Keyboard.MustType(input.Backspace)
	typed("field-mail.measured.thickness", "1 1")
	w.Keyboard.MustType(input.Tab)
	was("nothing when it is left unfinished", "")
	typed("field-mail.measured.grams", "1 1/2 oz")
	w.Keyboard.MustType(input.Tab)
	w.waitFor("an ounce and a half", func() (string, bool) {
		got := w.text(test("measured-weight"))
		return got, strings.Contains(got, "1.50 oz")
	})
	typed("field-mail.measured.grams", "2/0")
	w.Keyboard.MustType(input.Tab)
	w.waitFor("what was there before", func() (string, bool) {
		got := w.text(test("measured-weight"))
		return got, strings.Contains(got, "1.50 oz")
	})
	w.quiet()
}
