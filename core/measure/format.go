package measure

import (
	"strconv"
	"strings"
)

// fractionSlash (U+2044) between two numbers makes a font with a frac feature
// draw a true fraction, and reads as "one over two" aloud.
const fractionSlash = "\u2044"

// Show returns the length as people read it in this style, without the unit:
// reduced fractions of an inch at the tick, or decimal millimetres. What has to be
// rounded to be shown is shown plainly; Rounds tells, and Other has it exactly.
func (s Style) Show(l Length) string {
	near := l.Abs().Near(s.Tick)
	text := s.exactly(near)
	switch {
	case near != l.Abs() && near == 0:
		// A plain 0 would hide that there is something; say which side it is on.
		if l < 0 {
			return "> −" + s.exactly(s.Tick)
		}
		return "< " + s.exactly(s.Tick)
	}
	return sign(l) + text
}

// ShowUnit is Show followed by the unit: "5 1⁄2 in", "139.7 mm".
func (s Style) ShowUnit(l Length) string { return s.Show(l) + " " + string(s.Unit) }

// Rounds reports whether Show has to round the length.
func (s Style) Rounds(l Length) bool { return l%s.Tick != 0 }

func sign(l Length) string {
	if l < 0 {
		return "−"
	}
	return ""
}

// exactly formats a non-negative multiple of the tick.
func (s Style) exactly(l Length) string {
	if s.Unit == Millimetres {
		return Decimal(l, Millimetre)
	}
	whole, rest := l/Inch, l%Inch
	if rest == 0 {
		return strconv.FormatInt(int64(whole), 10)
	}
	num, den := int64(rest/s.Tick), int64(Inch/s.Tick)
	for num%2 == 0 {
		num, den = num/2, den/2
	}
	frac := strconv.FormatInt(num, 10) + fractionSlash + strconv.FormatInt(den, 10)
	if whole == 0 {
		return frac
	}
	return strconv.FormatInt(int64(whole), 10) + " " + frac
}

// String gives the exact length in millimetres ("139.7 mm"), for logs and
// tests; people are shown Style.Show.
func (l Length) String() string { return Decimal(l, Millimetre) + " mm" }

// Decimal returns l counted in unit as an exact decimal without trailing
// zeros, as far as nine digits after the point go.
func Decimal(l, unit Length) string {
	whole, rest := l.Abs()/unit, l.Abs()%unit
	text := sign(l) + strconv.FormatInt(int64(whole), 10)
	if rest == 0 {
		return text
	}
	digits := ""
	for i := 0; i < 9 && rest > 0; i++ {
		rest *= 10
		digits += strconv.FormatInt(int64(rest/unit), 10)
		rest %= unit
	}
	return text + "." + strings.TrimRight(digits, "0")
}
