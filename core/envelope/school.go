package envelope

import (
	"slices"

	"yellowparcel/core/measure"
)

// School is a habit of choosing the card for an envelope.
type School string

// The schools, the default first.
const (
	QuarterStep School = "quarter" // 1/4 less in each dimension, 1/8 all round
	RaisedStep  School = "raised"  // another 1/8 less, for raised cards
	TradeSizes  School = "trade"   // the card that the envelope is sold for
	QuarterInch School = "inch"    // the largest quarter inches that leave 1/8
	Measured    School = "measure" // the card's thickness and a chosen ease less
	MetricStep  School = "metric"  // 6 mm less, 3 all round
	OwnEase     School = "own"     // a chosen ease less
)

// Schools lists the schools in the order they are offered.
func Schools() []School {
	return []School{QuarterStep, RaisedStep, TradeSizes, QuarterInch, Measured, MetricStep, OwnEase}
}

// Usual is the school that makers of a unit begin with.
func Usual(unit measure.Unit) School {
	if unit == measure.Millimetres {
		return MetricStep
	}
	return QuarterStep
}

// SchoolsIn lists the schools with the usual one of a unit first.
func SchoolsIn(unit measure.Unit) []School {
	usual := Usual(unit)
	return append([]School{usual}, slices.DeleteFunc(Schools(), func(s School) bool { return s == usual })...)
}

const (
	quarter    = measure.Inch / 4
	raisedBy   = measure.Inch / 8
	leastEase  = measure.Inch / 8
	metricEase = 6 * measure.Millimetre
)

// CardFor returns the card that a school makes for an envelope, long side as
// Width, rounded down to the tick because it goes inside. The thickness and the
// ease count only where the school looks at them. It is false when the school
// has no card for it: none is listed, or nothing would be left.
func CardFor(s School, f Format, thickness, ease, tick measure.Length) (Size, bool) {
	less := measure.Length(0)
	switch s {
	case TradeSizes:
		if len(f.Cards) == 0 {
			return Size{}, false
		}
		return f.Cards[0], true
	case QuarterInch:
		w, h := (f.Width - leastEase).Down(quarter), (f.Height - leastEase).Down(quarter)
		return Size{w, h}, h > 0
	case QuarterStep:
		less = quarter
	case RaisedStep:
		less = quarter + raisedBy
	case MetricStep:
		less = metricEase
	case Measured:
		less = thickness + ease
	case OwnEase:
		less = ease
	}
	size := Size{(f.Width - less).Down(tick), (f.Height - less).Down(tick)}
	return size, size.Height > 0
}
