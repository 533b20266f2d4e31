package field

import (
	"fmt"
	"math"
	"strconv"
	"strings"
	"time"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// Price is a price in hundredths.
type Price struct {
	untyped
	At   *int
	Most int
}

// Kind of the field.
func (*Price) Kind() Kind { return PriceKind }

// Show writes it with two digits behind the point.
func (p *Price) Show(measure.Style) (text, exact string) {
	return fmt.Sprintf("%d.%02d", *p.At/100, *p.At%100), ""
}

// Type reads a price: "1.30", "1,3", "$2".
func (p *Price) Type(text, _ string, _ measure.Style) error {
	number := strings.TrimSpace(strings.TrimFunc(text, func(r rune) bool { return (r < '0' || r > '9') && r != '.' && r != ',' && r != '-' }))
	v, err := strconv.ParseFloat(strings.Replace(number, ",", ".", 1), 64)
	if err != nil || !(v >= 0 && v*100 <= float64(p.Most)) {
		return say.Refuse("“%s” is not a price: type it as 1.30.", say.Clip(text))
	}
	*p.At = int(math.Round(v * 100))
	return nil
}

// Check holds it against its bounds.
func (p *Price) Check(name string, _ measure.Style) error {
	if *p.At < 0 || *p.At > p.Most {
		return say.Refuse("The %s lies out of all bounds: type one from 0 to %d.", name, p.Most/100)
	}
	return nil
}

// Date is a day, as 2026-11-24.
type Date struct {
	untyped
	At *string
	// Empty is set where nobody need know the day.
	Empty bool
}

// Kind of the field.
func (*Date) Kind() Kind { return DateKind }

func (d *Date) of() (string, bool) { return "", d.Empty }

// Show is the day as it is written.
func (d *Date) Show(measure.Style) (text, exact string) { return *d.At, "" }

// Type reads a day.
func (d *Date) Type(text, _ string, _ measure.Style) error {
	text = strings.TrimSpace(text)
	if _, err := time.Parse(time.DateOnly, text); err != nil && !(text == "" && d.Empty) {
		return say.Refuse("“%s” is not a day: type it as 2026-11-24.", say.Clip(text))
	}
	*d.At = text
	return nil
}

// Check lets stand what was stored.
func (*Date) Check(string, measure.Style) error { return nil }
