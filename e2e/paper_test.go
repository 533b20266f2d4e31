package e2e

import (
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"

	"yellowparcel/internal/soak"
)

// The longer search shows how far it is, can be stopped, and leaves a plan.
func TestLongSearch(t *testing.T) {
	w := begin(t)
	at := w.station("Lens fund thank-you", "layers")
	// Many sizes of one paper, so that fewer sheets than now cannot be ruled out.
	for i := range 5 {
		w.click(test("add-layer"))
		w.see(test("ticket-layers"), string(rune('3'+i)))
	}
	w.goTo(at + "paper")
	w.drawer("sheets")
	w.fill("field-count", "37")
	w.see(test("headline"), "for 37 cards")
	w.drawer("cuts")
	w.choose("cut-stock", "Cover 110")
	w.drawer("sheets")
	w.click(test("search-longer"))
	w.see(test("progress"), "sheets so far")
	w.click(test("stop-search"))
	w.waitFor("the search to stop", func() (string, bool) { return "", !w.MustHas(test("progress")) })
	w.drawer("cuts")
	before := w.text(test("stock-text"))
	w.drawer("sheets")
	w.click(test("search-longer"))
	w.waitFor("the search to end", func() (string, bool) { return "", !w.MustHas(test("progress")) })
	w.drawer("cuts")
	if after := w.text(test("stock-text")); after == "" {
		t.Errorf("before %q, after %q", before, after)
	}
	w.see(test("cut-steps"), "1: sheet ")
	w.quiet()
}

// The shelf: an envelope is entered, measured in the other unit, and offered
// before any that is sold; a paper gets its grain; nothing wrong is taken.
func TestShelf(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/shelf")
	w.see("h1", "Your shelf")
	w.see(test("field-sheets.2.width")+" .exact", "exactly 210 mm") // A4, to a tick
	w.click(test("add-envelopes"))
	w.see(test("shelf-envelopes-2"), "")
	for field, text := range map[string]string{"width": "145 mm", "height": "145 mm", "have": "9"} {
		w.fill("field-envelopes.2."+field, text)
		w.Keyboard.MustType(input.Tab)
	}
	w.waitFor("145 mm to be read", func() (string, bool) { v := w.value("field-envelopes.2.width"); return v, v == "5 11/16" })
	// A step goes on from what stands typed.
	w.fill("field-envelopes.2.width", "6")
	w.Keyboard.MustType(input.ArrowUp)
	w.waitFor("6 and a step to be read", func() (string, bool) { v := w.value("field-envelopes.2.width"); return v, v == "6 1/16" })
	w.fill("field-envelopes.2.width", "145 mm")
	w.Keyboard.MustType(input.Tab)
	w.fill("field-stocks.0.caliper", "3 in")
	w.Keyboard.MustType(input.Tab)
	w.see(test("refused"), "The caliper of 3 in is larger than any sheet here allows")
	w.fill("field-stocks.0.caliper", "0.12 mm")
	w.Keyboard.MustType(input.Tab)
	w.waitFor("the caliper to be kept", func() (string, bool) { return "", !w.MustHas(test("refused")) })
	w.choose("field-stocks.8.grain", "short")
	w.click(test("add-adhesives"))
	w.fill("name-adhesives-3", "Hide glue")
	w.Keyboard.MustType(input.Tab)
	w.see(test("field-adhesives.3.holds"), "") // its row is there
	w.choose("field-adhesives.3.holds", "uncoated")
	w.goTo("/shelf")
	w.waitFor("the envelope to be there again", func() (string, bool) { v := w.value("field-envelopes.2.have"); return v, v == "9" })
	at := w.station("Meteor-night thanks, square", "envelope")
	w.drawer("finish")
	w.choose("field-envelope.adhesive", "Hide glue, 1⁄4 in")
	w.drawer("choose")
	w.see("dl.readings", "hide glue needs 1/4")
	w.see(test("fits-sentence"), "Envelopes of mine is right for it, and on your shelf")
	w.see(test("fit-envelopes-own-1"), "Envelopes of mine")
	w.goTo(at + "card")
	w.drawer("from-envelope")
	w.choose("start-format", "Envelopes of mine")
	w.see(test("start-sentence"), "Envelopes of mine")
	w.goTo("/shelf")
	w.clickOn(test("shelf-envelopes-2")+" button", "Remove")
	w.click(test("show-off") + " input")
	w.see(test("shelf-envelopes-2"), "Restore")
	w.goTo(at + "card")
	w.see(test("start-sentence"), "Envelopes of mine") // an old job still knows it
	w.quietBut("422")
}

// seeDrawn waits until the drawing says the words.
func seeDrawn(w *window, words string) {
	w.t.Helper()
	w.waitFor("the drawing to say "+words, func() (string, bool) {
		said := plain(w.MustElement(test("drawing")).MustEval(`() => this.textContent`).Str())
		return said, strings.Contains(said, words)
	})
}

// drag moves the mouse from the middle of an element by so many pixels.
func (w *window) drag(selector string, dx, dy float64) {
	w.t.Helper()
	el := w.MustElement(selector)
	el.MustEval(`() => this.scrollIntoView({ block: 'center', behavior: 'instant' })`)
	box := el.MustShape().Box()
	x, y := box.X+box.Width/2, box.Y+box.Height/2
	w.Mouse.MustMoveTo(x, y).MustDown(proto.InputMouseButtonLeft)
	const moves = 8
	for i := 1; i <= moves; i++ {
		w.Mouse.MustMoveTo(x+dx*float64(i)/moves, y+dy*float64(i)/moves)
	}
	w.Mouse.MustUp(proto.InputMouseButtonLeft)
}

// The card in its envelope: drawn to scale, its edge dragged in ticks, one step
// back in undo; the same with the keys, and in a metric shop.
func TestDragTheCardInItsEnvelope(t *testing.T) {
	w := begin(t)
	w.openJob("Meteor-night invitation")
	w.pick("view-inside")
	w.see(test("nest-verdict"), "good fit")
	if got := w.measured("[data-part=nest-card]", "across", 25.4); got < 7*25.4-.3 || got > 7*25.4+.3 {
		t.Errorf("the card measures %.2f mm", got)
	}
	w.drag(test("drag-card-width"), 30, 0)
	w.waitFor("the card to be wider, in whole ticks", func() (string, bool) {
		v := w.value("field-card.width")
		return v, v != "7" && !w.MustHas(test("field-card.width")+" .exact")
	})
	w.click(test("undo"))
	w.waitFor("one act undone", func() (string, bool) { v := w.value("field-card.width"); return v, v == "7" })
	w.MustElement(test("drag-card-height")).MustFocus()
	w.Keyboard.MustType(input.ArrowDown)
	w.waitFor("one tick more", func() (string, bool) { v := w.value("field-card.height"); return v, v == "5 1/16" })
	w.choose("unit", "to 0.5 mm")
	w.fill("field-card.height", "130 mm")
	w.fill("field-card.width", "7 in")
	w.see(test("ticket-card"), "178 × 130")
	w.MustElement(test("drag-card-height")).MustFocus()
	w.Keyboard.MustType(input.ArrowDown)
	w.waitFor("half a millimetre more", func() (string, bool) { v := w.value("field-card.height"); return v, v == "130.5" })
	w.saved()
	w.quiet()
}

// Counted as it lies, a raised card goes where as a block it does not; what
// sticks out makes it larger.
func TestRoomOfARaisedCard(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	at := w.station("Lens fund thank-you", "envelope")
	w.see(test("fit-a2"), "without the foam it fits")
	w.goTo(at + "card")
	w.drawer("shape")
	w.see(test("room"), "Thick all over, it takes 3/16 of the envelope both ways")
	w.choose("field-card.room", "Thick in places")
	w.see(test("room"), "The second counts")
	w.fill("field-card.overWidth", "1/2")
	w.pick("view-inside")
	seeDrawn(w, "6 × 4 1/4")
	w.saved()
	w.goTo(at + "envelope")
	w.see(test("fits-sentence"), "")
	if said := w.text(test("fits-sentence")); strings.Contains(said, "A2") {
		t.Errorf("half an inch that sticks out goes into an A2: %s", said)
	}
	w.quiet()
}
