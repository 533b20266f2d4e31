package plan

import "yellowparcel/core/blank"

// WishField is a length that a maker may set for an envelope, where its
// construction and school leave it free.
type WishField struct {
	Path  string `json:"path"`
	Label string `json:"label"`
	Note  string `json:"note"`
}

// wishes are the lengths that count for a construction; what its school sets by
// itself is not asked for.
func (m maker) wishes(id Construction) []WishField {
	ease := WishField{"envelope.ease", "Ease wanted", "room round the card, both sides together"}
	seam := WishField{"envelope.seam", "Seam wanted", "overlap to be glued"}
	gap := WishField{"envelope.thumbGap", "Thumb gap", "back stays below the throat"}
	flap := WishField{"envelope.flap", "Closing flap", "0 for what the sums ask for"}
	depth := WishField{"envelope.depth", "Depth of the walls", "at least; the card asks for its thickness and " + m.style.ShowUnit(blank.WallOver)}
	sliver := WishField{"envelope.sliver", "Taper", "of tabs, back and flap at the free edge, so that nothing peeks out"}
	switch id {
	case Diamond:
		if m.job.Envelope.School == blank.ExactSeam {
			return []WishField{ease, seam, gap, flap}
		}
		return []WishField{ease, gap, flap}
	case Pocket, Gusset:
		list := []WishField{ease, seam, gap, flap}
		if s := m.blankSpec().Pocket; s != blank.ExactPocket {
			list = []WishField{flap}
		}
		if id == Gusset {
			list = append(list, depth)
		}
		return append(list, sliver)
	case Box:
		return []WishField{ease, seam, gap, flap, depth}
	case Tuck:
		return []WishField{ease, depth, {"envelope.flap", "Tuck", "as far as the walls are high; 0 for half an inch"}}
	}
	return []WishField{ease, seam}
}
