package compare

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/cutting"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Joint is a blank pieced from two sheets with a glued joint square to its
// height.
type Joint struct {
	Sheet paper.Sheet
	// At is where the first piece ends, from the flap's end; Lap how far the second
	// lies over it.
	At, Lap measure.Length
}

// Joined finds the joint of a blank too large for any sheet: across the back of
// a pocket or a box with a lid where that can be, else as near to an edge of the
// sheet as it can be, so that the larger piece is whole.
func (m Maker) Joined(c Candidate) (best Joint, ok bool) {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	stock, _ := m.Shop().Stock(m.Job().Envelope.Stock)
	tick, w, h := m.Style().Tick, c.Made.SheetWidth, c.Made.SheetHeight
	lap := a.Width.Up(tick)
	want := h // the larger piece as large as can be
	if y, found := BackMiddle(c.Made); found {
		want = y.Near(tick)
	}
	off := measure.Length(-1)
	for _, s := range m.Shop().SheetsFor(stock) {
		most := measure.Length(0) // the highest piece that the sheet gives
		for _, side := range [][2]measure.Length{{s.Width, s.Height}, {s.Height, s.Width}} {
			if w <= side[0] {
				most = max(most, side[1].Down(tick))
			}
		}
		low, high := h+lap-most, most
		if low > high || low < lap {
			continue
		}
		at := min(high, max(low, want))
		p := cutting.Sheet{Width: s.Width, Height: s.Height}
		for _, height := range []measure.Length{at, h - at + lap} {
			if p.Possible(cutting.Piece{Width: w, Height: height, Count: 1, Turn: true}) != cutting.Possible {
				at = 0
				break
			}
		}
		if far := (at - want).Abs(); at > 0 && (off < 0 || far < off) {
			best, off, ok = Joint{s, at, lap}, far, true
		}
	}
	return best, ok
}

// BackMiddle is the middle of the panel that makes the back, from the top of the
// sheet.
func BackMiddle(made blank.Made) (measure.Length, bool) {
	for _, p := range made.Net.Panels {
		if p.ID != "back" && p.ID != "lid" {
			continue
		}
		_, low, _, high := p.Outline.Box()
		return measure.Round((low + high) / 2 * float64(measure.Millimetre)), true
	}
	return 0, false
}
