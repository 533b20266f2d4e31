package job

import (
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// knife cuts along a metal ruler, where no trimmer does.
var knife = Tool{ID: KnifeTool, Name: "Knife and metal ruler", Fields: func(t *Tools) []field.Field {
	return []field.Field{have(t, KnifeTool), {
		Path: "tools.straightedge", Label: "The ruler is", Note: "the longest line that it guides in one go",
		Value: &field.Length{At: &t.Straightedge, Least: 4 * measure.Inch, Most: mostSide, Empty: true, Told: "A metal ruler is from 4 in to 5 m long."},
	}}
}}
