package cutting_test

import (
	"context"
	"fmt"

	"yellowparcel/core/cutting"
	"yellowparcel/core/measure"
)

// A dozen bases from letter sheets: the fewest sheets, proved.
func Example() {
	in := measure.Inch
	letter := cutting.Sheet{Width: 8*in + in/2, Height: 11 * in}
	order := cutting.Order{Sheet: letter, Pieces: []cutting.Piece{{Name: "base", Width: 8*in + in/2, Height: 5*in + in/2, Count: 12, Turn: true}}}
	plan := cutting.Search(context.Background(), order, 10_000, nil)
	fmt.Println(plan.Sheets, plan.Proven(), len(plan.Steps), cutting.Check(order, plan))
	// Output:
	// 6 true 1 <nil>
}
