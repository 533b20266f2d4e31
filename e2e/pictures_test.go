package e2e

import (
	"os"
	"path/filepath"
	"testing"

	"github.com/go-rod/rod/lib/proto"
)

// TestPictures takes the pictures of docs/screenshots from the demo data; it
// runs only when PICTURES names a directory.
func TestPictures(t *testing.T) {
	dir := os.Getenv("PICTURES")
	if dir == "" {
		t.Skip("PICTURES names no directory")
	}
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	w.see(test("job"), "Meteor-night thanks")
	take := func(name string) {
		t.Helper()
		w.MustEval(`() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => done(true))))`)
		picture, err := w.Screenshot(false, &proto.PageCaptureScreenshot{Format: proto.PageCaptureScreenshotFormatPng})
		if err != nil {
			t.Fatal(err)
		}
		if err := os.WriteFile(filepath.Join(dir, name+".png"), picture, 0o644); err != nil {
			t.Fatal(err)
		}
	}
	if err := os.MkdirAll(dir, 0o755); err != nil {
		t.Fatal(err)
	}
	take("jobs")
	at := w.openJob("Meteor-night thanks, square")
	at = at[:len(at)-len("card")]
	for _, station := range []string{"card", "envelope", "post", "paper"} {
		w.goTo(at + station)
		w.see(test("headline"), "")
		take(station)
	}
	w.goTo("/shelf")
	w.see("h1", "shelf")
	take("shelf")
	// Layers are better seen on a card that has several.
	w.goTo("/")
	at = w.openJob("Lens fund thank-you, raised star")
	w.goTo(at[:len(at)-len("card")] + "layers")
	w.see(test("headline"), "Cut layers of")
	take("layers")
	w.goTo(at)
	w.pick("view-nest")
	w.see(test("nest-verdict"), "")
	take("nest")
}
