package format

import (
	"fmt"
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

// readPath reads a path by the grammar of SVG 1.1, section 8.3.9: numbers need nothing between them where they can be
// told apart, and the two flags of an arc are one digit each. It begins with a move.
func readPath(d string, see func(p blank.Polygon, open bool) error) error {
	r, s := pathReader{see: see}, scanner{text: d}
	for began := false; r.err == nil; began = true {
		s.blanks(true)
		if s.text == "" {
			break
		}
		command := s.text[0]
		low := byte(unicode.ToLower(rune(command)))
		need, known := pathCounts[low]
		if !known || !began && low != 'm' {
			return refuse("The path in the SVG has %s where a command belongs: save it anew as a plain SVG.", s.here())
		}
		if s.text = s.text[1:]; need == 0 {
			r.close(false)
			continue
		}
		for first := true; first || s.more(); first = false {
			v, err := s.step(low, need)
			if err != nil {
				return err
			}
			switch r.step(command, v); command {
			case 'm':
				command, low = 'l', 'l'
			case 'M':
				command, low = 'L', 'l'
			}
			if len(r.now) > 4*blank.MostCorners {
				return refuse("A path in the SVG has more corners than can be worked with: simplify it.")
			}
		}
	}
	r.close(true)
	return r.err
}

// scanner reads numbers off the beginning of a text.
type scanner struct{ text string }

// here is what stands next, for a refusal.
func (s *scanner) here() string {
	if s.text == "" {
		return "its end"
	}
	return fmt.Sprintf("“%.8s”", s.text)
}

// blanks passes over what may stand between two numbers: spaces, and a comma where one may.
func (s *scanner) blanks(comma bool) {
	s.text = strings.TrimLeft(s.text, " \n\t\r\f")
	if comma && strings.HasPrefix(s.text, ",") {
		s.text = strings.TrimLeft(s.text[1:], " \n\t\r\f")
	}
}

// more reports whether another number follows.
func (s *scanner) more() bool {
	s.blanks(true)
	return s.text != "" && strings.IndexByte("+-.0123456789", s.text[0]) >= 0
}

// step reads the numbers that a command needs once.
func (s *scanner) step(low byte, need int) ([]float64, error) {
	v := make([]float64, need)
	for i := range v {
		s.blanks(i > 0)
		var err error
		if low == 'a' && (i == 3 || i == 4) {
			v[i], err = s.flag()
		} else {
			v[i], err = s.number()
		}
		if err != nil {
			return nil, err
		}
	}
	return v, nil
}

// flag reads a flag, which is one digit.
func (s *scanner) flag() (float64, error) {
	if s.text == "" || s.text[0] != '0' && s.text[0] != '1' {
		return 0, refuse("An arc in the SVG has %s where 0 or 1 belongs: save it anew as a plain SVG.", s.here())
	}
	v := float64(s.text[0] - '0')
	s.text = s.text[1:]
	return v, nil
}

// number reads one number: a sign, digits with at most one point, an exponent.
func (s *scanner) number() (float64, error) {
	i, digits := 0, 0
	skip := func(set string) (n int) {
		for i < len(s.text) && strings.IndexByte(set, s.text[i]) >= 0 {
			i, n = i+1, n+1
		}
		return n
	}
	const figures = "0123456789"
	one := func(set string) {
		if i < len(s.text) && strings.IndexByte(set, s.text[i]) >= 0 {
			i++
		}
	}
	one("+-")
	digits = skip(figures)
	if i < len(s.text) && s.text[i] == '.' {
		i++
		digits += skip(figures)
	}
	if digits == 0 {
		return 0, refuse("The SVG has %s where a number belongs: save it anew as a plain SVG.", s.here())
	}
	if end := i; i < len(s.text) && (s.text[i] == 'e' || s.text[i] == 'E') {
		i++
		if one("+-"); skip(figures) == 0 {
			i = end // an e that begins something else
		}
	}
	v, err := finite(s.text[:i])
	s.text = s.text[i:]
	return v, err
}

// all reads all the numbers of a text.
func (s *scanner) all() (list []float64, err error) {
	for s.more() {
		v, err := s.number()
		if err != nil {
			return nil, err
		}
		if list = append(list, v); len(list) > 4*blank.MostCorners {
			return nil, refuse("A shape in the SVG has more corners than can be worked with: simplify it.")
		}
	}
	if s.text != "" {
		return nil, refuse("The SVG has %s where a number belongs: save it anew as a plain SVG.", s.here())
	}
	return list, nil
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
