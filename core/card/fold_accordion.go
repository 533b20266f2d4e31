package card

import (
	"slices"
	"strconv"

	"yellowparcel/core/measure"
)

// accordion has panels to and fro: every second score is made with the inside up.
var accordion = Kind{
	ID: Accordion,
	Words: Words{
		Name: "Accordion", Opens: "it opens to and fro", Sentence: scored, Drawing: panelled,
		Panels: func(panels int) []string {
			names := make([]string, panels)
			for i := range names {
				names[i] = strconv.Itoa(i + 1)
			}
			return names
		},
	},
	Panels: func(s Spec) []measure.Length {
		if len(s.Own) > 0 {
			return s.Own
		}
		return slices.Repeat([]measure.Length{s.Width}, s.Panels)
	},
	Layers: func(s Spec) int {
		if len(s.Own) > 0 {
			return len(s.Own)
		}
		return s.Panels
	},
	Inside: func(score int) bool { return score%2 == 1 },
	Options: func(s Spec) []string {
		if len(s.Own) > 0 {
			return []string{"own"}
		}
		return []string{"panels", "own"}
	},
}

// The panels that an accordion may have.
const (
	LeastPanels = 3
	MostPanels  = 12
)
