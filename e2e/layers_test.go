package e2e

import (
	"net/http"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A layer's own size, its edges, the slider that stops at rungs, the things on
// the panel, a liner, and the printed ladder at its true size.
func TestLayersInDetail(t *testing.T) {
	w := begin(t)
	at := w.station("Meteor-night thanks, square", "layers")
	w.choose("sizing-1", "a size of my own")
	w.fill("field-parts.1.own.width", "5 1/4")
	w.fill("field-parts.1.own.height", "5 1/4")
	w.see(test("notes"), "comes off “Night-sky layer” once, but it shows on both sides")
	w.see(test("notes"), "Cut 5 1/8 × 5 1/8 instead")
	w.choose("sizing-1", "each edge")
	w.fill("field-parts.1.edges.bottom", "3/4")
	w.see(test("layer-1")+" "+test("layer-size"), "5 1/8 × 4 1/2")
	w.choose("sizing-1", "the same border")
	w.click(test("open-layer-0"))
	w.element(test("rungs-0") + " [role=slider]").MustFocus()
	w.Keyboard.MustType(input.ArrowRight)
	w.see(test("layer-1")+" "+test("layer-size"), "4 7/8 × 4 7/8") // from 1/8 to the next rung, 1/4
	w.drag(test("drag-layer-1"), -40, 0)
	w.waitFor("a wider border in whole ticks", func() (string, bool) {
		v := w.value("field-parts.1.border")
		return v, v != "1/4" && !w.MustHas(test("field-parts.1.border")+" .exact")
	})
	w.fill("field-parts.1.border", "1/8")
	w.drawer("panel")
	w.click(test("add-stamp"))
	w.see(test("items-sentence"), "They go together on “Night-sky layer”")
	w.click(test("add-greeting"))
	w.click(test("add-ribbon"))
	w.see(test("item-rungs"), "takes all")
	w.fill("field-items.0.height", "4")
	w.see(test("items-sentence"), "No paper takes them all")
	w.drawer("layers")
	w.click(test("add-liner"))
	w.see(test("layer-2")+" "+test("layer-size"), "5 1/8 × 5 1/8")
	w.fill("field-parts.2.ready", "4")
	w.saved()
	w.goTo(at + "paper")
	w.choose("cut-stock", "Text 105")
	seeDrawn(w, "Liner to write on")
	w.goTo(at + "layers")
	stop := w.cutOff("/api/plan", http.MethodPost)
	w.click(test("to-swatches"))
	w.see("main", "The program does not answer") // and not that they are laid out, for ever
	stop()
	w.see(test("swatch"), "5 3/8 × 5 3/8")
	const pixel = 25.4 / 96
	for selector, want := range map[string]float64{test("ladder") + " path:nth-of-type(1)": 5.375 * 25.4, test("ladder") + " path:nth-of-type(4)": 4.875 * 25.4, test("check-bar") + " path": 100} {
		if got := w.MustElement(selector).MustEval(`() => this.getBBox().width * this.getScreenCTM().a`).Num() * pixel; got < want-.1 || got > want+.1 {
			t.Errorf("%s prints %.2f mm wide, want %.2f", selector, got, want)
		}
	}
	w.quietBut("ERR_CONNECTION_FAILED")
}
