package job

import (
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// embosser presses a pattern into flat paper, before anything is glued on it.
var embosser = Tool{ID: EmbosserTool, Name: "Embossing machine", Fields: func(t *Tools) []field.Field {
	return []field.Field{have(t, EmbosserTool), {
		Path: "tools.throat", Label: "It takes paper up to", Note: "the width that goes through it",
		Value: &field.Length{At: &t.Throat, Least: measure.Inch, Most: mostSide, Empty: true, Told: "An embossing machine takes paper from 1 in to 5 m wide."},
	}}
}}
