package mail

import "math"

// The measures of size. A filled envelope is up to its thickness less long and high
// than it is flat, as far as no walls hold it.

// filled is a side of a piece as it measures filled.
func (p Piece) filled(side float64) float64 {
	return math.Max(0, side-math.Max(0, float64(p.Thickness-p.Holds)))
}

func sizeError(p Piece) float64  { return float64(p.SizeError) }
func thickError(p Piece) float64 { return float64(p.ThicknessError) }

var length = MeasureKind{
	ID: Length, Words: MeasureWords{"length", "too short", "too long"}, Exceeds: true, Quoted: true, Rectangle: true, Error: sizeError,
	Of: func(p Piece) (flat, filled float64) { return p.long(), p.filled(p.long()) },
}

var height = MeasureKind{
	ID: Height, Words: MeasureWords{"height", "too low", "too high"}, Exceeds: true, Quoted: true, Rectangle: true, Error: sizeError,
	Of: func(p Piece) (flat, filled float64) { return p.short(), p.filled(p.short()) },
}

var sum = MeasureKind{
	ID: Sum, Words: MeasureWords{"length + height + thickness", "too small", "too large together"}, Fine: true,
	Of:    one(func(p Piece) float64 { return p.long() + p.short() + float64(p.Thickness) }),
	Error: func(p Piece) float64 { return 2*sizeError(p) + thickError(p) },
}

var radius = MeasureKind{
	ID: Radius, Words: MeasureWords{"corner radius", "too sharp-cornered", "too round-cornered"}, Fine: true,
	Of: one(func(p Piece) float64 {
		if p.Bare {
			return float64(p.Radius)
		}
		return 0
	}),
}

var thickness = MeasureKind{
	ID: Thickness, Words: MeasureWords{"thickness", "too thin", "too thick"}, Exceeds: true, Fine: true, Quoted: true, Lighter: true,
	Of: one(func(p Piece) float64 { return float64(p.Thickness) }), Error: thickError,
	Over: func(p Piece) float64 { return float64(p.Failed) },
}

var lump = MeasureKind{
	ID: Lump, Words: MeasureWords{"rise per inch", "too even", "too lumpy"}, Fine: true, ByHand: true, Shield: true,
	Of: one(func(p Piece) float64 { return float64(p.Lump) }), Error: thickError,
}

var uneven = MeasureKind{
	ID: Uneven, Words: MeasureWords{"unevenness", "too even", "too uneven"}, Fine: true,
	Of: one(func(p Piece) float64 { return float64(p.Uneven) }), Error: thickError,
}

var weight = MeasureKind{
	ID: Weight, Words: MeasureWords{"weight", "too light", "too heavy"}, Counted: Weights, Exceeds: true, Lighter: true,
	Of: one(func(p Piece) float64 { return p.Weight }), Error: func(p Piece) float64 { return p.WeightError },
}

// girth is the length and once round the piece.
var girth = MeasureKind{
	ID: Girth, Words: MeasureWords{"length + girth", "too small", "too large"}, Fine: true,
	Of:    one(func(p Piece) float64 { return p.long() + 2*(p.short()+float64(p.Thickness)) }),
	Error: func(p Piece) float64 { return 3*sizeError(p) + 2*thickError(p) },
}
