package e2e

import (
	"math"
	"testing"

	"yellowparcel/internal/soak"
)

// A pocket that no sheet gives when it opens on the long side is proposed with its throat
// on the short one.
func TestAPocketThatOpensOnTheShortSide(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	// Of all sheets there is one alone: 14 x 8 1/2.
	w.MustEval(`() => fetch('/api/shop', {method: 'PATCH', headers: {'content-type': 'application/json'}, body: JSON.stringify({edits: [
		{act: 'set', path: 'sheets.0.off', text: 'yes'}, {act: 'set', path: 'sheets.1.off', text: 'yes'},
		{act: 'type', path: 'sheets.2.width', text: '14'}, {act: 'type', path: 'sheets.2.height', text: '8 1/2'}]})})`)
	at := w.openJob("Meteor-night invitation")
	w.fill("field-card.width", "6")
	w.fill("field-card.height", "5")
	w.goTo(at[:len(at)-len("card")] + "envelope")
	w.click(test("choose-pocket"))
	w.drawer("sizes")
	w.fill("field-envelope.seam", "1 1/4")
	w.fill("field-envelope.flap", "1 3/4")
	// Two tabs of 1 1/4 beside 6 5/16 are 8 13/16, more than 8 1/2; beside 5 5/16 7 13/16.
	w.see(test("notes"), "It opens on the short side. On the long side it would be")
	w.see(test("reading-opens"), "the short side")
	w.drawer("finish")
	w.choose("field-envelope.opens", "long side")
	w.see(test("notes"), "Open it on the short side")
	w.quiet()
}

// The four slits of a box stand in its drawing as long as its walls are deep.
func TestTheSlitsOfABoxAreDrawn(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	w.station("Lens fund thank-you, raised star", "envelope")
	w.click(test("choose-box"))
	w.drawer("sizes")
	w.fill("field-envelope.depth", "5/8")
	w.see(test("headline"), "From every corner of the sides score at")
	w.see("dl.readings", "5/8 deep")
	slits := w.MustElements("[data-part=slit]")
	if len(slits) != 4 {
		t.Fatalf("%d slits are drawn", len(slits))
	}
	if got := w.measured("[data-part=slit]", "down", 25.4); math.Abs(got-5.0/8*25.4) > 0.4 {
		t.Errorf("a slit measures %.2f mm, the walls %.2f", got, 5.0/8*25.4)
	}
	w.drawer("scoring")
	w.see("ol.steps", "Slit each square 5/8 along one side, always turning the same way")
	w.pick("way-box-edges")
	w.see(test("headline"), "Mark the edges")
	w.quiet()
}
