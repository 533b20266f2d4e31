package measure

import (
	"strings"
	"testing"
)

func TestUnitsAreCounted(t *testing.T) {
	for name, l := range map[string]struct {
		got  Length
		want int64
	}{"nanometre": {Nanometre, 1}, "micrometre": {Micrometre, 1_000}, "millimetre": {Millimetre, 1_000_000}, "centimetre": {Centimetre, 10_000_000}, "metre": {Metre, 1_000_000_000}, "inch": {Inch, 25_400_000}} {
		t.Run(name, func(t *testing.T) {
			if int64(l.got) != l.want {
				t.Errorf("a %s is %d nm", name, l.got)
			}
		})
	}
	if OfMillimetres(12.3456789) != 12_345_679*Nanometre || Inch.Millimetres() != 25.4 || (254*Millimetre).Inches() != 10 {
		t.Error("floats and lengths do not agree")
	}
}

// Every unit has its ticks, coarse to fine, and the finest is its last.
func TestTicksOfEveryUnit(t *testing.T) {
	for _, tt := range []struct {
		unit   Unit
		want   []Length
		advice string
	}{
		{Millimetres, []Length{500 * Micrometre, 100 * Micrometre}, "0.5 or 0.1 mm"},
		{Inches, []Length{3_175_000, 1_587_500, 793_750, 396_875}, "1/8, 1/16, 1/32 or 1/64 in"},
	} {
		t.Run(string(tt.unit), func(t *testing.T) {
			got := Ticks(tt.unit)
			for i, want := range tt.want {
				if got[i] != want {
					t.Errorf("tick %d is %v", i, got[i])
				}
			}
			s := Style{Unit: tt.unit, Tick: tt.want[0]}
			if s.Check() != nil || s.Finest() != (Style{Unit: tt.unit, Tick: tt.want[len(tt.want)-1]}) {
				t.Errorf("finest %v, %v", s.Finest(), s.Check())
			}
			s.Tick = 7
			if err := s.Check(); err == nil || !strings.Contains(err.Error(), tt.advice) {
				t.Errorf("a tick of 7 nm: %v", err)
			}
		})
	}
}

// A length that is no tick is named in the unit that suits it.
func TestOtherUnit(t *testing.T) {
	inches, millimetres := Style{Unit: Inches, Tick: Inch / 16}, Style{Unit: Millimetres, Tick: Millimetre / 2}
	for _, tt := range []struct {
		style Style
		l     Length
		want  string
	}{
		{inches, 10 * Millimetre, "10 mm"},
		{inches, 270 * Micrometre, "0.27 mm"},
		{inches, 1234567, "1.235 mm"},
		{millimetres, Inch / 64, "1⁄64 in"},
		{millimetres, 3 * Inch / 8, "3⁄8 in"},
		{millimetres, 333333, "0.333 mm"},
	} {
		if got := tt.style.Other(tt.l); got != tt.want {
			t.Errorf("%v in %s: %q, want %q", tt.l, tt.style.Unit, got, tt.want)
		}
	}
}

// Decimals are exact as far as nine digits go, and no zeros trail.
func TestDecimals(t *testing.T) {
	for _, tt := range []struct {
		l, unit Length
		want    string
	}{
		{Inch, Inch, "1"}, {Inch / 64, Inch, "0.015625"}, {-Inch / 2, Inch, "−0.5"}, {1, Millimetre, "0.000001"}, {1, Metre, "0.000000001"}, {Inch / 3, Inch, "0.333333307"},
		{10 * Millimetre, Centimetre, "1"}, {12_340_000, Millimetre, "12.34"},
	} {
		if got := Decimal(tt.l, tt.unit); got != tt.want {
			t.Errorf("%d of %d: %s, want %s", tt.l, tt.unit, got, tt.want)
		}
	}
}

// What goes on after a fraction is refused, whatever it is.
func TestWhatGoesOnAfterAFraction(t *testing.T) {
	for _, text := range []string{"1/2 3/4", "1/2/3", "1/2.5", "1/2,5", "5 1/2 1/4", "5-1/2-1/4"} {
		if l, err := Parse(text, Inches); err == nil || !strings.Contains(err.Error(), "goes on after its fraction") {
			t.Errorf("%q is %v, %v", text, l, err)
		}
	}
}

// A fraction may begin with a nought, and a nought after one is one number too many.
func TestNoughtsInFractions(t *testing.T) {
	for text, want := range map[string]Length{"5 0/8": 5 * Inch, "5-04/8": 5*Inch + Inch/2, "0/4": 0} {
		if got, err := Parse(text, Inches); err != nil || got != want {
			t.Errorf("%q is %v, %v", text, got, err)
		}
	}
	if got, err := Parse("1/2 0", Inches); err == nil || !strings.Contains(err.Error(), "goes on after its fraction") {
		t.Errorf("a nought after a fraction: %v, %v", got, err)
	}
}
