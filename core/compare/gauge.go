package compare

import (
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// Slot is how high the slot of a thickness gauge is for the destination: the greatest
// thickness of its cheapest class for envelopes, down to a tick; false where that has none.
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

// gauged is a thickness that is as the gauge found it, with what it may be off: under the
// slot, close to it or over it. It is false where the piece was not tried, was measured with
// a caliper, or has changed since.
func (m Posted) gauged(predicted measure.Length) (thickness, off measure.Length, ok bool) {
	t := m.Job().Mail.Measured
	slot, _, has := m.Slot()
	if t.Through == "" || t.Thickness > 0 || !has || t.GaugeOf > 0 && (t.GaugeOf-predicted).Abs() > OtherThickness {
		return 0, 0, false
	}
	switch t.Through {
	case job.Freely:
		return min(predicted, slot-caliperError), 0, true
	case job.Tightly:
		return slot, caliperError, true
	}
	return max(predicted, slot+caliperError), 0, true
}
