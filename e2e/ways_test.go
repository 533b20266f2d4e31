package e2e

import (
	"testing"
)

// A board that scores in grooves alone: square and scores are chosen anew, and
// what that does is said; one way is the safer one; folded round scrap nothing is
// scored at all.
func TestWaysOfScoring(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	at := w.station("Meteor-night thanks, square", "envelope")
	w.see(test("headline"), "Cut 8 13/16 square. Score twice from one corner, at 3 3/8 and 9 1/16")
	w.drawer("sizes")
	w.fill("field-envelope.seam", "5/8")
	w.drawer("scoring")
	w.see(test("safer-way"), "safer")
	w.drawer("sizes")
	w.fill("field-envelope.seam", "3/4")
	w.drawer("scoring")
	w.shopFill("tools.groove", "1/8")
	w.see(test("notes"), "Every score falls in a groove of your board, every 1/8")
	// 5.6585 wanted, 5 5/8 is in whole eighths; D 12.463 leaves flaps of 3.375 and
	// 3.463 and so a seam of 0.733, nearer to 3/4 than any other square gives.
	w.see(test("headline"), "Cut 8 13/16 square. Score twice from one corner, at 3 3/8 and 9.")
	w.shopFill("tools.groove", "3")
	w.see(test("field-tools.groove"), "from 1 mm to 1 in apart")
	w.shopFill("tools.groove", "0")
	w.see(test("headline"), "at 3 3/8 and 9 1/16")

	w.pick("way-round")
	w.see(test("headline"), "Cut 8 13/16 square. Lay scrap of 5 11/16 × 5 11/16 in its middle")
	w.pick("view-folding")
	w.slide("fold-stage", 3)
	w.see(test("fold-advice"), "seal both edges")
	w.saved()

	// A box: double walls, and the least square.
	w.drawer("choose")
	w.click(test("choose-tuck"))
	w.see(test("headline"), "Score 1/2 from both sides")
	w.drawer("finish")
	w.choose("field-envelope.walls", "Double")
	w.see(test("notes"), "are too low for a hem")
	w.drawer("choose")
	w.click(test("choose-box"))
	w.see(test("headline"), "From every corner of the sides score at")
	w.drawer("scoring")
	w.pick("way-box-centre")
	w.see(test("headline"), "From its centre score")
	w.see(test("score"), "sides, floor from the centre")
	w.pick("way-box-corners")
	w.drawer("finish")
	w.choose("field-envelope.box", "The least")
	w.choose("field-envelope.flapShape", "Blunt")
	w.drawer("sizes")
	w.see("dl.readings", "or a hole opens")
	w.fill("field-envelope.flap", "1")
	w.see(test("notes"), "The back stays open")
	w.fill("field-envelope.flap", "0")
	w.saved()
	w.goTo(at + "envelope")
	w.drawer("finish")
	w.see(test("field-envelope.box"), "The least square")
	w.quietBut("422")
}
