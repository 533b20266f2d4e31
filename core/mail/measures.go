package mail

import (
	"fmt"
	"strconv"
	"strings"

	"yellowparcel/core/measure"
)

// Measure is something of a piece that a rule limits.
type Measure string

// The measures that rules speak of. Length is the longest edge and Height the
// other one, but for AddressAspect, where length is the edge along the address.
const (
	Length        Measure = "length"
	Height        Measure = "height"
	Sum           Measure = "sum" // length, height and thickness together
	Thickness     Measure = "thickness"
	Weight        Measure = "weight"
	Aspect        Measure = "aspect" // length over height
	AddressAspect Measure = "addressAspect"
	Radius        Measure = "radius" // of the corners of a bare card
	Lump          Measure = "lump"   // the greatest rise within an inch
	Uneven        Measure = "uneven" // thickest less thinnest, an inch in from the edges
	Pull          Measure = "pull"   // of the belt that bends it round the drum
	Strain        Measure = "strain" // of its outermost fibre on the drum
	Odd           Measure = "odd"    // not a rectangle
	Square        Measure = "square"
	Clasp         Measure = "clasp"   // clasp, string or button closes it
	Plastic       Measure = "plastic" // its outside is not paper
	Bare          Measure = "bare"    // sent without an envelope
	Folded        Measure = "folded"  // a bare card that is folded
)

// Kind is what a measure is counted in.
type Kind int

// The kinds, with their base units.
const (
	Lengths  Kind = iota // nanometres
	Weights              // grams
	Ratios               // a plain number
	Forces               // newtons
	Percents             // of one
	Flags                // 1 for yes, 0 for no
)

var kinds = map[Measure]Kind{
	Length: Lengths, Height: Lengths, Sum: Lengths, Thickness: Lengths, Radius: Lengths, Lump: Lengths, Uneven: Lengths,
	Weight: Weights, Aspect: Ratios, AddressAspect: Ratios, Pull: Forces, Strain: Percents,
	Odd: Flags, Square: Flags, Clasp: Flags, Plastic: Flags, Bare: Flags, Folded: Flags,
}

// Measures lists every measure, those of size first.
func Measures() []Measure {
	return []Measure{Length, Height, Thickness, Weight, Aspect, AddressAspect, Sum, Square, Odd, Radius, Lump, Uneven, Pull, Strain, Clasp, Plastic, Bare, Folded}
}

// Kind is what the measure is counted in; it is false for one that is not known.
func (m Measure) Kind() (Kind, bool) {
	k, ok := kinds[m]
	return k, ok
}

// Quantity is a limit as a rulebook writes it ("6 1/8 in", "3.5 oz", "1.3",
// "15 lb", "0.5 %", "no") in the base unit of its measure.
type Quantity float64

// The units that a rulebook may use, in base units.
const (
	Ounce      = 28.349523125    // grams
	PoundForce = 4.4482216152605 // newtons
)

// quantity reads a limit of a measure.
func quantity(m Measure, text string) (Quantity, error) {
	kind, ok := kinds[m]
	if !ok {
		return 0, fmt.Errorf("%q is not something that is measured of a piece", m)
	}
	number, unit, _ := strings.Cut(strings.TrimSpace(text), " ")
	v, err := strconv.ParseFloat(number, 64)
	if v < 0 || v > 1e9 {
		return 0, fmt.Errorf("%q is out of all bounds", text)
	}
	switch kind {
	case Lengths:
		var w measure.Written
		if err := w.UnmarshalText([]byte(text)); err != nil {
			return 0, err
		}
		return Quantity(w), nil
	case Weights:
		grams, ok := map[string]float64{"g": 1, "kg": 1000, "oz": Ounce}[unit]
		if err != nil || !ok {
			return 0, fmt.Errorf("the weight %q is not a number with g, kg or oz", text)
		}
		return Quantity(v * grams), nil
	case Forces:
		newtons, ok := map[string]float64{"N": 1, "lb": PoundForce}[unit]
		if err != nil || !ok {
			return 0, fmt.Errorf("the pull %q is not a number with lb or N", text)
		}
		return Quantity(v * newtons), nil
	case Percents:
		if err != nil || unit != "%" {
			return 0, fmt.Errorf("the strain %q is not a number with %%", text)
		}
		return Quantity(v / 100), nil
	case Flags:
		yes, ok := map[string]Quantity{"yes": 1, "no": 0}[strings.TrimSpace(text)]
		if !ok {
			return 0, fmt.Errorf("%q is neither yes nor no", text)
		}
		return yes, nil
	}
	if err != nil || unit != "" {
		return 0, fmt.Errorf("the ratio %q is not a number", text)
	}
	return Quantity(v), nil
}
