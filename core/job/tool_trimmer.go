package job

import (
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// trimmer cuts sheets up.
var trimmer = Tool{ID: TrimmerTool, Name: "Trimmer", Fields: func(t *Tools) []field.Field {
	return []field.Field{have(t, TrimmerTool), {
		Path: "tools.trimmerLength", Label: "Trimmer cuts", Note: "the longest cut that it makes", Name: "trimmer's cut",
		Value: &field.Length{At: &t.TrimmerLength, Least: something, Most: mostSide, Told: "The trimmer needs a cut length between nothing and 5 m."},
	}, {
		Path: "tools.ruler", Label: "Its ruler reads to", Note: "how far from the blade the guide can stand",
		Value: &field.Length{At: &t.Ruler, Least: measure.Inch, Most: mostSide, Empty: true, Told: "A trimmer's ruler reads from 1 in to 5 m: type its furthest reading."},
	}, own("trimmerScores", "It scores too", "it has a scoring blade", &t.TrimmerScores, field.No),
		own("plunges", "Starts inside a sheet", "its blade can be let down in the middle of a sheet", &t.Plunges, field.No)}
}}
