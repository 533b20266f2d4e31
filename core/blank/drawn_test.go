package blank

import (
	"errors"
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
)

// drawnAs is a net as somebody may have drawn it: turned by an angle, its folds solid or in dashes that begin short of the
// edge.
func drawnAs(n Net, angle float64, dashes bool) (outline Polygon, folds, slits []Line) {
	sin, cos := math.Sincos(angle)
	at := func(p Point) Point { return Point{40 + p.X*cos - p.Y*sin, 70 + p.X*sin + p.Y*cos} }
	n = n.Cut()
	for _, p := range n.Outline {
		outline = append(outline, at(p))
	}
	for _, c := range n.Creases {
		long := math.Hypot(c.To.X-c.From.X, c.To.Y-c.From.Y)
		along := func(t float64) Point {
			return at(Point{c.From.X + (c.To.X-c.From.X)*t/long, c.From.Y + (c.To.Y-c.From.Y)*t/long})
		}
		if !dashes || long < 20 {
			folds = append(folds, Line{along(0), along(long)})
			continue
		}
		for t := 3.0; t < long-3; t += 5 {
			folds = append(folds, Line{along(t), along(min(t+3, long-3))})
		}
	}
	for _, s := range n.Slits {
		slits = append(slits, Line{at(s.From), at(s.To)})
	}
	return outline, folds, slits
}

// A net that is drawn and read back is the net: as many panels, the same room inside, the same walls, the same
// narrowest seam and the same hole, whatever way it lies on the page and however its folds are drawn.
func TestANetReadBack(t *testing.T) {
	t.Parallel()
	in := measure.Inch
	r := rand.New(rand.NewPCG(3, 9))
	tried := map[ID]int{}
	for range 60 {
		s := Spec{
			Width: measure.Length(56+r.IntN(60)) * in / 16, Height: measure.Length(50+r.IntN(40)) * in / 16, Thickness: measure.Length(1+r.IntN(4)) * in / 32,
			Ease: in / 4, Seam: measure.Length(6+r.IntN(6)) * in / 16, Caliper: 100 * measure.Micrometre, Style: measure.Style{Unit: measure.Inches, Tick: in / 16},
			Adhesive: in / 4, School: ExactSeam, SheetLength: 24 * in, Gusset: in / 4, Depth: in / 4,
		}
		for _, k := range Constructions() {
			if k.Bought {
				continue
			}
			m, ok := k.Make(s)
			if !ok || len(m.Net.Panels) == 0 {
				continue
			}
			dashes := r.IntN(2) == 0
			outline, folds, slits := drawnAs(m.Net, r.Float64()*6, dashes)
			n, err := FromDrawing(outline, folds, slits)
			if err != nil {
				t.Errorf("%s: %v", k.ID, err)
				continue
			}
			tried[k.ID]++
			f := n.Look()
			x0, y0, x1, y1 := m.Net.Panels[0].Outline.Box()
			if k.OnPoint { // its front lies level too
				x0, y0, x1, y1 = 0, 0, m.Net.Panels[0].Outline[0].distanceTo(m.Net.Panels[0].Outline[1]), m.Net.Panels[0].Outline[1].distanceTo(m.Net.Panels[0].Outline[2])
			}
			w, h := x1-x0, y1-y0
			gw, gh := f.Width.Millimetres(), f.Height.Millimetres()
			if math.Abs(gw*gh-w*h) > 0.3 || math.Abs(gw+gh-w-h) > 0.02 {
				t.Errorf("%s: the front is %.3f × %.3f, want %.3f × %.3f", k.ID, gw, gh, w, h)
			}
			if len(n.Panels) != len(m.Net.Panels) || math.Abs(f.Folded.Depth-m.Folded.Depth) > 0.05 {
				t.Errorf("%s: %d panels and %.2f deep, want %d and %.2f", k.ID, len(n.Panels), f.Folded.Depth, len(m.Net.Panels), m.Folded.Depth)
			}
			if k.ID != "tuck" && math.Abs(f.Seam.Millimetres()-m.Seam.Millimetres()) > 0.05 {
				t.Errorf("%s (dashes: %v): the narrowest seam is %.3f, want %.3f", k.ID, dashes, f.Seam.Millimetres(), m.Seam.Millimetres())
			}
			if k.ID != "tuck" && math.Abs(f.Folded.Hole-m.Folded.Hole) > 1 {
				t.Errorf("%s: a hole of %.1f mm², want %.1f", k.ID, f.Folded.Hole, m.Folded.Hole)
			}
		}
	}
	for _, id := range []ID{DiamondID, PocketID, GussetID, BoxID, TuckID} {
		if tried[id] < 20 {
			t.Errorf("%s was read %d times", id, tried[id])
		}
	}
}

func (p Point) distanceTo(q Point) float64 { return math.Hypot(p.X-q.X, p.Y-q.Y) }

// A drawing pulled to another size takes its seams with it: as many times as wide all over; and pulled one way alone, the flaps of a
// square on its point no longer meet as they did.
func TestStretching(t *testing.T) {
	t.Parallel()
	in := measure.Inch
	k := ByID(DiamondID)
	m, _ := k.Make(Spec{Width: 5 * in, Height: 5 * in, Thickness: in / 32, Ease: in / 4, Seam: in / 2, Caliper: 100 * measure.Micrometre, Style: measure.Style{Unit: measure.Inches, Tick: in / 16}, Adhesive: in / 4, School: ExactSeam})
	n, err := FromDrawing(drawnAs(m.Net, 0.3, false))
	if err != nil {
		t.Fatal(err)
	}
	before := n.Look()
	after := n.Stretched(1.2, 1.2).Look()
	if math.Abs(after.Seam.Millimetres()-1.2*before.Seam.Millimetres()) > 0.01 || math.Abs(after.Width.Millimetres()-1.2*before.Width.Millimetres()) > 0.01 {
		t.Errorf("a seam of %.3f, stretched by 1.2: %.3f", before.Seam.Millimetres(), after.Seam.Millimetres())
	}
	// By the pencil: the front is w × w, each flap a triangle w/2 + s/2 high, its seam s across the slope. Made 1.3 times as
	// wide, the side flaps are 1.3 times as high and the front 1.3 times as wide: they overlap the ends' flaps along edges that
	// are no longer at 45°, and the seam across them is narrower than 1.3 times.
	if wide := n.Stretched(1.3, 1).Look(); wide.Seam.Millimetres() > 1.25*before.Seam.Millimetres() || wide.Seam.Millimetres() < before.Seam.Millimetres() {
		t.Errorf("a seam of %.3f, made 1.3 times as wide: %.3f", before.Seam.Millimetres(), wide.Seam.Millimetres())
	}
	if small := n.Stretched(0.5, 0.5).Look(); math.Abs(small.Seam.Millimetres()-before.Seam.Millimetres()/2) > 0.01 {
		t.Errorf("half as large: %.3f", small.Seam.Millimetres())
	}
}

// What is no envelope is told apart from what is one.
func TestNoEnvelope(t *testing.T) {
	t.Parallel()
	box := Polygon{{0, 0}, {200, 0}, {200, 100}, {0, 100}}
	for _, tt := range []struct {
		name  string
		folds []Line
		want  error
	}{
		{"without folds", nil, ErrNoCreases},
		{"a fold that leads nowhere", []Line{{Point{50, 20}, Point{50, 60}}}, ErrNoFront},
		{"slantwise", []Line{{Point{0, 30}, Point{200, 60}}}, ErrNoFront},
		{"a fold off the paper", []Line{{Point{300, 0}, Point{300, 100}}}, ErrNoFront},
		{"too many", make([]Line, mostDashes+1), ErrTooMany},
	} {
		if n, err := FromDrawing(box, tt.folds, nil); !errors.Is(err, tt.want) {
			t.Errorf("%s: %d panels, %v", tt.name, len(n.Panels), err)
		}
	}
	if n, err := FromDrawing(box, []Line{{Point{100, 2}, Point{100, 97}}}, nil); err != nil || len(n.Panels) != 2 || len(n.Creases) != 1 {
		t.Errorf("a card: %d panels, %v", len(n.Panels), err)
	}
}

func FuzzFromDrawing(f *testing.F) {
	f.Add([]byte{10, 10, 90, 10, 90, 60, 10, 60, 40, 10, 40, 60, 10, 30, 90, 30})
	f.Fuzz(func(t *testing.T, raw []byte) {
		at := func(i int) Point { return Point{float64(raw[i]), float64(raw[i+1])} }
		if len(raw) < 12 || len(raw) > 200 {
			return
		}
		var outline Polygon
		for i := 0; i < 8; i += 2 {
			outline = append(outline, at(i))
		}
		var folds []Line
		for i := 8; i+3 < len(raw); i += 4 {
			folds = append(folds, Line{at(i), at(i + 2)})
		}
		if n, err := FromDrawing(outline, folds, nil); err == nil {
			n.Look()
		}
	})
}
