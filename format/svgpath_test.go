package format

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

// drawnAs is a drawing whose unit is a millimetre.
func drawnAs(inside string) string {
	return `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="100mm" height="100mm" viewBox="0 0 100 100">` + inside + `</svg>`
}

// Every way of writing a path is read as the grammar has it: with nothing between numbers that can be told apart,
// flags run together, curves that go on from the one before. The figures are by hand: area, then left, top, right, bottom.
func TestPathsByTheGrammar(t *testing.T) {
	const disc = math.Pi * 100
	square := [4]float64{10, 10, 30, 30}
	for _, tt := range []struct {
		name, d string
		area    float64
		box     [4]float64
	}{
		{"absolute lines", "M10 10 L30 10 L30 30 L10 30 Z", 400, square},
		{"relative lines", "m10 10 l20 0 l0 20 l-20 0 z", 400, square},
		{"lines after a move", "M10 10 30 10 30 30 10 30Z", 400, square},
		{"relative lines after a move", "m10,10 20,0 0,20 -20,0z", 400, square},
		{"across and down", "M10 10H30V30H10Z", 400, square},
		{"relative across and down", "m10 10h20v20h-20z", 400, square},
		{"several across", "M10 10h10 10v20h-20z", 400, square},
		{"nothing between a number and a minus", "M10 10l20-0 0 20-20 0z", 400, square},
		{"points run together", "M10.0.0l.5.5 19.5-.5V30H10z", 595, [4]float64{10, 0, 30, 30}},
		{"two points", "M10 10h19.5.5v20h-20z", 400, square},
		{"exponents", "M1e1 1E1h2.0e1v200e-1h-2e+1z", 400, square},
		{"plus signs", "M+10+10h+20v+20h-20z", 400, square},
		{"commas and new lines", "M 10,10\n\t30 , 10\r\n30,30,10,30 z", 400, square},
		{"a point without digits after it", "M10. 10.h20.v20.h-20.z", 400, square},
		{"a move on from a close", "M10 10h5v5h-5zm0 0h20v20h-20z", 400, square},
		{"two outlines, the larger", "M0 0h5v5h-5zM10 10h20v20h-20z", 400, square},
		{"not closed, but its ends meet", "M10 10h20v20h-20V10", 400, square},
		{"an arc's half discs", "M10 20A10 10 0 0 1 30 20A10 10 0 0 1 10 20Z", disc, square},
		{"compact flags", "M10 20a10 10 0 0120 0a10 10 0 01-20 0z", disc, square},
		{"flags and all run together", "M10 20a10,10 0 1120 0 10 10 0 11-20 0z", disc, square},
		{"flags before a point", "M10 20a10 10 0 01.0 0a10 10 0 0120 0a10 10 0 01-20 0z", disc, square},
		{"a quarter disc", "M10 10h20a20 20 0 01-20 20z", math.Pi * 100, square},
		{"the other side of an arc", "M10 10h20a20 20 0 00-20 20z", 400 - math.Pi*100, square},
		{"a large arc", "M20 10a10 10 0 1110 10h-10z", disc*3/4 + 100, [4]float64{20, 0, 40, 20}},
		{"an ellipse, turned a quarter", "M10 20A20 10 90 0130 20A20 10 90 0110 20z", math.Pi * 200, [4]float64{10, 0, 30, 40}},
		{"an arc too small is made larger", "M10 20a1 1 0 0120 0 1 1 0 01-20 0z", disc, square},
		{"an arc without a radius is a line", "M10 10h20a0 5 0 010 20h-20z", 400, square},
		{"a cubic", "M10 30C10 10 30 10 30 30z", 240, [4]float64{10, 15, 30, 30}},
		{"cubics that go on", "M10 20c0-10 20-10 20 0s-20 10-20 0z", 240, [4]float64{10, 12.5, 30, 27.5}},
		{"a cubic that goes on from none", "M10 30S30 10 30 30z", 120, [4]float64{10, 21.11, 30, 30}},
		{"a quadratic", "M10 30Q20 10 30 30z", 400.0 / 3, [4]float64{10, 20, 30, 30}},
		{"quadratics that go on", "M10 20q10-20 20 0t-20 0z", 800.0 / 3, [4]float64{10, 10, 32.5, 30}},
		{"quadratics, compact", "M10 20Q20 0 30 20T10 20", 800.0 / 3, [4]float64{10, 10, 32.5, 30}},
	} {
		t.Run(tt.name, func(t *testing.T) {
			p, err := ReadOutline(drawnAs(`<path d="`+tt.d+`"/>`), measure.Millimetres)
			if err != nil {
				t.Fatal(err)
			}
			near(t, p, tt.area, tt.box)
		})
	}
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
	for _, tt := range []struct {
		name, inside string
		area         float64
		box          [4]float64
	}{
		{"as it is", rect, 200, [4]float64{10, 10, 30, 20}},
		{"translate", group("translate(5,7)"), 200, [4]float64{15, 17, 35, 27}},
		{"translate across alone", group("translate(5)"), 200, [4]float64{15, 10, 35, 20}},
		{"scale", group("scale(2)"), 800, [4]float64{20, 20, 60, 40}},
		{"scale unevenly", group("scale(2 .5)"), 200, [4]float64{20, 5, 60, 10}},
		{"mirror", group("scale(-1 1) translate(-50 0)"), 200, [4]float64{20, 10, 40, 20}},
		{"rotate", group("rotate(90)"), 200, [4]float64{-20, 10, -10, 30}},
		{"rotate about a point", group("rotate(90 20 15)"), 200, [4]float64{15, 5, 25, 25}},
		{"matrix", group("matrix(0 1 -1 0 40 0)"), 200, [4]float64{20, 10, 30, 30}},
		{"skewX", group("skewX(45)"), 200, [4]float64{20, 10, 50, 20}},
		{"skewY", group("skewY(45)"), 200, [4]float64{10, 20, 30, 50}},
		{"in a row, the last first", group("translate(10 0) scale(2)"), 800, [4]float64{30, 20, 70, 40}},
		{"one in the other", `<g transform="translate(10 0)">` + group("scale(2)") + `</g>`, 800, [4]float64{30, 20, 70, 40}},
		{"of the shape itself", `<rect transform="translate(1,1)" x="10" y="10" width="20" height="10"/>`, 200, [4]float64{11, 11, 31, 21}},
		{"use", `<defs><path id="a" d="M0 0h20v10h-20z"/></defs><use href="#a" x="10" y="10"/>`, 200, [4]float64{10, 10, 30, 20}},
		{"use by the older name", `<defs><path id="a" d="M0 0h20v10h-20z"/></defs><use xlink:href="#a" transform="scale(2)" x="5"/>`, 800, [4]float64{10, 0, 50, 20}},
		{"use of a symbol", `<symbol id="s">` + rect + `</symbol><use href="#s"/>`, 200, [4]float64{10, 10, 30, 20}},
		{"use before it is there", `<use href="#g" y="1"/><g id="g">` + rect + `</g>`, 200, [4]float64{10, 11, 30, 21}},
		{"use of a use", `<defs>` + `<g id="a">` + rect + `</g><use id="b" href="#a" x="1"/></defs><use href="#b" x="1"/>`, 200, [4]float64{12, 10, 32, 20}},
		{"a clip is not drawn", `<clipPath id="c"><rect width="90" height="90"/></clipPath>` + rect, 200, [4]float64{10, 10, 30, 20}},
		{"what is hidden", `<rect width="90" height="90" style="display: none"/><g visibility="hidden"><rect width="80" height="80"/></g>` + rect, 200, [4]float64{10, 10, 30, 20}},
		{"round corners", `<rect x="10" y="10" width="20" height="20" rx="5"/>`, 400 - 100 + math.Pi*25, [4]float64{10, 10, 30, 30}},
		{"lengths with units", `<rect x="25.4mm" y="1in" width="1in" height="2.54cm"/>`, 9216, [4]float64{96, 96, 192, 192}},
	} {
		t.Run(tt.name, func(t *testing.T) {
			p, err := ReadOutline(drawnAs(tt.inside), measure.Millimetres)
			if err != nil {
				t.Fatal(err)
			}
			near(t, p, tt.area, tt.box)
		})
	}
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
