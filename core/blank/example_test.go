package blank_test

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

// A construction is a value: it is made for a spec, folded and proved, and says its
// scores by their roles.
func Example() {
	in := measure.Inch
	spec := blank.Spec{
		Width: 6 * in, Height: 4 * in, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2, Adhesive: in / 2,
		Style: measure.Style{Unit: measure.Inches, Tick: in / 16}, Pocket: blank.ExactPocket,
	}
	for _, id := range []blank.ID{blank.DiamondID, blank.PocketID} {
		k := blank.ByID(id)
		made, _ := k.Make(spec)
		fmt.Printf("%s: %s × %s, ", k.Words.Name, spec.Style.Show(made.SheetWidth), spec.Style.Show(made.SheetHeight))
		for _, s := range made.Way().Scores[:2] {
			fmt.Printf("%s at %s, ", k.Words.Roles[s.Role], spec.Style.Show(s.At))
		}
		fmt.Println(made.Prove())
	}
	// Output:
	// Diamond: 8 3⁄16 × 8 3⁄16, sides at 3 1⁄8, top & bottom at 2 1⁄8, <nil>
	// Tabbed pocket: 7 3⁄4 × 9 1⁄2, left tab at 3⁄4, right tab at 7, <nil>
}
