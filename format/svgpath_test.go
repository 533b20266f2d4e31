package format

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
	"yellowparcel/internal/told"
)

// drawnAs is a drawing whose unit is a millimetre.
func drawnAs(inside string) string {
	return `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="100mm" height="100mm" viewBox="0 0 100 100">` + inside + `</svg>`
}

// Every way of writing a path is read as the grammar has it: with nothing between numbers that can be told apart,
// flags run together, curves that go on from the one before. The figures are by hand: area, then left, top, right, bottom.
func TestPathsByTheGrammar(t *testing.T) {
	enclosed(t, "paths", func(d string) string { return drawnAs(`<path d="` + d + `"/>`) })
	for _, tt := range []struct{ name, d, want string }{
		{"no move first", "L10 10h20v20z", "where a command belongs"},
		{"no such command", "M10 10h20v20x5z", "where a command belongs"},
		{"a number too few", "M10 10h20v20l-20z", "where a number belongs"},
		{"a flag of two", "M10 20a10 10 0 2 1 20 0z", "0 or 1 belongs"},
		{"a number after a close", "M10 10h20v20z5", "where a command belongs"},
		{"nothing of a number", "M10 10h20v-z", "where a number belongs"},
		{"beyond any sheet", "M10 10h1e9v20z", "no usable number"},
	} {
		if _, err := ReadOutline(drawnAs(`<path d="`+tt.d+`"/>`), measure.Millimetres); err == nil || !strings.Contains(err.Error(), tt.want) {
			t.Errorf("%s: %v", tt.name, err)
		}
	}
}

// enclosed fails where an outline of testdata does not enclose what stands beside it.
func enclosed(t *testing.T, part string, drawn func(string) string) {
	t.Helper()
	for _, tt := range told.Lines(t, "testdata/outlines.txt", part, 4) {
		t.Run(tt[0], func(t *testing.T) {
			p, err := ReadOutline(drawn(tt[1]), measure.Millimetres)
			if err != nil {
				t.Fatal(err)
			}
			var area float64
			var box [4]float64
			if _, err := fmt.Sscan(tt[2]+" "+tt[3], &area, &box[0], &box[1], &box[2], &box[3]); err != nil {
				t.Fatal(err)
			}
			near(t, p, area, box)
		})
	}
}

// near fails where an outline is not of an area and does not fill a box, to what curves of straight lines leave.
func near(t *testing.T, p blank.Polygon, area float64, box [4]float64) {
	t.Helper()
	x0, y0, x1, y1 := p.Box()
	if math.Abs(p.Area()-area) > area*0.004+0.01 {
		t.Errorf("its area is %.2f, want %.2f", p.Area(), area)
	}
	for i, got := range [4]float64{x0, y0, x1, y1} {
		if math.Abs(got-box[i]) > 0.06 {
			t.Errorf("it fills %.2f to %.2f, %.2f to %.2f, want %v", x0, x1, y0, y1, box)
			break
		}
	}
}

// What is moved, turned or used elsewhere in a file is read where it is seen; what is not drawn is not read.
func TestSVGAsItIsSeen(t *testing.T) {
	const rect = `<rect x="10" y="10" width="20" height="10"/>`
	group := func(move string) string { return fmt.Sprintf(`<g transform="%s">%s</g>`, move, rect) }
	enclosed(t, "drawn", drawnAs)
	bomb := `<defs><g id="a0">` + rect + `</g>`
	for i := range 30 {
		bomb += fmt.Sprintf(`<g id="a%d"><use href="#a%d"/><use href="#a%d"/></g>`, i+1, i, i)
	}
	for _, tt := range []struct{ name, inside, want string }{
		{"uses itself", `<g id="a"><use href="#a"/>` + rect + `</g>`, "nested too deep"},
		{"uses that double", bomb + `</defs><use href="#a30"/>`, "too many parts"},
		{"uses what is not there", `<use href="#none"/>`, "which is not in it"},
		{"uses another file", `<use href="http://example.org/x.svg#a"/>`, "links or scripts"},
		{"a move that is none", group("wobble(3)"), "cannot be read"},
		{"a move cut short", group("translate(3"), "cannot be read"},
		{"a move of words", group("translate(a b)"), "where a number belongs"},
		{"moved beyond any sheet", group("scale(100000) scale(100000)"), "beyond any sheet"},
		{"moved by its style", `<g style="transform: rotate(3deg)">` + rect + `</g>`, "moved by its style"},
	} {
		if _, err := ReadOutline(drawnAs(tt.inside), measure.Millimetres); err == nil || !strings.Contains(err.Error(), tt.want) {
			t.Errorf("%s: %v", tt.name, err)
		}
	}
}
