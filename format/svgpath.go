package format

import (
	"math"
	"strings"
	"unicode"

	"yellowparcel/core/blank"
)

// pathReader walks along the d of an SVG path (SVG 1.1, section 8.3); curves
// become corners.
type pathReader struct {
	// see is shown every outline; err is why no more is to be read.
	see   func(p blank.Polygon, open bool) error
	err   error
	now   blank.Polygon
	at    blank.Point
	start blank.Point
	// handle is the last control point, for the curves that go on from it.
	handle blank.Point
	last   byte
}

var pathCounts = map[byte]int{'m': 2, 'l': 2, 'h': 1, 'v': 1, 'c': 6, 's': 4, 'q': 4, 't': 2, 'a': 7, 'z': 0}

func readPath(d string, see func(p blank.Polygon, open bool) error) error {
	r := pathReader{see: see}
	for len(d) > 0 && r.err == nil {
		d = strings.TrimLeft(d, " ,\n\t\r")
		if d == "" {
			break
		}
		command := d[0]
		need, known := pathCounts[byte(unicode.ToLower(rune(command)))]
		if !known {
			return refuse("The path in the SVG has a command “%c” that is not known: save it anew as a plain SVG.", command)
		}
		end := strings.IndexFunc(d[1:], func(c rune) bool { return unicode.IsLetter(c) && c != 'e' && c != 'E' })
		body := d[1:]
		if end >= 0 {
			body = d[1 : 1+end]
		}
		d = d[1+len(body):]
		list, err := numbers(parted(body))
		if err != nil {
			return err
		}
		if need == 0 {
			r.close(false)
			continue
		}
		if len(list) == 0 || len(list)%need != 0 {
			return refuse("The path in the SVG has a “%c” with %d numbers: save it anew as a plain SVG.", command, len(list))
		}
		for i := 0; i < len(list); i += need {
			r.step(command, list[i:i+need])
			if command == 'm' {
				command = 'l'
			} else if command == 'M' {
				command = 'L'
			}
		}
		if len(r.now) > 4*blank.MostCorners {
			return refuse("A path in the SVG has more corners than can be worked with: simplify it.")
		}
	}
	r.close(true)
	return r.err
}

// parted puts a space before a minus that begins a number, as "3-4" is two, and
// before a second point in one, as "1.5.5" is two.
func parted(body string) string {
	var b strings.Builder
	point := false
	for i, c := range body {
		switch {
		case c == '-' && i > 0 && body[i-1] != 'e' && body[i-1] != 'E', c == '.' && point:
			b.WriteByte(' ')
			point = c == '.'
		case c == '.':
			point = true
		case c == ' ' || c == ',' || c == '\n' || c == '\t':
			point = false
		}
		b.WriteRune(c)
	}
	return b.String()
}

func (r *pathReader) close(open bool) {
	if (len(r.now) > 2 || open && len(r.now) > 1) && r.err == nil {
		r.err = r.see(r.now, open)
	}
	r.now, r.at, r.last = nil, r.start, 'z'
}

func (r *pathReader) to(p blank.Point) {
	if len(r.now) == 0 {
		r.now = append(r.now, r.at)
	}
	r.now, r.at = append(r.now, p), p
}

func (r *pathReader) step(command byte, v []float64) {
	low := byte(unicode.ToLower(rune(command)))
	base := blank.Point{}
	if command == low {
		base = r.at // relative
	}
	point := func(i int) blank.Point { return blank.Point{X: base.X + v[i], Y: base.Y + v[i+1]} }
	mirrored := func(kinds string) blank.Point {
		if strings.IndexByte(kinds, r.last) >= 0 {
			return blank.Point{X: 2*r.at.X - r.handle.X, Y: 2*r.at.Y - r.handle.Y}
		}
		return r.at
	}
	switch low {
	case 'm':
		r.close(true)
		r.at = point(0)
		r.start = r.at
	case 'l':
		r.to(point(0))
	case 'h':
		r.to(blank.Point{X: base.X + v[0], Y: r.at.Y})
	case 'v':
		y := v[0]
		if command == low {
			y += r.at.Y
		}
		r.to(blank.Point{X: r.at.X, Y: y})
	case 'c':
		r.curve(point(0), point(2), point(4))
	case 's':
		r.curve(mirrored("cs"), point(0), point(2))
	case 'q':
		r.quadratic(point(0), point(2))
	case 't':
		r.quadratic(mirrored("qt"), point(0))
	case 'a':
		r.arcTo(v, point(5))
	}
	r.last = low
}

const curveSteps = 24

func (r *pathReader) curve(a, b, end blank.Point) {
	from := r.at
	for i := range curveSteps {
		t := float64(i+1) / curveSteps
		s := 1 - t
		r.to(blank.Point{
			X: s*s*s*from.X + 3*s*s*t*a.X + 3*s*t*t*b.X + t*t*t*end.X,
			Y: s*s*s*from.Y + 3*s*s*t*a.Y + 3*s*t*t*b.Y + t*t*t*end.Y,
		})
	}
	r.handle = b
}

// quadratic is a curve with one control point, as the cubic that equals it.
func (r *pathReader) quadratic(c, end blank.Point) {
	third := func(a, b blank.Point) blank.Point {
		return blank.Point{X: a.X + (b.X-a.X)*2/3, Y: a.Y + (b.Y-a.Y)*2/3}
	}
	r.curve(third(r.at, c), third(end, c), end)
	r.handle = c
}

// arcTo draws an elliptical arc from its end points (SVG 1.1, appendix F.6.5).
func (r *pathReader) arcTo(v []float64, end blank.Point) {
	rx, ry, turn := math.Abs(v[0]), math.Abs(v[1]), v[2]*math.Pi/180
	if rx == 0 || ry == 0 || end == r.at {
		r.to(end)
		return
	}
	sin, cos := math.Sincos(turn)
	dx, dy := (r.at.X-end.X)/2, (r.at.Y-end.Y)/2
	x, y := cos*dx+sin*dy, -sin*dx+cos*dy
	if l := x*x/(rx*rx) + y*y/(ry*ry); l > 1 {
		rx, ry = rx*math.Sqrt(l), ry*math.Sqrt(l)
	}
	f := math.Sqrt(math.Max(0, (rx*rx*ry*ry-rx*rx*y*y-ry*ry*x*x)/(rx*rx*y*y+ry*ry*x*x)))
	if (v[3] != 0) == (v[4] != 0) {
		f = -f
	}
	cx, cy := f*rx*y/ry, -f*ry*x/rx
	from := math.Atan2((y-cy)/ry, (x-cx)/rx)
	sweep := math.Atan2((-y-cy)/ry, (-x-cx)/rx) - from
	switch {
	case v[4] != 0 && sweep < 0:
		sweep += 2 * math.Pi
	case v[4] == 0 && sweep > 0:
		sweep -= 2 * math.Pi
	}
	mx, my := (r.at.X+end.X)/2, (r.at.Y+end.Y)/2
	for _, p := range arc(cos*cx-sin*cy+mx, sin*cx+cos*cy+my, rx, ry, turn, from, sweep) {
		r.to(p)
	}
	r.at = end
}
