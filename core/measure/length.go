// Package measure holds the lengths of the workshop: exact, typed by people,
// shown at the step their tools can set.
//
// A Length is a whole number of nanometres, so 1/64 in (396 875 nm) and
// 0.001 mm (1 000 nm) are both exact and adding them never drifts:
//
//	l, err := measure.Parse("5 1/2", measure.Inches)
//	l == 5*measure.Inch + measure.Inch/2
//
// It carries out the section "Lengths" of docs/sums.md.
package measure

import "math"

// Length is a distance in nanometres. Like time.Duration it is a plain integer
// with units as constants; negative values occur only as differences (an ease,
// a margin), never as something that can be cut.
type Length int64

// The units of length.
const (
	Nanometre  Length = 1
	Micrometre        = 1000 * Nanometre
	Millimetre        = 1000 * Micrometre
	Centimetre        = 10 * Millimetre
	Metre             = 1000 * Millimetre
	Inch              = 25_400_000 * Nanometre
)

// Inches returns the length as a floating number of inches, for ratios and
// irrational formulas only.
func (l Length) Inches() float64 { return float64(l) / float64(Inch) }

// Millimetres returns the length as a floating number of millimetres, the unit
// of every drawing.
func (l Length) Millimetres() float64 { return float64(l) / float64(Millimetre) }

// Abs returns the length without its sign.
func (l Length) Abs() Length { return max(l, -l) }

// Round returns the length nearest to nm nanometres, halves away from zero. It
// is where an irrational result (a diagonal, a seam) becomes a Length again:
// once, at the end of its formula.
func Round(nm float64) Length { return Length(math.Round(nm)) }

// OfMillimetres is a length given in millimetres.
func OfMillimetres(mm float64) Length { return Round(mm * float64(Millimetre)) }

// Down returns the largest multiple of step that is not more than l: the
// rounding for whatever goes inside something else. Step must be positive.
func (l Length) Down(step Length) Length {
	r := l % step
	if r < 0 {
		r += step
	}
	return l - r
}

// Up returns the smallest multiple of step that is not less than l: the
// rounding for whatever goes around something else. Step must be positive.
func (l Length) Up(step Length) Length { return -(-l).Down(step) }

// Near returns the multiple of step nearest to l; halfway goes up. Step must be
// positive.
func (l Length) Near(step Length) Length { return (l + step/2).Down(step) }
