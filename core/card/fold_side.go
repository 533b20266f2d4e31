package card

import "yellowparcel/core/measure"

// side opens like a book.
var side = Kind{
	ID: SideFold, Usual: true,
	Words:   Words{Name: "Side fold", Opens: "it opens like a book", Sentence: scored, Drawing: panelled, Panels: frontAndBack},
	Panels:  func(s Spec) []measure.Length { return halves(s.Width, s.Spine) },
	Layers:  layers(2),
	Options: always("spine"),
}
