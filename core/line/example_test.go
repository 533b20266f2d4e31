package line_test

import (
	"fmt"

	"yellowparcel/core/line"
	"yellowparcel/core/measure"
)

// A note that is pasted whole.
func Example() {
	text := "Cut 8 3/4 square, score at 3 and 8 3/8, turn, repeat, smile"
	n := line.ReadRecipe(text, measure.Style{Unit: measure.Inches, Tick: measure.Inch / 16})
	fmt.Println(n.Recipe.Form, n.Recipe.Side1.Inches(), n.Recipe.Left.Inches(), n.Recipe.Right.Inches())
	for _, u := range n.Unread {
		fmt.Println("not understood:", text[u.From:u.To])
	}
	// Output:
	// pair 8.75 3 8.375
	// not understood: smile
}
