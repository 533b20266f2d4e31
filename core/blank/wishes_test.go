package blank

import (
	"testing"

	"yellowparcel/core/measure"
)

// What a maker wishes too large or too small is made as it can be, and told of:
// the engine finds what is told.
func TestWishesThatCannotBe(t *testing.T) {
	s := Spec{Width: 6 * in, Height: 4 * in, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Adhesive: in / 4, Style: sixteenth, Pocket: ExactPocket}
	for _, tt := range []struct {
		name string
		make func(Spec) Made
		wish func(*Spec)
		want FaultID
		a, b measure.Length
	}{
		{"a flap under its glue", NewPocket, func(s *Spec) { s.Flap = in / 2 }, FlapRaised, in / 2, 7 * in / 8},
		{"a flap longer than the front", NewPocket, func(s *Spec) { s.Flap = 6 * in }, FlapTooLong, 6 * in, 17 * in / 4},
		{"a notch deeper than half the back", NewPocket, func(s *Spec) { s.Notch = 3 * in }, NotchTooDeep, 3 * in, 15 * in / 8},
		{"tabs wider than the front", NewPocket, func(s *Spec) { s.Seam = 7 * in }, TabsMeet, 14 * in, 25 * in / 4},
		{"corners rounder than the seam", NewPocket, func(s *Spec) { s.Corner, s.Adhesive = 3*in, 11*in/16 }, SeamRounded, 0, 11 * in / 16},
		{"walls higher than the floor is wide", NewSquareBox, func(s *Spec) { s.Depth = 7 * in }, "", 0, 0},
	} {
		t.Run(tt.name, func(t *testing.T) {
			k := s
			tt.wish(&k)
			m := tt.make(k)
			if err := m.Prove(); err != nil {
				t.Errorf("%s: %v", tt.name, err)
			}
			told := tt.want == ""
			for _, f := range m.Faults {
				if f.ID == tt.want && (tt.a == 0 || f.A == tt.a) && f.B == tt.b {
					told = true
				}
			}
			if !told {
				t.Errorf("%s: %v", tt.name, m.Faults)
			}
		})
	}
	// What is longer than the front sticks out, and the closed envelope is as long.
	s.Flap = 6 * in
	if m := NewPocket(s); m.Height != 6*in || m.EaseHeight > in/4 {
		t.Errorf("closed it is %v high, with an ease of %v", m.Height, m.EaseHeight)
	}
}

// Two creases as far apart as a card is thick leave nothing of a narrow tab: then there
// is one, and it is told; a hair of a tab more, and there are two.
func TestTwoCreasesNeedATab(t *testing.T) {
	s := Spec{Width: 6 * in, Height: 4 * in, Thickness: in, Ease: in / 4, ThumbGap: in / 2, Adhesive: in / 8, Style: sixteenth, Pocket: ExactPocket, Double: true}
	for _, tt := range []struct {
		name string
		seam measure.Length
		two  bool
	}{{"a tab half as wide", in / 4, false}, {"a tab just as wide", in / 2, false}, {"a tab a tick wider", in/2 + in/16, true}} {
		t.Run(tt.name, func(t *testing.T) {
			s.Seam = tt.seam
			m := NewPocket(s)
			if (m.Depth == in) != tt.two || m.Faulty(SingleCrease) == tt.two || m.Prove() != nil {
				t.Errorf("%v deep, %v, %v", m.Depth, m.Faults, m.Prove())
			}
		})
	}
}
