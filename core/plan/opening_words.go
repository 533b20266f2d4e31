package plan

import (
	"yellowparcel/core/compare"
	"yellowparcel/core/envelope"
	"yellowparcel/core/say"
)

// opensOn say on which side an envelope opens.
var opensOn = map[envelope.Side]string{envelope.LongSide: "the long side", envelope.ShortSide: "the short side"}

// openings say why an envelope opens on the side that it does, where that is not the
// usual one: {short} is by how much it would be too large for {sheet} the other way.
var openings = map[compare.Opening]say.Clause{
	compare.ForSheet:  say.Always("It opens on the short side. On the long side it would be {short} too large for {sheet}."),
	compare.ForChecks: say.Always("It opens on the short side. On the long side it would not close well round this card."),
}

// opensWords say on which side an envelope opens; nothing of a square one.
func opensWords(c compare.Candidate) string {
	if c.Made.Width == c.Made.Height {
		return ""
	}
	return opensOn[c.Opens]
}

// openingNotes say why it opens on the short side.
func (m envelopeStation) openingNotes(c compare.Candidate) []say.Note {
	text := say.Slots{"short": m.Style().Show(c.UsualShort), "sheet": c.Usual.Name}.Text(openings[c.Why])
	if text == "" {
		return nil
	}
	return []say.Note{say.Fine.Says(text)}
}
