package measure

import (
	"errors"
	"strings"
	"testing"
)

func TestParseReadsWhatPeopleType(t *testing.T) {
	half := 5*Inch + Inch/2
	for _, tt := range []struct {
		text string
		unit Unit
		want Length
	}{
		{"5 1/2", Inches, half},
		{"5½", Inches, half},
		{"5 ½", Inches, half},
		{"5-1/2", Inches, half},
		{"5–1/2", Inches, half},
		{"5.5", Inches, half},
		{"5,5", Inches, half},
		{".5", Inches, Inch / 2},
		{"5.", Inches, 5 * Inch},
		{`5 1/2"`, Inches, half},
		{`5 1/2"`, Millimetres, half},
		{"5 1/2″", Millimetres, half},
		{"5 1/2''", Millimetres, half},
		{"5 1/2 in.", Millimetres, half},
		{"5 1/2 Inches", Millimetres, half},
		{"5 1⁄2", Inches, half},
		{"≈ 5 1⁄2", Inches, half},
		{"  5   1/2  ", Inches, half},
		{"5\u00a01/2", Inches, half},
		{"140mm", Inches, 140 * Millimetre},
		{"140", Millimetres, 140 * Millimetre},
		{"14 cm", Inches, 140 * Millimetre},
		{"14,5 cm", Inches, 145 * Millimetre},
		{"0,125", Inches, Inch / 8},
		{"1,25", Inches, Inch + Inch/4},
		{"1,2500", Inches, Inch + Inch/4},
		{"1/4", Inches, Inch / 4},
		{"⅛ in", Millimetres, Inch / 8},
		{"⅛", Inches, Inch / 8},
		{"9/8", Inches, Inch + Inch/8},
		{"1/3", Inches, 8_466_667},
		{"1/64", Inches, 396_875},
		{"0.001", Millimetres, 1000},
		{"0.0000014", Millimetres, 1},
		{"0.0000015", Millimetres, 2},
		{"0", Inches, 0},
		{"100000 mm", Inches, 100 * Metre},
	} {
		t.Run(tt.text, func(t *testing.T) {
			got, err := Parse(tt.text, tt.unit)
			if err != nil || got != tt.want {
				t.Errorf("Parse(%q, %s) = %d, %v; want %d", tt.text, tt.unit, got, err, tt.want)
			}
		})
	}
}

func TestParseRefusesWithAdvice(t *testing.T) {
	for _, tt := range []struct {
		text       string
		says       string // a part of the sentence
		unfinished bool
	}{
		{"", "no length here yet", true},
		{"   ", "no length here yet", true},
		{"5 3 1/8", "two whole numbers", false},
		{"1/0", "divides by nothing", false},
		{"5 1/0", "divides by nothing", false},
		{"-3", "cannot be negative", false},
		{"−3", "cannot be negative", false},
		{"5 9/8", "type 6 1/8 if", false},
		{"5 8/8", "type 6 if", false},
		{"1,000", "type 1.000 or 1000", false},
		{"12,125 mm", "type 12.125 or 12125", false},
		{"5 - 1/2", "minus", false},
		{"5 -1/2", "minus", false},
		{"5- 1/2", "minus", false},
		{"1e9", "not a way to write a length", false},
		{"1e400", "not a way to write a length", false},
		{"5 x 7", "more than one length", false},
		{"5 in 3", "more than one length", false},
		{`5" 1/2`, "more than one length", false},
		{"5 1/2 1/4", "one length", false},
		{"1/2/3", "one length", false},
		{"½½", "one length", false},
		{"5½3", "one length", false},
		{"5.5 1/2", "mixes a decimal with a fraction", false},
		{"5.5½", "mixes a decimal with a fraction", false},
		{"5.5/2", "mixes a decimal with a fraction", false},
		{"5.5.5", "two points", false},
		{"1,000.5", "thousand", false},
		{"1.000,5", "two points", false},
		{"5 ft", "“ft” is not known", false},
		{"5 furlongs", "use in, mm or cm", false},
		{"wide", "does not begin with a number", false},
		{"in", "does not begin with a number", false},
		{"1 000 km", "one", false},
		{"2 km", "“km” is not known", false},
		{"99999999999999999999 mm", "longer than any sheet", false},
		{"100001 mm", "longer than any sheet", false},
		{strings.Repeat("9", 1000), "too long for one length", false},
		{"5 1/", "no lower number yet", true},
		{"5 1", "finish the fraction", true},
		{"5-", "finish the fraction", true},
		{".", "no digits round the point", true},
		{"5,", "no digits after the comma", true},
		{"14 c", "not a unit yet", true},
		{"14 m", "not a unit yet", true},
	} {
		t.Run(tt.text, func(t *testing.T) {
			got, err := Parse(tt.text, Inches)
			var pe *ParseError
			if !errors.As(err, &pe) {
				t.Errorf("Parse(%q) = %v, %v; want a refusal", tt.text, got, err)
				return
			}
			if !strings.Contains(pe.Advice, tt.says) {
				t.Errorf("Parse(%q) says %q; want it to speak of %q", tt.text, pe.Advice, tt.says)
			}
			if pe.Unfinished != tt.unfinished {
				t.Errorf("Parse(%q): unfinished = %v, want %v", tt.text, pe.Unfinished, tt.unfinished)
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
