package e2e

import (
	"fmt"
	"strings"
	"testing"

	"yellowparcel/internal/soak"
)

// Things are dragged about on the face, and what of them may hurt is said.
func TestThingsAreDragged(t *testing.T) {
	w := begin(t)
	at := w.station("Moon-watch invitation, brass and knot", "mail")
	w.click(test("drawer-things"))
	// Dragged off the moon panel the knot lies lower; the drag is one act.
	w.click(test("thing-4"))
	was := w.value("field-parts.4.thing.x")
	w.drag(test("relief-4"), -60, 10)
	w.waitFor("the knot to move", func() (string, bool) {
		now := w.value("field-parts.4.thing.x")
		return now, now != was
	})
	w.see(test("notes")+", "+test("headline"), "")
	w.saved()
	w.click(test("undo"))
	w.waitFor("the knot to be back", func() (string, bool) {
		now := w.value("field-parts.4.thing.x")
		return now, now == was
	})
	w.choose("pick-thing", "Sound module")
	w.drawer("checks")
	w.click(test("options-contents") + " button")
	w.see(test("caution-text-coin"), "Button batteries are dangerous")
	w.click(test("drawer-bending"))
	w.see(test("belt-verdict"), "")
	w.see(test("reading-pull"), "lb")
	for _, part := range []string{"stiffest", "pull"} {
		if _, err := w.Element("[data-part=" + part + "]"); err != nil {
			t.Errorf("%s is not drawn: %v", part, err)
		}
	}
	w.saved()
	w.goTo(at + "card")
	w.see(test("ticket-mail"), "")
	w.quiet()
}

// A reading of the caliper is taken into the job and decides; one that fails
// leaves the last good one.
func TestCaliperReading(t *testing.T) {
	w := begin(t)
	w.station("Meteor-night invitation", "mail")
	w.drawer("measure")
	w.click(test("take-caliper"))
	w.see(test("measured-thickness"), "-4 %")
	w.click(test("drawer-checks"))
	w.checks()
	w.see(test("class-letter")+" "+test("check-thickness"), "0.0")
	w.drawer("measure")
	w.click(test("tare"))
	w.see(test("device-said"), "The scale reads 0 g.")
	w.click(test("take-scale"))
	w.see(test("measured-weight"), "+2 %")
	w.fill("field-mail.measured.thickness", "5/16")
	w.see(test("headline"), "large envelope")
	w.fill("field-mail.measured.thickness", "")
	w.see(test("headline"), "Goes as a letter")
	w.quiet()

	bad := start(t, t.TempDir(), "127.0.0.1:0", "--devices", "rubbish")
	w = open(t, bad, "/")
	w.station("Meteor-night invitation", "mail")
	w.drawer("measure")
	w.click(test("take-caliper"))
	w.await(test("device-said"))
	w.see(test("device-said"), "sends something that is no reading")
	w.see(test("measured-thickness"), "–")
	w.quiet()
}

// A rulebook is copied, a limit of it edited, refused with its line when it
// makes no sense, and judged by; and the gauge is printed at its true size.
func TestRulesAndGauge(t *testing.T) {
	w := begin(t)
	at := w.station("Meteor-night invitation", "mail")
	w.drawer("gauge")
	w.click(test("to-gauge"))
	w.see(test("gauge-text"), "From stiff card of 8 5/16 × 4 cut a slot of 6 5/16 × 1/4. Its length runs from 1 to 7 5/16, its width from 1 7/8 to 2 1/8.")
	const pixel = 25.4 / 96
	for selector, want := range map[string]float64{"[data-part=slot]": 6.3125 * 25.4, test("check-bar") + " path": 100} {
		if got := w.MustElement(selector).MustEval(`() => this.getBBox().width * this.getScreenCTM().a`).Num() * pixel; got < want-.1 || got > want+.1 {
			t.Errorf("%s prints %.2f mm wide, want %.2f", selector, got, want)
		}
	}
	w.fill("field-mail.gaugeWidth", "6")
	w.see(test("gauge-text"), "The piece of card is too short")

	w.goTo("/rules")
	w.see(test("rules-title"), "United States, home mail")
	w.see(test("rules-letter"), "6 1/8 in")
	w.click(test("copy-rules"))
	w.see(test("rules-title"), "United States, home mail, my copy")
	w.shopFill("rulebooks.0.file.classes.1.limits.0.max", "6")
	w.waitFor("the limit to have its unit", func() (string, bool) {
		now := w.value("field-rulebooks.0.file.classes.1.limits.0.max")
		return now, now == "6 in"
	})
	w.shopFill("rulebooks.0.file.classes.1.limits.0.max", "2 in")
	w.see(test("rules-refused"), "cannot be used: letter, length: the least, 5 in, is more than the most, 2 in")
	// A limit is added to a class and taken away, a class added by its name alone.
	w.choose("pick-measure-1", "length + height")
	w.fill("most-1", "20")
	w.click(test("add-1"))
	w.see(test("rules-letter"), "length + height + thickness\t")
	sum := 0
	for w.value(fmt.Sprintf("field-rulebooks.0.file.classes.1.limits.%d.max", sum)) != "20 in" {
		sum++
	}
	w.click(test(fmt.Sprintf("remove-1-%d", sum)))
	w.waitFor("the limit to be gone", func() (string, bool) {
		text := w.text(test("rules-letter"))
		return text, !strings.Contains(text, "length + height + thickness\t")
	})
	w.fill("new-class", "Night post")
	w.click(test("add-class"))
	w.see(test("rules-Night post"), "length")
	w.click(test("remove-class-3"))
	w.click(test("read-rules"))
	w.fill("rules-text", "{\n \"id\": \"x\",\n \"tide\": 3}")
	w.click(test("rules-take"))
	w.see(test("rules-refused"), "line 3: no rulebook has a field \"tide\"")
	w.quietBut("422")
	// One that is here already takes its place, or is kept beside it.
	file := w.MustEval(`async () => {
		const { shop } = await (await fetch('/api/shop')).json()
		return JSON.stringify({ ...shop.rulebooks[0].file, source: 'my own reading' })
	}`).Str()
	w.fill("rules-text", file)
	w.see(test("rules-same"), "is here already")
	w.click("[data-test^=rules-replace-]")
	w.waitFor("the rulebook to be replaced", func() (string, bool) {
		now := w.value("field-rulebooks.0.file.source")
		return now, now == "my own reading"
	})
	if n := w.MustEval(`async () => (await (await fetch('/api/shop')).json()).shop.rulebooks.length`).Int(); n != 1 {
		t.Errorf("%d rulebooks", n)
	}
	w.goTo(at + "mail")
	w.drawer("checks")
	w.choose("pick-destination", "United States, home mail, my copy")
	w.see(test("headline"), "Goes as a large envelope: too long by")
	w.saved()
}

// A price is written down and counted with; a bare card goes as a postcard; the heap goes back to
// the Card station.
func TestPriceBareAndHeap(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	w.goTo("/rules")
	w.see(test("rules-title"), "United States, home mail")
	w.shopFill("rates.0.rates.1.cents", "dear")
	w.see(test("rules-refused"), "is not a price")
	w.shopFill("rates.0.rates.1.cents", "$1,25")
	w.waitFor("the price to be read", func() (string, bool) {
		now := w.value("field-rates.0.rates.1.cents")
		return now, now == "1.25"
	})
	w.choose("pick-rulebook", "Canada, home mail")
	w.see(test("rules-standard letter"), "square")
	w.click(test("begin-rates"))
	w.see(test("rate"), "")
	w.quietBut("422")

	at := w.station("Meteor-night invitation", "mail")
	w.see(test("postage"), "Postage $1.25 each, $50.00 for all")
	w.goTo(at + "card")
	w.pick("fold-flat")
	w.fill("field-card.width", "6")
	w.fill("field-card.height", "4")
	w.see(test("ticket-card"), "6 × 4")
	w.saved()
	w.goTo(at + "layers")
	w.click(test("remove-layer"))
	w.see(test("ticket-layers"), "none")
	w.saved()
	w.goTo(at + "mail")
	w.drawer("checks")
	w.click(test("options-closed") + " button")
	w.click(test("field-mail.bare") + " input")
	w.see(test("headline"), "Goes as a postcard")
	w.checks()
	w.see(test("class-postcard"), "Without an envelope")

	w.station("Moon-watch invitation, brass and knot", "mail")
	w.click(test("drawer-things"))
	heap := w.text(test("reading-girth-across"))
	w.station("Moon-watch invitation, brass and knot", "card")
	w.see("[data-test=ticket-card]", "7 × 5")
	w.drawer("shape")
	if text := plain(w.element(test("room")).MustEval(`() => this.textContent`).Str()); !strings.Contains(text, heap+" in width") {
		t.Errorf("the Card station says %s, the relief %s", text, heap)
	}
	w.quiet()
}

// shopFill types into a field of the shop and leaves it.
func (w *window) shopFill(path, text string) {
	w.t.Helper()
	w.fill("field-"+path, text)
	w.field("field-" + path).MustEval(`() => this.blur()`)
}
