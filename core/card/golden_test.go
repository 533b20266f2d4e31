package card

import (
	"fmt"
	"math/rand/v2"
	"slices"
	"testing"

	"yellowparcel/core/measure"
	"yellowparcel/internal/golden"
)

// Bases of every fold, layers and what thickness takes are what they were.
func TestCardsAreTheSame(t *testing.T) {
	r := rand.New(rand.NewPCG(12, 11))
	length := func(least, most int) measure.Length {
		return measure.Length(least+r.IntN(most-least)) * measure.Inch / 32
	}
	var lines []string
	for range 120 {
		s := Spec{Fold: Folds()[r.IntN(len(Folds()))], Width: length(60, 300), Height: length(60, 300), Panels: 3 + r.IntN(9), Caliper: length(0, 4), Tick: length(0, 5)}
		if r.IntN(3) == 0 {
			s.Own, s.Spine = []measure.Length{length(40, 60), length(40, 60), length(20, 60)}, length(0, 20)
		}
		b := NewBase(s)
		lines = append(lines, fmt.Sprintf("%s %v x %v across %v %v %v layers %d %v %v asks %v", b.Fold, b.Width, b.Height, b.Across, b.Panels, b.Scores, s.Layers(), b.Lengths(), s.Fold.Kind().Words.Panels(len(b.Panels)), s.Fold.Kind().Options(s)))
		face := Size{Width: s.Width, Height: s.Height}
		var mounts []Mount
		for range r.IntN(5) {
			m := Mount{Edges: Even(length(0, 12))}
			switch r.IntN(4) {
			case 0:
				m.Edges = Edges{Top: length(0, 12), Right: length(0, 12), Bottom: length(0, 12), Left: length(0, 12)}
			case 1:
				m.Own = &Size{Width: length(10, 300), Height: length(10, 300)}
			}
			mounts = append(mounts, m)
		}
		list, eaten, ok := Stack(face, mounts)
		line := fmt.Sprintf("  stack %v, eaten %d %v, shares", list, eaten, ok)
		for _, share := range Shares(face, list) {
			line += " " + golden.Number(share)
		}
		var rises []Rise
		for range r.IntN(4) {
			from := length(0, 100)
			rises = append(rises, Rise{From: from - length(0, 8), To: from + length(4, 90), Top: length(1, 20)})
		}
		lines = append(lines, line+fmt.Sprintf(" | room %v | rungs %v %v", Room(s.Width, length(0, 6), rises), Rungs(face, measure.Inches), Rungs(face, measure.Millimetres)))
	}
	golden.Check(t, "cards", lines)
}

func TestKindsOfFolds(t *testing.T) {
	if !slices.Equal(Folds(), []Fold{SideFold, TopFold, GateFold, Accordion, RollFold, FlatCard}) {
		t.Errorf("offered are %v", Folds())
	}
	for _, f := range Folds() {
		if !f.Valid() || f.Kind().ID != f {
			t.Errorf("%s is not known", f)
		}
	}
	if Fold("crumpled").Valid() || Fold("").Valid() {
		t.Error("a fold that is none is known")
	}
	if got := Fold("crumpled").Kind().ID; got != SideFold {
		t.Errorf("what is no fold is taken for %s", got)
	}
}

// The habits, and the least layer that can be handled: at it there is one, a hair
// under it none.
func TestBordersAndTheLeastLayer(t *testing.T) {
	mm := measure.Millimetre
	for unit, want := range map[measure.Unit][]Border{
		measure.Inches:      {{"hairline", "Hairline", measure.Inch / 16}, {"classic", "Classic", measure.Inch / 8}, {"wide", "Wide", measure.Inch / 4}},
		measure.Millimetres: {{"hairline", "Hairline", 3 * mm / 2}, {"classic", "Classic", 3 * mm}, {"wide", "Wide", 6 * mm}},
	} {
		if got := Borders(unit); !slices.Equal(got, want) {
			t.Errorf("in %s: %+v, want %+v", unit, got, want)
		}
	}
	for _, tt := range []struct {
		name          string
		width, height measure.Length
		want          bool
	}{
		{"the least", LeastLayer, LeastLayer, true}, {"a hair too narrow", LeastLayer - 1, LeastLayer, false}, {"a hair too low", LeastLayer, LeastLayer - 1, false},
	} {
		t.Run(tt.name, func(t *testing.T) {
			if _, _, ok := Stack(Size{Width: measure.Inch, Height: measure.Inch}, []Mount{{Own: &Size{Width: tt.width, Height: tt.height}}}); ok != tt.want {
				t.Errorf("there is a layer: %v", ok)
			}
		})
	}
}
