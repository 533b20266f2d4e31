package e2e

import (
	"testing"

	"github.com/go-rod/rod/lib/proto"

	"yellowparcel/internal/soak"
)

// Each construction chosen through the page: the sentence, the sheet, and the
// drawn creases measured against the drawn ruler.
func TestEveryConstructionIsDrawnTrue(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	w.station("Meteor-night thanks, square", "envelope")
	w.see(test("comparison-sentence"), "square inches of paper, the least")
	const in = 25.4
	for _, tt := range []struct {
		id, sentence string
		crease       string // a panel whose crease is the face's side
		width        float64
	}{
		// 5 3/8, 0.85 mm of thickness and 1/4 of ease: 5.6585 up to 5 11/16.
		{"pocket", "Cut 7 3/16 × ", "back", 5.6875},
		{"gusset", "Score each again 1/8 further in", "bottom wall", 5.625},
		// Floor scores of 3 1/2 from the corners of an 8 15/16 square: 12.6395 - 7.
		{"box", "square. From every corner of the sides score at 3 3/8 and 3 1/2", "bottom wall", 5.6395},
		{"tuck", "from both sides. From the bottom score 1/8", "front wall", 5.625},
		// An A8 is 8 1/8 wide: 5.6585 and two seams of 3/4 are 7.1585, so 0.483 may come off
		// either side, 7/16 in sixteenths, and 7 1/4 is left.
		{"cutdown", "Take A8, cut 7/16 off either side, and glue both sides with a seam of 3/4", "top", 7.25},
		{"diamond", "Cut 8 13/16 square. Score twice", "bottom", 5.6875},
	} {
		w.click(test("choose-" + tt.id))
		w.see(test("headline"), tt.sentence)
		if got := w.measured(`[data-crease="`+tt.crease+`"]`, "across", in); got < tt.width*in-.3 || got > tt.width*in+.3 {
			t.Errorf("%s: the crease of the %s measures %.2f mm, want %.2f", tt.id, tt.crease, got, tt.width*in)
		}
		labels(w, tt.id)
	}
	w.saved()
	w.MustEval(`() => document.activeElement.blur()`)
	w.Keyboard.MustType('m')
	w.see(test("ticket-card"), "136.5")
	for _, id := range []string{"pocket", "gusset", "box", "tuck", "cutdown", "diamond"} {
		w.click(test("choose-" + id))
		w.saved()
		labels(w, id+", millimetres")
	}
	w.quiet()
}

// A thick card in a metric shop: walls, the folds stage by stage, and what would
// bring a blank onto the sheets that there are.
func TestThickMetricCardFolds(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	at := w.station("Dome rota, holiday card", "card")
	w.choose("unit", "to 0.5 mm")
	w.see(test("ticket-card"), "105 × 148")
	w.fill("field-card.thickness", "9 mm")
	w.saved()
	w.goTo(at + "envelope")
	w.click(test("choose-tuck"))
	w.see(test("reading-closed"), "×")
	// 9 mm and 1/16 in, up to half a millimetre: 11 mm deep.
	w.see(".readings", "11 deep")
	w.pick("view-folding")
	w.see(test("fold-step"), "Flat on the table, inside up, the card on the floor")
	before := w.MustElement(`[data-panel="left wall"]`).MustAttribute("d")
	w.slide("fold-stage", 2)
	w.see(test("fold-step"), "2. Fold the 4 walls. Glue the 4 tabs onto the 2 walls.")
	if after := w.MustElement(`[data-panel="left wall"]`).MustAttribute("d"); *after == *before {
		t.Error("the wall does not move")
	}
	w.slide("fold-stage", 4)
	w.see(test("fold-step"), "Fold the lid.")
	_ = proto.AnimationSetPlaybackRate{PlaybackRate: 1}.Call(w)
	w.click(test("fold-play"))
	w.see(test("fold-play"), "Hold")
	w.click(test("fold-play"))
	w.pick("view-flat")
	w.drawer("sizes")
	w.fill("field-envelope.depth", "60 mm")
	w.see(".readings", "60 deep")
	w.see(test("notes"), "It is 50.5 too large for 12 × 12. Make the card at most")
	w.saved()
	w.quiet()
}
