package say_test

import (
	"testing"

	"yellowparcel/core/say"
)

// The first letter of a text may be longer than a byte: nothing of it is spoilt.
func TestFirstLetters(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct{ text, capital, lower string }{
		{"", "", ""}, {"card", "Card", "card"}, {"Élan", "Élan", "élan"}, {"élan", "Élan", "élan"}, {"“Card base” is left", "“Card base” is left", "“Card base” is left"}, {"x", "X", "x"},
	} {
		if got := say.Capital(tt.text); got != tt.capital {
			t.Errorf("%q begins as %q", tt.text, got)
		}
		if got := say.Lower(tt.text); got != tt.lower {
			t.Errorf("%q begins as %q", tt.text, got)
		}
	}
}
