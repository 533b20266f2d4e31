package card

import (
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// flatCard is not folded.
var flatCard = Kind{
	ID: FlatCard, Unfolded: true,
	Words: Words{
		Name: "Flat card", Opens: "it does not open", Panels: called("card"),
		Sentence: []say.Clause{say.Always("Cut [{size}]. A flat card has no score.")},
		Drawing:  []say.Clause{say.Always("The flat card, {size} {unit}, without a score.")},
	},
	Panels:  func(s Spec) []measure.Length { return []measure.Length{s.Width} },
	Layers:  layers(1),
	Options: always(),
}
