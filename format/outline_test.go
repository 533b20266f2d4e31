package format

import (
	"math"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

func area(t *testing.T, text string, u measure.Unit) float64 {
	t.Helper()
	p, err := ReadOutline(text, u)
	if err != nil {
		t.Fatalf("%.60s: %v", text, err)
	}
	return p.Area()
}

func svg(body string) string {
	return `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" viewBox="0 0 100 80">` + body + `</svg>`
}

// Every shape encloses what geometry says, in millimetres.
func TestOutlinesEncloseWhatTheyShould(t *testing.T) {
	const in = 25.4
	for _, tt := range []struct {
		name, text string
		want       float64
	}{
		{"corners in inches", "0 0\n5 1/2, 0\n5 1/2 4\n0, 4", 22 * in * in},
		{"corners in millimetres, parted", "0,0; 100 mm,0; 100 mm,50 mm; 0,50 mm", 5000},
		{"corners left of nothing", "-1, 0; 1, 0; 1, 1; -1, 1", 2 * in * in},
		{"rect", svg(`<rect x="5" y="5" width="60" height="40"/>`), 2400},
		{"circle", svg(`<g><circle cx="50" cy="40" r="30"/></g>`), math.Pi * 900},
		{"ellipse", svg(`<ellipse cx="50" cy="40" rx="40" ry="20"/>`), math.Pi * 800},
		{"polygon, the largest of two", svg(`<polygon points="0,0 10,0 10,10"/><polygon points="0 0 60 0 60 40 0 40"/>`), 2400},
		{"path of lines", svg(`<path d="M10 10h60v40H10z"/>`), 2400},
		{"path, relative and packed", svg(`<path d="m10,10l60,0 0,40-60,0z"/>`), 2400},
		{"path of arcs: a circle", svg(`<path d="M20 40A30 30 0 0 1 80 40A30 30 0 0 1 20 40Z"/>`), math.Pi * 900},
		{"path of a turned arc: half an ellipse", svg(`<path d="M30 10A20 10 90 0 1 30 50Z"/>`), math.Pi * 200 / 2},
		{"path of curves", svg(`<path d="M0 0C0 20 60 20 60 0S30-20 0 0Z"/>`), 0},
		{"path of quadratics", svg(`<path d="M0 0Q30 30 60 0T0 0Z"/>`), 0},
		{"pixels without a size", `<svg><rect width="96" height="96"/></svg>`, in * in},
		{"polyline of a DXF in inches", dxf("1", "0\nLWPOLYLINE\n70\n1\n10\n0\n20\n0\n10\n4\n20\n0\n10\n4\n20\n3\n10\n0\n20\n3\n"), 12 * in * in},
		{"half circles by bulges", dxf("4", "0\nLWPOLYLINE\n70\n1\n10\n0\n20\n0\n42\n1\n10\n40\n20\n0\n42\n1\n"), math.Pi * 400},
		{"old polyline", dxf("4", "0\nPOLYLINE\n66\n1\n70\n1\n10\n0\n20\n0\n0\nVERTEX\n10\n0\n20\n0\n0\nVERTEX\n10\n50\n20\n0\n0\nVERTEX\n10\n50\n20\n30\n0\nSEQEND\n"), 750},
		{"circle of a DXF", dxf("5", "0\nCIRCLE\n10\n0\n20\n0\n40\n3\n"), math.Pi * 900},
	} {
		t.Run(tt.name, func(t *testing.T) {
			got := area(t, tt.text, measure.Inches)
			if tt.want == 0 {
				if got < 100 {
					t.Errorf("%s encloses %.1f mm²", tt.name, got)
				}
				return
			}
			if math.Abs(got-tt.want) > tt.want*0.002 {
				t.Errorf("%s encloses %.2f mm², want %.2f", tt.name, got, tt.want)
			}
		})
	}
}

func dxf(unit, entities string) string {
	return "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n" + unit + "\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n" + entities + "0\nENDSEC\n0\nEOF\n"
}

// Foreign files are refused in words, in bounded time, and nothing is followed.
func TestForeignFiles(t *testing.T) {
	for _, tt := range []struct{ name, text, want string }{
		{"nothing", "  ", "There is nothing in it"},
		{"50 MB", strings.Repeat("x", 50<<20), "larger than 2 MB"},
		{"a script", svg(`<script>alert(1)</script>`), "holds a <script>"},
		{"a picture from elsewhere", svg(`<image href="http://example.org/x.png"/>`), "holds a <image>"},
		{"a link", svg(`<rect href="x" width="5" height="5"/>`), "links or scripts"},
		{"a handler", svg(`<rect onclick="x()" width="5" height="5"/>`), "links or scripts"},
		{"a transform of nonsense", svg(`<rect transform="wobble(2)" width="5" height="5"/>`), "flatten it"},
		{"an entity bomb", `<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]>` + svg("&b;"), "entities, which are not read"},
		{"an entity from nowhere", svg("&bomb;"), "cannot be read"},
		{"nested without end", svg(strings.Repeat("<g>", 100)), "nested too deep"},
		{"cut off", `<svg><rect width="5"`, "cannot be read"},
		{"no shape", svg("<text>moon</text>"), "no shape in the SVG"},
		{"NaN", svg(`<polygon points="0,0 NaN,5 5,5"/>`), "has “NaN,5 5,” where a number belongs"},
		{"endless", svg(`<circle cx="0" cy="0" r="1e300"/>`), "no usable number"},
		{"a path of nonsense", svg(`<path d="M0 0 L5"/>`), "has its end where a number belongs"},
		{"a path command from elsewhere", svg(`<path d="M0 0 X5 5"/>`), "has “X5 5” where a command belongs"},
		{"an outline that crosses itself", "0 0; 4 4; 4 0; 0 4", "crosses itself"},
		{"one number a line", "5; 6; 7", "is one number"},
		{"words", "the moon", "Corner 1"},
		{"a DXF with a block", dxf("4", "0\nINSERT\n2\nX\n"), "holds a insert"},
		{"a DXF out of step", "0\nSECTION\nfoo\nbar\n", "should be a number"},
		{"an empty DXF", dxf("4", ""), "no closed outline"},
		{"a DXF with NaN", dxf("4", "0\nCIRCLE\n10\nNaN\n"), "no usable number"},
	} {
		t.Run(tt.name, func(t *testing.T) {
			if _, err := ReadOutline(tt.text, measure.Inches); err == nil || !strings.Contains(err.Error(), tt.want) {
				t.Errorf("%s: %v, want %q", tt.name, err, tt.want)
			}
		})
	}
}

func FuzzReadOutline(f *testing.F) {
	f.Add(svg(`<path d="M10 10h60v40H10z"/>`))
	f.Add(dxf("4", "0\nCIRCLE\n10\n0\n20\n0\n40\n3\n"))
	f.Add("0 0; 4 0; 4 4")
	f.Fuzz(func(t *testing.T, text string) {
		p, err := ReadOutline(text, measure.Inches)
		if err == nil && blank.CheckOutline(p) != nil {
			t.Fatalf("%q gives an outline that is none", text)
		}
	})
}
