package mail

import "yellowparcel/core/measure"

// SlotGauge is a thickness gauge of stiff card: a slot through which the closed
// piece has to slide.
type SlotGauge struct {
	// Width and Height are the piece of card, SlotWidth and SlotHeight the slot in
	// the middle of it.
	Width, Height, SlotWidth, SlotHeight measure.Length
	// Left, Right, Top and Bottom are where the slot is cut, from the left and from
	// the top edge.
	Left, Right, Top, Bottom measure.Length
}

// Second is the slot for a bare card on the same piece: the limit less the envelope's layers, down to a tick, an
// inch below the first one. Room is false where half an inch would not stay below it, so that it needs a piece of
// its own, and ok where the layers leave nothing to cut.
func (g SlotGauge) Second(limit, layers, tick measure.Length) (top, bottom measure.Length, room, ok bool) {
	high := (limit - layers).Down(tick)
	top = g.Bottom + measure.Inch
	bottom = top + high
	return top, bottom, bottom+measure.Inch/2 <= g.Height, high > 0
}

// GaugeFault is what is wrong with the piece of card for a gauge.
type GaugeFault string

// The faults; the empty one is none.
const (
	GaugeFits  GaugeFault = ""
	ThinLimit  GaugeFault = "limit"  // the limit is thinner than the smallest step
	ShortCard  GaugeFault = "short"  // the slot is too long for the card
	NarrowCard GaugeFault = "narrow" // too little stays above and below the slot
)

// GaugeFaults lists them.
func GaugeFaults() []GaugeFault { return []GaugeFault{ThinLimit, ShortCard, NarrowCard} }

// NewSlotGauge makes the gauge for a limit of thickness: the slot as high as the
// limit, down to a tick, as long as the longest short edge used and an inch, in the
// middle of the piece of card at hand, best two inches longer. It answers with what is
// wrong with the piece at hand. See "Thickness gauge" in docs/sums.md.
func NewSlotGauge(limit, shortEdge, width, height, tick measure.Length) (SlotGauge, GaugeFault) {
	g := SlotGauge{Width: max(width, height), Height: min(width, height)}
	g.SlotHeight = limit.Down(tick)
	g.SlotWidth = (shortEdge + measure.Inch).Up(tick)
	switch {
	case g.SlotHeight <= 0:
		return g, ThinLimit
	case g.Width < g.SlotWidth+measure.Inch:
		return g, ShortCard
	case g.Height < g.SlotHeight+measure.Inch:
		return g, NarrowCard
	}
	g.Left = ((g.Width - g.SlotWidth) / 2).Down(tick)
	g.Right = g.Left + g.SlotWidth
	g.Top = ((g.Height - g.SlotHeight) / 2).Near(tick)
	g.Bottom = g.Top + g.SlotHeight
	return g, GaugeFits
}
