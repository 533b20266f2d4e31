package card

import (
	"math/rand/v2"
	"slices"
	"testing"

	"yellowparcel/core/measure"
)

const in = measure.Inch

func TestBases(t *testing.T) {
	lengths := func(l ...measure.Length) []measure.Length { return l }
	for _, tt := range []struct {
		name          string
		spec          Spec
		width, height measure.Length
		panels        []measure.Length
		layers        int
	}{
		{"side fold", Spec{Fold: SideFold, Width: 5 * in, Height: 7 * in}, 10 * in, 7 * in, lengths(5*in, 5*in), 2},
		{"top fold", Spec{Fold: TopFold, Width: 5 * in, Height: 7 * in}, 5 * in, 14 * in, lengths(7*in, 7*in), 2},
		{"flat", Spec{Fold: FlatCard, Width: 5 * in, Height: 7 * in}, 5 * in, 7 * in, lengths(5 * in), 1},
		{"round thick contents", Spec{Fold: SideFold, Width: 5 * in, Height: 7 * in, Spine: in / 4}, 10*in + in/4, 7 * in, lengths(5*in, in/4, 5*in), 2},
		{"tent round thick contents", Spec{Fold: TopFold, Width: 5 * in, Height: 7 * in, Spine: in / 4}, 5 * in, 14*in + in/4, lengths(7*in, in/4, 7*in), 2},
		{"gate", Spec{Fold: GateFold, Width: 7 * in, Height: 5 * in, Tick: in / 32}, 14*in - in/16, 5 * in, lengths(3*in+in/2-in/32, 7*in, 3*in+in/2-in/32), 2},
		{"accordion of five", Spec{Fold: Accordion, Width: 4 * in, Height: 5 * in, Panels: 5}, 20 * in, 5 * in, lengths(4*in, 4*in, 4*in, 4*in, 4*in), 5},
		{"roll", Spec{Fold: RollFold, Width: 4 * in, Height: 5 * in, Caliper: 340 * measure.Micrometre}, 12*in - in/16, 5 * in, lengths(4*in-in/16, 4*in, 4*in), 3},
		{"roll of board", Spec{Fold: RollFold, Width: 4 * in, Height: 5 * in, Caliper: measure.Millimetre}, 12*in - 2*measure.Millimetre, 5 * in, lengths(4*in-2*measure.Millimetre, 4*in, 4*in), 3},
	} {
		t.Run(tt.name, func(t *testing.T) {
			got := NewBase(tt.spec)
			if got.Width != tt.width || got.Height != tt.height || !slices.Equal(got.Panels, tt.panels) || tt.spec.Layers() != tt.layers {
				t.Errorf("%s: %v x %v of %v in %d layers", tt.name, got.Width, got.Height, got.Panels, tt.spec.Layers())
			}
		})
	}
	fan := NewBase(Spec{Fold: Accordion, Width: 4 * in, Height: 5 * in, Panels: 4}).Scores
	if !slices.Equal(fan, []Score{{4 * in, false}, {8 * in, true}, {12 * in, false}}) {
		t.Errorf("an accordion is scored at %v", fan)
	}
}

// Whatever the fold, the panels add up to the flat size, the scores lie at
// their joints, and nothing that is folded in is wider than what covers it.
func TestBasesAddUp(t *testing.T) {
	rng := rand.New(rand.NewPCG(11, 12))
	for range 2000 {
		s := Spec{
			Fold: Folds()[rng.IntN(len(Folds()))], Width: measure.Length(25+rng.IntN(300)) * measure.Millimetre, Height: measure.Length(16+rng.IntN(200)) * in / 16,
			Panels: LeastPanels + rng.IntN(MostPanels-LeastPanels+1), Spine: measure.Length(rng.IntN(3)) * in / 8, Caliper: measure.Length(rng.IntN(20)) * 100 * measure.Micrometre,
			Tick: append(measure.Ticks(measure.Inches), measure.Ticks(measure.Millimetres)...)[rng.IntN(6)],
		}
		b := NewBase(s)
		sum, finished := measure.Length(0), s.Width
		for i, p := range b.Panels {
			if p <= 0 || (p > s.Width && !b.Across) {
				t.Fatalf("%+v: panel %v", s, p)
			}
			if sum += p; i < len(b.Scores) && b.Scores[i].At != sum {
				t.Fatalf("%+v: score %d at %v, want %v", s, i, b.Scores[i].At, sum)
			}
		}
		flat, other := b.Width, b.Height
		if b.Across {
			flat, other, finished = b.Height, b.Width, s.Height
		}
		if sum != flat || len(b.Scores) != len(b.Panels)-1 || (other != s.Height && other != s.Width) {
			t.Fatalf("%+v: panels add up to %v of %v", s, sum, flat)
		}
		if gap := b.Lengths()["gap"]; s.Fold == GateFold && (gap < in/32-1 || gap > in/32+2*s.Tick) {
			t.Fatalf("%+v: the doors leave %v", s, gap)
		}
		if b.Panels[0] > finished {
			t.Fatalf("%+v: the cover is wider than the card", s)
		}
	}
}

// The doors of a gate are shy of the middle by a sixty-fourth each, or by what the maker
// asks for, up to a thirty-second.
func TestGateDoorsAreAsShyAsAsked(t *testing.T) {
	s := Spec{Fold: GateFold, Width: 5 * in, Height: 7 * in}
	for _, tt := range []struct {
		name  string
		asked map[string]measure.Length
		door  measure.Length
	}{{"as usual", nil, 5*in/2 - in/64}, {"a thirty-second", map[string]measure.Length{"shy": in / 32}, 5*in/2 - in/32}} {
		t.Run(tt.name, func(t *testing.T) {
			s.Asked = tt.asked
			if b := NewBase(s); b.Panels[0] != tt.door || b.Panels[2] != tt.door || b.Lengths()["gap"] != 5*in-2*tt.door {
				t.Errorf("doors %v, gap %v", b.Panels, b.Lengths())
			}
		})
	}
	if a := GateFold.Kind().Asked; len(a) != 1 || a[0].Least != in/64 || a[0].Most != in/32 {
		t.Errorf("it asks for %+v", a)
	}
}
