package card

import "yellowparcel/core/measure"

// Size is the width and height of a rectangle.
type Size struct {
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
}

// Stack returns the sizes of layers mounted one on the other on a face: each is
// smaller than the one below by its border on both sides, so by twice the
// border in both dimensions. It stops before a layer of which nothing is left,
// and then reports that layer's place.
func Stack(face Size, borders []measure.Length) (sizes []Size, eaten int, ok bool) {
	below := face
	for i, b := range borders {
		below = Size{below.Width - 2*b, below.Height - 2*b}
		if below.Width <= 0 || below.Height <= 0 {
			return sizes, i, false
		}
		sizes = append(sizes, below)
	}
	return sizes, 0, true
}

// Shares returns how much of the face each paper shows, from the face itself to
// the top layer, as parts of one: the area of each less the area of the one on
// it.
func Shares(face Size, layers []Size) []float64 {
	whole := area(face)
	shares := make([]float64, len(layers)+1)
	below := face
	for i, l := range layers {
		shares[i] = (area(below) - area(l)) / whole
		below = l
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

// Borders lists the habits, narrow to wide.
func Borders() []Border {
	return []Border{
		{"hairline", "Hairline", measure.Inch / 16},
		{"classic", "Classic", measure.Inch / 8},
		{"wide", "Wide", measure.Inch / 4},
	}
}
