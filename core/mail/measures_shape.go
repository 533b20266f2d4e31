package mail

// The measures of shape.

// ratio is one side over the other, ratioError how far it may be off when both sides
// may be.
func ratio(over, under float64) float64 { return over / under }

func ratioError(p Piece, over, under float64) float64 {
	return sizeError(p) * (1 + over/under) / under
}

// alongAddress are the edge along the address and the one across it.
func (p Piece) alongAddress() (along, across float64) {
	if p.AddressShort {
		return p.short(), p.long()
	}
	return p.long(), p.short()
}

var aspect = MeasureKind{
	ID: Aspect, Words: MeasureWords{"length ÷ height", "too square", "too slim"}, Counted: Ratios, Shape: true, Rectangle: true,
	Of:    one(func(p Piece) float64 { return ratio(p.long(), p.short()) }),
	Error: func(p Piece) float64 { return ratioError(p, p.long(), p.short()) },
}

// addressAspect takes the edge along the address for the length.
var addressAspect = MeasureKind{
	ID: AddressAspect, Words: MeasureWords{"length ÷ height along the address", "too square", "too slim"}, Counted: Ratios, Shape: true, Rectangle: true,
	Of: one(func(p Piece) float64 {
		return ratio(p.alongAddress())
	}),
	Error: func(p Piece) float64 {
		along, across := p.alongAddress()
		return ratioError(p, along, across)
	},
}

var square = MeasureKind{
	ID: Square, Words: MeasureWords{"square", "not square", "square"}, Counted: Flags, Rectangle: true,
	Of: flag(func(p Piece) bool { return p.long()-p.short() <= sizeError(p) }),
}

var odd = MeasureKind{
	ID: Odd, Words: MeasureWords{"odd shape", "a rectangle", "not a rectangle"}, Counted: Flags,
	Of: flag(func(p Piece) bool { return p.Odd }),
}
