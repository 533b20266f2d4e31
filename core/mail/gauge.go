package mail

import (
	"fmt"

	"yellowparcel/core/measure"
)

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

// NewSlotGauge makes the gauge for a limit of thickness: the slot as high as the
// limit, down to a tick, as long as the longest short edge used and an inch, in the
// middle of the piece of card at hand, best two inches longer. It returns an error that says what is wrong
// with the piece at hand. See "Thickness gauge" in docs/sums.md.
func NewSlotGauge(limit, shortEdge, width, height, tick measure.Length) (SlotGauge, error) {
	g := SlotGauge{Width: max(width, height), Height: min(width, height)}
	g.SlotHeight = limit.Down(tick)
	g.SlotWidth = (shortEdge + measure.Inch).Up(tick)
	switch {
	case g.SlotHeight <= 0:
		return g, fmt.Errorf("the limit is thinner than the smallest step: a slot of it cannot be cut")
	case g.Width < g.SlotWidth+measure.Inch:
		return g, fmt.Errorf("the piece of card is too short: the slot is an inch longer than the envelope's shorter edge, and half an inch should stay at either end of it")
	case g.Height < g.SlotHeight+measure.Inch:
		return g, fmt.Errorf("the piece of card is too narrow: half an inch should stay above and below the slot")
	}
	g.Left = ((g.Width - g.SlotWidth) / 2).Down(tick)
	g.Right = g.Left + g.SlotWidth
	g.Top = ((g.Height - g.SlotHeight) / 2).Near(tick)
	g.Bottom = g.Top + g.SlotHeight
	return g, nil
}
