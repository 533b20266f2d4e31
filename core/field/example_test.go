package field_test

import (
	"fmt"

	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// A field reads what is typed, keeps its bounds, and says what to type instead.
func Example() {
	width := 5 * measure.Inch
	f := field.Field{Path: "card.width", Label: "Width", Name: "card width", Value: &field.Length{At: &width, Least: measure.Inch, Most: 40 * measure.Inch}}
	style := measure.Style{Unit: measure.Inches, Tick: measure.Inch / 16}
	fmt.Println(f.Apply(field.Edit{Act: field.Type, Path: f.Path, Text: "14 cm"}, style), style.Show(width))
	fmt.Println(f.Apply(field.Edit{Act: field.Type, Path: f.Path, Text: "1/2"}, style))
	// Output:
	// <nil> 5 1⁄2
	// The card width of 1⁄2 in is too small to work with: type at least 1 in.
}
