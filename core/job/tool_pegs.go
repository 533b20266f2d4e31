package job

import "yellowparcel/core/field"

// pegs hold what is glued until it is dry.
var pegs = Tool{ID: PegsTool, Name: "Pegs and clips", Fields: func(t *Tools) []field.Field {
	return []field.Field{have(t, PegsTool)}
}}
