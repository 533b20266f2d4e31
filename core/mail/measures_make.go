package mail

// The measures of how a piece is made: each a yes or no.

var clasp = MeasureKind{
	ID: Clasp, Words: MeasureWords{"clasp or string", "not closed by a clasp", "closed by clasp, string or button"}, Counted: Flags, ByHand: true,
	Of: flag(func(p Piece) bool { return p.Clasp }),
}

var plastic = MeasureKind{
	ID: Plastic, Words: MeasureWords{"outside not paper", "of paper outside", "not of paper outside"}, Counted: Flags,
	Of: flag(func(p Piece) bool { return p.Plastic }),
}

var bare = MeasureKind{
	ID: Bare, Words: MeasureWords{"without an envelope", "in an envelope", "without an envelope"}, Counted: Flags,
	Of: flag(func(p Piece) bool { return p.Bare }),
}

var folded = MeasureKind{
	ID: Folded, Words: MeasureWords{"folded", "not folded", "folded"}, Counted: Flags,
	Of: flag(func(p Piece) bool { return p.Bare && p.Folded }),
}

var box = MeasureKind{
	ID: Box, Words: MeasureWords{"box", "no box", "a box"}, Counted: Flags,
	Of: flag(func(p Piece) bool { return p.Box }),
}
