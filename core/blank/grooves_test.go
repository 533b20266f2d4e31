package blank

import (
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
)

// grooved puts a board with grooves under a spec.
func grooved(s Spec, groove measure.Length) Spec {
	s.Board.Groove = groove
	s.Board.CornerAt = 0
	return s
}

// Whatever the card: on a board with grooves every score that the board sets is
// in a groove, the sheet can be cut, and the net folds to what is promised.
func TestEveryScoreOfABoardIsInAGroove(t *testing.T) {
	rng := rand.New(rand.NewPCG(7, 8))
	inRange, all := 0, 0
	for range 300 {
		s := randomSpec(rng)
		s.School = []School{ExactSeam, DiagonalPlus}[rng.IntN(2)]
		s.Adhesive = in / 4
		groove := []measure.Length{in / 8, in / 4, 5 * measure.Millimetre}[rng.IntN(3)]
		s = grooved(s, groove)
		s.Board.CornerAt = measure.Length(rng.IntN(5)-2) * in / 16 // a corner need not sit in a groove
		for _, id := range []WayID{PairWay, CornerWay} {
			s.Way = id
			d := NewDiamond(s)
			w := d.Chosen()
			if w.ID != id || d.Sheet != w.SheetWidth || d.Sheet%s.Style.Tick != 0 {
				t.Fatalf("%+v %s: sheet %v, the way's %v", s, id, d.Sheet, w.SheetWidth)
			}
			for _, set := range w.Scores {
				if !set.Check && set.At%groove != 0 {
					t.Fatalf("%+v %s: %s is set at %v, which is no groove", s, id, set.Role, set.At)
				}
			}
			e := d.Build(w)
			checkNet(t, d, w, e)
			all++
			if w.Far {
				continue
			}
			inRange++
			low, high := min(s.Ease, in/8), max(s.Ease, 3*in/8)
			for _, more := range []measure.Length{e.Width - d.CreaseWidth, e.Height - d.CreaseHeight} {
				if ease := s.Ease + more; ease < low-2 || ease > high+2 {
					t.Fatalf("%+v %s: said to be in range, but the ease is %v", s, id, ease)
				}
			}
			if wanted := d.wantedSeam(); e.Seam < min(measure.Round(wanted), s.Adhesive)-2 {
				t.Fatalf("%+v %s: said to be in range, but the seam is %v of %v", s, id, e.Seam, wanted)
			}
		}
	}
	if inRange < all*3/4 {
		t.Errorf("only %d of %d are in range", inRange, all)
	}
}

// No other sheet and no other grooves within reach come nearer to the ease and
// the seam that are wanted: all are tried here, by the sums alone.
func TestNoGroovesAreNearer(t *testing.T) {
	rng := rand.New(rand.NewPCG(9, 10))
	for range 60 {
		s := grooved(randomSpec(rng), in/8)
		s.Style, s.School, s.Adhesive = sixteenth, ExactSeam, in/4
		s.Way = CornerWay
		d := NewDiamond(s)
		w := d.Chosen()
		if w.Far {
			continue
		}
		off := func(side, a, b float64) (float64, bool) {
			diag := side * math.Sqrt2
			width, height, seam := diag-2*a-float64(d.CreaseWidth), diag-2*b-float64(d.CreaseHeight), math.Sqrt2*(a+b)-side
			ok := func(more float64) bool {
				return float64(s.Ease)+more >= float64(min(s.Ease, in/8)) && float64(s.Ease)+more <= float64(max(s.Ease, 3*in/8))
			}
			return math.Abs(width) + math.Abs(height) + math.Abs(seam-d.wantedSeam()), ok(width) && ok(height) && seam >= math.Min(d.wantedSeam(), float64(s.Adhesive))
		}
		got, _ := off(float64(d.Sheet), float64(w.Scores[0].At), float64(w.Scores[1].At))
		for side := d.Exact.Up(in/16) - in/4; side <= d.Exact.Up(in/16)+in/4; side += in / 16 {
			for a := in / 8; a < side/2; a += in / 8 {
				for b := in / 8; b < side/2; b += in / 8 {
					if better, ok := off(float64(side), float64(a), float64(b)); ok && better < got-1 {
						t.Fatalf("%+v: %v with %v and %v is %.0f off, but %v with %v and %v only %.0f", s, d.Sheet, w.Scores[0].At, w.Scores[1].At, got, side, a, b, better)
					}
				}
			}
		}
	}
}

// Pockets and boxes: tabs, flaps and walls end in grooves, whatever the edge
// that they are measured from.
func TestBlanksWithStraightEdgesUseGrooves(t *testing.T) {
	rng := rand.New(rand.NewPCG(11, 12))
	for range 150 {
		s := randomSpec(rng)
		s.Adhesive, s.Sliver = in/4, in/32
		s.Pocket = PocketSchools()[rng.IntN(3)]
		groove := []measure.Length{in / 8, 5 * measure.Millimetre}[rng.IntN(2)]
		s = grooved(s, groove)
		gusset := s
		gusset.Gusset = s.Wall()
		hems := s
		hems.Walls = HemmedWalls
		for _, m := range []Made{NewPocket(s), NewPocket(gusset), NewSquareBox(s), NewTuckBox(s), NewTuckBox(hems)} {
			if err := m.Prove(); err != nil {
				t.Fatalf("%s %+v: %v", m.ID, s, err)
			}
			for _, l := range m.Way().Scores {
				if l.At%groove != 0 {
					t.Fatalf("%s %+v: %s is scored at %v, which is no groove", m.ID, s, l.Role, l.At)
				}
			}
			if m.EaseWidth < s.Ease-2*s.Caliper-2 && s.Pocket == ExactPocket || m.SheetWidth%s.Style.Tick != 0 && groove%s.Style.Tick == 0 {
				t.Fatalf("%s %+v: ease %v, sheet %v", m.ID, s, m.EaseWidth, m.SheetWidth)
			}
		}
	}
}

// Folded round a piece of scrap as large as the room wanted: no score is set at
// all, and the points of the square say whether it lies in the middle.
func TestRoundTheCard(t *testing.T) {
	s := Spec{Width: 5*in + 3*in/8, Height: 5*in + 3*in/8, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Style: sixteenth, School: ExactSeam, Way: RoundWay}
	d := NewDiamond(s)
	w := d.Chosen()
	if w.ID != RoundWay || w.Scores[0].At != 5*in+5*in/8 || w.Scores[1].At != 5*in+5*in/8 {
		t.Fatalf("%s: scrap of %v x %v, want 5 5/8 square", w.ID, w.Scores[0].At, w.Scores[1].At)
	}
	// D 12.374 less 5.625, halved: the points stand out 3.375.
	near(t, "how far the points stand out", w.Scores[2].Exact.Inches(), 3.3745, 0.0005)
	e := d.Build(w)
	if e.Width != 5*in+5*in/8 || e.EaseWidth != in/4 {
		t.Errorf("closed %v, ease %v", e.Width, e.EaseWidth)
	}
	// Raised: the scrap is as thick as the card, and its edges make both creases.
	s.Thickness, s.Double = in/4, true
	d = NewDiamond(s)
	w = d.Chosen()
	if e := d.Build(w); e.Depth != in/4 || w.Scores[0].At != 5*in+5*in/8 || e.Width != w.Scores[0].At {
		t.Errorf("scrap of %v, creases %v apart, %v deep", w.Scores[0].At, e.Width, e.Depth)
	}
}
