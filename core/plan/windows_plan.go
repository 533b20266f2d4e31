package plan

import (
	"yellowparcel/core/card"
	"yellowparcel/core/job"
)

// window says what windowing a paper saves; empty when it cannot be done.
func (m layersStation) window(at int, l, on card.Layer) string {
	s, ok := m.FallsOut(on)
	if !ok || m.Job().Parts[at].Kind != job.LayerPart {
		return ""
	}
	share := card.Shares(l.Size, []card.Layer{{Size: s}})[1]
	return m.by(s.Width, s.Height) + " falls out, " + percent(share) + " of it; " + m.Style().Show(m.Ledge()) + " left to glue on"
}
