package compare_test

import (
	"context"
	"fmt"

	"yellowparcel/core/compare"
	"yellowparcel/core/cutting"
	"yellowparcel/demo"
)

// Every envelope for a piece, best first.
func Example() {
	m := compare.New(demo.Jobs()[0], demo.Shop(), cutting.NewEffort(context.Background(), 1_000_000))
	all := m.Candidates()
	for _, c := range m.Order(all)[:m.Serving(all)] {
		fmt.Println(c.Kind.ID, c.Mail.Ending, c.Work())
	}
	fits, _ := m.Bought()
	fmt.Println(fits[0].Format.Name, fits[0].Verdict)
	// Output:
	// diamond surcharged 16
	// box goes 28
	// bought surcharged 1
	// cutdown goes 2
	// 5 1⁄2 square snug
}
