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
