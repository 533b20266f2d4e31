package cutting

import (
	"context"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
)

// sized is what is known of the two sides of a rectangle that came loose: whether the guide
// measured it, or it is the sheet's own edge; else the cut that left it.
type sized struct {
	width, height bool
	left          [2]Rest // of width and height
}

// measuredPieces follows a plan's cuts and tells for each piece how it came by its sides.
func measuredPieces(t *testing.T, o Order, p Plan, each func(at Placed, s sized)) {
	t.Helper()
	settings, err := p.settings()
	if err != nil {
		t.Fatal(err)
	}
	for _, l := range p.Layouts {
		loose := map[Rect]sized{{Width: o.Sheet.Width, Height: o.Sheet.Height}: {width: true, height: true}}
		for _, c := range l.Cuts {
			a, b := c.Parts()
			was, s := loose[c.From], settings[c.Number]
			x, y := was, was
			set := func(of *sized, ok bool) {
				rest := c.Rest
				if ok {
					rest = NoRest
				}
				if c.Down {
					of.width, of.left[0] = ok, rest
				} else {
					of.height, of.left[1] = ok, rest
				}
			}
			set(&x, s == c.At)
			set(&y, s != c.At)
			loose[a], loose[b] = x, y
		}
		for _, q := range l.Pieces {
			each(q, loose[q.Rect])
		}
	}
}

// Every piece is what the guide measured on both its sides, or a side is the sheet's own
// edge; where it is what others leave, that is told, and told only then.
func TestPiecesAreMeasured(t *testing.T) {
	r := rand.New(rand.NewPCG(13, 3))
	sides, left, equal, filled := 0, 0, 0, 0
	for range 200 {
		o := Order{Sheet: Sheet{Width: measure.Length(130+r.IntN(70)) * in / 16, Height: measure.Length(130+r.IntN(70)) * in / 16}}
		for range 1 + r.IntN(4) {
			o.Pieces = append(o.Pieces, Piece{Width: measure.Length(20+r.IntN(90)) * in / 16, Height: measure.Length(20+r.IntN(90)) * in / 16, Count: 1 + r.IntN(12), Turn: r.IntN(2) == 0})
		}
		p := Search(context.Background(), o, 8000, nil)
		if err := Check(o, p); err != nil {
			t.Fatal(err)
		}
		measuredPieces(t, o, p, func(at Placed, s sized) {
			piece := at.Piece
			for i, ok := range []bool{s.width, s.height} {
				sides++
				switch rest := s.left[i]; {
				case ok && rest != NoRest:
					t.Errorf("line %d: a side that was measured is told to be left over", piece)
				case !ok && rest == NoRest:
					t.Errorf("line %d: a side is what others left, and that is not told", piece)
				case rest == LeftRest && (i == 0 && at.X+at.Width == o.Sheet.Width || i == 1 && at.Y+at.Height == o.Sheet.Height):
					filled++ // the pieces fill the sheet's edge: there is nothing to fall
				case rest == LeftRest:
					left++
				case rest == EqualRest:
					equal++
				}
			}
		})
	}
	if left*100 > sides {
		t.Errorf("%d of %d sides are left over within the sheet, more than one in a hundred", left, sides)
	}
	t.Logf("%d sides: %d equal parts of an edge, %d at an edge that is filled, %d left over within", sides, equal, filled, left)
}

// Letter, 8 1/2 x 11, gives two bases of 4 x 10: trimmed to 10, 4 and 4 are cut and the half
// inch falls. Two of 4 1/4 x 11 are halves of its own edge, which is told.
func TestTwoFromLetter(t *testing.T) {
	letter := Sheet{Width: 17 * in / 2, Height: 11 * in}
	for _, tt := range []struct {
		w, h  measure.Length
		steps []measure.Length
		equal int
	}{
		{4 * in, 10 * in, []measure.Length{10 * in, 4 * in}, 0},
		{17 * in / 4, 11 * in, []measure.Length{17 * in / 4}, 1},
	} {
		o := Order{Sheet: letter, Pieces: []Piece{{Width: tt.w, Height: tt.h, Count: 2}}}
		p := Search(context.Background(), o, 8000, nil)
		var steps []measure.Length
		for _, s := range p.Steps {
			steps = append(steps, s.Setting)
		}
		if len(steps) != len(tt.steps) || steps[0] != tt.steps[0] {
			t.Errorf("%v x %v: set %v, want %v", tt.w, tt.h, steps, tt.steps)
		}
		equal := 0
		measuredPieces(t, o, p, func(_ Placed, s sized) {
			for _, rest := range s.left {
				if rest == EqualRest {
					equal++
				}
				if rest == LeftRest {
					t.Errorf("%v x %v: a side is left over", tt.w, tt.h)
				}
			}
		})
		if equal != tt.equal {
			t.Errorf("%v x %v: %d equal parts, want %d", tt.w, tt.h, equal, tt.equal)
		}
	}
}
