package e2e

import (
	"strings"
	"testing"
)

// The maker bands a card with layers: puts one on, chooses its border, raises
// it on foam, sees what each shows, and takes it off again.
func TestLayers(t *testing.T) {
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	at := strings.TrimSuffix(w.openJob("Meteor-night invitation"), "card")
	w.goTo(at + "layers")
	w.see(test("headline"), "Cut a layer of 6 1/2 × 4 1/2; that is the panel to work on.")
	// (7 · 5 - 6.5 · 4.5) / 35 = 16.4 %.
	w.see(test("layer-0")+" "+test("share"), "16 %")
	w.click(test("add-layer"))
	w.see(test("headline"), "Cut layers of 6 1/2 × 4 1/2 and 6 1/4 × 4 1/4")
	w.see(test("ticket-layers"), "2")
	w.click(test("layer-2") + " " + test("border-wide"))
	w.see(test("headline"), "and 6 × 4; the last is the panel")
	w.fill("field-parts.2.border", "2 1/4")
	w.see("#about-parts\\.2\\.border", "leaves nothing of “Layer 2”")
	w.fill("field-parts.2.border", "1/8")
	w.see(test("layer-2")+" "+test("layer-size"), "6 1/4 × 4 1/4")
	w.fill("field-parts.2.foam", "1/8")
	w.see(test("layer-2"), "on foam, 1/8 in")
	const in = 25.4
	for _, tt := range []struct {
		line string
		want float64
	}{{`[data-part=layer-base]`, 7}, {`[data-part=layer-programme]`, 6.5}, {`[data-part=layer-layer-1]`, 6.25}, {`[data-size=panel-width]`, 6.25}} {
		if got := w.measured(tt.line, "across", in); got < tt.want*in-.2 || got > tt.want*in+.2 {
			t.Errorf("%s measures %.2f mm, want %.2f", tt.line, got, tt.want*in)
		}
	}
	w.saved()
	w.goTo(at + "post")
	// 0.8 mm, a layer of 0.24 on foam of 3.175, and the envelope: about 4.7 mm.
	w.see(test("check-thickness")+" "+test("measured"), "≈ 3/16")
	w.goTo(at + "layers")
	w.click(test("layer-2") + " " + test("remove-layer"))
	w.see(test("headline"), "Cut a layer of 6 1/2 × 4 1/2")
	w.click(test("undo"))
	w.see(test("headline"), "Cut layers of 6 1/2 × 4 1/2 and 6 1/4 × 4 1/4")
	w.quiet()
}
