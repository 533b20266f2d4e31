package card

import (
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// roll has three panels, one of which folds in first and is shorter, so that it lies
// flat inside.
var roll = Kind{
	ID: RollFold,
	Words: Words{
		Name: "Roll", Opens: "the short panel goes in first", Sentence: scored, Drawing: panelled, Panels: called("folds in first", "back", "front"),
		Notes: []say.Clause{say.Always("The panel that folds in first is {shorter} {unit} shorter, so that it lies flat inside.")},
	},
	Panels: func(s Spec) []measure.Length {
		return []measure.Length{s.Width - max(rollAtLeast, 2*s.Caliper), s.Width, s.Width}
	},
	Layers:  layers(3),
	Options: always(),
	Lengths: func(b Base) map[string]measure.Length {
		return map[string]measure.Length{"shorter": b.Panels[2] - b.Panels[0]}
	},
}

// rollAtLeast is what a roll's inner panel is shorter.
const rollAtLeast = measure.Inch / 16
