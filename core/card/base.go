// Package card knows the card itself: its folds, the flat size each fold
// needs, where it is scored, how many a sheet gives, and its layers.
//
// Lengths are measure.Length; width is always the side that reads across, height
// the one that reads down, whichever is longer. It carries out "Card bases" of
// docs/sums.md:
//
//	base := card.NewBase(card.Spec{Fold: card.SideFold, Width: w, Height: h}) // flat 2w x h, scored at w
package card

import "yellowparcel/core/measure"

// Fold is the way a base is folded.
type Fold string

// The folds, and none.
const (
	SideFold  Fold = "side"      // opens like a book
	TopFold   Fold = "top"       // stands like a tent
	GateFold  Fold = "gate"      // two doors that meet in the middle
	Accordion Fold = "accordion" // panels to and fro
	RollFold  Fold = "roll"      // three panels, one folded in first
	FlatCard  Fold = "flat"      // not folded
)

// Folds lists every fold in the order it is offered.
func Folds() []Fold { return []Fold{SideFold, TopFold, GateFold, Accordion, RollFold, FlatCard} }

// Valid reports whether f is a known fold.
func (f Fold) Valid() bool {
	for _, k := range Folds() {
		if f == k {
			return true
		}
	}
	return false
}

// The panels that an accordion may have.
const (
	LeastPanels = 3
	MostPanels  = 12
)

// Spec says what a base is to be.
type Spec struct {
	Fold Fold
	// Width and Height of the finished card, closed.
	Width, Height measure.Length
	// Panels is how many panels an accordion has.
	Panels int
	// Own are the widths of an accordion's panels where they differ, left to
	// right; they take the place of Panels.
	Own []measure.Length
	// Spine is how far the two scores of a side or top fold lie apart, for a
	// card that closes round thick contents; zero for one score.
	Spine measure.Length
	// Caliper of the base's stock; a roll's inner panel is shorter by it.
	Caliper measure.Length
	// Tick is the step that the doors of a gate are rounded down to.
	Tick measure.Length
}

// Layers is the number of panels that lie on each other when the card is closed.
func (s Spec) Layers() int {
	switch s.Fold {
	case FlatCard:
		return 1
	case RollFold:
		return 3
	case Accordion:
		if len(s.Own) > 0 {
			return len(s.Own)
		}
		return s.Panels
	}
	return 2
}

// Score is a straight score line across the whole flat base.
type Score struct {
	// At is its distance from the left or the top edge.
	At measure.Length `json:"at"`
	// Inside is set when it is scored with the inside up and folded the other
	// way, as every second fold of an accordion is.
	Inside bool `json:"inside"`
}

// Base is a card base lying flat, outside up.
type Base struct {
	Fold   Fold           `json:"fold"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
	// Across is true when the scores run across and the panels lie one below
	// the other.
	Across bool `json:"across"`
	// Panels are the panels' widths (heights, when Across) in order; they add
	// up to the flat width (height).
	Panels []measure.Length `json:"panels"`
	Scores []Score          `json:"scores"`
}

const (
	shyAtLeast  = measure.Inch / 64 // each door of a gate is this much less than half
	rollAtLeast = measure.Inch / 16 // a roll's inner panel is this much shorter
)

// NewBase returns the flat base of a card.
func NewBase(s Spec) Base {
	b := Base{Fold: s.Fold, Across: s.Fold == TopFold, Width: s.Width, Height: s.Height, Panels: s.panels()}
	sum := measure.Length(0)
	for i, p := range b.Panels {
		if sum += p; i < len(b.Panels)-1 {
			b.Scores = append(b.Scores, Score{At: sum, Inside: s.Fold == Accordion && i%2 == 1})
		}
	}
	if b.Across {
		b.Height = sum
	} else {
		b.Width = sum
	}
	return b
}

func (s Spec) panels() []measure.Length {
	switch s.Fold {
	case GateFold:
		door := s.Width/2 - shyAtLeast
		if s.Tick > 0 {
			door = door.Down(s.Tick)
		}
		return []measure.Length{door, s.Width, door}
	case Accordion:
		if len(s.Own) > 0 {
			return s.Own
		}
		list := make([]measure.Length, s.Panels)
		for i := range list {
			list[i] = s.Width
		}
		return list
	case RollFold:
		return []measure.Length{s.Width - max(rollAtLeast, 2*s.Caliper), s.Width, s.Width}
	case FlatCard:
		return []measure.Length{s.Width}
	}
	side := s.Width
	if s.Fold == TopFold {
		side = s.Height
	}
	if s.Spine > 0 {
		return []measure.Length{side, s.Spine, side}
	}
	return []measure.Length{side, side}
}

// DoorGap is what the doors of a gate leave open between them.
func (b Base) DoorGap() measure.Length {
	if b.Fold != GateFold {
		return 0
	}
	return b.Panels[1] - b.Panels[0] - b.Panels[2]
}
