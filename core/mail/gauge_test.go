package mail

import (
	"testing"

	"yellowparcel/core/measure"
)

// A piece 5 x 8 3/4, slot 6 3/4 x 1/4: along 1 to 7 3/4, across 2 3/8 to 2 5/8.
func TestSlotGauge(t *testing.T) {
	g, err := NewSlotGauge(in/4, 5*in+3*in/4, 5*in, 8*in+3*in/4, in/16)
	if err != nil || g.SlotWidth != 6*in+3*in/4 || g.SlotHeight != in/4 || g.Left != in || g.Right != 7*in+3*in/4 || g.Top != 2*in+3*in/8 || g.Bottom != 2*in+5*in/8 {
		t.Errorf("%+v, %v", g, err)
	}
	// A limit in the other unit is rounded down.
	g, err = NewSlotGauge(5*measure.Millimetre, 5*in, 4*in, 8*in, in/16)
	if err != nil || g.SlotHeight != 3*in/16 || g.Bottom-g.Top != g.SlotHeight {
		t.Errorf("%+v, %v", g, err)
	}
	for name, make := range map[string]func() (SlotGauge, error){
		"too thin":   func() (SlotGauge, error) { return NewSlotGauge(in/100, 5*in, 5*in, 9*in, in/16) },
		"too short":  func() (SlotGauge, error) { return NewSlotGauge(in/4, 5*in, 5*in, 6*in, in/16) },
		"too narrow": func() (SlotGauge, error) { return NewSlotGauge(in/4, 5*in, in, 9*in, in/16) },
	} {
		if _, err := make(); err == nil {
			t.Errorf("%s: no word of it", name)
		}
	}
}
