package format

import (
	"fmt"
	"math"
	"math/rand/v2"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

// lineOf is a LINE of a DXF, which counts up.
func lineOf(x0, y0, x1, y1 float64) string {
	return fmt.Sprintf("0\nLINE\n8\n0\n10\n%g\n20\n%g\n11\n%g\n21\n%g\n", x0, y0, x1, y1)
}

// A drawing of lines and arcs whose ends meet is an outline, in whatever order and direction they come: its
// area is the pencil's. What has a loose end is no part of it, and a gap that can be seen is refused.
func TestLinesThatMeet(t *testing.T) {
	rect := []string{lineOf(0, 0, 100, 0), lineOf(100, 60, 100, 0), lineOf(100, 60, 0, 60), lineOf(0, 0, 0, 60)}
	arc := "0\nARC\n10\n90\n20\n50\n40\n10\n50\n0\n51\n90\n"
	open := "0\nLWPOLYLINE\n70\n0\n10\n0\n20\n0\n10\n100\n20\n0\n10\n100\n20\n60\n"
	for _, tt := range []struct {
		name     string
		entities []string
		area     float64
		says     string
	}{
		{"four lines", rect, 6000, ""},
		{"a rounded corner", []string{lineOf(0, 0, 100, 0), lineOf(100, 0, 100, 50), arc, lineOf(90, 60, 0, 60), lineOf(0, 60, 0, 0)}, 6000 - 100 + math.Pi*25, ""},
		{"half a circle by an arc over the start", []string{"0\nARC\n10\n0\n20\n0\n40\n30\n50\n270\n51\n90\n", lineOf(0, -30, 0, 30)}, math.Pi * 450, ""},
		{"an open polyline and two lines", []string{open, lineOf(100, 60, 0, 60), lineOf(0, 60, 0, 0)}, 6000, ""},
		{"with folds from corner to corner", append([]string{lineOf(0, 0, 100, 60)}, rect...), 6000, ""},
		{"with a line that ends nowhere", append([]string{lineOf(50, 30, 70, 40), lineOf(100, 60, 140, 90)}, rect...), 6000, ""},
		{"the larger of two", append([]string{lineOf(200, 0, 220, 0), lineOf(220, 0, 220, 20), lineOf(220, 20, 200, 0)}, rect...), 6000, ""},
		{"ends a twentieth apart", []string{rect[0], rect[1], rect[2], lineOf(0.05, 0, 0, 60)}, 6000, ""},
		{"ends a millimetre apart", []string{rect[0], rect[1], rect[2], lineOf(0, 1, 0, 60)}, 0, "no closed outline"},
		{"one line", rect[:1], 0, "no closed outline"},
		{"two lines that lie on each other", []string{rect[0], rect[0]}, 0, "no closed outline"},
	} {
		t.Run(tt.name, func(t *testing.T) {
			r := rand.New(rand.NewPCG(1, 13))
			for range 6 {
				r.Shuffle(len(tt.entities), func(i, k int) { tt.entities[i], tt.entities[k] = tt.entities[k], tt.entities[i] })
				got, err := ReadOutline(dxf("4", strings.Join(tt.entities, "")), measure.Millimetres)
				if tt.says != "" {
					if err == nil || !strings.Contains(err.Error(), tt.says) {
						t.Fatalf("%v, and %.1f mm²", err, got.Area())
					}
					continue
				}
				if err != nil || math.Abs(got.Area()-tt.area) > 0.003*tt.area {
					t.Fatalf("%v, %.1f mm², want %.1f", err, got.Area(), tt.area)
				}
			}
		})
	}
}

// Any way round, cut into lines, is read as it was, whatever lies within it.
func TestAnyOutlineOfLines(t *testing.T) {
	r := rand.New(rand.NewPCG(30, 13))
	for n := range 60 {
		var p blank.Polygon
		corners := 3 + r.IntN(20)
		for i := range corners {
			sin, cos := math.Sincos(2 * math.Pi * (float64(i) + 0.6*r.Float64()) / float64(corners))
			far := 30 + 40*r.Float64()
			p = append(p, blank.Point{X: 80 + far*cos, Y: 80 + far*sin})
		}
		var list []string
		for i, a := range p {
			b := p[(i+1)%len(p)]
			if r.IntN(2) == 0 {
				a, b = b, a
			}
			list = append(list, lineOf(a.X, a.Y, b.X, b.Y))
		}
		for range r.IntN(4) {
			a := p[r.IntN(len(p))]
			list = append(list, lineOf(a.X, a.Y, 80+r.Float64(), 80+r.Float64()))
		}
		r.Shuffle(len(list), func(i, k int) { list[i], list[k] = list[k], list[i] })
		got, err := ReadOutline(dxf("4", strings.Join(list, "")), measure.Millimetres)
		if err != nil && strings.Contains(err.Error(), "cannot be a card's outline") {
			continue // by its shape
		}
		if err != nil || math.Abs(got.Area()-p.Area()) > 1e-3*p.Area() || len(got) != len(p) {
			t.Errorf("%d: %v, %.2f mm² of %.2f", n, err, got.Area(), p.Area())
		}
	}
}

// A template of lines alone is folded where they lie within the outline.
func TestATemplateOfLines(t *testing.T) {
	got, err := ReadTemplate(dxf("4", lineOf(0, 0, 100, 0)+lineOf(100, 0, 100, 60)+lineOf(100, 60, 0, 60)+lineOf(0, 60, 0, 0)+lineOf(0, 20, 100, 20)+lineOf(0, 20, 0, 20)))
	if err != nil || math.Abs(got.Outline.Area()-6000) > 1 || len(got.Folds) < 1 || got.Told {
		t.Errorf("%v, %.0f mm², folds %v", err, got.Outline.Area(), got.Folds)
	}
}
