package e2e

import (
	"os"
	"testing"

	"github.com/go-rod/rod/lib/proto"
)

func TestLook(t *testing.T) {
	p := start(t, t.TempDir(), "127.0.0.1:0")
	b := browser(t)
	shot := func(w *window, name string, full bool) {
		w.MustEval(`() => new Promise((d) => setTimeout(d, 300))`)
		pic, err := w.Screenshot(full, &proto.PageCaptureScreenshot{Format: proto.PageCaptureScreenshotFormatPng})
		if err != nil {
			t.Fatal(err)
		}
		_ = os.WriteFile("/root/pics/"+name+".png", pic, 0o644)
	}
	w := openIn(t, b, p, "/", 1280, 800)
	w.see(test("job"), "Meteor")
	shot(w, "l-jobs", false)
	at := w.openJob("Meteor-night thanks, square")
	at = at[:len(at)-4]
	w.goTo(at + "envelope")
	w.see(test("headline"), "")
	shot(w, "l-env-full", true)
	w.goTo(at + "post")
	w.see(test("headline"), "")
	shot(w, "l-post", false)
	w.goTo(at + "card")
	w.see(test("headline"), "")
	w.fill("field-card.width", "5 3 1/8")
	w.fill("field-card.thickness", "7")
	w.fill("field-card.height", "14 cm")
	w.MustElement(test("name")).MustFocus()
	shot(w, "l-errors", false)
	w.MustEval(`() => localStorage.setItem('yellow-parcel-light', 'lamp')`)
	n := openIn(t, b, p, "/", 800, 900)
	n.see(test("job"), "Supporter")
	bt := n.openJob("Supporter card, slim")
	bt = bt[:len(bt)-4]
	n.goTo(bt + "envelope")
	n.see(test("headline"), "")
	shot(n, "l-narrow-dark", false)
	n.MustEval(`() => fetch('/api/shop').then(r => r.json()).then(s => fetch('/api/shop', {method: 'PUT', headers: {'content-type': 'application/json'}, body: JSON.stringify({version: s.version, shop: {...s.shop, unit: 'mm'}, edits: []})})).then(() => true)`)
	m := openIn(t, b, p, at+"envelope", 1280, 800)
	m.see(test("headline"), "")
	shot(m, "l-mm-dark", false)
	m.goTo(bt + "post")
	m.see(test("headline"), "")
	shot(m, "l-mm-post", false)
}
