package card

import "yellowparcel/core/measure"

// top stands like a tent.
var top = Kind{
	ID: TopFold, Across: true, Usual: true,
	Words:   Words{Name: "Top fold", Opens: "it opens like a tent", Sentence: scored, Drawing: panelled, Panels: frontAndBack},
	Panels:  func(s Spec) []measure.Length { return halves(s.Height, s.Spine) },
	Layers:  layers(2),
	Options: always("spine"),
}
