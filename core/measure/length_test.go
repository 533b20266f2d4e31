package measure

import (
	"math/rand/v2"
	"testing"
)

func TestShow(t *testing.T) {
	in := func(den Length) Style { return Style{Inches, Inch / den} }
	mm := func(den Length) Style { return Style{Millimetres, Millimetre / den} }
	for _, tt := range []struct {
		l     Length
		style Style
		want  string
	}{
		{5*Inch + Inch/2, in(16), "5 1⁄2"},
		{5 * Inch, in(16), "5"},
		{Inch / 8, in(8), "1⁄8"},
		{0, in(8), "0"},
		{-Inch / 8, in(8), "−1⁄8"},
		{3*Inch + 9*Inch/16, in(16), "3 9⁄16"},
		{3*Inch + 9*Inch/16, in(8), "3 5⁄8"},
		{3*Inch + 9*Inch/16 + 1, in(16), "3 9⁄16"},
		{Inch - 1, in(16), "1"},
		{140 * Millimetre, in(16), "5 1⁄2"},
		{1, in(64), "< 1⁄64"},
		{-1, in(64), "> −1⁄64"},
		{5*Inch + Inch/2, mm(10), "139.7"},
		{5*Inch + Inch/2, mm(2), "139.5"},
		{5*Inch + 3*Inch/8, mm(10), "136.5"},
		{140 * Millimetre, mm(2), "140"},
		{1234567 * Millimetre / 10, mm(10), "123456.7"},
		{Millimetre / 100, mm(10), "< 0.1"},
	} {
		if got := tt.style.Show(tt.l); got != tt.want {
			t.Errorf("%v.Show(%d) = %q, want %q", tt.style, tt.l, got, tt.want)
		}
	}
	if got := in(16).ShowUnit(5*Inch + Inch/2); got != "5 1⁄2 in" {
		t.Errorf("ShowUnit = %q", got)
	}
	if got := (5*Inch + 3*Inch/8).String(); got != "136.525 mm" {
		t.Errorf("String = %q", got)
	}
}

func TestDirectedRounding(t *testing.T) {
	rng := rand.New(rand.NewPCG(1, 2))
	steps := append(Ticks(Inches), Ticks(Millimetres)...)
	for range 20_000 {
		l := Length(rng.Int64N(int64(4*Metre))) - 2*Metre
		step := steps[rng.IntN(len(steps))]
		down, up, near := l.Down(step), l.Up(step), l.Near(step)
		if down%step != 0 || up%step != 0 || near%step != 0 {
			t.Fatalf("%d at %d: %d, %d, %d are not all ticks", l, step, down, up, near)
		}
		if down > l || up < l || up-down > step || (l%step == 0) != (up == down) {
			t.Fatalf("%d at %d: down %d, up %d", l, step, down, up)
		}
		if (near - l).Abs() > step/2 {
			t.Fatalf("%d at %d: near %d is more than half a tick away", l, step, near)
		}
	}
}

func TestEveryTickIsExactAndReadsBack(t *testing.T) {
	for _, unit := range []Unit{Inches, Millimetres} {
		for _, tick := range Ticks(unit) {
			s := Style{unit, tick}
			if err := s.Check(); err != nil {
				t.Error(err)
			}
			for n := Length(1); n < 3000; n++ {
				l := n * tick
				got, err := Parse(s.Show(l), unit)
				if err != nil || got != l {
					t.Fatalf("%d is shown as %q and read as %d, %v", l, s.Show(l), got, err)
				}
			}
		}
	}
}

func TestStyleCheck(t *testing.T) {
	for _, s := range []Style{{"ft", Inch / 8}, {Inches, Inch / 3}, {Inches, Millimetre / 2}, {Millimetres, Inch / 8}, {Inches, 0}, {}} {
		if s.Check() == nil {
			t.Errorf("style %+v is accepted", s)
		}
	}
}

func TestRound(t *testing.T) {
	for nm, want := range map[float64]Length{0.4: 0, 0.5: 1, -0.5: -1, 1e9 + 0.49: 1_000_000_000} {
		if got := Round(nm); got != want {
			t.Errorf("Round(%g) = %d, want %d", nm, got, want)
		}
	}
	if got := (-3 * Inch).Abs(); got != 3*Inch {
		t.Errorf("Abs = %d", got)
	}
}

func TestWrittenWantsItsUnit(t *testing.T) {
	var w Written
	if err := w.UnmarshalText([]byte("5 1/4 in")); err != nil || Length(w) != 5*Inch+Inch/4 {
		t.Errorf("5 1/4 in = %d, %v", w, err)
	}
	for _, text := range []string{"5", "5 1/4", "five", ""} {
		if w.UnmarshalText([]byte(text)) == nil {
			t.Errorf("%q is read without a unit", text)
		}
	}
}
