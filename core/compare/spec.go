package compare

import (
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// BlankSpec is what an envelope is made for.
func (m Maker) BlankSpec() blank.Spec {
	j := m.Job()
	stock, _ := m.Shop().Stock(j.Envelope.Stock)
	adhesive, _ := m.Shop().Adhesive(j.Envelope.Adhesive)
	s := blank.Spec{
		Width: m.Outer().Width, Height: m.Outer().Height, Thickness: m.Thick().Used,
		Ease: j.Envelope.Ease, Seam: j.Envelope.Seam, ThumbGap: j.Envelope.ThumbGap, Caliper: stock.Caliper,
		Style: m.Style(), School: j.Envelope.School, Way: j.Envelope.Way, NoBoard: !m.Shop().Tools.Has(blank.ScoreBoard), OneSide: j.Envelope.OneSide, Asked: j.Envelope.Asked,
		Board: blank.Board{CornerAt: m.Shop().Tools.CornerAt, Groove: m.Shop().Tools.Groove, NotchDepth: m.Shop().Tools.NotchDepth, NotchAt: m.Shop().Tools.PunchAt.Near(m.Style().Tick)},
		Box:   j.Envelope.Box, Walls: j.Envelope.Walls,
		Adhesive: adhesive.Width, Depth: j.Envelope.Depth, Pocket: j.Envelope.Pocket, Flap: j.Envelope.Flap, Sliver: j.Envelope.Sliver,
		SizeOnly:  m.SizeOnly,
		FlapShape: j.Envelope.FlapShape, Corner: j.Envelope.Corner, Notch: j.Envelope.Notch, TabsOnBack: j.Envelope.TabsOnBack, Double: j.Envelope.Double, FoldTips: j.Envelope.FoldTips, Low: j.Envelope.Low,
	}
	s.CardWidth, s.CardHeight = m.cardLosses()
	if r := j.Recipe; r != nil && len(r.Missing()) == 0 {
		noted := NotedFor(m.Piece, r.Whole(), r.Corner)
		s.Noted = &noted
	}
	if s.Pocket == "" {
		s.Pocket = blank.ExactPocket
	}
	if s.Sliver == 0 {
		s.Sliver = job.UsualSliver(m.Style().Unit)
	}
	for _, sheet := range m.Shop().SheetsFor(stock) {
		s.SheetLength = max(s.SheetLength, sheet.Width, sheet.Height)
	}
	if j.Envelope.Mailable {
		s.LeastWidthAt = func(interior, height measure.Length) measure.Length {
			if r, ok := m.rectangleFor(max(interior, height), height); ok && r.Height == height {
				return r.Width
			}
			return 0
		}
		if r, ok := m.PlainRectangle(); ok {
			// What a fold eats of the paper is added again when the creases are set.
			wider := blank.Wider(s.Caliper)
			s.LeastWidth, s.LeastHeight = r.Width-wider, r.Height-wider
			if s.Height > s.Width {
				s.LeastWidth, s.LeastHeight = s.LeastHeight, s.LeastWidth
			}
		}
	}
	return s
}

// cardLosses are what the card's own size may be off, cut and scored half a tick off: a
// cut once, a panel beside a score twice, or √2 times, as the far one usually is; folded edge to edge a
// panel is half of what the sheet is off.
func (m Maker) cardLosses() (width, height blank.Loss) {
	t := m.Style().Tick / 2
	cut, scored := blank.Loss{Worst: t, RSS: t}, blank.Loss{Worst: 2 * t, RSS: measure.Round(math.Sqrt2 * float64(t))}
	if job.FoldsEdgeToEdge(m.Job(), m.Shop()) {
		scored = blank.Loss{Worst: t / 2, RSS: t / 2}
	}
	switch fold := m.Job().Card.Fold.Kind(); {
	case fold.Unfolded:
		return cut, cut
	case fold.Across:
		return cut, scored
	}
	return scored, cut
}

// withBought is a spec with the envelopes that may be cut down: the one that the job
// names, or all.
func (m Maker) withBought(s blank.Spec) blank.Spec {
	s.SoldCaliper = m.SoldCaliper()
	list := m.Shop().Formats()
	if f, ok := m.Job().Envelope.Bought(m.Shop()); ok {
		list = []envelope.Format{m.opened(f)}
	}
	for _, f := range list {
		s.Bought = append(s.Bought, soldAs(f))
	}
	return s
}

// opened is a format with the side that it opens on: what the job says of one that the
// maker measured.
func (m Maker) opened(f envelope.Format) envelope.Format {
	if f.ID == job.OwnEnvelope {
		f.Opens = m.Job().Envelope.Opens
	}
	return f
}

// soldAs is a format with its throat along the width.
func soldAs(f envelope.Format) blank.Bought {
	b := blank.Bought{ID: f.ID, Owned: f.Owned, Width: f.Width, Height: f.Height, Pointed: f.Family == "baronial"}
	if f.Opens == envelope.ShortSide {
		b.Width, b.Height = b.Height, b.Width
	}
	return b
}
