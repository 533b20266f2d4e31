package mail_test

import (
	"fmt"

	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// A piece is held against a rulebook: which class takes it, and what it breaks of the
// others.
func Example() {
	in := measure.Inch
	book, _ := mail.RulebookByID("us-domestic")
	verdict := book.Judge(mail.Piece{Width: 5*in + in/2, Height: 5*in + in/2, Thickness: in / 16, Weight: 20})
	r, _ := verdict.Result()
	fmt.Println(r.Class.Name, r.Outcome)
	for _, c := range r.Checks {
		if !c.OK {
			fmt.Println(c.Measure.Words().Name, c.Measure.Words().Low)
		}
	}
	// Output:
	// letter surcharged
	// length ÷ height too square
}
