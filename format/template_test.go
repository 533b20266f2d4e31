package format

import (
	"bytes"
	"math"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/measure"
)

// What is written of an envelope is read back as that envelope: from SVG in every unit and with every kind of fold line,
// and from DXF, its front, its seam and its panels are the same.
func TestTemplatesReadBack(t *testing.T) {
	in := measure.Inch
	m, ok := blank.ByID(blank.PocketID).Make(blank.Spec{Width: 6 * in, Height: 4 * in, Thickness: in / 16, Ease: in / 4, Seam: in / 2, Caliper: 100 * measure.Micrometre, Style: measure.Style{Unit: measure.Inches, Tick: in / 16}, Adhesive: in / 4, SheetLength: 12 * in})
	if !ok {
		t.Fatal("no pocket")
	}
	x0, y0, x1, y1 := m.Net.Panels[0].Outline.Box()
	sheet := Sheet{Drawing: drawing.Net(m.Net, drawing.Laid{}), Title: "Pocket", Words: "A pocket."}
	for _, line := range append(drawing.Lines(), "") {
		for _, f := range []Format{svgFormat, dxfFormat} {
			for _, perInch := range []float64{25.4, 96, 72} {
				var out bytes.Buffer
				set := Settings{Unit: measure.Inches, PerInch: perInch, Scoring: drawing.Scoring{Line: line, Dash: 3 * measure.Millimetre, Gap: 2 * measure.Millimetre, Inset: 3 * measure.Millimetre}}
				if err := f.Draw(&out, sheet, set); err != nil {
					t.Fatal(err)
				}
				read, err := ReadTemplate(out.String())
				if err != nil {
					t.Errorf("%s, %s: %v", f.ID, line, err)
					continue
				}
				n, err := blank.FromDrawing(read.Outline, read.Folds, read.Slits)
				if err != nil {
					t.Errorf("%s, %s: %v", f.ID, line, err)
					continue
				}
				found := n.Look()
				if math.Abs(found.Width.Millimetres()-(x1-x0)) > 0.05 || math.Abs(found.Height.Millimetres()-(y1-y0)) > 0.05 || math.Abs(found.Seam.Millimetres()-m.Seam.Millimetres()) > 0.05 || len(n.Panels) != len(m.Net.Panels) {
					t.Errorf("%s, %s: %.2f × %.2f with a seam of %.2f and %d panels, want %.2f × %.2f, %.2f and %d", f.ID, line, found.Width.Millimetres(), found.Height.Millimetres(), found.Seam.Millimetres(), len(n.Panels), x1-x0, y1-y0, m.Seam.Millimetres(), len(m.Net.Panels))
				}
			}
		}
	}
}

// A drawing of another hand: plain lines, or dashes by style, with a frame that is a guide.
func TestTemplatesOfOthers(t *testing.T) {
	body := `<rect class="guide" width="400" height="400"/><path d="M0 50H50V0H150V50H200V100H150V150H50V100H0Z"/>`
	folds := []string{`<line x1="50" y1="50" x2="150" y2="50"/>`, `<polyline points="50,100 150,100"/>`, `<path d="M50 50V100"/>`, `<path d="M150 50V100"/>`}
	for _, style := range []string{"", ` style="stroke-dasharray:3,2"`, ` stroke-dasharray="3 2"`, ` class="fold-line"`} {
		text := svg(body + strings.Join(folds, ""))
		text = strings.NewReplacer("<line", "<line"+style, "<polyline", "<polyline"+style, `<path d="M50 50V`, "<path"+style+` d="M50 50V`, `<path d="M150 50V`, "<path"+style+` d="M150 50V`).Replace(text)
		read, err := ReadTemplate(text)
		if err != nil || len(read.Folds) != 4 || read.Told != (style != "") {
			t.Fatalf("%q: %d folds, %v", style, len(read.Folds), err)
		}
		n, err := blank.FromDrawing(read.Outline, read.Folds, read.Slits)
		if err != nil || len(n.Panels) != 5 || n.Look().Width != 100*measure.Millimetre {
			t.Errorf("%q: %d panels, %v", style, len(n.Panels), err)
		}
	}
}

// What is refused is refused with its line and what to do.
func TestRefusedOnALine(t *testing.T) {
	for _, tt := range []struct{ name, text, says, line string }{
		{"an open path", svg("\n\n<path d=\"M0 0H50V40H10\"/>"), "is open: its ends are 41.2 mm apart", "line 3"},
		{"an open polyline", svg("\n<polyline points='0,0 50,0 50,50'/>"), "is open: its ends are 70.7 mm apart", "line 2"},
		{"an open DXF", dxf("4", "0\nLWPOLYLINE\n70\n0\n10\n0\n20\n0\n10\n50\n20\n0\n10\n50\n20\n50\n"), "is open: its ends are 70.7 mm apart", "line 16"},
		{"nothing wide", svg("\n<rect width='0' height='40'/>"), "cannot be", "line 2"},
		{"a script", svg("\n\n\n<script/>"), "holds a <script>", "line 4"},
		{"NaN", svg("\n<rect width='NaN' height='4'/>"), "no usable number", "line 2"},
		{"a path of nonsense", svg("\n<path d='M0 0 L5'/>"), "its end where a number belongs", "line 2"},
		{"a DXF with NaN", dxf("4", "0\nCIRCLE\n10\nNaN\n"), "no usable number", "line 18"},
		{"an entity bomb", "<!DOCTYPE svg [<!ENTITY a 'aa'>]>" + svg("&a;"), "entities, which are not read", "line 1"},
	} {
		t.Run(tt.name, func(t *testing.T) {
			for name, read := range map[string]func() error{
				"outline":  func() error { _, err := ReadOutline(tt.text, measure.Inches); return err },
				"template": func() error { _, err := ReadTemplate(tt.text); return err },
			} {
				if err := read(); err == nil || !strings.Contains(err.Error(), tt.says) || !strings.Contains(strings.ToLower(err.Error()), tt.line) {
					t.Errorf("%s: %v", name, err)
				}
			}
		})
	}
	for text, says := range map[string]string{"": "nothing in it", "half past eight": "neither SVG nor DXF", strings.Repeat("x", 50<<20): "larger than 2 MB"} {
		if _, err := ReadTemplate(text); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%v", err)
		}
	}
}

func FuzzReadTemplate(f *testing.F) {
	f.Add(svg(`<path d="M10 10h60v40H10z"/><line x1="10" y1="30" x2="70" y2="30"/>`))
	f.Add(dxf("4", "0\nLINE\n8\nSCORE\n10\n0\n20\n0\n11\n5\n21\n5\n"))
	f.Fuzz(func(t *testing.T, text string) {
		read, err := ReadTemplate(text)
		if err != nil {
			if !strings.HasSuffix(err.Error(), ".") {
				t.Errorf("%q is refused without a sentence: %v", text, err)
			}
			return
		}
		if n, err := blank.FromDrawing(read.Outline, read.Folds, read.Slits); err == nil {
			n.Look()
		}
	})
}
