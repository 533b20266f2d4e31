package blank

import (
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
)

const in = measure.Inch

var sixteenth = measure.Style{Unit: measure.Inches, Tick: in / 16}

func near(t *testing.T, what string, got, want, within float64) {
	t.Helper()
	if math.Abs(got-want) > within {
		t.Errorf("%s is %.4f, want %.4f", what, got, want)
	}
}

// The worked card of docs/sums.md: 5 3/8 square and flat, ease 1/4, seam 3/4.
func TestWorkedSquare(t *testing.T) {
	d := NewDiamond(Spec{Width: 5*in + 3*in/8, Height: 5*in + 3*in/8, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Style: sixteenth, School: ExactSeam, Way: EdgeWay})
	near(t, "exact side", d.Exact.Inches(), 8.705, 0.0005)
	if d.Sheet != 8*in+3*in/4 {
		t.Errorf("sheet is %v, want 8 3/4 in", d.Sheet)
	}
	near(t, "diagonal", d.Diagonal()/float64(in), 12.374, 0.0005)
	corner := d.Ways[1].Scores
	near(t, "side flap", corner[0].Exact.Inches(), 3.3745, 0.0005)
	edge := d.Ways[3].Scores
	near(t, "edge mark", edge[0].Exact.Inches(), 4.7725, 0.0005)
	near(t, "seam at the exact scores", math.Sqrt2*2*3.37445-8.75, .7945, 0.0005)
	pair := d.Ways[0]
	if got := []measure.Length{pair.Scores[0].At, pair.Scores[1].At}; got[0] != 3*in+3*in/8 || got[1] != 9*in {
		t.Errorf("the pair is set at %v and %v, want 3 3/8 and 9 in", got[0], got[1])
	}
	e := d.Build(pair)
	if e.Width != 5*in+5*in/8 || e.EaseWidth != in/4 {
		t.Errorf("creases %v apart, ease %v", e.Width, e.EaseWidth)
	}
	if e.Folded.Hole != 0 || len(e.Blunts) != 0 {
		t.Errorf("hole %v, blunted %v", e.Folded.Hole, e.Blunts)
	}
}

// 5 5/8 square in a rectangle of 7 3/4 x 5 7/8 from a square of 10 1/4.
func TestWorkedRectangle(t *testing.T) {
	d := NewDiamond(Spec{Width: 7*in + in/2, Height: 5*in + 5*in/8, Ease: in / 4, Seam: 6 * in / 10, ThumbGap: in / 2, Style: sixteenth, School: ExactSeam})
	if d.Sheet != 10*in+in/4 {
		t.Fatalf("sheet is %v, want 10 1/4 in", d.Sheet)
	}
	near(t, "sides", d.Ways[1].Scores[0].Exact.Inches(), 3.373, 0.001)
	near(t, "ends", d.Ways[1].Scores[1].Exact.Inches(), 4.310, 0.001)
}

func TestDiagonalPlus(t *testing.T) {
	s := Spec{Width: 5*in + 3*in/4, Height: 3*in + 3*in/4, Ease: in / 8, ThumbGap: in / 2, Style: measure.Style{Unit: measure.Inches, Tick: in / 8}, School: DiagonalPlus}
	d := NewDiamond(s)
	near(t, "exact side", d.Exact.Inches(), 7.865, 0.0005)
	if d.Sheet != 7*in+7*in/8 {
		t.Errorf("sheet is %v, want 7 7/8 in", d.Sheet)
	}
	s.Style = measure.Style{Unit: measure.Millimetres, Tick: measure.Millimetre / 2}
	s.Thickness = 2 * measure.Millimetre
	near(t, "metric side", NewDiamond(s).Exact.Millimetres(), math.Hypot(146.05, 95.25)+25+3, 0.001)
}

func TestCreasesGiveBackWhatPaperEats(t *testing.T) {
	s := Spec{Width: 5 * in, Height: 5 * in, Thickness: in / 16, Ease: in / 4, Seam: 3 * in / 4, Style: sixteenth, School: ExactSeam}
	s.Caliper = 100 * measure.Micrometre
	if d := NewDiamond(s); d.Wider != 0 || d.CreaseWidth != 5*in+5*in/16 {
		t.Errorf("thin paper widens the creases by %v to %v", d.Wider, d.CreaseWidth)
	}
	s.Caliper = 160 * measure.Micrometre
	if d := NewDiamond(s); d.Wider != 320*measure.Micrometre || d.CreaseWidth != 5*in+5*in/16+320*measure.Micrometre {
		t.Errorf("heavy paper widens the creases by %v to %v", d.Wider, d.CreaseWidth)
	}
}

func randomSpec(rng *rand.Rand) Spec {
	side := func() measure.Length { return measure.Length(3*64+rng.IntN(6*64)) * in / 64 }
	styles := []measure.Style{sixteenth, {Unit: measure.Inches, Tick: in / 64}, {Unit: measure.Inches, Tick: in / 8}, {Unit: measure.Millimetres, Tick: measure.Millimetre / 2}, {Unit: measure.Millimetres, Tick: measure.Millimetre / 10}}
	return Spec{
		Width: side(), Height: side(), Thickness: measure.Length(rng.IntN(6)) * measure.Millimetre / 2,
		Ease: measure.Length(1+rng.IntN(4)) * in / 8, Seam: measure.Length(2+rng.IntN(4)) * in / 4,
		ThumbGap: in / 2, Caliper: measure.Length(rng.IntN(25)) * 10 * measure.Micrometre,
		Style: styles[rng.IntN(len(styles))], School: Schools()[rng.IntN(2)*2],
		Board: Board{CornerAt: measure.Length(rng.IntN(5)-2) * in / 4, NotchDepth: 10 * measure.Millimetre},
	}
}

// Whatever the card, school and way: rounding to what the tools can set never
// makes the envelope smaller than wanted, every setting is a tick, the pieces
// make up the sheet, and the folded net is what the formulas promise.
func TestEveryWayKeepsItsPromises(t *testing.T) {
	t.Parallel()
	rng := rand.New(rand.NewPCG(5, 6))
	for range 400 {
		s := randomSpec(rng)
		d := NewDiamond(s)
		if d.Sheet < d.Exact || d.Sheet%s.Style.Tick != 0 {
			t.Fatalf("%+v: sheet %v for %v", s, d.Sheet, d.Exact)
		}
		for _, w := range d.Ways {
			for _, set := range w.Scores {
				if set.At%s.Style.Tick != 0 {
					t.Fatalf("%s: a setting of %v is no tick", w.ID, set.At)
				}
				if (set.At - set.Exact).Abs() > 2*s.Style.Tick {
					t.Fatalf("%+v %s: %s is set at %v for %v", s, w.ID, set.Role, set.At, set.Exact)
				}
			}
			e := d.Build(w)
			if e.Width < d.CreaseWidth-1 || e.Height < d.CreaseHeight-1 {
				t.Fatalf("%+v %s: creases %v x %v are tighter than %v x %v", s, w.ID, e.Width, e.Height, d.CreaseWidth, d.CreaseHeight)
			}
			if e.Width > d.CreaseWidth+4*s.Style.Tick || e.Height > d.CreaseHeight+4*s.Style.Tick {
				t.Fatalf("%+v %s: creases %v x %v are far from %v x %v", s, w.ID, e.Width, e.Height, d.CreaseWidth, d.CreaseHeight)
			}
			checkNet(t, d, w, e)
		}
	}
}

// checkNet folds the net by reflecting it here, apart from Fold, and looks at
// it on a grid.
func checkNet(t *testing.T, d Diamond, w DiamondWay, e Envelope) {
	t.Helper()
	sum := 0.0
	for _, p := range e.Net.Panels {
		sum += p.Outline.Area()
	}
	for _, c := range e.Net.Cut().CutAway {
		sum += c.Area()
	}
	side := d.Sheet.Millimetres()
	near(t, "area of panels and waste", sum, side*side, 1e-3)

	face := e.Net.Panels[0].Outline
	x0, x1, y0, y1 := bounds(face)
	near(t, "closed width", x1-x0, e.Width.Millimetres(), 1e-3)
	near(t, "closed height", y1-y0, e.Height.Millimetres(), 1e-3)
	folded := map[string]Polygon{}
	for _, p := range e.Net.Panels[1:] {
		var q Polygon
		for _, v := range p.Outline {
			switch p.ID {
			case "left":
				v.X = 2*x0 - v.X
			case "right":
				v.X = 2*x1 - v.X
			case "top":
				v.Y = 2*y0 - v.Y
			case "bottom":
				v.Y = 2*y1 - v.Y
			}
			q = append(q, v)
		}
		folded[p.ID] = q
		if bx0, bx1, by0, by1 := bounds(q); bx0 < x0-1e-6 || bx1 > x1+1e-6 || by0 < y0-1e-6 || by1 > y1+1e-6 {
			t.Fatalf("%s passes the crease opposite: %v in %v", p.ID, q, face)
		}
	}
	// The back is covered: sample it, keeping clear of the seam lines.
	const n = 40
	open, layers := 0, 0
	for i := range n {
		for j := range n {
			p := Point{x0 + (x1-x0)*(float64(i)+.503)/n, y0 + (y1-y0)*(float64(j)+.497)/n}
			count := 1
			for _, q := range folded {
				if contains(q, p) {
					count++
				}
			}
			if count == 1 {
				open++
			}
			layers = max(layers, count)
		}
	}
	if share := float64(open) / (n * n); math.Abs(share-e.Folded.Hole/face.Area()) > 0.02 || (e.Folded.Hole == 0 && open > 0) {
		t.Fatalf("%s on %v x %v: %.1f %% of the back lies open, Fold says %.1f %%", w.ID, e.Width, e.Height, 100*share, 100*e.Folded.Hole/face.Area())
	}
	if layers > e.Folded.Layers {
		t.Fatalf("%d layers found, Fold says %d", layers, e.Folded.Layers)
	}
	// The seam, measured square to itself between the folded side and bottom.
	for _, pair := range [][2]string{{"left", "bottom"}, {"right", "bottom"}, {"left", "top"}, {"right", "top"}} {
		got := band(folded[pair[0]], folded[pair[1]])
		if got < e.Seam.Millimetres()-1e-3 || got > e.SeamMax.Millimetres()+1e-3 {
			t.Fatalf("%s: the %s to %s seam measures %.4f mm, promised %v to %v", w.ID, pair[0], pair[1], got, e.Seam, e.SeamMax)
		}
	}
}

func bounds(p Polygon) (x0, x1, y0, y1 float64) {
	x0, x1, y0, y1 = p[0].X, p[0].X, p[0].Y, p[0].Y
	for _, v := range p {
		x0, x1, y0, y1 = min(x0, v.X), max(x1, v.X), min(y0, v.Y), max(y1, v.Y)
	}
	return
}

func contains(p Polygon, v Point) bool {
	in := false
	for i, a := range p {
		b := p[(i+1)%len(p)]
		if (a.Y > v.Y) != (b.Y > v.Y) && v.X < a.X+(v.Y-a.Y)/(b.Y-a.Y)*(b.X-a.X) {
			in = !in
		}
	}
	return in
}

// band measures how wide two folded flaps overlap across their shared seam:
// the distance between their 45° edges that face each other.
func band(side, end Polygon) float64 {
	widest := math.Inf(-1)
	for i, a := range side {
		b := side[(i+1)%len(side)]
		for j, c := range end {
			d := end[(j+1)%len(end)]
			u, v := Point{b.X - a.X, b.Y - a.Y}, Point{d.X - c.X, d.Y - c.Y}
			lu, lv := math.Hypot(u.X, u.Y), math.Hypot(v.X, v.Y)
			diagonal := math.Abs(math.Abs(u.X)-math.Abs(u.Y)) < 1e-6*lu && math.Abs(math.Abs(v.X)-math.Abs(v.Y)) < 1e-6*lv
			if !diagonal || math.Abs(u.X*v.Y-u.Y*v.X) > 1e-6*lu*lv {
				continue
			}
			// Signed: positive when each reaches past the other's edge.
			overlap := math.Abs((c.X-a.X)*u.Y-(c.Y-a.Y)*u.X) / lu
			if overlap > widest && len(side.meet(end)) > 0 && touches(side.meet(end), a, b) && touches(side.meet(end), c, d) {
				widest = overlap
			}
		}
	}
	return widest
}

// touches reports whether an edge of p lies on the line through a and b.
func touches(p Polygon, a, b Point) bool {
	l := math.Hypot(b.X-a.X, b.Y-a.Y)
	for i, c := range p {
		d := p[(i+1)%len(p)]
		on := func(v Point) bool { return math.Abs((v.X-a.X)*(b.Y-a.Y)-(v.Y-a.Y)*(b.X-a.X))/l < 1e-6 }
		if on(c) && on(d) {
			return true
		}
	}
	return false
}

// A crease moved on purpose must be noticed, or the checks above prove nothing.
func TestMovedCreaseIsNoticed(t *testing.T) {
	d := NewDiamond(Spec{Width: 6 * in, Height: 4 * in, Ease: in / 4, Seam: in / 4, ThumbGap: in / 2, Style: sixteenth, School: ExactSeam})
	e := d.Build(d.Ways[1])
	if e.Folded.Hole != 0 || e.Folded.Overhang != 0 {
		t.Fatalf("the envelope as it should be: %+v", e.Folded)
	}
	w := d.Ways[1]
	w.flaps.Bottom -= float64(in)
	if moved := d.Build(w); moved.Folded.Hole == 0 || moved.Seam >= 0 {
		t.Errorf("the bottom scored an inch short leaves no hole: %+v, seam %v", moved.Folded, moved.Seam)
	}
	net := e.Net
	net.Creases = append([]Crease(nil), net.Creases...)
	net.Creases[0].From.X += 8
	net.Creases[0].To.X += 8
	if f := net.Fold(); f.Hole == e.Folded.Hole {
		t.Error("a crease moved in the net alone changes nothing")
	}
}

// The shortest flaps of docs/sums.md: at the limit the back is closed, a hair
// below it there is a hole.
func TestShortestFlaps(t *testing.T) {
	mm := float64(measure.Millimetre)
	for _, tt := range []struct{ w, h, seam float64 }{{140, 140, 20}, {150, 120, 15}, {220, 95, 19}} {
		n := tt.seam / math.Sqrt2
		diag := tt.w + tt.h + 2*n
		a, b := (diag-tt.w)/2, (diag-tt.h)/2
		least := math.Min(tt.h/2-n, b)
		both := tt.h
		if diag >= 2*tt.w {
			least, both = tt.h/2-(diag/2-tt.w), 0
		}
		open := func(bottom, top float64) bool {
			cut := Flaps{math.Min(a, tt.w), math.Min(a, tt.w), top, bottom}
			for _, p := range []*float64{&cut.Left, &cut.Right, &cut.Top, &cut.Bottom} {
				*p *= mm
			}
			return pointed{}.net(onPoint(diag/2, diag/2), Flaps{a * mm, a * mm, b * mm, b * mm}, cut).Fold().Hole > 0
		}
		top := math.Max(least, both-least)
		if open(least+.1, top+.1) {
			t.Errorf("%v x %v: flaps of %.1f and %.1f leave a hole", tt.w, tt.h, least, top)
		}
		if !open(least-1.5, top-1.5) {
			t.Errorf("%v x %v: flaps shorter than %.1f and %.1f leave no hole", tt.w, tt.h, least, top)
		}
	}
}

func TestSlimCardIsBlunted(t *testing.T) {
	d := NewDiamond(Spec{Width: 8*in + in/2, Height: 3*in + in/2, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Style: sixteenth, School: ExactSeam})
	e := d.Build(d.Ways[0])
	names := map[string]Blunt{}
	for _, b := range e.Blunts {
		names[b.Panel] = b
	}
	if b, ok := names["bottom"]; !ok || b.To > e.Height-in/2 || b.Full <= b.To {
		t.Errorf("the bottom flap of a slim card: %+v", e.Blunts)
	}
	if b, ok := names["top"]; !ok || b.To >= e.Height {
		t.Errorf("the closing flap of a slim card: %+v", e.Blunts)
	}
	if e.Folded.Hole != 0 || e.TipGap <= 0 {
		t.Errorf("hole %v, tip gap %v", e.Folded.Hole, e.TipGap)
	}
	if len(e.Net.Cut().CutAway) != 6 {
		t.Errorf("%d pieces are cut away, want four corners and two tips", len(e.Net.Cut().CutAway))
	}
}

func TestNotchBoardFixesTheSeam(t *testing.T) {
	k := 9 * measure.Millimetre
	d := NewDiamond(Spec{Width: 7 * in, Height: 5 * in, Ease: in / 4, Seam: in, Style: sixteenth, School: NotchBoard, Board: Board{NotchDepth: k}})
	e := d.Build(d.Chosen())
	if (e.Seam-2*k).Abs() > 2 || (e.SeamMax-2*k).Abs() > 2 {
		t.Errorf("seam %v to %v, want twice %v", e.Seam, e.SeamMax, k)
	}
	w := d.Ways[0]
	p := float64(d.Sheet)/2 - float64(d.CreaseWidth-d.CreaseHeight)/(2*math.Sqrt2)
	if math.Abs(float64(w.Scores[0].Exact)-p) > 2 || w.Scores[0].At+w.Scores[1].At != d.Sheet {
		t.Errorf("punched at %v and %v, want %v from the side corners", w.Scores[0].At, w.Scores[1].At, measure.Round(p))
	}
}

func TestGuideOffsetMovesOnlyTheReadings(t *testing.T) {
	s := Spec{Width: 6 * in, Height: 5 * in, Ease: in / 4, Seam: 3 * in / 4, Style: sixteenth, School: ExactSeam}
	plain := NewDiamond(s)
	s.Board.CornerAt = -in / 2
	offset := NewDiamond(s)
	for i := range 2 {
		a, b := plain.Build(plain.Ways[i]), offset.Build(offset.Ways[i])
		if a.Width != b.Width || a.Seam != b.Seam {
			t.Errorf("%s: the offset changes the envelope from %v to %v", plain.Ways[i].ID, a.Width, b.Width)
		}
		for j := range plain.Ways[i].Scores {
			if got := plain.Ways[i].Scores[j].At - offset.Ways[i].Scores[j].At; got != in/2 {
				t.Errorf("%s: setting %d moves by %v", plain.Ways[i].ID, j, got)
			}
		}
	}
}

func BenchmarkDiamond(b *testing.B) {
	s := Spec{Width: 5*in + 3*in/8, Height: 5*in + 3*in/8, Thickness: in / 20, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Style: sixteenth, School: ExactSeam}
	for b.Loop() {
		d := NewDiamond(s)
		d.Build(d.Chosen())
	}
}

// S 9 3/8, 6.2 square: moved .215 towards the bottom corner the bottom flap is a quarter of
// the diagonal high and ends at the side points, its seams of .607 are halved and the top
// ones .910.
func TestMovedAlongTheDiagonal(t *testing.T) {
	fine := measure.Style{Unit: measure.Inches, Tick: in / 64}
	s := Spec{Width: 62 * in / 10, Height: 62 * in / 10, Seam: 6066 * in / 10000, Style: fine, School: ExactSeam, Way: CornerWay, ThumbGap: in / 2, Adhesive: in / 4}
	mid := NewDiamond(s)
	s.Low = true
	low := NewDiamond(s)
	near(t, "side", low.Sheet.Inches(), 9.375, 1e-9)
	near(t, "shift", low.shift()/float64(in), -0.215, 0.002)
	e, f := low.Build(low.Chosen()), mid.Build(mid.Chosen())
	near(t, "seams in the middle", f.Seam.Inches(), 0.607, 0.05)
	near(t, "bottom seams", e.Seam.Inches(), f.Seam.Inches()/2, 0.03)
	near(t, "top seams", e.SeamMax.Inches(), 1.5*f.Seam.Inches(), 0.03)
	near(t, "bottom flap", e.cut.Bottom, low.Diagonal()/4, float64(in)/64)
	for _, b := range e.Blunts {
		if b.Panel == "bottom" {
			t.Errorf("its tip is still folded in: %+v", b)
		}
	}
	// Folded, the tip lies on the line through the side points.
	for _, way := range []WayID{PairWay, CornerWay} {
		s.Way = way
		if m := NewDiamond(s).Made(); m.Prove() != nil || m.Faulty(NotLow) || m.Ways[m.Chosen].ID != way {
			t.Errorf("%s: %v", way, m.Prove())
		}
	}
	s.Width = 8 * in // over half the diagonal
	if m := NewDiamond(s).Made(); !m.Faulty(NotLow) || m.Prove() != nil {
		t.Errorf("too wide: %+v, %v", m.Faults, m.Prove())
	}
}
