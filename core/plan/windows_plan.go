package plan

import (
	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// leastLedge is what a layer is glued on at least where the one below it has its
// middle cut out.
const leastLedge = measure.Inch / 4

// ledge is what is left to glue on round a window.
func (m maker) ledge() measure.Length {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	return max(leastLedge, a.Width)
}

// fallsOut is the middle of a paper that may be cut out behind the layer on it:
// the frame left standing is the border that shows and the ledge.
func (m maker) fallsOut(on card.Layer) (card.Size, bool) {
	s := card.Size{Width: on.Width - 2*m.ledge(), Height: on.Height - 2*m.ledge()}
	return s, s.Width >= measure.Inch && s.Height >= measure.Inch
}

// window says what windowing a paper saves; empty when it cannot be done.
func (m maker) window(at int, l, on card.Layer) string {
	s, ok := m.fallsOut(on)
	if !ok || m.Job().Parts[at].Kind != job.LayerPart {
		return ""
	}
	share := card.Shares(l.Size, []card.Layer{{Size: s}})[1]
	return m.by(s.Width, s.Height) + " falls out, " + percent(share) + " of it; " + m.Style().Show(m.ledge()) + " left to glue on"
}
