package e2e

import (
	"testing"

	"github.com/go-rod/rod/lib/proto"
)

// Each construction chosen through the page: the sentence, the sheet, and the
// drawn creases measured against the drawn ruler.
func TestEveryConstructionIsDrawnTrue(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
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

// What matters sorts the constructions; the plain rectangle saves the surcharge.
func TestCompareConstructions(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	w.station("Meteor-night thanks, square", "envelope")
	w.choose("sort", "Quickest")
	w.see(test("comparison-sentence"), "cuts and folds, the fewest")
	w.choose("sort", "Cheapest to")
	w.see(test("comparison-sentence"), "letter")
	w.see(test("rectangle"), "7 9/16 × 5 11/16 in, with two holding strips, would not pay the surcharge")
	w.click(test("take-rectangle"))
	w.see(test("ticket-mail")+" .value", "letter")
	w.see(test("reading-closed"), "7 9/16 × 5 11/16")
	w.click(test("undo"))
	w.see(test("ticket-mail"), "letter with a surcharge")
	w.quiet()
}

// A thick card in a metric shop: walls, the folds stage by stage, and what would
// bring a blank onto the sheets that there are.
func TestThickMetricCardFolds(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
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

// Somebody's note: an 8 3/4 sheet scored at 3 and 8 3/8; what it really makes.
func TestCheckARecipe(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	w.station("Meteor-night thanks, square", "envelope")
	w.drawer("recipe")
	w.click(test("check-recipe"))
	w.see(test("recipe-sentence"), "Type what the recipe says: sheet, sides, near and sides, far")
	for field, text := range map[string]string{"side1": "8 3/4", "side2": "8 3/4", "left": "3", "right": "8 3/8", "top": "3", "bottom": "8 3/8"} {
		w.fill("field-recipe."+field, text)
	}
	w.see(test("recipe-reading"), "seams left to top -1/4, top to right 1.149 in, right to bottom 2 9/16")
	w.see(test("recipe")+" "+test("notes"), "unless the guide reads -1/2 at the sheet's corner")
	w.see(test("recipe-sentence"), "your card is 1/16 too large for it")
	w.see(test("rescaled"), "For your card with a seam of 3/4, cut 8 13/16 square")
	w.click(test("take-recipe"))
	w.see(test("headline"), "Cut 8 13/16 square")
	w.click(test("undo"))
	w.fill("field-recipe.left", "3 (90 mm)")
	w.see(test("field-recipe.left"), "which is not the same")
	w.fill("field-recipe.left", "20")
	w.see(test("recipe-sentence"), "This makes no envelope: the left score lies off the sheet")

	// One may come with a recipe alone.
	w.goTo("/")
	w.click(test("new-recipe"))
	w.click(test("check-recipe"))
	w.see(test("recipe-sentence"), "Type what the recipe says")
	w.saved()
	w.quiet()
}

// A note of a pocket, the limit that it names, and a diamond's options.
func TestPocketRecipeAndDiamondOptions(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	w.station("Meteor-night thanks, square", "envelope")
	w.drawer("recipe")
	w.click(test("check-recipe"))
	w.choose("recipe-form", "Pocket, each from its edge")
	for field, text := range map[string]string{"side1": "7 3/16", "side2": "12 7/8", "left": "3/4", "top": "2", "bottom": "11 - 5 13/16"} {
		w.fill("field-recipe."+field, text)
	}
	w.see(test("recipe-sentence"), "It makes a pocket of 5 11/16 × 5 11/16 with tabs of 3/4")
	w.fill("field-recipe.right", "3/4")
	w.fill("field-recipe.left", "1/4")
	w.see(test("recipe")+" "+test("notes"), "The tabs differ, 1/4 and 3/4")
	w.fill("field-recipe.quoted", "6 1/8")
	w.see(test("recipe")+" "+test("notes"), "the greatest height of a letter, United States, home mail")
	w.choose("field-recipe.quotedOf", "thickness")
	w.see(test("recipe")+" "+test("notes"), "No rulebook here has 6 1/8 in as a limit of thickness")

	w.drawer("finish")
	w.choose("field-envelope.flapShape", "Blunt")
	w.see(test("notes"), "The closing flap is blunted from")
	w.choose("field-envelope.foldTips", "folded in")
	w.see(test("notes"), "fold the tip in and glue it")
	w.choose("field-envelope.liner", "Kraft")
	w.drawer("sizes")
	w.see(test("reading-liner"), "×")
	w.MustElement("[data-part=liner]")
	w.drawer("finish")
	w.choose("field-envelope.patternInside", "inside")
	w.see(test("notes"), "shows inside. Lay it up")
	w.quiet()
}

// A pocket's scores in both ways of setting them, its options, and its liner.
func TestPocketInDetail(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	w.station("Meteor-night thanks, square", "envelope")
	w.click(test("choose-pocket"))
	w.drawer("scoring")
	w.see(test("score"), "right tab from the right")
	w.pick("way-one")
	w.see(test("headline"), "Score from the left at 3/4 and 6 7/16, from the flap's end at")
	w.see(test("score"), "right tab from the left")
	w.pick("way-next")
	w.see(test("headline"), "Score 3/4 from both sides")
	w.drawer("finish")
	w.choose("field-envelope.flapShape", "Rounded")
	w.choose("field-envelope.liner", "Kraft")
	w.drawer("sizes")
	w.see(test("reading-liner"), "×")
	w.drawer("finish")
	w.fill("field-envelope.notch", "1/2")
	w.click(test("field-envelope.tabsOnBack") + " input")
	w.saved()
	w.choose("field-envelope.pocket", "1⁄8 ease, wide tabs")
	w.see(test("headline"), "Score 1 from both sides")
	w.drawer("sizes")
	w.fill("field-envelope.flap", "9")
	w.see(test("notes"), "The flap of 9 is longer than the front")
	w.quiet()
}
