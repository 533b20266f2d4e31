// Package format reads and writes the open formats that come into the program
// and go out of it. What is read is bounded in size, depth and count, never
// executed, and never reaches for other files; what is refused says why.
//
// Coordinates are millimetres.
//
//	outline, err := format.ReadOutline("moon.svg", text, measure.Inches)
package format

import (
	"fmt"
	"math"
	"strconv"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

// MostBytes is how large a file with an outline may be.
const MostBytes = 2 << 20

// ReadOutline reads the outline of an odd card: from an SVG or DXF file, by its
// beginning, or from corners typed as pairs in the unit. Of several outlines the
// largest is taken. Errors are sentences that say what to do.
func ReadOutline(text string, u measure.Unit) (blank.Polygon, error) {
	if len(text) > MostBytes {
		return nil, refuse("The file is larger than 2 MB: leave only the card's outline in it, and save it anew.")
	}
	var best largest
	var err error
	switch start := strings.TrimSpace(text); {
	case start == "":
		return nil, refuse("There is nothing in it: type the corners, one pair a line, or choose a file.")
	case strings.HasPrefix(start, "<"):
		err = readSVG(text, &best)
	case (strings.HasPrefix(start, "0") || strings.HasPrefix(start, "999")) && strings.Contains(text, "SECTION"):
		err = readDXF(text, &best)
	default:
		err = readCorners(text, u, &best)
	}
	if err != nil {
		return nil, err
	}
	if err := best.closed("outline"); err != nil {
		return nil, err
	}
	if err := blank.CheckOutline(best.outline); err != nil {
		return nil, onLine(best.line, refuse("This cannot be a card's outline: %v.", err))
	}
	return best.outline, nil
}

// onLine says where in a file something is; nothing for what was typed.
func onLine(line int, err error) error {
	if line == 0 || err == nil || strings.Contains(err.Error(), "ine "+strconv.Itoa(line)) {
		return err
	}
	return refuse("%v Look at line %d of the file.", err, line)
}

// shape is what is told of something drawn besides its corners.
type shape struct {
	line int // of the file
	open bool
	// fold is set where it is named or dashed as a fold line, aside where it is for the eye alone.
	fold, aside bool
}

// largest keeps the largest of the outlines that it is shown, and no other: a
// drawing may hold a hundred thousand.
type largest struct {
	outline blank.Polygon
	area    float64
	seen    bool
	corners int
	line    int
	// gap is how far apart the ends of an open outline are, gapLine where that stands.
	gap     float64
	gapLine int
	// lines are kept where somebody asks for them.
	lines *lines
	// chains are the open lines: where nothing is closed, those whose ends meet may be the outline.
	chains []chain
}

// mostCorners is how many corners a drawing may have in all.
const mostCorners = 300_000

// see is shown an outline, which it may keep and change. It refuses what is too
// much altogether.
func (l *largest) see(p blank.Polygon, s shape) error {
	if l.corners += len(p); l.corners > mostCorners {
		return onLine(s.line, refuse("The drawing has more corners than can be worked with: leave only the card's outline in it."))
	}
	if s.open && len(p) > 1 {
		gap := math.Hypot(p[0].X-p[len(p)-1].X, p[0].Y-p[len(p)-1].Y)
		s.open = gap > joins || len(p) < 3
		if s.open && (l.gapLine == 0 || gap < l.gap) && len(p) > 2 {
			l.gap, l.gapLine = gap, s.line
		}
	}
	if s.open && !s.fold && !s.aside && len(p) > 1 {
		if len(l.chains) >= mostLines {
			return onLine(s.line, refuse("The drawing has more lines than can be worked with: leave the outline alone in it."))
		}
		l.chains = append(l.chains, chain{p, s})
	}
	if l.lines != nil {
		if kept, err := l.lines.see(p, s); kept || err != nil {
			return err
		}
	}
	if s.open {
		return nil
	}
	p = tidy(p)
	if a := p.Area(); !l.seen || a > l.area {
		l.outline, l.area, l.seen, l.line = p, a, true, s.line
	}
	return nil
}

// meet takes the outline from lines whose ends meet; the others stay lines.
func (l *largest) meet() {
	outline, line, rest, ok := meet(l.chains)
	if !ok {
		return
	}
	outline = tidy(outline)
	l.outline, l.area, l.seen, l.line = outline, outline.Area(), true, line
	if l.lines == nil {
		return
	}
	l.lines.slits = nil
	for _, c := range rest {
		for i, a := range c.points[:len(c.points)-1] {
			l.lines.slits = append(l.lines.slits, blank.Line{From: a, To: c.points[i+1]})
		}
	}
}

// joins is how far apart the ends of an outline may be that is closed, in millimetres.
const joins = 0.1

// closed refuses a drawing whose outline is open, or that has none.
func (l *largest) closed(what string) error {
	if !l.seen {
		l.meet()
	}
	if !l.seen && l.gapLine > 0 {
		return refuse("The %s is open: its ends are %.1f mm apart. Join them in your drawing program, and save it anew. Look at line %d of the file.", what, l.gap, l.gapLine)
	}
	if !l.seen {
		return refuse("There is no closed outline in the file: draw it as one path, polygon, rectangle, circle or ellipse.")
	}
	return nil
}

// refusal is an error that is a sentence for people.
type refusal string

func (r refusal) Error() string { return string(r) }

func refuse(format string, args ...any) error { return refusal(fmt.Sprintf(format, args...)) }

// tidy drops corners that repeat the one before, in place.
func tidy(p blank.Polygon) blank.Polygon {
	q := p[:0]
	for _, a := range p {
		if len(q) == 0 || math.Hypot(a.X-q[len(q)-1].X, a.Y-q[len(q)-1].Y) > 1e-6 {
			q = append(q, a)
		}
	}
	for len(q) > 1 && math.Hypot(q[0].X-q[len(q)-1].X, q[0].Y-q[len(q)-1].Y) <= 1e-6 {
		q = q[:len(q)-1]
	}
	return q
}

// readCorners reads pairs of lengths, one a line or parted by semicolons: "0 0",
// "3 1/2, 2". A comma parts the two when there is one, else the last space.
func readCorners(text string, u measure.Unit, best *largest) error {
	var p blank.Polygon
	for i, line := range strings.FieldsFunc(text, func(r rune) bool { return r == '\n' || r == ';' || r == '\r' }) {
		line = strings.TrimSpace(line)
		if line == "" {
			continue
		}
		if len(p) > blank.MostCorners {
			break // told by the check of the outline
		}
		first, second, found := strings.Cut(line, ",")
		if at := strings.LastIndexAny(line, " \t"); !found && at > 0 {
			first, second, found = line[:at], line[at+1:], true
		}
		if !found {
			return refuse("Corner %d, “%.30s”, is one number: type two, across and down, as 3 1/2, 2.", i+1, line)
		}
		var at [2]float64
		for k, s := range []string{first, second} {
			s = strings.TrimSpace(s)
			bare, negative := strings.CutPrefix(s, "-")
			l, err := measure.Parse(bare, u)
			if err != nil {
				return refuse("Corner %d, “%.30s”: %v", i+1, line, err)
			}
			if at[k] = l.Millimetres(); negative {
				at[k] = -at[k]
			}
		}
		p = append(p, blank.Point{X: at[0], Y: at[1]})
	}
	return best.see(p, shape{})
}

// arc is a stretch of a circle or an ellipse as corners, its end included.
func arc(cx, cy, rx, ry, turn, from, sweep float64) blank.Polygon {
	const stepDegrees = 4
	n := max(2, int(math.Ceil(math.Abs(sweep)*180/math.Pi/stepDegrees)))
	sin, cos := math.Sincos(turn)
	var p blank.Polygon
	for i := range n {
		y, x := math.Sincos(from + sweep*float64(i+1)/float64(n))
		p = append(p, blank.Point{X: cx + rx*x*cos - ry*y*sin, Y: cy + rx*x*sin + ry*y*cos})
	}
	return p
}
