package format

import (
	"math"
	"slices"
	"strconv"
	"strings"

	"yellowparcel/core/blank"
)

// dxfUnits are the millimetres of the units that $INSUNITS names.
var dxfUnits = map[string]float64{"0": 1, "1": 25.4, "4": 1, "5": 10, "6": 1000}

type dxfPair struct {
	code  int
	value string
	line  int // of the value
}

// readDXF reads closed polylines, circles and ellipses' approximations from the
// entities of an ASCII DXF, in the drawing's units; without any, millimetres.
// Blocks and links to other files are refused.
func readDXF(text string, best *largest) error {
	pairs, err := dxfPairs(text)
	if err != nil {
		return err
	}
	scale := 1.0
	var now dxfShape
	end := func() error {
		p, as := now.outline(scale), now.shape()
		now = dxfShape{}
		if len(p) == 0 {
			return nil
		}
		return best.see(p, as)
	}
	for i, p := range pairs {
		switch {
		case p.code == 9 && p.value == "$INSUNITS" && i+1 < len(pairs):
			if u, ok := dxfUnits[pairs[i+1].value]; ok {
				scale = u
			}
		case p.code == 0 && (p.value == "INSERT" || p.value == "IMAGE" || p.value == "XLINE"):
			return onLine(p.line, refuse("The DXF holds a %s, which is not followed: explode it in your drawing program, and save it anew.", strings.ToLower(p.value)))
		case p.code == 0 && p.value == "VERTEX":
			now.vertices = true
		case p.code == 0:
			if err := end(); err != nil {
				return err
			}
			now.kind, now.line = p.value, p.line
		default:
			if err := now.take(p); err != nil {
				return onLine(p.line, err)
			}
		}
	}
	if err := end(); err != nil {
		return err
	}
	if best.seen || best.gapLine > 0 || len(best.chains) > 0 {
		return nil
	}
	return refuse("There is no closed outline in the DXF: draw it as a polyline, a circle, or lines whose ends meet.")
}

func dxfPairs(text string) ([]dxfPair, error) {
	lines := strings.Split(strings.ReplaceAll(text, "\r", ""), "\n")
	const mostPairs = 200_000
	if len(lines)/2 > mostPairs {
		return nil, refuse("The DXF has too many parts: leave only the card's outline in it.")
	}
	var pairs []dxfPair
	for i := 0; i+1 < len(lines); i += 2 {
		code, err := strconv.Atoi(strings.TrimSpace(lines[i]))
		if err != nil {
			return nil, refuse("Line %d of the DXF, “%.30s”, should be a number: save it anew as ASCII DXF.", i+1, lines[i])
		}
		pairs = append(pairs, dxfPair{code, strings.TrimSpace(lines[i+1]), i + 2})
	}
	return pairs, nil
}

// dxfShape is one entity as it is read.
type dxfShape struct {
	kind     string
	vertices bool // a polyline whose corners come as entities of their own
	points   blank.Polygon
	bulges   []float64
	radius   float64
	angles   [2]float64 // of an arc, counter-clockwise in degrees
	line     int
	layer    string
	dashed   bool
	closed   bool
}

// shape is what is told of an entity besides its corners: its layer and its line type say what it is for.
func (s dxfShape) shape() shape {
	as := named(shape{}, map[string]string{"id": s.layer})
	as.fold = as.fold || s.dashed
	as.line, as.open = s.line, s.kind == "LINE" || s.kind != "CIRCLE" && !s.closed
	return as
}

func (s *dxfShape) take(p dxfPair) error {
	polyline := s.kind == "LWPOLYLINE" || s.kind == "POLYLINE"
	switch {
	case p.code == 8:
		s.layer = p.value
		return nil
	case p.code == 6:
		s.dashed = strings.HasPrefix(strings.ToUpper(p.value), "DASH") || strings.HasPrefix(strings.ToUpper(p.value), "HIDDEN")
		return nil
	case p.code == 70 && polyline && !s.vertices:
		flags, _ := strconv.Atoi(p.value)
		s.closed = flags&1 == 1
		return nil
	case s.kind == "POLYLINE" && !s.vertices || !polyline && s.kind != "CIRCLE" && s.kind != "LINE" && s.kind != "ARC":
		return nil
	case (p.code == 50 || p.code == 51) && s.kind != "ARC", !slices.Contains([]int{10, 20, 40, 42, 11, 21, 50, 51}, p.code) || (p.code == 11 || p.code == 21) && s.kind != "LINE":
		return nil
	}
	v, err := finite(p.value)
	if err != nil {
		return err
	}
	switch p.code {
	case 10, 11:
		s.points, s.bulges = append(s.points, blank.Point{X: v}), append(s.bulges, 0)
		if len(s.points) > blank.MostCorners {
			return refuse("An outline in the DXF has more corners than can be worked with: simplify it.")
		}
	case 20, 21:
		if len(s.points) > 0 {
			s.points[len(s.points)-1].Y = -v // a drawing counts up, a sheet down
		}
	case 42:
		if len(s.bulges) > 0 {
			s.bulges[len(s.bulges)-1] = -v
		}
	case 50, 51:
		s.angles[p.code-50] = v
	case 40:
		s.radius = v
	}
	return nil
}

func (s dxfShape) outline(scale float64) blank.Polygon {
	var p blank.Polygon
	switch {
	case s.kind == "CIRCLE" && len(s.points) == 1 && s.radius > 0:
		p = arc(s.points[0].X, s.points[0].Y, s.radius, s.radius, 0, 0, 2*math.Pi)
	case s.kind == "ARC" && len(s.points) == 1 && s.radius > 0:
		sweep := math.Mod(s.angles[1]-s.angles[0], 360)
		if sweep <= 0 {
			sweep += 360
		}
		c, from := s.points[0], -s.angles[0]*math.Pi/180 // a drawing counts up, a sheet down
		p = append(blank.Polygon{{X: c.X + s.radius*math.Cos(from), Y: c.Y + s.radius*math.Sin(from)}}, arc(c.X, c.Y, s.radius, s.radius, 0, from, -sweep*math.Pi/180)...)
	case len(s.points) > 1:
		for i, a := range s.points {
			p = append(p, a)
			if i == len(s.points)-1 && !s.closed {
				break // nothing runs back to the first
			}
			p = append(p, bulge(a, s.points[(i+1)%len(s.points)], s.bulges[i])...)
		}
	}
	for i := range p {
		p[i].X, p[i].Y = p[i].X*scale, p[i].Y*scale
	}
	return p
}

// bulge is the arc between two corners whose bulge is the tangent of a quarter
// of its angle.
func bulge(a, b blank.Point, t float64) blank.Polygon {
	chord := math.Hypot(b.X-a.X, b.Y-a.Y)
	if t == 0 || chord == 0 {
		return nil
	}
	sweep := 4 * math.Atan(t)
	r := chord / (2 * math.Sin(math.Abs(sweep)/2))
	off := chord / 2 / math.Tan(sweep/2)
	cx := (a.X+b.X)/2 - off*(b.Y-a.Y)/chord
	cy := (a.Y+b.Y)/2 + off*(b.X-a.X)/chord
	return arc(cx, cy, r, r, 0, math.Atan2(a.Y-cy, a.X-cx), sweep)
}
