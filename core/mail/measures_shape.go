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
	ID: Aspect, Words: MeasureWords{"length ÷ height", "too square", "too slim"}, Counted: Ratios, Shape: true, Both: true, Rectangle: true,
	Of:    func(p Piece) (flat, filled float64) { return p.ratios(p.long(), p.short()) },
	Error: func(p Piece) float64 { return ratioError(p, p.long(), p.short()) },
}

// ratios are one side over the other of a flat piece and of a filled one.
func (p Piece) ratios(over, under float64) (flat, filled float64) {
	flat = ratio(over, under)
	if p.filled(over) == 0 || p.filled(under) == 0 {
		return flat, flat // thicker than it is high: nothing that has a shape
	}
	return flat, ratio(p.filled(over), p.filled(under))
}

// addressAspect takes the edge along the address for the length.
var addressAspect = MeasureKind{
	ID: AddressAspect, Words: MeasureWords{"length ÷ height", "too square", "too slim"}, Counted: Ratios, Shape: true, Both: true, Rectangle: true,
	Of: func(p Piece) (flat, filled float64) {
		return p.ratios(p.alongAddress())
	},
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
