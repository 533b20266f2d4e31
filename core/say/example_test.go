package say_test

import (
	"fmt"

	"yellowparcel/core/say"
)

// A table of clauses holds all that a kind of thing may have to say; the slots decide
// what is said.
func Example() {
	words := []say.Clause{
		say.Always("Cut [{sheet}]. Score [{tab}] from both sides"),
		say.When("depth", ", and again [{depth}] further in."),
		say.Unless("depth", "."),
	}
	fmt.Println(say.Slots{"sheet": "7 × 11", "tab": "1⁄2"}.Text(words...))
	fmt.Println(say.Slots{"sheet": "7 × 11", "tab": "1⁄2", "depth": "1⁄4"}.Text(words...))
	for _, span := range (say.Slots{"sheet": "7 × 11"}).Sentence(say.Always("Cut [{sheet}].")).Spans {
		fmt.Printf("%q marked %v\n", span.Text, span.Mark)
	}
	// Output:
	// Cut 7 × 11. Score 1⁄2 from both sides.
	// Cut 7 × 11. Score 1⁄2 from both sides, and again 1⁄4 further in.
	// "Cut " marked false
	// "7 × 11" marked true
	// "." marked false
}
