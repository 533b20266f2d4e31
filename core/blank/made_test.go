package blank

import (
	"math"
	"math/rand/v2"
	"strings"
	"testing"

	"yellowparcel/core/measure"
	"yellowparcel/internal/soak"
)

func lengths(list ...measure.Length) (text string) {
	for _, l := range list {
		text += measure.Style{Unit: measure.Inches, Tick: in / 64}.Show(l) + " "
	}
	return strings.TrimSpace(strings.ReplaceAll(text, "⁄", "/"))
}

// everyMade makes every construction and school for a card.
func everyMade(s Spec) map[string]Made {
	list := map[string]Made{"square box": NewSquareBox(s), "tuck box": NewTuckBox(s)}
	for _, school := range PocketSchools() {
		s.Pocket = school
		list["pocket "+string(school)] = NewPocket(s)
		odd := s
		odd.TabsOnBack, odd.FlapShape, odd.Notch, odd.Flap = true, RoundFlap, in/2, 2*in
		list["tabs on the back, round flap "+string(school)] = NewPocket(odd)
		odd.TabsOnBack, odd.FlapShape, odd.Corner = false, PointedFlap, in/4
		list["pointed flap, round corners "+string(school)] = NewPocket(odd)
		double := s
		double.Double = true
		list["two creases "+string(school)] = NewPocket(double)
		gusset := s
		gusset.Gusset = s.Wall()
		list["gusset "+string(school)] = NewPocket(gusset)
	}
	for _, one := range []bool{false, true} {
		if m, ok := NewCutDown(s, Bought{Width: s.Width + 4*in, Height: s.Height + s.Thickness + in/2}, one); ok {
			list["cut down"+map[bool]string{true: " one side"}[one]] = m
		}
	}
	for _, school := range Schools() {
		s.School = school
		list["diamond "+string(school)] = NewDiamond(s).Made()
		odd := s
		odd.FoldTips, odd.FlapShape, odd.Double = true, BluntFlap, true
		list["two creases, tips folded in, diamond "+string(school)] = NewDiamond(odd).Made()
		odd.FoldTips, odd.FlapShape, odd.Corner, odd.Way = false, RoundFlap, in/8, EdgeWay
		list["two creases on edge marks, round tips, diamond "+string(school)] = NewDiamond(odd).Made()
	}
	round := s
	round.Corner = in / 8
	list["square box, round corners"], list["tuck box, round corners"] = NewSquareBox(round), NewTuckBox(round)
	s.Box, s.Walls = LeastSquares, HemmedWalls
	list["least square box"], list["hemmed tuck box"] = NewSquareBox(s), NewTuckBox(s)
	s.School, s.Way = ExactSeam, RoundWay
	list["diamond folded round scrap"] = NewDiamond(s).Made()
	return list
}

func boxSpec(rng *rand.Rand) Spec {
	s := randomSpec(rng)
	s.Thickness = measure.Length(rng.IntN(40)) * measure.Millimetre / 2
	s.Adhesive, s.Sliver = in/4, in/32
	s.Depth = measure.Length(rng.IntN(8)) * in / 8
	return s
}

// Whatever the card, the engine finds in the net alone what the formulas of
// every construction promise.
func TestEveryConstructionKeepsItsPromises(t *testing.T) {
	t.Parallel()
	rng := rand.New(rand.NewPCG(11, 12))
	for range soak.Of(200) {
		s := boxSpec(rng)
		for name, m := range everyMade(s) {
			if err := m.Prove(); err != nil {
				t.Errorf("%s for %+v: %v", name, s, err)
			}
			sum := m.Net.Area() + areas(m.Net.Cut().CutAway)
			sheet := m.Net.Sheet.Area()
			if math.Abs(sum-sheet) > 0.5 {
				t.Errorf("%s: panels and waste make %.2f mm² of a sheet of %.2f", name, sum, sheet)
			}
			// The seam is the formula's own, unless corners are round or a tip that would
			// pass the far crease is blunted.
			if m.Taken != 0 && !strings.Contains(name, "round") && !m.Faulty(Blunted) {
				t.Errorf("%s for %+v: the engine finds %v less of a seam than the formula", name, s, m.Taken)
			}
			if m.ID != CutDownID && (m.SheetWidth%s.Style.Tick != 0 || m.SheetHeight%s.Style.Tick != 0) {
				t.Errorf("%s: the sheet %v x %v is no tick", name, m.SheetWidth, m.SheetHeight)
			}
			for _, score := range m.Way().Scores {
				// What is set on a tool is a tick; on the square box to a nanometre, since
				// its diagonal is irrational.
				if off := score.At - score.At.Near(s.Style.Tick); m.ID != DiamondID && m.ID != CutDownID && off.Abs() > 2 {
					t.Errorf("%s: the score of the %s is %v, no tick", name, score.Role, score.At)
				}
			}
			if least := min(m.EaseWidth, m.EaseHeight); m.ID != DiamondID && m.ID != CutDownID && least < min(s.Ease, in/8)-2*s.Caliper {
				t.Errorf("%s: ease %v, wished %v", name, least, s.Ease)
			}
		}
		if t.Failed() {
			return
		}
	}
}

// A crease moved on purpose is noticed in every construction.
func TestEveryMovedCreaseIsNoticed(t *testing.T) {
	s := Spec{Width: 6 * in, Height: 4*in + in/2, Thickness: in / 4, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Adhesive: in / 4, Style: sixteenth, Board: Board{NotchDepth: 10 * measure.Millimetre}}
	for name, m := range everyMade(s) {
		if err := m.Prove(); err != nil {
			t.Errorf("%s: %v", name, err)
			continue
		}
		for i, c := range m.Net.Creases {
			moved := m
			moved.Net.Creases = append([]Crease(nil), m.Net.Creases...)
			across, down := c.To.Y-c.From.Y, c.From.X-c.To.X
			long := math.Hypot(across, down)
			shift := Point{2 * across / long, 2 * down / long}
			moved.Net.Creases[i].From = Point{c.From.X + shift.X, c.From.Y + shift.Y}
			moved.Net.Creases[i].To = Point{c.To.X + shift.X, c.To.Y + shift.Y}
			if moved.Prove() == nil {
				t.Errorf("%s: the crease of the %s moved by 2 mm is not noticed", name, c.Panel)
			}
			// Moved with its panels' edges, so that the net still hangs together, it
			// shows in what is folded.
			if edges := withCrease(m, i, shift); edges.Prove() == nil {
				t.Errorf("%s: the %s folded along another line is not noticed", name, c.Panel)
			}
		}
	}
}

// withCrease moves a crease and the corners that lie on it.
func withCrease(m Made, at int, shift Point) Made {
	c := m.Net.Creases[at]
	move := func(p Point) Point {
		if distance(p, c.From, c.To) < 1e-6 {
			return Point{p.X + shift.X, p.Y + shift.Y}
		}
		return p
	}
	n := m.Net
	n.Panels, n.Creases = nil, nil
	for _, p := range m.Net.Panels {
		q := Panel{ID: p.ID, Name: p.Name}
		for _, v := range p.Outline {
			q.Outline = append(q.Outline, move(v))
		}
		n.Panels = append(n.Panels, q)
	}
	for _, k := range m.Net.Creases {
		k.From, k.To = move(k.From), move(k.To)
		n.Creases = append(n.Creases, k)
	}
	m.Net = n
	return m
}

// The general way through the library and the quick one for convex panels agree.
func TestRegionsAgree(t *testing.T) {
	rng := rand.New(rand.NewPCG(13, 14))
	quad := func() Polygon {
		x, y, w, h := rng.Float64()*80, rng.Float64()*80, 10+rng.Float64()*60, 10+rng.Float64()*60
		sh := rng.Float64() * 10
		return Polygon{{x + sh, y}, {x + w, y + sh}, {x + w - sh, y + h}, {x, y + h - sh}}
	}
	for range 200 {
		face, others := quad(), []Polygon{quad(), quad(), quad()}
		quick := areas(lessConvex(face, others))
		// A point that does not matter makes the outline count as not convex.
		dented := append(Polygon{}, others[0]...)
		a, b := dented[0], dented[1]
		dented = append(Polygon{a, {(a.X+b.X)/2 + (b.Y-a.Y)*-1e-5, (a.Y+b.Y)/2 + (b.X-a.X)*1e-5}}, dented[1:]...)
		if dented.convex() {
			continue
		}
		if _, general := less(face, append([]Polygon{dented}, others[1:]...)); math.Abs(general-quick) > 0.2 {
			t.Fatalf("%.3f mm² by the library, %.3f by clipping", general, quick)
		}
	}
}

func TestNetsThatCannotBeFolded(t *testing.T) {
	good := NewPocket(Spec{Width: 6 * in, Height: 4 * in, Style: sixteenth, Pocket: ThumbGapPocket, Adhesive: in / 4}).Net
	for _, tt := range []struct {
		name, want string
		spoil      func(*Net)
	}{
		{"an outline that crosses itself", "crosses itself", func(n *Net) { o := n.Panels[1].Outline; o[0], o[1] = o[1], o[0] }},
		{"NaN", "crosses itself", func(n *Net) { n.Panels[1].Outline[0].X = math.NaN() }},
		{"a panel off the sheet", "off the sheet", func(n *Net) { n.Panels[1].Outline[3].X = -9 }},
		{"panels on each other", "overlap", func(n *Net) { n.Panels[2].Outline = n.Panels[1].Outline }},
		{"a crease elsewhere", "no edge", func(n *Net) { n.Creases[0].From.X -= 4 }},
		{"a panel that hangs on nothing", "hangs on nothing", func(n *Net) { n.Creases = n.Creases[1:] }},
	} {
		t.Run(tt.name, func(t *testing.T) {
			n := good
			n.Panels, n.Creases = nil, append([]Crease(nil), good.Creases...)
			for _, p := range good.Panels {
				n.Panels = append(n.Panels, Panel{p.ID, p.Name, append(Polygon(nil), p.Outline...)})
			}
			tt.spoil(&n)
			if err := n.Check(); err == nil || !strings.Contains(err.Error(), tt.want) {
				t.Errorf("%s: %v", tt.name, err)
			}
		})
	}
}

// The two ways of scoring a pocket, with every error in turn put at t: what they
// lose is what docs/sums.md says.
func TestPocketWays(t *testing.T) {
	s := Spec{Width: 6 * in, Height: 4 * in, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Adhesive: in / 4, Style: sixteenth, Way: NextEdge, Pocket: ExactPocket}
	m := NewPocket(s)
	own, one := m.Ways[0], m.Ways[1]
	if one.Scores[1].At != m.SheetWidth-m.Way().Scores[1].At || one.Scores[3].From != "top" || one.Scores[3].At != m.SheetHeight-m.Way().Scores[3].At {
		t.Errorf("all from one edge: %+v", one.Scores)
	}
	// The width between two scores: sheet, left and right each off by one, or from
	// one edge the two scores alone.
	half := float64(in / 32)
	near(t, "ease, own edges", float64(own.EaseLoss.Worst)/half, 3, 1e-6)
	near(t, "ease, one edge", float64(one.EaseLoss.Worst)/half, 2, 1e-6)
	near(t, "ease, own edges, rss", float64(own.EaseLoss.RSS)/half, math.Sqrt(3), 1e-6)
	near(t, "ease, one edge, rss", float64(one.EaseLoss.RSS)/half, math.Sqrt2, 1e-6)
	near(t, "tab, own edges", float64(own.SeamLoss.Worst)/half, 1, 1e-6)
	near(t, "far tab, one edge", float64(one.SeamLoss.Worst)/half, 2, 1e-6)
	near(t, "far tab, one edge, rss", float64(one.SeamLoss.RSS)/half, math.Sqrt2, 1e-6)
}

// Two creases in place of each: the same sheet, the same room for the card, and
// walls as deep as it.
func TestTwoCreases(t *testing.T) {
	s := Spec{Width: 6 * in, Height: 4 * in, Thickness: 3 * in / 16, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Adhesive: in / 4, Style: sixteenth, Pocket: ExactPocket}
	one := NewPocket(s)
	s.Double = true
	two := NewPocket(s)
	if two.SheetWidth != one.SheetWidth || two.SheetHeight != one.SheetHeight || two.Depth != in/8 {
		t.Errorf("%v x %v and %v deep, plain %v x %v", two.SheetWidth, two.SheetHeight, two.Depth, one.SheetWidth, one.SheetHeight)
	}
	if one.EaseWidth != two.EaseWidth || one.EaseHeight != two.EaseHeight {
		t.Errorf("ease %v, plain %v", two.EaseWidth, one.EaseWidth)
	}
	if len(two.Way().Scores) != 8 || two.Way().Scores[4].At-two.Way().Scores[0].At != two.Depth || two.Way().Scores[0].At+two.Depth/2 != one.Way().Scores[0].At {
		t.Errorf("scores %+v", two.Way().Scores)
	}
	if err := two.Prove(); err != nil {
		t.Error(err)
	}
}

// The ends of flaps: as high and as wide as asked, and what they cover.
func TestFlapShapes(t *testing.T) {
	s := Spec{Width: 6 * in, Height: 4*in + in/2, Style: sixteenth, Pocket: ThumbGapPocket, Adhesive: in / 4, Flap: 2 * in}
	for shape, share := range map[FlapShape]float64{SquareFlap: 1, PointedFlap: .5, BluntFlap: 2.0 / 3, RoundFlap: .5 + math.Pi/8} {
		s.FlapShape = shape
		m := NewPocket(s)
		flap := m.Net.panel("top")
		box := m.Width.Millimetres() * 2 * 25.4
		near(t, string(shape), flap.Area()/box, share, 0.01)
		if err := m.Prove(); err != nil {
			t.Errorf("%s: %v", shape, err)
		}
	}
	s.FlapShape, s.Corner = SquareFlap, in/2
	near(t, "rounded corners", NewPocket(s).Net.panel("top").Area(), (6.25*2-(2-math.Pi/2)*.25)*25.4*25.4, 4)
	// A notch deeper than the flap covers leaves a hole, and is told of.
	s.Notch, s.Flap = 2*in, in
	if m := NewPocket(s); !m.Faulty(OpenBack) || !m.Faulty(FlapShort) || m.Prove() != nil {
		t.Errorf("a notch under a short flap: %v, %v", m.Faults, m.Prove())
	}
}

// The regions of the face make up the face, the thickest is what Fold says, and
// what has one layer is the hole.
func TestRegions(t *testing.T) {
	rng := rand.New(rand.NewPCG(41, 42))
	for range 12 {
		for name, m := range everyMade(boxSpec(rng)) {
			sum, open, most := 0.0, 0.0, 0
			for _, r := range m.Net.Regions() {
				sum += r.Outline.Area()
				if most = max(most, r.Layers); r.Layers == 1 {
					open += r.Outline.Area()
				}
			}
			face := m.Net.Panels[0].Outline.Area()
			if math.Abs(sum-face) > 1 {
				t.Fatalf("%s: regions of %.2f mm² on a face of %.2f", name, sum, face)
			}
			if !strings.Contains(name, "notch") && !strings.Contains(name, "round") && (most != m.Folded.Layers || math.Abs(open-m.Folded.Hole) > 1) {
				t.Fatalf("%s: at most %d layers and %.2f mm² open; folded, %d and %.2f", name, most, open, m.Folded.Layers, m.Folded.Hole)
			}
		}
	}
}

// Six constructions for one card, each folded and proved, as a screen shows them.
func BenchmarkSixConstructionsProved(b *testing.B) {
	s := Spec{Width: 43 * in / 8, Height: 43 * in / 8, Thickness: in / 16, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Adhesive: in / 4, Style: sixteenth, School: ExactSeam, Pocket: ExactPocket}
	deep := s
	deep.Gusset = s.Wall()
	for b.Loop() {
		cut, _ := NewCutDown(s, Bought{Width: 9 * in, Height: 6 * in}, false)
		for _, m := range []Made{NewDiamond(s).Made(), NewPocket(s), NewPocket(deep), NewSquareBox(s), NewTuckBox(s), cut} {
			if m.Prove() != nil {
				b.Fatal("a construction breaks its promise")
			}
		}
	}
}

func BenchmarkAllConstructions(b *testing.B) {
	s := Spec{Width: 43 * in / 8, Height: 43 * in / 8, Thickness: in / 16, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Adhesive: in / 4, Style: sixteenth, Board: Board{NotchDepth: 10 * measure.Millimetre}}
	for b.Loop() {
		everyMade(s)
	}
}

// A square card in a plain rectangle: the strips leave it the room it asks for,
// and it goes in between them.
func TestHoldingStrips(t *testing.T) {
	s := Spec{Width: 43 * in / 8, Height: 43 * in / 8, Thickness: in / 16, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Adhesive: in / 4, Style: sixteenth, Pocket: ExactPocket, School: ExactSeam,
		LeastWidth: 121 * in / 16, LeastHeight: 91 * in / 16}
	for name, m := range map[string]Made{"pocket": NewPocket(s), "diamond": NewDiamond(s).Made()} {
		t.Run(name, func(t *testing.T) {
			if m.Width < s.LeastWidth || m.Height < s.LeastHeight {
				t.Errorf("%s: %v x %v is smaller than the rectangle", name, m.Width, m.Height)
			}
			if !m.HoldingStrips(s) {
				t.Errorf("%s: no room for strips", name)
				return
			}
			if got, want := m.Throat(), s.Width+s.Thickness+s.Ease; (got - want).Abs() > measure.Micrometre {
				t.Errorf("%s: %v clear between the strips, want %v", name, got, want)
			}
			if err := m.Prove(); err != nil {
				t.Errorf("%s: %v", name, err)
			}
		})
	}
	s.LeastWidth = 0
	if m := NewPocket(s); m.HoldingStrips(s) || m.Throat() != m.Width {
		t.Errorf("strips where the card fills the envelope; throat %v of %v", m.Throat(), m.Width)
	}
}

// Where no way is asked for, the safer one is taken: the one whose scarcest margin is the
// most of its usual loss, if it is so clearly; one that is asked for is taken as it is.
func TestTheSaferWayIsTakenFirst(t *testing.T) {
	taken := map[WayID]int{}
	for _, k := range Constructions() {
		if k.Bought || k.ID == NotedID {
			continue
		}
		for i := range 40 {
			s := Spec{
				Width: 4*in + measure.Length(i)*in/8, Height: 4*in + measure.Length(i%7)*in/4, Thickness: in / 16, Ease: in/8 + measure.Length(i%4)*in/16, Seam: 5*in/8 + measure.Length(i%3)*in/8,
				ThumbGap: in / 2, Adhesive: in / 2, Style: sixteenth, School: ExactSeam, Pocket: ExactPocket, Box: FullSquares, Walls: TabbedWalls,
			}
			m, ok := k.Make(s)
			if !ok || len(m.Ways) < 2 {
				continue
			}
			want := 0
			if best, clear := Safer(m.Ways, s.Adhesive); clear {
				want = best
			}
			if m.Chosen != want {
				t.Errorf("%s of %v x %v: %s is taken, %s is safer", k.ID, s.Width, s.Height, m.Way().ID, m.Ways[want].ID)
			}
			taken[m.Way().ID]++
			for _, w := range m.Ways {
				s.Way = w.ID
				if made, _ := k.Make(s); made.Way().ID != w.ID {
					t.Errorf("%s: %s was asked for, %s is taken", k.ID, w.ID, made.Way().ID)
				}
			}
		}
	}
	if len(taken) < 3 {
		t.Errorf("only %v are ever taken", taken)
	}
}
