package measure

import (
	"errors"
	"strconv"
	"strings"
	"testing"
	"yellowparcel/internal/told"
)

func TestParseReadsWhatPeopleType(t *testing.T) {
	for _, tt := range told.Lines(t, "testdata/lengths.txt", "read, in nanometres", 3) {
		text, unit := tt[0], Unit(tt[1])
		n, err := strconv.ParseInt(tt[2], 10, 64)
		if err != nil {
			t.Fatal(err)
		}
		want := Length(n)
		t.Run(text, func(t *testing.T) {
			got, err := Parse(text, unit)
			if err != nil || got != want {
				t.Errorf("Parse(%q, %s) = %d, %v; want %d", text, unit, got, err, want)
			}
		})
	}
}

func TestParseRefusesWithAdvice(t *testing.T) {
	lines := told.Lines(t, "testdata/lengths.txt", "refused", 3)
	for _, tt := range append(lines, []string{strings.Repeat("9", 1000), "too long for one length", "wrong"}) {
		text, says, unfinished := tt[0], tt[1], tt[2] == "unfinished"
		t.Run(text, func(t *testing.T) {
			got, err := Parse(text, Inches)
			var pe *ParseError
			if !errors.As(err, &pe) {
				t.Errorf("Parse(%q) = %v, %v; want a refusal", text, got, err)
				return
			}
			if !strings.Contains(pe.Advice, says) {
				t.Errorf("Parse(%q) says %q; want it to speak of %q", text, pe.Advice, says)
			}
			if pe.Unfinished != unfinished {
				t.Errorf("Parse(%q): unfinished = %v, want %v", text, pe.Unfinished, unfinished)
			}
		})
	}
}

// FuzzParse holds for any text: it is read into a bounded length or refused
// with a sentence, and whatever a style shows of the result is read back as
// what was shown.
func FuzzParse(f *testing.F) {
	for _, s := range []string{"5 1/2", "5½", "14,5 cm", "1,000", "1e9", "≈ 3 9⁄16", "\x00/", "5\x001/2", "½", "'", "5 3 1/8", "0x10", "٣"} {
		f.Add(s)
	}
	styles := []Style{{Inches, Inch / 64}, {Inches, Inch / 8}, {Millimetres, Millimetre / 10}, {Millimetres, Millimetre / 2}}
	f.Fuzz(func(t *testing.T, text string) {
		for _, s := range styles {
			l, err := Parse(text, s.Unit)
			if err != nil {
				if !strings.HasSuffix(strings.TrimSpace(err.Error()), ".") || strings.Contains(err.Error(), "\x00") && !strings.Contains(text, "\x00") {
					t.Errorf("Parse(%q) refuses with %q, which is not a sentence", text, err)
				}
				continue
			}
			if l < 0 || l > Longest {
				t.Fatalf("Parse(%q, %s) = %d, out of bounds", text, s.Unit, l)
			}
			shown := s.ShowUnit(l)
			if strings.HasPrefix(shown, "<") {
				continue
			}
			back, err := Parse(shown, s.Unit)
			if err != nil || back != l.Near(s.Tick) {
				t.Errorf("%q is shown as %q, which reads back as %d, %v; want %d", text, shown, back, err, l.Near(s.Tick))
			}
		}
	})
}
