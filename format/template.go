package format

import (
	"strings"

	"yellowparcel/core/blank"
)

// Template is a ready-made envelope as somebody drew it: its outline, its fold lines and slits, in millimetres.
type Template struct {
	Outline      blank.Polygon
	Folds, Slits []blank.Line
	// Told is set where the file says which lines are folded; else every line inside the outline was taken for one.
	Told bool
}

// lines keeps the lines of a drawing besides its outline.
type lines struct {
	folds, slits []blank.Line
	told         bool
}

// mostLines is how many lines a template may have, dashes counted.
const mostLines = 20_000

// see is shown a shape, and reports whether it is no outline.
func (l *lines) see(p blank.Polygon, s shape) (kept bool, err error) {
	if s.aside {
		return true, nil
	}
	if !s.open && !s.fold {
		return false, nil
	}
	into := &l.slits
	if s.fold {
		into, l.told = &l.folds, true
	}
	for i, a := range p {
		if i+1 < len(p) || !s.open {
			*into = append(*into, blank.Line{From: a, To: p[(i+1)%len(p)]})
		}
	}
	if len(l.folds)+len(l.slits) > mostLines {
		return true, onLine(s.line, refuse("The drawing has more lines than can be worked with: leave the outline and its fold lines in it."))
	}
	return true, nil
}

// ReadTemplate reads a ready-made envelope from an SVG or DXF file. What is dashed, or lies in a group or a layer that is named
// for scores or folds, is folded; what is named a guide is left out. Errors are sentences that say where and what to do.
func ReadTemplate(text string) (t Template, err error) {
	if len(text) > MostBytes {
		return t, refuse("The file is larger than 2 MB: leave only the envelope's outline and its fold lines in it, and save it anew.")
	}
	best := largest{lines: &lines{}}
	switch start := strings.TrimSpace(text); {
	case start == "":
		return t, refuse("There is nothing in it: choose the SVG or DXF of an envelope.")
	case strings.HasPrefix(start, "<"):
		err = readSVG(text, &best)
	case strings.Contains(text, "SECTION"):
		err = readDXF(text, &best)
	default:
		return t, refuse("This is neither SVG nor DXF: save the envelope as one of them.")
	}
	if err != nil {
		return t, err
	}
	if err := best.closed("envelope's outline"); err != nil {
		return t, err
	}
	if err := blank.CheckOutline(best.outline); err != nil {
		return t, onLine(best.line, refuse("This cannot be an envelope's outline: %v.", err))
	}
	t = Template{best.outline, best.lines.folds, best.lines.slits, best.lines.told}
	if !t.Told {
		t.Folds, t.Slits = t.Slits, nil
	}
	return t, nil
}
