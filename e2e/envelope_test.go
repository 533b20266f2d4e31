package e2e

import (
	"math"
	"testing"
)

// A card in a bought A7, from the envelope to the verdict: taken with one act, everything
// goes by it, and nothing is to be cut for it.
func TestACardInABoughtA7(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	w.click(test("new-job"))
	w.drawer("from-envelope")
	w.choose("start-format", "A7")
	w.see(test("start-sentence"), "A7, 7 1/4 × 5 1/4 in outside, takes these cards")
	w.see(test("school-quarter"), "Quarter inches")
	w.see(test("ticket-sheet")+" .value", "A7")
	w.saved()
	at := w.MustEval("() => location.pathname").String()
	w.pick("view-inside")
	w.see(test("words"), "A7")
	w.goTo(at[:len(at)-len("card")] + "envelope")
	w.see(test("headline"), "Use A7 as it is.")
	w.see(test("comparison-sentence"), "good fit, 34 on your shelf")
	w.see(test("way-bought:a7"), "good fit, to buy")
	// 7 1/4 outside, its face drawn as wide.
	if got := w.measured(`[data-crease="top"]`, "across", 25.4); math.Abs(got-7.25*25.4) > 0.4 {
		t.Errorf("the throat measures %.2f mm", got)
	}
	w.click(test("use-own-1"))
	w.see(test("headline"), "Use Cream, from the star party as it is.")
	w.click(test("undo"))
	w.see(test("headline"), "Use A7 as it is")
	w.drawer("finish")
	w.choose("field-envelope.liner", "Kraft")
	w.drawer("sizes")
	w.see(test("reading-liner"), "7 × 6 9/16")
	w.goTo(at[:len(at)-len("card")] + "mail")
	w.see(test("headline"), "Goes as a letter")
	w.goTo(at[:len(at)-len("card")] + "paper")
	w.see(test("notes"), "Take 1 envelope: A7, to buy.")
	w.saved()
	w.quiet()
}

// A pocket that no sheet gives when it opens on the long side is proposed with its throat
// on the short one.
func TestAPocketThatOpensOnTheShortSide(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
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
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
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

// Recipes pasted whole: a true one is used as it stands, one with a hidden offset keeps the
// corner reading that was found, and what is not understood is named.
func TestPastedRecipes(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	w.station("Meteor-night thanks, square", "envelope")
	paste := func(text string) {
		w.element(test("recipe-paste") + " textarea").MustInput(text)
		w.click(test("recipe-read"))
	}
	away := func() { w.clickOn(test("recipe")+" button", "Remove the recipe") }
	w.drawer("recipe")
	paste("Cut 9 1/4 square, score at 3 11/16 and 9 3/8, turn, repeat")
	w.see(test("recipe-line"), "9 1/4 sheet")
	w.see(test("recipe-sentence"), "It makes an envelope of 5 11/16 × 5 11/16")
	w.click(test("take-as-it-stands"))
	w.see(test("headline"), "Cut 9 1/4 × 9 1/4, as the recipe says. From one corner score at 3 11/16 and 9 3/8")
	w.see(test("ticket-sheet"), "9 1/4 × 9 1/4")
	w.click(test("undo"))
	away()

	paste("Sheet 10 square, score 5 1/16 and 4 1/16 from each corner, for a 5 3/8 square card")
	w.see(test("recipe")+" "+test("notes"), "Its board must read between 11/16 and 15/16 at the sheet's corner, so 13/16 is taken")
	w.click(test("take-corner"))
	w.see(test("recipe-sentence"), "It makes an envelope of 5 5/8 × 7 5/8")
	away()

	paste("Cut 7 1/2 by 10 3/4, wobble, score 1/2 from both sides, 1 3/4 from the top, 4 1/0 from the bottom")
	w.see(test("recipe-unread"), "“wobble”: not understood")
	w.see(test("recipe-line"), "4 1/0")
	w.see(test("recipe-sentence"), "Type what the recipe says: back")
	w.fill("field-recipe.bottom", "4 1/4")
	w.see(test("recipe-sentence"), "It makes a pocket of 6 1/2 × 4 3/4")
	w.saved()
	w.quiet()
}

// A metric shop through all stations: what is set and what is read is in millimetres, limits
// as they were published.
func TestAMetricShopThroughAllStations(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	at := w.openJob("Dome rota, holiday card")
	to := func(station string) { w.goTo(at[:len(at)-len("card")] + station) }
	w.choose("unit", "to 0.5 mm")
	w.see(test("ticket-card")+" .value", "105 × 148")
	w.fill("field-card.width", "110")
	w.see(test("ticket-card")+" .value", "110 × 148")
	to("layers")
	w.see(test("ticket-layers"), "1, border 5")
	to("envelope")
	// 110 and 148, .73 of thickness and 6.35 of ease; the long side opens.
	w.see(test("reading-closed"), "× 117.5")
	w.drawer("sizes")
	w.see(test("reading-opens"), "the long side")
	to("mail")
	w.choose("pick-destination", "Germany")
	w.see(test("headline"), "Goes as a")
	w.checks()
	w.see(test("check-height")+" "+test("limit"), "70 mm to 250 mm")
	w.choose("pick-destination", "United States, home mail")
	w.checks()
	w.see(test("check-height")+" "+test("limit"), "3.5 in to 6.125 in")
	w.see(test("check-height")+" "+test("limit"), "88.9 mm to 155.6 mm")
	to("paper")
	w.see(test("cut-steps"), "set 220")
	w.saved()
	w.quiet()
}
