package compare

import (
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// Cents is what an envelope costs, in hundredths: one that is bought, or its share of a
// sheet of the stock that it is cut from; false where the shop has no price for it.
func (c Candidate) Cents(shop job.Shop, stock string) (int, bool) {
	if !c.OK {
		return 0, false
	}
	if c.Kind.Bought {
		own, _ := shop.Owned(c.Made.From.ID)
		return own.Cents, own.Cents > 0
	}
	s, _ := shop.Stock(stock)
	if s.Cents == 0 || !c.Found {
		return 0, false
	}
	return (s.Cents + c.perSheet() - 1) / c.perSheet(), true
}

// perSheet is how many blanks a sheet gives in rows that all lie one way.
func (c Candidate) perSheet() int {
	rows := func(w, h measure.Length) int { return int(c.Fits.Width/w) * int(c.Fits.Height/h) }
	return max(1, rows(c.Made.SheetWidth, c.Made.SheetHeight), rows(c.Made.SheetHeight, c.Made.SheetWidth))
}
