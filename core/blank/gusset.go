package blank

import "yellowparcel/core/say"

// gusset is a pocket whose front and back stand as far apart as the card is thick,
// on walls.
var gusset = Construction{
	ID: GussetID, HasTop: true, Walled: true,
	Words: Words{
		Name:     "Pocket with walls",
		Sentence: []say.Clause{say.Always("Cut [{sheet size}].")},
		Drawing:  lyingFlat, Overlap: flapOverlap, Roles: pocketRoles,
		First: "Cut off the corner pieces, drawn dotted, before the first fold.", Seal: "To mail it, seal both edges.", Thick: "or take a construction with walls", Flap: "Closing flap", FlapNote: "0 for the usual",
	},
	Wishes:  func(s Spec) []string { return append(s.pocketWishes(), depthWish, sliverWish) },
	Options: []string{"pocket", opensOption, stockOption, adhesiveOption, shapeOption, cornerOption, "notch", linerOption, patternOption},
	Ways:    []WayKind{nextEdgeWay, oneEdgeWay},
	Make: func(s Spec) (Made, bool) {
		s.Gusset = s.Wall()
		m := NewPocket(s)
		m.ID = GussetID
		return m, true
	},
}
