package e2e

import "testing"

// chooseFormat picks an envelope by name from the open list.
func (w *window) chooseFormat(name string) {
	w.t.Helper()
	w.click(test("start-format") + " .v-field")
	el, err := w.Timeout(patience).ElementR(".v-overlay-container .v-list-item", "^"+name)
	if err != nil {
		w.t.Fatalf("the list offers no %s: %v", name, err)
	}
	el.MustClick()
}

// I have an envelope: a standard one, then one measured from a pile, and the
// card made for it.
func TestStartFromAnEnvelope(t *testing.T) {
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	at := w.openJob("Meteor-night invitation")
	w.see(test("start"), "measure one from an unlabelled pile")
	w.chooseFormat("A2")
	w.see(test("start-sentence"), "A2, 5 3/4 × 4 3/8 in outside")
	w.see(test("school-quarter"), "5 1/2 × 4 1/8")
	w.see(test("school-trade"), "5 1/2 × 4 1/4")
	w.see(test("school-trade"), "5 1/2 × 8 1/2") // a top fold
	w.click(test("take-trade"))
	w.see(test("ticket-card"), "5 1/2 × 4 1/4")
	w.see(test("headline"), "Cut 5 1/2 × 8 1/2")
	w.see(test("school-trade"), "this card")
	w.click(test("undo"))
	w.see(test("ticket-card")+" .value", "7 × 5")

	w.chooseFormat("Measured")
	w.fill("field-start.width", "165 mm")
	w.fill("field-start.height", "4 1/")
	w.fill("field-start.height", "4 5/8")
	// 165 mm is 6.496 in: less 1/4 is 6.246, down to 6 3/16.
	w.see(test("school-quarter"), "6 3/16 × 4 3/8")
	w.see(test("school-inch"), "6 1/4 × 4 1/2")
	w.see(test("school-trade"), "the trade lists no card for it")
	w.fill("field-start.width", "0")
	w.see("#about-start\\.width", "cannot be nothing")
	w.fill("field-start.width", "6 1/2")
	w.see(test("school-quarter"), "6 1/4 × 4 3/8")
	w.click(test("take-quarter"))
	w.see(test("ticket-card")+" .value", "6 1/4 × 4 3/8")
	w.saved()
	w.goTo(at)
	w.see(test("school-quarter"), "this card")
	w.quiet()
}
