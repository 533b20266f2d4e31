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
	// Asked are the lengths that one fold alone asks for, by their names.
	Asked map[string]measure.Length
}

// Layers is the number of panels that lie on each other when the card is closed.
func (s Spec) Layers() int { return s.Fold.Kind().Layers(s) }

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

// NewBase returns the flat base of a card.
func NewBase(s Spec) Base {
	k := s.Fold.Kind()
	b := Base{Fold: s.Fold, Across: k.Across, Width: s.Width, Height: s.Height, Panels: k.Panels(s)}
	sum := measure.Length(0)
	for i, p := range b.Panels {
		if sum += p; i < len(b.Panels)-1 {
			b.Scores = append(b.Scores, Score{At: sum, Inside: k.Inside != nil && k.Inside(i)})
		}
	}
	if b.Across {
		b.Height = sum
	} else {
		b.Width = sum
	}
	return b
}

// Lengths are what its fold knows of a base beside its panels, by the names that its
// words go by.
func (b Base) Lengths() map[string]measure.Length {
	if of := b.Fold.Kind().Lengths; of != nil {
		return of(b)
	}
	return nil
}
