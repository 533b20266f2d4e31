package piece_test

import (
	"fmt"

	"yellowparcel/core/piece"
	"yellowparcel/demo"
)

// What follows from a job by itself, whole.
func Example() {
	p := piece.Of(demo.Jobs()[0], demo.Shop())
	fmt.Println(p.Thick().Used, p.Outer().Width)
	for _, o := range p.Orders(piece.Blank{}) {
		fmt.Println(o.Stock.ID, len(o.Cuts), o.Cuts[0].Size.Width)
	}
	// Output:
	// 0.85 mm 136.525 mm
	// cover-100 1 273.05 mm
	// pattern-130 1 130.175 mm
}
