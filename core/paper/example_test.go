package paper_test

import (
	"fmt"

	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

func Example() {
	a4, _ := paper.SheetByID("a4")
	copying, _ := paper.StockByID("copy-80")
	fmt.Printf("%v × %v, %.2f g\n", a4.Width, a4.Height, copying.Weight(a4.Width, a4.Height))
	fmt.Println(paper.AlongLong.Upright(a4), (paper.Adhesive{Holds: []paper.Surface{paper.Uncoated}}).Sticks(paper.Foil), copying.Caliper < measure.Millimetre)
	// Output:
	// 210 mm × 297 mm, 4.99 g
	// true false true
}
