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
	TableBend     Measure = "table"  // strain when it is bent over a table's edge
	Girth         Measure = "girth"  // length, and once round it
	Box           Measure = "box"    // a box with a lid
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

// measures are all that rules may limit, those of size first: each is a value beside
// its family.
var measures = []*MeasureKind{
	&length, &height, &thickness, &weight, &aspect, &addressAspect, &sum, &girth, &square, &odd, &radius, &lump, &uneven, &pull, &strain, &tableBend, &clasp, &plastic, &box, &bare, &folded,
}

// MeasureKind is something of a piece that a rule limits: all that the program knows of
// it. Whoever adds one writes such a value and names it in the list above.
type MeasureKind struct {
	ID      Measure
	Words   MeasureWords
	Counted Kind
	// Of is what a piece has of it, flat and filled: in its base unit. Error is how far
	// that may be off; nil for not at all.
	Of    func(Piece) (flat, filled float64)
	Error func(Piece) float64
	// Over is more than what it is for certain, where how much more nobody knows, zero else; nil for what is
	// always known. Asked is what the post asks for, in nanometres, of a measure that is the program's
	// way to find out.
	Over, Asked func(Piece) float64
	// Exceeds is set for what makes a piece too large for a class, so that the next one
	// is needed. Shape is set where it is the envelope's form that breaks it, Both where
	// flat and filled count alike.
	Exceeds, Shape, Both bool
	// Fine is set where thousandths decide, which a tick would hide; Quoted for a limit
	// that notes name.
	Fine, Quoted bool
	// What may help where it is broken.
	Lighter, Rectangle, ByHand, Shield bool
}

// MeasureWords are what is said of a measure: its name, and what is wrong where there
// is too little or too much of it; of a yes or no, what it then is.
type MeasureWords struct{ Name, Low, High string }

// Measures lists every measure, those of size first.
func Measures() []Measure {
	list := make([]Measure, len(measures))
	for i, k := range measures {
		list[i] = k.ID
	}
	return list
}

// Known is what is known of a measure; false where it is none.
func (m Measure) Known() (*MeasureKind, bool) {
	for _, k := range measures {
		if k.ID == m {
			return k, true
		}
	}
	return &MeasureKind{ID: m, Of: one(func(Piece) float64 { return 0 })}, false
}

// Kind is what the measure is counted in; it is false for one that is not known.
func (m Measure) Kind() (Kind, bool) {
	k, ok := m.Known()
	return k.Counted, ok
}

// Words are what is said of a measure.
func (m Measure) Words() MeasureWords {
	k, _ := m.Known()
	return k.Words
}

// Register adds a measure to those that rules may limit, and returns what takes it off
// again: for tests, which are to find that nothing else need be done.
func Register(k *MeasureKind) (remove func()) {
	before := measures
	measures = append(measures[:len(before):len(before)], k)
	return func() { measures = before }
}

// one is a measure that is the same of a flat piece and a filled one, flag a yes or no.
func one(of func(Piece) float64) func(Piece) (float64, float64) {
	return func(p Piece) (float64, float64) { return of(p), of(p) }
}

func flag(is func(Piece) bool) func(Piece) (float64, float64) {
	return one(func(p Piece) float64 {
		if is(p) {
			return 1
		}
		return 0
	})
}

// long and short are the sides of a piece.
func (p Piece) long() float64  { return float64(max(p.Width, p.Height)) }
func (p Piece) short() float64 { return float64(min(p.Width, p.Height)) }

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
	kind, ok := m.Kind()
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
		grams, ok := map[string]float64{"g": 1, "kg": 1000, "oz": Ounce, "lb": 16 * Ounce}[unit]
		if err != nil || !ok {
			return 0, fmt.Errorf("the weight %q is not a number with g, kg, oz or lb", text)
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
