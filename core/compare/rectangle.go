package compare

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// PlainRectangle is the closed envelope in which the card's shape costs nothing,
// in the cheapest class of the destination.
func (m Maker) PlainRectangle() (mail.Rectangle, bool) {
	stock, _ := m.Shop().Stock(m.Job().Envelope.Stock)
	need := m.Thick().Used + m.Job().Envelope.Ease + blank.Wider(stock.Caliper)
	return m.rectangleFor(m.Outer().Width+need, m.Outer().Height+need)
}

// rectangleFor is the plain rectangle round an interior.
func (m Maker) rectangleFor(w, h measure.Length) (mail.Rectangle, bool) {
	book, ok := m.Book()
	if !ok || len(book.Classes) == 0 {
		return mail.Rectangle{}, false
	}
	r := book.Enveloped().PlainRectangle(w, h, m.Thick().Used, m.Style().Tick, m.Style().Tick)
	return r, r.OK
}

// Sparing is what a rectangle takes along to spare a piece every surcharge: its address
// along the long edge, gum in place of what closes it now.
type Sparing struct{ Turned, Gummed bool }

// Spares works out whether a piece goes without a surcharge in a rectangular envelope of a
// size, all that stays counted, and what has to change besides. False where something
// that no envelope changes still pays.
func (m Posted) Spares(piece mail.Piece, class mail.Class, width, height measure.Length) (Sparing, bool) {
	book, posted := m.Book()
	if !posted {
		return Sparing{}, false
	}
	with := Sparing{Turned: piece.AddressShort}
	piece.Width, piece.Height, piece.AddressShort = width, height, false
	goes := func() bool {
		r, taken := m.VerdictOf(book, piece).Result()
		return taken && r.Class.ID == class.ID && r.Outcome == mail.Goes
	}
	if goes() {
		return with, true
	}
	with.Gummed, piece.Clasp, piece.Lump = true, false, m.Rise()
	closed := m.Closure()
	return with, (closed.Clasp || closed.Lump) && goes()
}
