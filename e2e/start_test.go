package e2e

import (
	"regexp"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// choose picks an entry by the beginning of its name from a list that opens. A list that
// closed again, since a menu that was still going gave the focus back to its own button,
// is opened once more, as a hand would.
func (w *window) choose(list, name string) {
	w.t.Helper()
	w.reach(test(list) + " :is(.v-field, select)")
	short, err := w.Eval(`(list, name) => {
		const of = document.querySelector(list + ' select')
		const one = [...(of?.options ?? [])].find((o) => o.innerText.startsWith(name))
		if (one) {
			of.value = one.value
			of.dispatchEvent(new Event('change', { bubbles: true }))
		}
		return !!one
	}`, test(list), name)
	if err == nil && short.Value.Bool() {
		return
	}
	w.waitFor(name+" to be chosen from "+list, func() (string, bool) {
		menu := w.MustElement(test(list) + " [aria-controls]").MustAttribute("aria-controls")
		if w.MustHas(test(list) + " [aria-expanded=false]") {
			w.click(test(list) + " .v-field")
		}
		if !w.there("#" + *menu + ".v-overlay--active .v-list-item") {
			return "it does not open", false
		}
		w.press("#"+*menu+" .v-list-item", "^"+regexp.QuoteMeta(name))
		w.there(test(list) + " [aria-expanded=false]")
		now := w.texts(test(list) + " .v-select__selection-text")
		return strings.Join(now, ""), len(now) == 0 || strings.HasPrefix(now[0], plain(name))
	})
}

// I have an envelope: a standard one, then one measured from a pile, and the
// card made for it.
func TestStartFromAnEnvelope(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	at := w.openJob("Meteor-night invitation")
	w.drawer("from-envelope")
	w.see(test("start"), "You get the cards that go in it.")
	w.choose("start-format", "A2")
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

	w.choose("start-format", "Measured")
	w.fill("field-start.width", "165 mm")
	w.fill("field-start.height", "4 1/")
	w.fill("field-start.height", "4 5/8")
	// 165 mm is 6.496 in: less 1/4 is 6.246, down to 6 3/16.
	w.see(test("school-quarter"), "6 3/16 × 4 3/8")
	w.see(test("school-inch"), "6 1/4 × 4 1/2")
	w.see(test("school-trade"), "the trade lists no card for it")
	w.fill("field-start.width", "0")
	w.see(test("field-start.width"), "cannot be nothing")
	w.fill("field-start.width", "6 1/2")
	w.see(test("school-quarter"), "6 1/4 × 4 3/8")
	w.click(test("take-quarter"))
	w.see(test("ticket-card")+" .value", "6 1/4 × 4 3/8")
	w.saved()
	w.goTo(at)
	w.see(test("school-quarter"), "this card")
	w.quiet()
}

// The schools of the diamond: the punch board fixes the seam at twice its
// notch, the card's diagonal plus an inch fixes the sheet.
func TestSchoolsOfTheDiamond(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	at := w.openJob("Meteor-night thanks, square")
	w.goTo(at[:len(at)-len("card")] + "envelope")
	w.see(test("headline"), "Cut 8 13/16 square")
	w.drawer("finish")
	w.choose("field-envelope.school", "Punch board")
	// S = 8.0023 + 2 · 3/8 = 8.752; on 8 13/16 the punch would have to sit between
	// 4.376 and 4.436, where there is no sixteenth, so 8 7/8 and 4 7/16.
	w.see(test("headline"), "Cut 8 7/8 square. Punch the first edge at 4 7/16 and score")
	w.drawer("choose")
	w.see(test("reading-seam"), "3/4")
	w.drawer("scoring")
	w.fill("field-tools.notchDepth", "1/2")
	w.Keyboard.MustType(input.Enter)
	w.see(test("headline"), "Cut 9 1/8 square")
	w.drawer("choose")
	w.see(test("reading-seam"), "1")
	w.drawer("finish")
	w.choose("field-envelope.school", "Card's diagonal plus an inch")
	// 5.375 √2 + 1 + 1.5 · 0.0335 = 8.652, up to 8 11/16.
	w.see(test("headline"), "Cut 8 11/16 square. Score twice")
	w.drawer("sizes")
	w.fill("field-envelope.ease", "1/2")
	w.see(test("notes"), "narrower than the")
	w.fill("field-envelope.ease", "1")
	w.see(test("notes"), "The back does not close")
	w.quiet()
}
