package format

import (
	"bufio"
	"encoding/xml"
	"fmt"
	"io"
	"strconv"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
)

// svgFormat is for cutting machines: real-world units, and a named group for each pass.
var svgFormat = Format{ID: "svg", Name: "SVG", For: "cutting machines and drawing programs", Kind: "image/svg+xml", Draw: writeSVG}

// checkDown is how far below a drawing its check line lies, in millimetres.
const checkDown = 6

// writeSVG writes a drawing in groups named guide, score and cut, in the order in which a machine
// works: what is in guide is not worked on. The check line of four inches lies there, below.
func writeSVG(w io.Writer, s Sheet, set Settings) error {
	out := svgWriter{Writer: bufio.NewWriter(w), scale: set.PerInch / mmAnInch}
	wide, high := max(s.Width, checkInches*mmAnInch), s.Height+2*checkDown
	size := func(mm float64) string { return out.number(mm/out.scale) + "mm" }
	if set.Unit == "in" {
		size = func(mm float64) string { return out.number(mm/mmAnInch/out.scale) + "in" }
	}
	_, _ = fmt.Fprintf(out, "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%s\" height=\"%s\" viewBox=\"0 0 %s %s\">\n", size(wide), size(high), out.number(wide), out.number(high))
	_, _ = fmt.Fprintf(out, "<title>%s</title>\n<desc>%s</desc>\n", escaped(s.Title), escaped(s.Words))
	passes := s.Passes(set.Scoring)
	out.group("guide", "#2f6fb5", func() {
		for _, g := range passes.Guides {
			out.shape(g, "")
		}
		y := s.Height + checkDown
		out.shape(drawing.Shape{Kind: drawing.Sheet, Part: "check-4in", Corners: blank.Polygon{{X: 0, Y: y}, {X: checkInches * mmAnInch, Y: y}}}, "")
	})
	out.group("score", "#b04a2f", func() {
		for i, score := range passes.Scores {
			dashes := ""
			if i < len(passes.Dashes) && passes.Dashes[i].Gap > 0 {
				dashes = fmt.Sprintf(" stroke-dasharray=\"%s %s\"", out.number(passes.Dashes[i].Dash), out.number(passes.Dashes[i].Gap))
			}
			out.shape(score, dashes)
		}
	})
	out.group("cut", "#222222", func() {
		for _, c := range passes.Cuts {
			out.shape(c, "")
		}
	})
	_, _ = out.WriteString("</svg>\n")
	return out.Flush()
}

type svgWriter struct {
	*bufio.Writer
	scale float64 // units a millimetre
}

// number writes a length in the file's units, to a ten-thousandth.
func (w svgWriter) number(mm float64) string { return shortest(mm*w.scale, 4) }

// shortest writes a number with at most so many places.
func shortest(x float64, places int) string {
	s := strconv.FormatFloat(x, 'f', places, 64)
	if strings.Contains(s, ".") {
		s = strings.TrimRight(strings.TrimRight(s, "0"), ".")
	}
	if s == "-0" {
		return "0"
	}
	return s
}

func (w svgWriter) group(name, colour string, shapes func()) {
	_, _ = fmt.Fprintf(w, "<g id=%q fill=\"none\" stroke=%q stroke-width=\"%s\">\n", name, colour, w.number(0.25))
	shapes()
	_, _ = w.WriteString("</g>\n")
}

func (w svgWriter) shape(s drawing.Shape, more string) {
	var d strings.Builder
	for i, p := range s.Corners {
		d.WriteString(map[bool]string{true: "M", false: "L"}[i == 0] + w.number(p.X) + " " + w.number(p.Y))
	}
	if s.Closed {
		d.WriteString("Z")
	}
	_, _ = fmt.Fprintf(w, "<path data-kind=%q data-part=\"%s\" d=%q%s/>\n", string(s.Kind), escaped(s.Part), d.String(), more)
}

func escaped(text string) string {
	var b strings.Builder
	_ = xml.EscapeText(&b, []byte(text))
	return b.String()
}
