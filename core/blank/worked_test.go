package blank

import (
	"math"
	"testing"

	"yellowparcel/core/measure"
)

// The worked pockets of docs/sums.md.
func TestWorkedPockets(t *testing.T) {
	s := Spec{Width: 6*in + in/4, Height: 4*in + in/2, Style: sixteenth, Way: NextEdge, Pocket: ThumbGapPocket, Adhesive: in / 2}
	m := NewPocket(s)
	if got := lengths(m.SheetWidth, m.SheetHeight, m.Way().Scores[0].At, m.Way().Scores[1].At, m.Way().Scores[2].At, m.Way().Scores[3].At); got != "7 1/2 10 3/4 1/2 1/2 1 3/4 4 1/4" {
		t.Errorf("thumb-gap: %s", got)
	}
	s = Spec{Width: 6 * in, Height: 4*in + in/2, Style: sixteenth, Way: NextEdge, Pocket: ClosePocket, Adhesive: in / 2, SheetLength: 11 * in}
	m = NewPocket(s)
	if got := lengths(m.SheetWidth, m.SheetHeight, m.Way().Scores[0].At, m.Way().Scores[2].At, m.Way().Scores[3].At); got != "8 1/8 11 1 1 7/8 4 1/2" {
		t.Errorf("close-ease: %s", got)
	}
	if len(m.Faults) > 0 {
		t.Errorf("faults %v", m.Faults)
	}
}

// 4 3/4 square and 5/8 deep: full glue squares from 8.485, the back closes from
// 7.601 on.
func TestWorkedBox(t *testing.T) {
	s := Spec{Width: 4 * in, Height: 4 * in, Thickness: 9 * in / 16, Ease: 3 * in / 4, Style: measure.Style{Unit: measure.Inches, Tick: in / 64}}
	m := NewSquareBox(s)
	near(t, "full squares", m.SheetWidth.Inches(), 8.485, 2.5/64)
	if m.Depth != 5*in/8 || m.Width < 19*in/4 || m.Width > 19*in/4+in/32 || m.Faulty(GlueCorners) {
		t.Errorf("%v deep, %v wide, %v", m.Depth, m.Width, m.Faults)
	}
	for side, open := range map[measure.Length]bool{measure.Round(7.59 * float64(in)): true, measure.Round(7.61 * float64(in)): false} {
		if got := squareBox(s, side, 19*in/4, 19*in/4, m.Depth).Finished(s); (got.Folded.Hole > sliver) != open || got.Faulty(GlueCorners) != true {
			t.Errorf("a square of %v: hole of %.2f mm²", side, got.Folded.Hole)
		}
	}
}

// The least square that closes the back leaves glue tabs min(d, n) wide at the
// floor and min(d, n - d) at the rim, where n is the notch.
func TestLeastSquareForABox(t *testing.T) {
	for _, seam := range []measure.Length{in / 4, in / 2, in} {
		s := Spec{Width: 4*in + in/2, Height: 4 * in, Thickness: 9 * in / 16, Ease: in / 4, Seam: seam, Adhesive: in / 4, Style: sixteenth, Box: LeastSquares}
		m, full := NewSquareBox(s), NewSquareBox(Spec{Width: s.Width, Height: s.Height, Thickness: s.Thickness, Ease: s.Ease, Seam: seam, Style: sixteenth})
		if m.SheetWidth > full.SheetWidth || seam < in && m.SheetWidth == full.SheetWidth || m.Seam < seam || m.Seam > seam+in/4 {
			t.Errorf("seam %v: %v square with a seam of %v, whole squares %v", seam, m.SheetWidth, m.Seam, full.SheetWidth)
		}
		n, d := (m.SheetWidth.Millimetres()*math.Sqrt2-m.Width.Millimetres()-m.Height.Millimetres())/2, m.Depth.Millimetres()
		square := m.Net.panel("left square")
		reach := func(x float64) (far float64) {
			start := math.Inf(1)
			for _, p := range square {
				start = min(start, p.Y)
			}
			for i, p := range square {
				if q := square[(i+1)%len(square)]; (p.X-x)*(q.X-x) <= 0 && p.X != q.X {
					far = max(far, p.Y+(q.Y-p.Y)*(x-p.X)/(q.X-p.X)-start)
				}
			}
			return far
		}
		floor := -math.MaxFloat64
		for _, p := range square {
			floor = max(floor, p.X)
		}
		near(t, "glue tab at the floor", reach(floor-1e-6), min(d, n), 1e-3)
		near(t, "glue tab at the rim", reach(floor-d+1e-6), min(d, max(0, n-d)), 1e-3)
		if m.Faulty(GlueCorners) != (n < 2*d) {
			t.Errorf("seam %v: n %.2f, d %.2f, faults %v", seam, n, d, m.Faults)
		}
	}
}

// Hems make the side walls double: the sheet is as much wider, less what tabs
// had taken, and hem and tab come off the ease.
func TestHemmedWalls(t *testing.T) {
	s := Spec{Width: 5 * in, Height: 4 * in, Thickness: 9 * in / 16, Ease: in / 4, Adhesive: in / 4, Caliper: measure.Inch / 64, Style: sixteenth}
	tabs := NewTuckBox(s)
	s.Walls = HemmedWalls
	hems := NewTuckBox(s)
	// w + 2d + 2 hem, d 5/8 and hem 9/16; w up to a tick with 4 calipers more.
	if want := hems.Width + 2*(5*in/8) + 2*(9*in/16); hems.SheetWidth != want {
		t.Errorf("sheet %v wide, want %v", hems.SheetWidth, want)
	}
	if hems.Width-tabs.Width != in/16 || hems.EaseWidth < s.Ease-2*s.Caliper || hems.EaseWidth > s.Ease+in/16 {
		t.Errorf("width %v and %v, ease %v", tabs.Width, hems.Width, hems.EaseWidth)
	}
	s.Thickness = in / 8
	if low := NewTuckBox(s); !low.Faulty(NoHem) || low.SheetWidth != low.Width+2*(in/2) {
		t.Errorf("walls of %v are hemmed: %v", low.Depth, low.Faults)
	}
	layers := func(m Made) (most int) {
		for _, r := range m.Net.Regions() {
			most = max(most, r.Layers)
		}
		return most
	}
	if layers(hems) < layers(tabs) || len(hems.Net.Panels) != len(tabs.Net.Panels)+2 {
		t.Errorf("%d and %d layers, %d panels", layers(hems), layers(tabs), len(hems.Net.Panels))
	}
}

// 9 1/4 x 5 7/8 cut down for a 5 3/8 square: 1 3/8 off each side, 6 1/2 left.
func TestWorkedCutDown(t *testing.T) {
	s := Spec{Width: 43 * in / 8, Height: 43 * in / 8, Ease: 3 * in / 8, Seam: 3 * in / 8, Adhesive: in / 4, Style: sixteenth}
	b := Bought{Width: 37 * in / 4, Height: 47 * in / 8}
	m, ok := NewCutDown(s, b, false)
	if got := lengths(m.Way().Scores[0].At, m.Way().Scores[1].At, m.Width, m.Height, m.EaseHeight); !ok || got != "1 3/8 1 3/8 6 1/2 5 7/8 1/2" || !m.Faulty(TooHigh) {
		t.Errorf("%s, %v", got, m.Faults)
	}
	if m, ok = NewCutDown(s, b, true); !ok || m.Width != 49*in/8 || len(m.Way().Scores) != 1 {
		t.Errorf("one side: %v", m.Width)
	}
	if _, ok := NewCutDown(s, Bought{Width: 6 * in, Height: 6 * in}, false); ok {
		t.Error("an envelope too narrow is cut down")
	}
	if _, ok := NewCutDown(s, Bought{Width: 9 * in, Height: 5 * in}, true); ok {
		t.Error("an envelope too low is cut down")
	}
}
