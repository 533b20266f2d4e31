package mat

import (
	"context"
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/cutting"
	"yellowparcel/core/measure"
)

func effort() *cutting.Effort { return cutting.NewEffort(context.Background(), 1_000_000) }

func box(w, h float64) blank.Polygon {
	return blank.Polygon{{}, {X: w}, {X: w, Y: h}, {Y: h}}
}

const mm = measure.Millimetre

// A cutter works on all of its mat but the margins, and a sheet lies where most of it can be worked on.
func TestUsable(t *testing.T) {
	m := Usual()[0]
	if w, h := m.Usable(); w != 11*measure.Inch+measure.Inch/4 || h != w {
		t.Errorf("%v × %v of a 12 in mat with 3/8 in margins", w, h)
	}
	if w, _ := (Mat{Width: 300 * mm, Height: 300 * mm, Margin: 8 * mm}).Usable(); w != 284*mm {
		t.Errorf("%v of a 300 mm mat with 8 mm margins", w)
	}
	if w, _ := (Mat{Width: 10 * mm, Height: 300 * mm, Margin: 8 * mm}).Usable(); w != 0 {
		t.Errorf("%v of a mat that is all margin", w)
	}
	inch := measure.Inch
	for _, tt := range []struct {
		name             string
		w, h             measure.Length
		want             Paper
		usableW, usableH measure.Length
	}{
		{"letter: all of it", 8*inch + inch/2, 11 * inch, Paper{3 * inch / 8, 3 * inch / 8, 8*inch + inch/2, 11 * inch, false}, 8*inch + inch/2, 11 * inch},
		{"as large as the mat: less the margins", 12 * inch, 12 * inch, Paper{0, 0, 12 * inch, 12 * inch, false}, 11*inch + inch/4, 11*inch + inch/4},
		{"a little smaller: in the middle", 11*inch + inch/2, 9 * inch, Paper{inch / 4, 3 * inch / 8, 11*inch + inch/2, 9 * inch, false}, 11*inch + inch/4, 9 * inch},
		{"larger: cut down to it", 25 * inch, 20 * inch, Paper{0, 0, 12 * inch, 12 * inch, true}, 11*inch + inch/4, 11*inch + inch/4},
	} {
		t.Run(tt.name, func(t *testing.T) {
			if got := m.Lies(tt.w, tt.h); got != tt.want {
				t.Errorf("it lies %+v, not %+v", got, tt.want)
			}
			if _, _, w, h := m.area(tt.want); w != tt.usableW || h != tt.usableH {
				t.Errorf("%v × %v can be worked on", w, h)
			}
		})
	}
}

// What fits as it is drawn lies so; what fits a quarter round is turned by that; and what fits at no right angle
// goes in slantwise where its diagonal lets it, by the pencil: a strip of 1 × a goes into a square of b while
// (a + 1)/√2 is no more than b.
func TestAngle(t *testing.T) {
	for _, tt := range []struct {
		name  string
		p     blank.Polygon
		turns Turns
		w, h  measure.Length
		want  float64
		over  float64
	}{
		{"as it is", box(100, 50), Any, 100 * mm, 50 * mm, 0, 0},
		{"a quarter", box(100, 50), Any, 50 * mm, 100 * mm, 90, 0},
		{"held by its pattern", box(100, 50), AsDrawn, 50 * mm, 100 * mm, 0, 50},
		{"held by it the other way", box(100, 50), Quarter, 100 * mm, 50 * mm, 90, 50},
		{"slantwise", box(120, 10), Any, 92 * mm, 92 * mm, 45, 0},
		{"too long slantwise", box(130, 10), Any, 92 * mm, 92 * mm, 45, 140/math.Sqrt2 - 92},
	} {
		t.Run(tt.name, func(t *testing.T) {
			angle, over := Angle(tt.p, tt.turns, tt.w, tt.h)
			if math.Abs(over-tt.over) > 1e-3 || math.Abs(angle-tt.want) > 0.01 && (tt.want != 45 || math.Abs(angle-135) > 0.01) {
				t.Errorf("at %.3f°, %.4f over; not %v, %.4f", angle, over, tt.want, tt.over)
			}
		})
	}
}

// Whatever is laid lies on the paper, within what the cutter can work on, with the gap between any two, each
// as often as it was asked for, and turned only as its paper lets it; whatever is not laid goes in no way.
func TestAnythingLaid(t *testing.T) {
	r := rand.New(rand.NewPCG(7, 11))
	for n := range 300 {
		m := Mat{Width: measure.Length(150+r.IntN(400)) * mm, Height: measure.Length(150+r.IntN(400)) * mm, Margin: measure.Length(r.IntN(20)) * mm}
		w, h := measure.Length(100+r.IntN(500))*mm, measure.Length(100+r.IntN(500))*mm
		var pieces []Piece
		for range 1 + r.IntN(3) {
			p := box(float64(20+r.IntN(280))+r.Float64(), float64(20+r.IntN(280))+r.Float64())
			if r.IntN(3) == 0 { // without two of its corners
				p = blank.Polygon{{X: p[1].X / 3}, p[1], {X: p[2].X, Y: p[2].Y / 2}, {X: p[2].X / 2, Y: p[2].Y}, p[3], {Y: p[3].Y / 3}}
			}
			pieces = append(pieces, Piece{p, 1 + r.IntN(6), Turns(r.IntN(3))})
		}
		laid := Lay(effort(), m, w, h, pieces)
		_, _, uw, uh := m.area(laid.Paper)
		counts := make([]int, len(pieces))
		for _, l := range laid.Loads {
			for i, p := range l.Papers {
				if p.X < 0 || p.Y < 0 || !p.CutDown && (p.X+p.Width > m.Width || p.Y+p.Height > m.Height) || slices.ContainsFunc(l.Papers[:i], func(q Paper) bool {
					return (p.X-q.X).Abs() < p.Width && (p.Y-q.Y).Abs() < p.Height
				}) {
					t.Fatalf("%d: the sheets lie %+v", n, l.Papers)
				}
			}
			var boxes [][4]float64
			for _, q := range l.Placed {
				counts[q.Piece] += l.Times
				bw, bh := turned(pieces[q.Piece].Outline, q.Angle)
				b := [4]float64{q.At.X, q.At.Y, q.At.X + bw, q.At.Y + bh}
				if !slices.ContainsFunc(l.Papers, func(p Paper) bool {
					x, y, w, h := m.area(p)
					return b[0] >= x.Millimetres()-sure && b[1] >= y.Millimetres()-sure && b[2] <= (x+w).Millimetres()+2*sure && b[3] <= (y+h).Millimetres()+2*sure
				}) {
					t.Fatalf("%d: %v lies outside every one of %v", n, b, l.Papers)
				}
				for _, o := range boxes {
					if apart := max(b[0]-o[2], o[0]-b[2], b[1]-o[3], o[1]-b[3]); apart < Gap.Millimetres()-2*sure {
						t.Fatalf("%d: %v and %v are %.3f apart", n, b, o, apart)
					}
				}
				boxes = append(boxes, b)
				if turns := pieces[q.Piece].Turns; turns == AsDrawn && q.Angle != 0 || turns == Quarter && q.Angle != 90 {
					t.Fatalf("%d: it is turned by %v, which its paper forbids", n, q.Angle)
				}
			}
		}
		for _, miss := range laid.Misfits {
			if counts[miss.Piece] = pieces[miss.Piece].Count; miss.Needs <= miss.Has {
				t.Errorf("%d: %v goes into %v", n, miss.Needs, miss.Has)
			}
			for at := 0.0; at < 180 && pieces[miss.Piece].Turns == Any; at++ {
				if bw, bh := turned(pieces[miss.Piece].Outline, at); bw <= uw.Millimetres() && bh <= uh.Millimetres() {
					t.Errorf("%d: it goes in at %v°", n, at)
				}
			}
		}
		for i, p := range pieces {
			if counts[i] != p.Count {
				t.Errorf("%d: %d of piece %d are laid, not %d", n, counts[i], i, p.Count)
			}
		}
	}
}
