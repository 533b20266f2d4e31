package mail

import (
	"testing"

	"yellowparcel/core/measure"
)

// A piece 5 x 8 3/4, slot 6 3/4 x 1/4: along 1 to 7 3/4, across 2 3/8 to 2 5/8.
func TestSlotGauge(t *testing.T) {
	g, fault := NewSlotGauge(in/4, 5*in+3*in/4, 5*in, 8*in+3*in/4, in/16)
	if fault != GaugeFits || g.SlotWidth != 6*in+3*in/4 || g.SlotHeight != in/4 || g.Left != in || g.Right != 7*in+3*in/4 || g.Top != 2*in+3*in/8 || g.Bottom != 2*in+5*in/8 {
		t.Errorf("%+v, %v", g, fault)
	}
	// A limit in the other unit is rounded down.
	g, fault = NewSlotGauge(5*measure.Millimetre, 5*in, 4*in, 8*in, in/16)
	if fault != GaugeFits || g.SlotHeight != 3*in/16 || g.Bottom-g.Top != g.SlotHeight {
		t.Errorf("%+v, %v", g, fault)
	}
	for want, make := range map[GaugeFault]func() (SlotGauge, GaugeFault){
		ThinLimit:  func() (SlotGauge, GaugeFault) { return NewSlotGauge(in/100, 5*in, 5*in, 9*in, in/16) },
		ShortCard:  func() (SlotGauge, GaugeFault) { return NewSlotGauge(in/4, 5*in, 5*in, 6*in, in/16) },
		NarrowCard: func() (SlotGauge, GaugeFault) { return NewSlotGauge(in/4, 5*in, in, 9*in, in/16) },
	} {
		if _, got := make(); got != want {
			t.Errorf("%q, want %q", got, want)
		}
	}
}

// For a bare card there is a second slot: the limit less the envelope's layers, an inch below the first, or on a
// piece of its own. Four layers of .1 mm off 1/4 leave .234, 3/16 in sixteenths.
func TestSecondSlot(t *testing.T) {
	g, _ := NewSlotGauge(in/4, 5*in+3*in/4, 5*in, 8*in+3*in/4, in/16)
	top, bottom, room, ok := g.Second(in/4, 400*measure.Micrometre, in/16)
	if top != g.Bottom+in || bottom-top != 3*in/16 || !room || !ok {
		t.Errorf("%s to %s, room %v, %v", top, bottom, room, ok)
	}
	low, _ := NewSlotGauge(in/4, 5*in+3*in/4, 3*in, 8*in+3*in/4, in/16)
	if _, _, room, ok := low.Second(in/4, 400*measure.Micrometre, in/16); room || !ok {
		t.Errorf("a piece of 3 in: room %v, %v", room, ok)
	}
	if _, _, _, ok := g.Second(in/4, 5*measure.Millimetre, in/16); ok {
		t.Error("there is nothing left to cut")
	}
}
