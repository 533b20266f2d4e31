package blank

import (
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
)

// A liner stays clear of everything that is glued and of every crease but the
// one it runs over, in every construction.
func TestLinersStayClear(t *testing.T) {
	t.Parallel()
	rng := rand.New(rand.NewPCG(31, 32))
	lined := 0
	for range 40 {
		s := boxSpec(rng)
		for name, m := range everyMade(s) {
			if m.Lining == nil {
				continue
			}
			lined++
			if !m.Lining.Simple() || m.Lining.Area()-areas(common(m.Lining, m.Net.Sheet)) > sliver {
				t.Errorf("%s: the liner leaves the sheet or crosses itself", name)
			}
			for _, g := range m.Net.Glue {
				if g.Panel == "top" || m.ID == BoxID || m.ID == TuckID {
					continue
				}
				if both := areas(common(m.Lining, g.Zone)); both > sliver {
					t.Errorf("%s: %.2f mm² of the liner lie where the %s is glued", name, both, g.Panel)
				}
			}
			for _, c := range m.Net.Creases {
				if c.Panel == "top" || c.Panel == "throat wall" || c.Panel == "top wall" {
					continue
				}
				for _, p := range m.Lining {
					if far := distance(p, c.From, c.To); far < linerClear.Millimetres()-1e-3 {
						t.Errorf("%s: the liner comes within %.2f mm of the crease of the %s", name, far, c.Panel)
					}
				}
			}
			top := m.Net.panel("top")
			if m.ID == BoxID || top == nil {
				continue
			}
			var hinge Crease
			for _, c := range m.Net.Creases {
				if c.Panel == "top" {
					hinge = c
				}
			}
			want := (s.Adhesive + linerClear).Millimetres()
			for i, a := range top {
				b := top[(i+1)%len(top)]
				if distance(a, hinge.From, hinge.To) < 1e-3 && distance(b, hinge.From, hinge.To) < 1e-3 {
					continue
				}
				for _, p := range m.Lining {
					if p.Y < hinge.From.Y-1e-3 && distance(p, a, b) < want-1e-3 {
						t.Errorf("%s: the liner comes within %.2f mm of the flap's edge", name, distance(p, a, b))
					}
				}
			}
		}
		if t.Failed() {
			return
		}
	}
	if lined < 500 {
		t.Errorf("only %d blanks have a liner", lined)
	}
}

// A closing flap of the shortest height leaves no hole; one that is shorter does.
func TestShortestFlap(t *testing.T) {
	rng := rand.New(rand.NewPCG(33, 34))
	proved := 0
	for range 300 {
		s := randomSpec(rng)
		s.School, s.Way = ExactSeam, CornerWay
		s.Double = rng.IntN(2) == 0
		d := NewDiamond(s)
		e := d.Build(d.Chosen())
		short := e.Shortest.Millimetres()
		if e.Folded.Hole > sliver || short < 4 || short > e.TopFlap.Millimetres() {
			continue
		}
		hole := func(high float64) float64 {
			cut := e.cut
			cut.Top = high * float64(measure.Millimetre)
			w := d.Chosen()
			side := d.Sheet.Millimetres() / math.Sqrt2
			return pointed{wall: e.Depth.Millimetres()}.net(onPoint(side, side), w.flaps.less(w.half), cut).Fold().Hole
		}
		proved++
		if open := hole(short + 0.01); open > sliver {
			t.Errorf("%+v: a flap of %.2f mm, the shortest, leaves %.2f mm² open", s, short, open)
		}
		if open := hole(short - 2); open < sliver {
			t.Errorf("%+v: a flap 2 mm under the shortest of %.2f mm leaves nothing open", s, short)
		}
	}
	if proved < 100 {
		t.Errorf("only %d were proved", proved)
	}
}

// The same of a box from a square, whose walls take of the diagonal.
func TestShortestFlapOfABox(t *testing.T) {
	rng := rand.New(rand.NewPCG(35, 36))
	proved := 0
	for range 200 {
		s := boxSpec(rng)
		s.Box, s.Corner, s.Depth = BoxSchools()[rng.IntN(2)], 0, 0
		m := NewSquareBox(s)
		short := m.Shortest
		if m.Folded.Hole > sliver || short < 4*measure.Millimetre || short > m.Flap {
			continue
		}
		flap := func(high measure.Length) Made {
			k := s
			k.Flap = high
			return squareBox(k, m.SheetWidth, m.Width, m.Height, m.Depth).Finished(k)
		}
		proved++
		if made := flap(short + 10*measure.Micrometre); made.Faulty(OpenBack) {
			t.Errorf("%+v: a flap of %v, the shortest, leaves %.2f mm² open", s, short, made.Folded.Hole)
		}
		if made := flap(short - 2*measure.Millimetre); !made.Faulty(OpenBack) || made.Prove() != nil {
			t.Errorf("%+v: a flap 2 mm under the shortest of %v leaves nothing open; %v", s, short, made.Prove())
		}
	}
	if proved < 60 {
		t.Errorf("only %d were proved", proved)
	}
}

// The ends of a box's flap and the depth of a tuck are as wished, as far as they
// can be.
func TestFlapsOfBoxes(t *testing.T) {
	s := Spec{Width: 5 * in, Height: 4 * in, Thickness: in / 2, Ease: in / 4, Seam: in / 2, Adhesive: in / 4, Style: sixteenth}
	plain, tuck := NewSquareBox(s), NewTuckBox(s)
	s.FlapShape = BluntFlap
	if m := NewSquareBox(s); m.Flap >= plain.Flap || m.Flap < m.Shortest+s.Adhesive || m.Flap%sixteenth.Tick != 0 || m.Prove() != nil {
		t.Errorf("blunt: %v of %v, at least %v; %v", m.Flap, plain.Flap, m.Shortest, m.Prove())
	}
	s.FlapShape = RoundFlap
	if m := NewSquareBox(s); len(m.Net.panel("top")) <= len(plain.Net.panel("top")) || m.Prove() != nil {
		t.Errorf("round: %d corners; %v", len(m.Net.panel("top")), m.Prove())
	}
	for wish, want := range map[measure.Length]measure.Length{in / 4: in / 4, 3 * in: tuck.Depth - WallOver, in / 8: 0} {
		s.Flap = wish
		if m := NewTuckBox(s); m.Overlap != want || m.Faulty(NoTuck) != (want == 0) || m.Prove() != nil {
			t.Errorf("a tuck of %v is %v, want %v; %v", wish, m.Overlap, want, m.Prove())
		}
	}
}

// A flap that is wished shorter is, by the tick; folded in, its tip lies on it
// and adds a layer.
func TestBluntedByFoldOrCut(t *testing.T) {
	s := Spec{Width: 6 * in, Height: 4*in + in/2, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Adhesive: in / 4, Style: sixteenth, FlapShape: BluntFlap}
	cut := NewDiamond(s).Made()
	s.FoldTips = true
	folded := NewDiamond(s).Made()
	if cut.Flap != folded.Flap || cut.Flap >= 4*in || folded.Flap%sixteenth.Tick != 0 {
		t.Errorf("the flap is %v cut, %v folded", cut.Flap, folded.Flap)
	}
	if len(folded.Net.Panels) <= len(cut.Net.Panels) || folded.Net.Area() <= cut.Net.Area() {
		t.Errorf("nothing is folded in: %d panels, %d when cut", len(folded.Net.Panels), len(cut.Net.Panels))
	}
	s.Flap = 3 * in
	if m := NewDiamond(s).Made(); m.Flap != 3*in || m.Faulty(Blunted) != folded.Faulty(Blunted) {
		t.Errorf("wished 3 in, got %v, %v", m.Flap, m.Faults)
	}
	s.Flap = in / 2
	if m := NewDiamond(s).Made(); m.Flap != in/2 || !m.Faulty(OpenBack) {
		t.Errorf("far too short a flap leaves no hole: %v, %v", m.Flap, m.Faults)
	}
}

// Two creases a card's thickness apart keep sheet and seam, and give a wall.
func TestDiamondWithTwoCreases(t *testing.T) {
	s := Spec{Width: 6 * in, Height: 4*in + in/2, Thickness: in / 4, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Adhesive: in / 4, Style: sixteenth}
	for _, way := range []WayID{PairWay, CornerWay, CentreWay, EdgeWay} {
		s.Way, s.Double = way, false
		one := NewDiamond(s).Made()
		s.Double = true
		d := NewDiamond(s)
		two := d.Made()
		if one.SheetWidth != two.SheetWidth || one.Seam != two.Seam {
			t.Errorf("%s: sheet %v, seam %v become %v, %v", way, one.SheetWidth, one.Seam, two.SheetWidth, two.Seam)
		}
		if two.Depth > in/4 || two.Depth < in/4-sixteenth.Tick*3/2 || (one.Width-two.Width-two.Depth).Abs() > 2 || (one.EaseWidth-two.EaseWidth).Abs() > 2 {
			t.Errorf("%s: %v deep, width %v becomes %v, ease %v becomes %v", way, two.Depth, one.Width, two.Width, one.EaseWidth, two.EaseWidth)
		}
		if first := d.Chosen().Scores[0]; first.Beside == 0 || first.Beside%sixteenth.Tick != 0 {
			t.Errorf("%s: the two creases lie %v to either side", way, first.Beside)
		}
	}
	s.School = NotchBoard
	if m := NewDiamond(s).Made(); m.Depth != 0 || !m.Faulty(SingleCrease) {
		t.Errorf("the punch board makes two creases: %v", m.Faults)
	}
}

// Whatever the way, the scores of a box lie where its net has its creases.
func TestWaysOfScoringABox(t *testing.T) {
	s := Spec{Width: 5 * in, Height: 4 * in, Thickness: in / 2, Ease: in / 4, Seam: in / 2, Adhesive: in / 4, Style: sixteenth, Board: Board{CornerAt: -in / 2}}
	m := NewSquareBox(s)
	if len(m.Ways) != 4 {
		t.Fatalf("%d ways", len(m.Ways))
	}
	diag := m.SheetWidth.Millimetres() * math.Sqrt2
	var floor Crease
	for _, c := range m.Net.Creases {
		if c.Panel == "left wall" {
			floor = c
		}
	}
	x, deep, off := floor.From.X, m.Depth.Millimetres(), s.Board.CornerAt.Millimetres()
	for i, want := range [][2]float64{{x - deep + off, x + off}, {x - deep + off, x + off}, {diag/2 - x + deep, diag/2 - x}, {(x - deep) * math.Sqrt2, x * math.Sqrt2}} {
		w := m.Ways[i]
		near(t, string(w.ID)+", wall", w.Scores[0].At.Millimetres(), want[0], 1e-4)
		near(t, string(w.ID)+", floor", w.Scores[1].At.Millimetres(), want[1], 1e-4)
		if w.EaseLoss.Worst <= w.EaseLoss.RSS || w.SeamLoss.Worst <= w.SeamLoss.RSS {
			t.Errorf("%s: the worst case is no worse: %v, %v", w.ID, w.EaseLoss, w.SeamLoss)
		}
	}
	near(t, "far floor", m.Ways[1].Scores[5].At.Millimetres(), diag-x+off, 1e-4)
}

// Wherever the edge of the closing flap lies on paper there is glue for it: on
// the side flaps and, on slim cards above all, on the bottom flap.
func TestClosingFlapIsGluedAlongItsEdges(t *testing.T) {
	rng := rand.New(rand.NewPCG(31, 32))
	tried := 0
	for range 80 {
		s := randomSpec(rng)
		s.Width += measure.Length(rng.IntN(4)) * in // slim ones too
		m := NewDiamond(s).Made()
		flap := m.Net.panel("top")
		crease := flap[0].Y
		middle := Point{}
		for _, q := range flap {
			crease = max(crease, q.Y) // the flap hangs at the throat, above the face
			middle.X, middle.Y = middle.X+q.X/float64(len(flap)), middle.Y+q.Y/float64(len(flap))
		}
		folded := map[string]Polygon{}
		for i, p := range m.Net.Panels {
			pose := m.Net.poses(all)[i]
			for _, q := range p.Outline {
				v := pose.at(q)
				folded[p.ID] = append(folded[p.ID], Point{v.X, v.Y})
			}
		}
		for i, a := range flap {
			b := flap[(i+1)%len(flap)]
			if a.Y > crease-1 && b.Y > crease-1 {
				continue // the crease itself
			}
			for k := 1; k < 20; k++ {
				q := Point{a.X + (b.X-a.X)*float64(k)/20, a.Y + (b.Y-a.Y)*float64(k)/20}
				q = Point{q.X + (middle.X-q.X)*1e-3, q.Y + (middle.Y-q.Y)*1e-3}
				over := Point{q.X, 2*crease - q.Y} // folded over
				if !folded["left"].Holds(over) && !folded["right"].Holds(over) && !folded["bottom"].Holds(over) {
					continue
				}
				tried++
				glued := false
				for _, g := range m.Net.Glue {
					glued = glued || g.Panel == "top" && g.Zone.Holds(q)
				}
				if !glued {
					t.Fatalf("%+v: at %.1f, %.1f the flap lies on paper, and there is no glue", s, q.X, q.Y)
				}
			}
		}
	}
	if tried < 1000 {
		t.Errorf("only %d places were tried", tried)
	}
}
