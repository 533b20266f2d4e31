package job

import "yellowparcel/core/field"

// scissors cut curves and small corners.
var scissors = Tool{ID: ScissorsTool, Name: "Scissors", Fields: func(t *Tools) []field.Field {
	return []field.Field{have(t, ScissorsTool)}
}}
