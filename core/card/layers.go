package card

import "yellowparcel/core/measure"

// Size is the width and height of a rectangle.
type Size struct {
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
}

// Edges are what a layer leaves showing of the paper below it on each side.
type Edges struct {
	Top    measure.Length `json:"top"`
	Right  measure.Length `json:"right"`
	Bottom measure.Length `json:"bottom"`
	Left   measure.Length `json:"left"`
}

// Even is the same border on all sides.
func Even(border measure.Length) Edges { return Edges{border, border, border, border} }

// Mount says how a layer lies on the one below: by its border, or centred in a
// size of its own.
type Mount struct {
	Edges
	Own *Size
}

// Layer is a layer where it lies on the face, from the face's top left corner.
// A layer with a size of its own may be larger than what it lies on.
type Layer struct {
	X, Y measure.Length
	Size
}

// LeastLayer is the least that is worth calling a layer: less cannot be cut, nor
// glued.
const LeastLayer = measure.Millimetre

// Stack lays layers one on the other on a face: each is smaller than the one
// below by its border on both sides, so by twice an even border in both
// dimensions. It stops before a layer of which nothing is left, and then
// reports that layer's place.
func Stack(face Size, mounts []Mount) (layers []Layer, eaten int, ok bool) {
	below := Layer{Size: face}
	for i, m := range mounts {
		l := Layer{below.X + m.Left, below.Y + m.Top, Size{below.Width - m.Left - m.Right, below.Height - m.Top - m.Bottom}}
		if m.Own != nil {
			l = Layer{below.X + (below.Width-m.Own.Width)/2, below.Y + (below.Height-m.Own.Height)/2, *m.Own}
		}
		if l.Width < LeastLayer || l.Height < LeastLayer {
			return layers, i, false
		}
		layers = append(layers, l)
		below = l
	}
	return layers, 0, true
}

// Shares returns how much of the face each paper shows, from the face itself to
// the top layer, as parts of one: the area of each less the area of the one on
// it. A layer larger than the paper below hides that one altogether.
func Shares(face Size, layers []Layer) []float64 {
	whole := area(face)
	shares := make([]float64, len(layers)+1)
	below := face
	for i, l := range layers {
		shares[i] = max(0, area(below)-area(l.Size)) / whole
		below = l.Size
	}
	shares[len(layers)] = area(below) / whole
	return shares
}

func area(s Size) float64 { return s.Width.Millimetres() * s.Height.Millimetres() }

// Border is a habit of how much of the paper below shows.
type Border struct {
	ID, Name string
	Width    measure.Length
}

// Borders lists the habits of a unit, narrow to wide: half a step, a step and two of
// the ladder.
func Borders(u measure.Unit) []Border {
	step := classic(u)
	return []Border{{"hairline", "Hairline", step / 2}, {"classic", "Classic", step}, {"wide", "Wide", 2 * step}}
}

// classic is the border that most makers leave, and the step of the ladder.
func classic(u measure.Unit) measure.Length {
	if u == measure.Millimetres {
		return 3 * measure.Millimetre
	}
	return measure.Inch / 8
}

// Rungs are the borders at which a ladder of layers stops, from none up: the
// hairline and then every step of the classic border, as long as something of
// the size is left. In millimetres a step is 3 mm.
func Rungs(s Size, u measure.Unit) []measure.Length {
	step := classic(u)
	const mostRungs = 12
	list := []measure.Length{0, step / 2}
	for b := step; len(list) < mostRungs && 2*b < min(s.Width, s.Height)-measure.Inch; b += step {
		list = append(list, b)
	}
	return list
}
