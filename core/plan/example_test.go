package plan_test

import (
	"fmt"

	"yellowparcel/core/field"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// The front door: a job goes in, a plan comes out, in words and numbers.
func Example() {
	j, shop := demo.Jobs()[0], demo.Shop()
	j, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Set, Path: "envelope.construction", Text: "pocket"}})
	p := plan.Make(j, shop)
	fmt.Println(len(problems), p.Card.Sentence.Text)
	fmt.Println(p.Envelope.Blank.Sentence.Text)
	fmt.Println(p.Mail.Short)
	// Output:
	// 0 Cut 10 3⁄4 × 5 3⁄8. Outside up, score at 5 3⁄8 from the left. Fold away from the groove: it opens like a book.
	// Cut 7 3⁄16 × 13 1⁄8. Score 3⁄4 from both sides, 2 1⁄4 from the flap's end and 5 3⁄16 from the other.
	// Goes as a letter with a surcharge
}
