package format_test

import (
	"bytes"
	"encoding/csv"
	"encoding/xml"
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/drawing"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/format"
)

// sheets are pieces of the sample jobs: an envelope that stands on its point, a base with a
// score, a paper with an opening, a gauge, an accordion that is longer than any page.
func sheets(t *testing.T) map[string]format.Sheet {
	t.Helper()
	list := map[string]format.Sheet{}
	for i, id := range []string{"envelope", "base", "gauge", "swatches"} {
		j := demo.Jobs()[0]
		if i == 1 {
			j = demo.Jobs()[2]
		}
		if x, ok := plan.PieceOf(j, demo.Shop(), id); ok {
			list[id] = format.Sheet{Drawing: x.Flat, Title: j.Name + ": <" + x.Name + ">, " + x.Size, Words: x.Words}
		} else {
			t.Errorf("%s has no %s", j.Name, id)
		}
	}
	list["piece"] = format.Sheet{Drawing: drawing.Piece(size(7*measure.Inch, 5*measure.Inch), nil), Title: "Piece"}
	return list
}

func settings(unit measure.Unit) format.Settings {
	return format.Settings{Unit: unit, PerInch: 25.4, Page: format.Letter}
}

func write(t *testing.T, id string, s format.Sheet, set format.Settings) []byte {
	t.Helper()
	f, _ := format.ByID(id)
	var a, b bytes.Buffer
	if err := f.Draw(&a, s, set); err != nil {
		t.Fatal(err)
	}
	if err := f.Draw(&b, s, set); err != nil || !bytes.Equal(a.Bytes(), b.Bytes()) {
		t.Errorf("%s is not the same from run to run (%v)", id, err)
	}
	return a.Bytes()
}

func within(t *testing.T, what string, got, want, off float64) {
	t.Helper()
	if math.IsNaN(got) || math.Abs(got-want) > off {
		t.Errorf("%s: %.4f, want %.4f", what, got, want)
	}
}

// svgFile is what a test reads of an SVG.
type svgFile struct {
	Width   string `xml:"width,attr"`
	Height  string `xml:"height,attr"`
	ViewBox string `xml:"viewBox,attr"`
	Title   string `xml:"title"`
	Groups  []struct {
		ID    string `xml:"id,attr"`
		Paths []struct {
			D    string `xml:"d,attr"`
			Part string `xml:"data-part,attr"`
			Dash string `xml:"stroke-dasharray,attr"`
		} `xml:"path"`
	} `xml:"g"`
}

// corners reads a path of straight lines, in millimetres.
func corners(t *testing.T, d string, scale float64) (p blank.Polygon) {
	t.Helper()
	for _, pair := range strings.FieldsFunc(d, func(r rune) bool { return r == 'M' || r == 'L' || r == 'Z' }) {
		var x, y float64
		if _, err := fmt.Sscan(pair, &x, &y); err != nil {
			t.Fatal(pair, err)
		}
		p = append(p, blank.Point{X: x / scale, Y: y / scale})
	}
	return p
}

func TestSVG(t *testing.T) {
	t.Parallel()
	for name, s := range sheets(t) {
		for _, per := range []float64{25.4, 96, 72} {
			for _, unit := range []measure.Unit{measure.Inches, measure.Millimetres} {
				set := settings(unit)
				set.PerInch = per
				raw := write(t, "svg", s, set)
				var f svgFile
				if err := xml.Unmarshal(raw, &f); err != nil {
					t.Fatal(err)
				}
				var w, h float64
				_, _ = fmt.Sscan(strings.TrimPrefix(f.ViewBox, "0 0 "), &w, &h)
				real := func(text string) float64 {
					number, inches := strings.CutSuffix(text, "in")
					x, err := strconv.ParseFloat(strings.TrimSuffix(number, "mm"), 64)
					if err != nil {
						t.Fatal(text)
					}
					if inches {
						x *= 25.4
					}
					return x
				}
				within(t, name+": units on a millimetre across", w/real(f.Width), per/25.4, 1e-4)
				within(t, name+": units on a millimetre down", h/real(f.Height), per/25.4, 1e-4)
				if f.Title != s.Title || len(f.Groups) != 3 || f.Groups[0].ID != "guide" || f.Groups[1].ID != "score" || f.Groups[2].ID != "cut" {
					t.Fatalf("%s: %q, groups %+v", name, f.Title, f.Groups)
				}
				p := s.Passes(set.Scoring)
				for g, want := range [][]drawing.Shape{p.Guides, p.Scores, p.Cuts} {
					paths := f.Groups[g].Paths
					if g == 0 {
						check := corners(t, paths[len(paths)-1].D, per/25.4)
						within(t, name+": the check line", check[1].X-check[0].X, 101.6, 0.001)
						paths = paths[:len(paths)-1]
					}
					if len(paths) != len(want) {
						t.Fatalf("%s: %d paths in %s, want %d", name, len(paths), f.Groups[g].ID, len(want))
					}
					for i, shape := range want {
						for k, c := range corners(t, paths[i].D, per/25.4) {
							within(t, name+" "+shape.Part+" x", c.X, shape.Corners[k].X, 0.001)
							within(t, name+" "+shape.Part+" y", c.Y, shape.Corners[k].Y, 0.001)
						}
						if strings.HasSuffix(paths[i].D, "Z") != shape.Closed {
							t.Errorf("%s: %s is open or closed wrongly", name, shape.Part)
						}
					}
				}
			}
		}
		// Read back by the reader that knows nothing of how it was written.
		outline, err := format.ReadOutline(string(write(t, "svg", format.Sheet{Drawing: onlyCuts(s.Drawing)}, settings(measure.Inches))), measure.Inches)
		if err != nil {
			t.Fatal(err)
		}
		within(t, name+": the outline's area", outline.Area(), largest(s.Drawing), 0.5)
	}
}

func onlyCuts(d drawing.Drawing) drawing.Drawing {
	d.Shapes = d.Of(drawing.Cut)
	return d
}

func largest(d drawing.Drawing) (area float64) {
	for _, s := range d.Of(drawing.Cut) {
		if s.Closed {
			area = max(area, s.Corners.Area())
		}
	}
	return area
}

// Perforated scores are dashed lines, or cuts of their own.
func TestPerforatedFiles(t *testing.T) {
	t.Parallel()
	s := sheets(t)["base"]
	set := settings(measure.Millimetres)
	set.Scoring = drawing.Scoring{Line: drawing.Dashed, Dash: 4 * measure.Millimetre, Gap: 2 * measure.Millimetre, Inset: 3 * measure.Millimetre}
	var f svgFile
	if err := xml.Unmarshal(write(t, "svg", s, set), &f); err != nil {
		t.Fatal(err)
	}
	for _, p := range f.Groups[1].Paths {
		line := corners(t, p.D, 1)
		length := math.Hypot(line[1].X-line[0].X, line[1].Y-line[0].Y)
		var dash, gap float64
		if _, err := fmt.Sscan(p.Dash, &dash, &gap); err != nil {
			t.Fatalf("dashes %q", p.Dash)
		}
		within(t, "the dash", dash, 4, 0.0001)
		n := (length + gap) / (dash + gap)
		within(t, "whole dashes", n, math.Round(n), 0.001)
	}
	dxf := string(write(t, "dxf", s, set))
	if n := strings.Count(dxf, "LINE\n  8\nSCORE\n"); n < 20 {
		t.Errorf("%d dashes in the DXF", n)
	}
	set.Scoring.Line = drawing.Slits
	f = svgFile{}
	if err := xml.Unmarshal(write(t, "svg", s, set), &f); err != nil {
		t.Fatal(err)
	}
	if len(f.Groups[1].Paths) != 0 || len(f.Groups[2].Paths) < 20 {
		t.Errorf("%d scores and %d cuts", len(f.Groups[1].Paths), len(f.Groups[2].Paths))
	}
}

func TestDXF(t *testing.T) {
	t.Parallel()
	for name, s := range sheets(t) {
		for _, unit := range []measure.Unit{measure.Inches, measure.Millimetres} {
			raw := string(write(t, "dxf", s, settings(unit)))
			p := s.Passes(drawing.Scoring{})
			for layer, want := range map[string]int{"CUT": len(p.Cuts), "SCORE": len(p.Scores), "GUIDE": len(p.Guides)} {
				got := strings.Count(raw, "POLYLINE\n  8\n"+layer+"\n") + strings.Count(raw, "  0\nLINE\n  8\n"+layer+"\n")
				if got != want || !strings.Contains(raw, "LAYER\n  2\n"+layer+"\n") {
					t.Errorf("%s: %d on the layer %s, want %d", name, got, layer, want)
				}
			}
			outline, err := format.ReadOutline(string(write(t, "dxf", format.Sheet{Drawing: onlyCuts(s.Drawing)}, settings(unit))), unit)
			if err != nil {
				t.Fatal(name, err)
			}
			within(t, name+": the outline's area", outline.Area(), largest(s.Drawing), 0.5)
			// The other way up, it would be its mirror image: the lowest corner stays the lowest.
			if strings.ContainsFunc(raw, func(r rune) bool { return r > '~' }) {
				t.Errorf("%s is not plain ASCII", name)
			}
		}
	}
}

func TestCSV(t *testing.T) {
	t.Parallel()
	j := demo.Jobs()[0]
	j.Parts[0].Name = "=HYPERLINK(\"x\"), “Base”"
	for _, id := range plan.Lists() {
		l, ok := plan.ListOf(j, demo.Shop(), id)
		if !ok || len(l.Rows) == 0 {
			t.Fatalf("%s: %v", id, l)
		}
		f, _ := format.ByID("csv")
		var out bytes.Buffer
		if err := f.List(&out, l); err != nil {
			t.Fatal(err)
		}
		rows, err := csv.NewReader(&out).ReadAll()
		if err != nil || len(rows) != len(l.Rows)+1 || !slices.Equal(rows[0], l.Columns) {
			t.Fatalf("%s: %v, %d rows", id, err, len(rows))
		}
		for _, row := range rows {
			for _, cell := range row {
				if strings.HasPrefix(cell, "=") {
					t.Errorf("a spreadsheet takes %q for a formula", cell)
				}
			}
		}
		for i, row := range l.Rows {
			if len(row) != len(l.Columns) {
				t.Errorf("%s: row %d has %d cells of %d", id, i, len(row), len(l.Columns))
			}
		}
	}
	base := func() []string {
		l, _ := plan.ListOf(demo.Jobs()[0], demo.Shop(), plan.PiecesList)
		return l.Rows[0]
	}()
	if want := []string{"Card base", base[1], "12", "10.75", "273.05", "5.375", "136.525", "1"}; !slices.Equal(base, want) {
		t.Errorf("the base is %q, want %q", base, want)
	}
}

// Every piece of every sample job is written in every format.
func TestEveryPieceInEveryFormat(t *testing.T) {
	t.Parallel()
	shop := demo.Shop()
	for _, j := range demo.Jobs() {
		for _, x := range plan.Make(j, shop).Bench.Pieces {
			exact, ok := plan.PieceOf(j, shop, x.ID)
			if !ok || exact.Size != x.Size {
				t.Errorf("%s: %s is not there", j.Name, x.ID)
				continue
			}
			for _, f := range format.Formats() {
				if f.Draw == nil {
					continue
				}
				var out bytes.Buffer
				if err := f.Draw(&out, format.Sheet{Drawing: exact.Flat, Title: x.Name, Words: x.Words}, settings(measure.Inches)); err != nil || out.Len() < 200 {
					t.Errorf("%s: %s as %s: %v, %d bytes", j.Name, x.ID, f.ID, err, out.Len())
				}
			}
		}
	}
	if _, ok := plan.PieceOf(demo.Jobs()[0], shop, "no-such"); ok {
		t.Error("a piece that is not there is found")
	}
}

// The largest blank that there is is tiled in less time than one waits for.
func BenchmarkTiledPDF(b *testing.B) {
	f, _ := format.ByID("pdf")
	d := drawing.Piece(size(700*measure.Millimetre, 700*measure.Millimetre), nil)
	for b.Loop() {
		var out bytes.Buffer
		if err := f.Draw(&out, format.Sheet{Drawing: d, Title: "Large"}, settings(measure.Inches)); err != nil {
			b.Fatal(err)
		}
	}
}

func size(w, h measure.Length) card.Size { return card.Size{Width: w, Height: h} }
