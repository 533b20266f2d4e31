package paper

import (
	"testing"

	"yellowparcel/core/measure"
)

const in = measure.Inch

func TestDirections(t *testing.T) {
	tall, wide, square := Sheet{Width: 8 * in, Height: 11 * in}, Sheet{Width: 19 * in, Height: 13 * in}, Sheet{Width: 12 * in, Height: 12 * in}
	for _, tt := range []struct {
		name  string
		d     Direction
		sheet Sheet
		want  bool
	}{
		{"long on a tall sheet", AlongLong, tall, true},
		{"long on a wide sheet", AlongLong, wide, false},
		{"long on a square: the upright side", AlongLong, square, true},
		{"short on a tall sheet", AlongShort, tall, false},
		{"short on a wide sheet", AlongShort, wide, true},
		{"short on a square", AlongShort, square, false},
	} {
		t.Run(tt.name, func(t *testing.T) {
			if got := tt.d.Upright(tt.sheet); got != tt.want {
				t.Errorf("upright: %v", got)
			}
		})
	}
	for d, want := range map[Direction]bool{Unknown: true, AlongLong: true, AlongShort: true, "slantwise": false} {
		if d.Valid() != want {
			t.Errorf("“%s” is known: %v", d, d.Valid())
		}
	}
}

func TestWhatSticks(t *testing.T) {
	tape, glue, untried := Adhesive{Holds: Surfaces()}, Adhesive{Holds: []Surface{Uncoated, Coated}}, Adhesive{}
	for _, s := range append(Surfaces(), "") {
		if !tape.Sticks(s) || !untried.Sticks(s) {
			t.Errorf("tape, or what nobody tried, does not hold on “%s”", s)
		}
		if want := s == "" || s == Uncoated || s == Coated; glue.Sticks(s) != want {
			t.Errorf("glue on “%s”: %v", s, glue.Sticks(s))
		}
	}
	if (Adhesive{Holds: []Surface{Foil}}).Sticks("") {
		t.Error("what holds on foil alone holds on plain paper")
	}
}

// The weight of a rectangle goes with both sides and the gsm.
func TestWeightsGoWithTheArea(t *testing.T) {
	s := Stock{GSM: 200}
	for _, tt := range []struct {
		w, h measure.Length
		want float64
	}{{measure.Metre, measure.Metre, 200}, {measure.Metre / 2, measure.Metre, 100}, {measure.Metre / 2, measure.Metre / 4, 25}, {0, measure.Metre, 0}} {
		if got := s.Weight(tt.w, tt.h); got != tt.want {
			t.Errorf("%v x %v weighs %v g, want %v", tt.w, tt.h, got, tt.want)
		}
	}
}
