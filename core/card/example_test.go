package card_test

import (
	"fmt"

	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// A fold is a value: whoever knows its ID knows all of it.
func Example() {
	in := measure.Inch
	base := card.NewBase(card.Spec{Fold: card.GateFold, Width: 5 * in, Height: 7 * in, Tick: in / 16})
	fmt.Println(base.Fold.Kind().Words.Name, base.Width, base.Panels, base.Lengths()["gap"])
	base = card.NewBase(card.Spec{Fold: card.SideFold, Width: 5 * in, Height: 7 * in})
	fmt.Println(base.Fold.Kind().Words.Name, base.Width, base.Scores[0].At)
	// Output:
	// Gate 250.825 mm [61.9125 mm 127 mm 61.9125 mm] 3.175 mm
	// Side fold 254 mm 127 mm
}
