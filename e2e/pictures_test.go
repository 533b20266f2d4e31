package e2e

import (
	"bytes"
	"image"
	"image/png"
	"io"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strings"
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
	w.fill("line", "5 3/8 square, 3 layres, 12 cards, to the UK")
	w.see(test("line-unread"), "layers")
	take("line")
	at := w.openJob("Meteor-night thanks, square")
	at = at[:len(at)-len("card")]
	for _, station := range []string{"card", "envelope", "mail", "paper"} {
		w.goToNow(at + station)
		w.see(test("headline"), "")
		take(station)
	}
	w.goToNow("/shelf")
	w.see("h1", "shelf")
	take("shelf")
	// Layers are better seen on a card that has several.
	w.goToNow("/")
	at = w.openJob("Lens fund thank-you, raised star")
	w.goToNow(at[:len(at)-len("card")] + "layers")
	w.see(test("headline"), "Cut layers of")
	take("layers")
	w.goToNow(at)
	w.pick("view-inside")
	take("nest")
	to := strings.TrimSuffix(at, "card")
	w.goToNow(to + "envelope/choose")
	w.see(test("comparison-sentence"), "")
	take("comparison")
	w.click(test("choose-tuck"))
	w.goTo(to + "envelope/sizes")
	w.fill("field-envelope.depth", "5/8")
	w.see(".readings", "5/8 deep")
	w.MustEval(`() => document.activeElement.blur()`)
	w.pick("view-folding")
	w.slide("fold-stage", 3.5)
	w.see(test("fold-step"), "4.")
	w.saved()
	take("folding")
	w.station("Meteor-night thanks, square", "envelope/recipe")
	w.click(test("check-recipe"))
	for field, text := range map[string]string{"side1": "8 3/4", "side2": "8 3/4", "left": "3", "right": "8 3/8", "top": "3", "bottom": "8 3/8"} {
		w.fill("field-recipe."+field, text)
	}
	w.see(test("recipe-reading"), "right to bottom 2 9/16")
	w.MustEval(`() => document.activeElement.blur()`)
	take("recipe")
	w.station("Moon-watch invitation, brass and knot", "mail/things")
	w.see(test("reading-max"), "17/64")
	take("relief")
	w.goToNow("/rules")
	w.see(test("rules-title"), "United States")
	take("rules")
	w.station("Meteor-night invitation", "card")
	for field, text := range map[string]string{"field-card.width": "6 1/8", "field-card.height": "4 1/8", "field-count": "12"} {
		w.fill(field, text)
		w.saved()
	}
	w.station("Meteor-night thanks, square", "bench/steps")
	w.see(test("makings"), "")
	for range 3 {
		w.click(test("step-next"))
	}
	w.see(test("step-place"), "Step 4 of")
	w.MustEval(`() => document.activeElement.blur()`)
	take("bench")
	w.click(test("to-table"))
	w.see(test("table-number"), "5 3/8")
	w.MustEval(`() => document.activeElement.blur()`)
	take("table")
	at = w.station("Lens fund thank-you, raised star", "bench/mats")
	w.saved()
	w.click(test("cut-mat"))
	w.see(test("came-off"), "as drawn")
	w.MustEval(`() => document.activeElement.blur()`)
	take("cutter")
	printed(t, p, "/api/jobs/"+strings.Split(at, "/")[2]+"/prints/job/pdf", filepath.Join(dir, "print.png"))
	w.goToNow("/")
	w.act("Supporter card, slim", "Remove")
	w.see(test("gone"), "")
	w.goToNow("/backups")
	w.see(test("removed"), "")
	w.click(test("look-in"))
	w.see(test("inside"), "changed since")
	// Where this test keeps its data is nobody's business.
	w.MustEval(`(dir) => document.querySelectorAll('.rule').forEach((p) => (p.textContent = p.textContent.replace(dir, '~/.local/share/yellow-parcel')))`, p.Data)
	take("backups")
}

// printedPages are the pages of a print, as pictures to be looked at side by side.
func printedPages(t *testing.T, p *program, path string) (list []image.Image) {
	t.Helper()
	dir := t.TempDir()
	rastered(t, p, path, filepath.Join(dir, "page"), "-r", "50")
	names, _ := filepath.Glob(filepath.Join(dir, "page*.png"))
	slices.Sort(names)
	for _, name := range names {
		raw, err := os.ReadFile(name)
		if err != nil {
			t.Fatal(err)
		}
		img, err := png.Decode(bytes.NewReader(raw))
		if err != nil {
			t.Fatal(err)
		}
		list = append(list, img)
	}
	return list
}

// printed is the first page of a print, as a picture.
func printed(t *testing.T, p *program, path, picture string) {
	t.Helper()
	rastered(t, p, path, strings.TrimSuffix(picture, ".png"), "-r", "90", "-singlefile")
}

// rastered makes pictures of a print.
func rastered(t *testing.T, p *program, path, picture string, how ...string) {
	t.Helper()
	res, err := p.Get(path)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = res.Body.Close() }()
	file := filepath.Join(t.TempDir(), "print.pdf")
	out, err := os.Create(file)
	if err != nil {
		t.Fatal(err)
	}
	if _, err := io.Copy(out, res.Body); err != nil {
		t.Fatal(err)
	}
	_ = out.Close()
	if said, err := exec.Command("pdftoppm", append(how, "-png", file, picture)...).CombinedOutput(); err != nil {
		t.Fatalf("pdftoppm: %v, %s", err, said)
	}
}
