package plan

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/cutting"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// joint is a blank pieced from two sheets with a glued joint square to its
// height.
type joint struct {
	sheet paper.Sheet
	// at is where the first piece ends, from the flap's end; lap how far the second
	// lies over it.
	at, lap measure.Length
}

// joined finds the joint of a blank too large for any sheet: across the back of
// a pocket or a box with a lid where that can be, else as near to an edge of the
// sheet as it can be, so that the larger piece is whole.
func (m maker) joined(c candidate) (best joint, ok bool) {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	stock, _ := m.Shop().Stock(m.Job().Envelope.Stock)
	tick, w, h := m.Style().Tick, c.made.SheetWidth, c.made.SheetHeight
	lap := a.Width.Up(tick)
	want := h // the larger piece as large as can be
	if y, found := backMiddle(c.made); found {
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
			best, off, ok = joint{s, at, lap}, far, true
		}
	}
	return best, ok
}

// backMiddle is the middle of the panel that makes the back, from the top of the
// sheet.
func backMiddle(made blank.Made) (measure.Length, bool) {
	for _, p := range made.Net.Panels {
		if p.ID != "back" && p.ID != "lid" {
			continue
		}
		_, low, _, high := p.Outline.Box()
		return measure.Round((low + high) / 2 * float64(measure.Millimetre)), true
	}
	return 0, false
}

// words says how to piece two sheets, and over what the joint runs.
func (m maker) jointWords(c candidate, j joint) string {
	show := m.Style().Show
	first, second := m.by(c.made.SheetWidth, j.at), m.by(c.made.SheetWidth, c.made.SheetHeight-j.at+j.lap)
	where := "slantwise over the front, where a plain label may cover it"
	if !c.kind.OnPoint {
		where = "over the " + panelAt(c.made.Net, (j.at-j.lap/2).Millimetres())
	}
	return fmt.Sprintf("two pieces from %s, %s and %s, joined with %s overlapping, %s from the flap's end: the joint runs %s", j.sheet.Name, first, second, show(j.lap), show(j.at), where)
}

// panelAt names the panel in the middle of the sheet at a height.
func panelAt(n blank.Net, y float64) string {
	x0, _, x1, _ := n.Sheet.Box()
	middle := (x0 + x1) / 2
	for _, p := range n.Panels {
		left, low, right, high := p.Outline.Box()
		if low <= y && y <= high && left <= middle && middle <= right {
			return p.Name
		}
	}
	return "back"
}
