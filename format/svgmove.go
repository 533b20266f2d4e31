package format

import (
	"math"
	"strings"

	"yellowparcel/core/blank"
)

// matrix moves points: x' = a x + c y + e, y' = b x + d y + f, in the order a to f (SVG 1.1, section 7).
type matrix [6]float64

func scaling(x, y float64) matrix { return matrix{x, 0, 0, y, 0, 0} }

// then is a matrix that moves first by n, then by m, as a part within another one is moved.
func (m matrix) then(n matrix) matrix {
	return matrix{
		m[0]*n[0] + m[2]*n[1], m[1]*n[0] + m[3]*n[1],
		m[0]*n[2] + m[2]*n[3], m[1]*n[2] + m[3]*n[3],
		m[0]*n[4] + m[2]*n[5] + m[4], m[1]*n[4] + m[3]*n[5] + m[5],
	}
}

func (m matrix) point(p blank.Point) blank.Point {
	return blank.Point{X: m[0]*p.X + m[2]*p.Y + m[4], Y: m[1]*p.X + m[3]*p.Y + m[5]}
}

// mostTransforms is how many moves a part may have in a row.
const mostTransforms = 100

// transform reads a list of moves: matrix, translate, scale, rotate, skewX, skewY.
func transform(text string) (matrix, error) {
	m := scaling(1, 1)
	for n := 0; ; n++ {
		text = strings.TrimLeft(text, " ,\n\t\r")
		if text == "" {
			return m, nil
		}
		name, rest, opened := strings.Cut(text, "(")
		body, after, closed := strings.Cut(rest, ")")
		if !opened || !closed || n == mostTransforms {
			return m, refuse("A transform in the SVG cannot be read: flatten it in your drawing program, and save it anew.")
		}
		text = after
		s := scanner{text: body}
		v, err := s.all()
		if err != nil {
			return m, err
		}
		one, ok := move(strings.TrimSpace(name), v)
		if !ok {
			return m, refuse("The transform “%.20s” in the SVG cannot be read: flatten it in your drawing program, and save it anew.", strings.TrimSpace(name))
		}
		m = m.then(one)
	}
}

// move is one move by its name and its numbers; false where these do not belong to it.
func move(name string, v []float64) (matrix, bool) {
	const degree = math.Pi / 180
	switch n := len(v); {
	case name == "matrix" && n == 6:
		return matrix(v), true
	case name == "translate" && (n == 1 || n == 2):
		return matrix{1, 0, 0, 1, v[0], append(v, 0)[1]}, true
	case name == "scale" && (n == 1 || n == 2):
		return scaling(v[0], append(v, v[0])[1]), true
	case name == "rotate" && (n == 1 || n == 3):
		sin, cos := math.Sincos(v[0] * degree)
		turn := matrix{cos, sin, -sin, cos, 0, 0}
		if n == 1 {
			return turn, true
		}
		return matrix{1, 0, 0, 1, v[1], v[2]}.then(turn).then(matrix{1, 0, 0, 1, -v[1], -v[2]}), true
	case name == "skewX" && n == 1:
		return matrix{1, 0, math.Tan(v[0] * degree), 1, 0, 0}, true
	case name == "skewY" && n == 1:
		return matrix{1, math.Tan(v[0] * degree), 0, 1, 0, 0}, true
	}
	return matrix{}, false
}
