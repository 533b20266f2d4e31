package measure

import "fmt"

// Unit is the unit a shop works in: what a bare number means and how lengths
// are shown.
type Unit string

// The units a shop can work in.
const (
	Inches      Unit = "in"
	Millimetres Unit = "mm"
)

// Valid reports whether u is a unit a shop can work in.
func (u Unit) Valid() bool { return u == Inches || u == Millimetres }

func (u Unit) length() Length {
	if u == Millimetres {
		return Millimetre
	}
	return Inch
}

// Style says how a shop reads and shows lengths: its unit and its tick, the
// smallest step its tools can set.
type Style struct {
	Unit Unit
	Tick Length
}

// Ticks lists the ticks that a unit offers, coarse to fine.
func Ticks(u Unit) []Length {
	if u == Millimetres {
		return []Length{Millimetre / 2, Millimetre / 10}
	}
	return []Length{Inch / 8, Inch / 16, Inch / 32, Inch / 64}
}

// Check refuses a style whose tick does not belong to its unit.
func (s Style) Check() error {
	if !s.Unit.Valid() {
		return fmt.Errorf("the unit “%s” is not known here: choose in or mm", s.Unit)
	}
	for _, t := range Ticks(s.Unit) {
		if t == s.Tick {
			return nil
		}
	}
	return fmt.Errorf("a step of %d nm cannot be set in %s: choose one of %s", s.Tick, s.Unit, tickNames(s.Unit))
}

func tickNames(u Unit) string {
	if u == Millimetres {
		return "0.5 or 0.1 mm"
	}
	return "1/8, 1/16, 1/32 or 1/64 in"
}

// Finest is the same unit at its finest tick, for thicknesses and errors that a
// coarser one would hide.
func (s Style) Finest() Style {
	ticks := Ticks(s.Unit)
	return Style{Unit: s.Unit, Tick: ticks[len(ticks)-1]}
}

// Other names a length that is no tick of this style in the unit that suits it: the
// other unit when it is round there, else decimals of a millimetre.
func (s Style) Other(l Length) string {
	other := Style{Unit: Millimetres, Tick: Millimetre / 10}
	if s.Unit == Millimetres {
		other = Style{Unit: Inches, Tick: Inch / 64}
	}
	if !other.Rounds(l) {
		return other.ShowUnit(l)
	}
	return Decimal(l.Near(Micrometre), Millimetre) + " mm"
}
