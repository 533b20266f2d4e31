package compare

import (
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// Slot is how high the slot of a thickness gauge is for the destination: the greatest
// thickness of its cheapest class for envelopes, down to a step that the maker's tools can set, so
// that it is never wider than the limit; false where that class has none.
func (m Posted) Slot() (slot measure.Length, class mail.Class, ok bool) {
	book, posted := m.Book()
	if !posted {
		return 0, class, false
	}
	class = book.Enveloped()
	for _, l := range class.Limits {
		if l.Measure == mail.Thickness && l.Max != nil {
			slot = measure.Length(*l.Max).Down(m.Style().Tick)
			return slot, class, slot > 0
		}
	}
	return 0, class, false
}

// slotAsCut is the slot of the gauge in hand: as the maker says that it came out, else as it was
// told; zero where there is none.
func (m Posted) slotAsCut() measure.Length {
	if cut := m.Job().Mail.GaugeSlot; cut > 0 {
		return cut
	}
	slot, _, _ := m.Slot()
	return slot
}

// Gauged is what the thickness gauge says of a piece as it is now: how thick it is and what
// that may be off. Failed is what it is thicker than, where by how much nobody knows.
type Gauged struct{ Thickness, Off, Failed measure.Length }

// gauged is what the gauge found, and what the sums say that has changed since; false where the
// piece was not tried.
func (m Posted) gauged(predicted measure.Length) (g Gauged, ok bool) {
	through := m.Job().Mail.Measured.Through
	slot, change := m.slotNow(predicted)
	if through == "" || slot == 0 {
		return g, false
	}
	bound, band := max(caliperError, slot+change), changeError(change)
	switch through {
	case job.Freely:
		g.Thickness = max(0, min(predicted, bound-caliperError))
		g.Off = min(m.thicknessError(), bound-g.Thickness) + band
	case job.Tightly:
		g.Thickness, g.Off = bound, caliperError+band
	default:
		g.Failed = bound
		g.Thickness, g.Off = max(predicted, bound+caliperError), m.thicknessError()
	}
	return g, true
}

// changeError is how far what the sums say of a change may be off: as much as foam may be.
func changeError(change measure.Length) measure.Length {
	return measure.Length(float64(change.Abs()) * foamError)
}

// calipered is what the caliper found of the closed piece, and what the sums say that has
// changed since, with what it may be off; false where it was not read.
func (m Posted) calipered(predicted measure.Length) (thickness, off measure.Length, ok bool) {
	t := m.Job().Mail.Measured
	if t.Thickness <= 0 {
		return 0, 0, false
	}
	if thick, _ := OtherPiece(t, predicted, 0); thick {
		change := predicted - t.ThicknessOf
		return max(caliperError, t.Thickness+change), caliperError + changeError(change), true
	}
	return t.Thickness, caliperError, true
}

// Contradict reports whether gauge and caliper cannot both be right of a piece.
func (m Posted) Contradict(predicted measure.Length) bool {
	g, gauged := m.gauged(predicted)
	thickness, off, measured := m.calipered(predicted)
	if !gauged || !measured {
		return false
	}
	slot, change := m.slotNow(predicted)
	switch m.Job().Mail.Measured.Through {
	case job.Freely:
		return thickness-off > slot+change
	case job.Tightly:
		return (thickness - g.Thickness).Abs() > off+g.Off+slotPlay
	}
	return thickness+off < g.Failed
}

// slotPlay is what a piece that goes through tightly may differ from its slot.
const slotPlay = measure.Millimetre / 2

// slotNow is the slot that the reading is of, and what the sums say that the piece has changed by since.
func (m Posted) slotNow(predicted measure.Length) (slot, change measure.Length) {
	t := m.Job().Mail.Measured
	if slot = t.Slot; slot == 0 && t.For == "" { // read before readings kept it
		slot = m.slotAsCut()
	}
	if t.GaugeOf > 0 && (predicted-t.GaugeOf).Abs() > OtherThickness {
		change = predicted - t.GaugeOf
	}
	return slot, change
}

// SlotRead is the slot that the reading of the gauge is of; zero where none was read.
func (m Posted) SlotRead() measure.Length {
	if m.Job().Mail.Measured.Through == "" {
		return 0
	}
	slot, _ := m.slotNow(0)
	return slot
}
