// Package card knows the card itself: its folds, the flat size each fold
// needs, where it is scored, and how many a sheet gives.
//
// Lengths are measure.Length; width is always the side that reads across, height
// the one that reads down, whichever is longer. It carries out "Card bases" of
// docs/sums.md:
//
//	base := card.NewBase(card.SideFold, w, h) // flat 2w x h, scored at w
package card

import "yellowparcel/core/measure"

// Fold is the way a base is folded.
type Fold string

// The folds of a single-fold base, and none.
const (
	SideFold Fold = "side" // opens like a book
	TopFold  Fold = "top"  // stands like a tent
	FlatCard Fold = "flat" // not folded
)

// Folds lists every fold in the order it is offered.
func Folds() []Fold { return []Fold{SideFold, TopFold, FlatCard} }

// Valid reports whether f is a known fold.
func (f Fold) Valid() bool {
	for _, k := range Folds() {
		if f == k {
			return true
		}
	}
	return false
}

// Panels is the number of panels that lie on each other when the card is closed.
func (f Fold) Panels() int {
	if f == FlatCard {
		return 1
	}
	return 2
}

// Score is a straight score line across the whole flat base.
type Score struct {
	// Across is true for a line that runs across (a top fold), false for one
	// that runs down (a side fold).
	Across bool `json:"across"`
	// At is its distance from the left or the top edge.
	At measure.Length `json:"at"`
}

// Base is a card base lying flat.
type Base struct {
	Fold   Fold           `json:"fold"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
	Scores []Score        `json:"scores"`
}

// NewBase returns the flat base of a card whose finished size is w x h.
func NewBase(fold Fold, w, h measure.Length) Base {
	switch fold {
	case SideFold:
		return Base{Fold: fold, Width: 2 * w, Height: h, Scores: []Score{{Across: false, At: w}}}
	case TopFold:
		return Base{Fold: fold, Width: w, Height: 2 * h, Scores: []Score{{Across: true, At: h}}}
	default:
		return Base{Fold: FlatCard, Width: w, Height: h}
	}
}
