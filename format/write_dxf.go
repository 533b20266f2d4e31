package format

import (
	"bufio"
	"fmt"
	"io"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
)

// dxfFormat is for drawing programs and plotters: ASCII DXF R12, a layer for each pass.
var dxfFormat = Format{ID: "dxf", Name: "DXF", For: "drawing programs and plotters", Kind: "image/vnd.dxf", Draw: writeDXF}

// dxfLayers are the layers with their colours, by the numbers of the format.
var dxfLayers = []struct {
	name   string
	colour int
}{{"GUIDE", 5}, {"SCORE", 1}, {"CUT", 7}}

// writeDXF writes a drawing with layers CUT, SCORE and GUIDE, in the shop's unit, upwards from the
// lower left. A perforated score is short lines.
func writeDXF(w io.Writer, s Sheet, set Settings) error {
	out := dxfWriter{bufio.NewWriter(w), 1, s.Height}
	unit := 4
	if set.Unit == "in" {
		unit, out.scale = 1, 1/mmAnInch
	}
	out.pairs(999, plainText(s.Title), 0, "SECTION", 2, "HEADER", 9, "$ACADVER", 1, "AC1009", 9, "$INSUNITS", 70, unit, 0, "ENDSEC",
		0, "SECTION", 2, "TABLES", 0, "TABLE", 2, "LTYPE", 70, 1, 0, "LTYPE", 2, "CONTINUOUS", 70, 0, 3, "Solid line", 72, 65, 73, 0, 40, 0.0, 0, "ENDTAB",
		0, "TABLE", 2, "LAYER", 70, len(dxfLayers))
	for _, l := range dxfLayers {
		out.pairs(0, "LAYER", 2, l.name, 70, 0, 62, l.colour, 6, "CONTINUOUS")
	}
	out.pairs(0, "ENDTAB", 0, "ENDSEC", 0, "SECTION", 2, "ENTITIES")
	scoring := set.Scoring
	passes := s.Passes(scoring)
	for _, g := range passes.Guides {
		out.shape("GUIDE", g)
	}
	for i, score := range passes.Scores {
		if i >= len(passes.Dashes) {
			out.shape("SCORE", score)
			continue
		}
		for _, dash := range drawing.Short(score, passes.Dashes[i]) {
			out.shape("SCORE", dash)
		}
	}
	for _, c := range passes.Cuts {
		out.shape("CUT", c)
	}
	out.pairs(0, "ENDSEC", 0, "EOF")
	return out.Flush()
}

type dxfWriter struct {
	*bufio.Writer
	scale, high float64
}

// pairs writes group codes with their values.
func (w dxfWriter) pairs(list ...any) {
	for i := 0; i+1 < len(list); i += 2 {
		value := list[i+1]
		if x, ok := value.(float64); ok {
			value = shortest(x, 6)
		}
		_, _ = fmt.Fprintf(w, "%3d\n%v\n", list[i], value)
	}
}

func (w dxfWriter) shape(layer string, s drawing.Shape) {
	at := func(p blank.Point) (x, y float64) { return p.X * w.scale, (w.high - p.Y) * w.scale }
	if len(s.Corners) == 2 && !s.Closed {
		x0, y0 := at(s.Corners[0])
		x1, y1 := at(s.Corners[1])
		w.pairs(0, "LINE", 8, layer, 10, x0, 20, y0, 30, 0.0, 11, x1, 21, y1, 31, 0.0)
		return
	}
	closed := 0
	if s.Closed {
		closed = 1
	}
	w.pairs(0, "POLYLINE", 8, layer, 66, 1, 10, 0.0, 20, 0.0, 30, 0.0, 70, closed)
	for _, p := range s.Corners {
		x, y := at(p)
		w.pairs(0, "VERTEX", 8, layer, 10, x, 20, y, 30, 0.0)
	}
	w.pairs(0, "SEQEND", 8, layer)
}

// plainText is a text as this old format can hold it: on one line, in ASCII.
func plainText(text string) string {
	out := make([]byte, 0, len(text))
	for _, r := range text {
		switch {
		case r == '⁄':
			out = append(out, '/')
		case r == '×':
			out = append(out, 'x')
		case r < ' ' || r > '~':
			out = append(out, '?')
		default:
			out = append(out, byte(r))
		}
	}
	return string(out)
}
