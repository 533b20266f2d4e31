package card

import (
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// gate has two doors that meet in the middle, each a little less than half, so that
// they do not overlap.
var gate = Kind{
	ID: GateFold,
	Words: Words{
		Name: "Gate", Opens: "the doors meet in the middle", Sentence: scored, Drawing: panelled, Panels: called("door", "back", "door"),
		Notes: []say.Clause{say.Always("The doors leave {gap} {unit} between them, so that they meet and do not overlap.")},
	},
	Panels: func(s Spec) []measure.Length {
		door := s.Width/2 - shy.In(s.Asked)
		if s.Tick > 0 {
			door = door.Down(s.Tick)
		}
		return []measure.Length{door, s.Width, door}
	},
	Layers:  layers(2),
	Options: always(),
	Asked:   []measure.Asked{shy},
	Lengths: func(b Base) map[string]measure.Length {
		return map[string]measure.Length{"gap": b.Panels[1] - b.Panels[0] - b.Panels[2]}
	},
}

// shy is what each door of a gate is less than half.
var shy = measure.Asked{Name: "shy", Label: "Doors shy by", Note: "each, so that they meet and do not overlap", Least: measure.Inch / 64, Most: measure.Inch / 32, Usual: measure.Inch / 64, Fine: true}
