package plan

import (
	"fmt"
	"math"
	"strconv"
	"strings"

	"yellowparcel/core/field"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// notation is how the numbers of one check are written, all alike: in a unit, as fractions
// of a tick or to so many digits.
type notation struct {
	kind   mail.Kind
	unit   string
	tick   measure.Length // zero for digits
	digits int
}

// grams are the units of a weight.
var grams = map[string]float64{"g": 1, "kg": 1000, "oz": field.Ounce, "lb": 16 * field.Ounce}

// mostDigits is how fine a number is written so that what is left of it is not nought.
const mostDigits = 4

// published is how a check is written as its limit was published: value, limit and margin
// in one notation, fine enough that a margin that is none stays to be seen.
func (m maker) published(c mail.Check) notation {
	k, _ := c.Measure.Known()
	n := notation{kind: k.Counted, unit: c.Unit, digits: 2}
	values := []float64{c.Measured, c.Margin}
	for _, q := range []*mail.Quantity{c.Min, c.Max} {
		if q != nil {
			values = append(values, float64(*q))
		}
	}
	switch {
	case k.Counted == mail.Lengths && c.Unit == string(measure.Inches):
		tick := m.Style().Tick
		if m.Style().Unit != measure.Inches || k.Fine {
			tick = measure.Inch / 64
		}
		n.tick = tick
		for _, v := range values {
			if measure.Round(v)%tick != 0 {
				n.tick = 0
			}
		}
		n.digits = 3
	case k.Counted == mail.Lengths:
		if n.unit = string(measure.Millimetres); !k.Fine {
			n.digits = 1
		}
	case k.Counted == mail.Weights && c.Unit == "g":
		n.digits = 1
	}
	for n.tick == 0 && n.digits < mostDigits && c.Margin != 0 && math.Abs(n.number(c.Margin)) < 0.5*math.Pow(10, -float64(n.digits)) {
		n.digits++
	}
	return n
}

// here is how a check is written in the shop's own unit; false where that is the same.
func (m maker) here(c mail.Check) (notation, bool) {
	k, _ := c.Measure.Known()
	own := c
	switch {
	case k.Counted == mail.Lengths && c.Unit != string(m.Style().Unit):
		own.Unit = string(m.Style().Unit)
	case k.Counted == mail.Weights && m.Style().Unit == measure.Inches && (c.Unit == "g" || c.Unit == "kg"):
		own.Unit = "oz"
	case k.Counted == mail.Weights && m.Style().Unit == measure.Millimetres && (c.Unit == "oz" || c.Unit == "lb"):
		own.Unit = "g"
	default:
		return notation{}, false
	}
	return m.published(own), true
}

// number is a value in the unit that it is written in.
func (n notation) number(v float64) float64 {
	switch n.kind {
	case mail.Lengths:
		if n.unit == string(measure.Inches) {
			return v / float64(measure.Inch)
		}
		return v / float64(measure.Millimetre)
	case mail.Weights:
		if g, ok := grams[n.unit]; ok {
			return v / g
		}
	}
	return v
}

// text writes a value with its unit.
func (n notation) text(v float64) string {
	if n.tick > 0 {
		return measure.Style{Unit: measure.Inches, Tick: n.tick}.ShowUnit(measure.Round(v))
	}
	text := strconv.FormatFloat(n.number(v), 'f', n.digits, 64)
	if strings.Contains(text, ".") {
		text = strings.TrimRight(strings.TrimRight(text, "0"), ".")
	}
	if text == "-0" {
		text = "0"
	}
	return strings.Replace(fmt.Sprintf("%s %s", text, n.unit), "-", "−", 1)
}

// ratioText writes a value of a check of a ratio or a share, fine enough that a margin that is none stays to be
// seen; false for another check.
func ratioText(c mail.Check, v float64) (string, bool) {
	of, unit := 1.0, ""
	switch k, _ := c.Measure.Known(); k.Counted {
	case mail.Ratios:
	case mail.Percents:
		of, unit = 100, " %"
	default:
		return "", false
	}
	digits := 2
	for digits < 6 && c.Margin != 0 && math.Abs(of*c.Margin) < 0.5*math.Pow(10, -float64(digits)) {
		digits++
	}
	return strings.Replace(strconv.FormatFloat(of*v, 'f', digits, 64), "-", "−", 1) + unit, true
}

// checkText writes a value of a check as its limit was published, in parentheses as the
// shop writes it where that differs.
func (m maker) checkText(c mail.Check, v float64) string {
	if text, ok := ratioText(c, v); ok {
		return text
	}
	if k, _ := c.Measure.Known(); k.Counted != mail.Lengths && k.Counted != mail.Weights {
		return m.amount(c.Measure, v, true)
	}
	text := m.published(c).text(v)
	if own, ok := m.here(c); ok {
		text += " (" + own.text(v) + ")"
	}
	return text
}
