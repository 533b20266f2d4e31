package measure_test

import (
	"fmt"

	"yellowparcel/core/measure"
)

// Lengths are typed as makers write them, exact, and shown at the step of the tools.
func Example() {
	style := measure.Style{Unit: measure.Inches, Tick: measure.Inch / 16}
	width, err := measure.Parse("5 3/8", style.Unit)
	fmt.Println(style.Show(width), width, err)
	fmt.Println(style.Show(width / 2))
	fmt.Println(style.ShowUnit(14 * measure.Centimetre))
	// Output:
	// 5 3⁄8 136.525 mm <nil>
	// 2 11⁄16
	// 5 1⁄2 in
}
