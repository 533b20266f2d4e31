package envelope_test

import (
	"fmt"

	"yellowparcel/core/envelope"
	"yellowparcel/core/measure"
)

// The envelopes that are sold, the one that suits a card best first.
func Example() {
	in := measure.Inch
	fits := envelope.Rank(envelope.Formats(), envelope.Card{Width: 7 * in, Height: 5 * in, Thickness: in / 64}, measure.Millimetre/10, in/4)
	fmt.Println(fits[0].Format.Name, fits[0].Verdict)
	size, ok := envelope.CardFor(envelope.QuarterStep, fits[0].Format, 0, 0, in/16)
	fmt.Println(size.Width, size.Height, ok)
	// Output:
	// A7 right
	// 177.8 mm 127 mm true
}
