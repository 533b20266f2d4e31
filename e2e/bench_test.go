package e2e

import (
	"bytes"
	"encoding/csv"
	"encoding/xml"
	"fmt"
	"image/png"
	"io"
	"math"
	"net/http"
	"strings"
	"syscall"
	"testing"

	"github.com/go-rod/rod/lib/input"

	"yellowparcel/internal/soak"
)

// fetched is the file behind a link of the page.
func (w *window) fetched(link string) []byte {
	w.t.Helper()
	href := *w.element(link).MustAttribute("href")
	res, err := w.program.Get(href)
	if err != nil {
		w.t.Fatal(err)
	}
	defer func() { _ = res.Body.Close() }()
	raw, err := io.ReadAll(res.Body)
	if err != nil || res.StatusCode != http.StatusOK {
		w.t.Fatalf("%s: %d, %v", href, res.StatusCode, err)
	}
	return raw
}

// Every piece of a job is shown and written in every format, and what is written is read.
func TestBenchFiles(t *testing.T) {
	w := begin(t)
	w.station("Meteor-night invitation", "bench/pieces")
	w.see(test("headline"), "Print or cut 3 pieces at true size, for 40 cards.")
	if got := w.measured("[data-part=base]", "down", 25.4); math.Abs(got-10*25.4) > 0.4 {
		t.Errorf("the base is drawn %.1f mm high", got)
	}
	w.saved()
	for _, piece := range []string{"base", "envelope", "gauge"} {
		if piece != "base" {
			w.click(test("show-" + piece))
		}
		w.see(test("piece-"+piece), "shown")
		if raw := w.fetched(test("file-pdf")); !bytes.HasPrefix(raw, []byte("%PDF-")) || !bytes.HasSuffix(bytes.TrimSpace(raw), []byte("%%EOF")) {
			t.Errorf("%s: no PDF: %.40q", piece, raw)
		}
		if raw := w.fetched(test("file-dxf")); !bytes.Contains(raw, []byte("\nCUT\n")) || !bytes.HasSuffix(bytes.TrimSpace(raw), []byte("EOF")) {
			t.Errorf("%s: no DXF: %.40q", piece, raw)
		}
		if _, err := png.Decode(bytes.NewReader(w.fetched(test("file-png")))); err != nil {
			t.Errorf("%s: no PNG: %v", piece, err)
		}
		var svg struct {
			Groups []struct {
				ID string `xml:"id,attr"`
			} `xml:"g"`
		}
		if err := xml.Unmarshal(w.fetched(test("file-svg")), &svg); err != nil || len(svg.Groups) != 3 {
			t.Errorf("%s: no SVG: %v", piece, err)
		}
	}
	if rows, err := csv.NewReader(bytes.NewReader(w.fetched(test("list-pieces")))).ReadAll(); err != nil || len(rows) != 4 || rows[1][0] != "Card base" {
		t.Errorf("pieces: %v, %v", rows, err)
	}
	if rows, err := csv.NewReader(bytes.NewReader(w.fetched(test("list-cuts")))).ReadAll(); err != nil || len(rows) < 4 {
		t.Errorf("cuts: %v, %v", rows, err)
	}
	for _, print := range []string{"job", "worksheet"} {
		if raw := w.fetched(test("print-" + print)); !bytes.HasPrefix(raw, []byte("%PDF-")) {
			t.Errorf("the print of the %s: %.40q", print, raw)
		}
	}
	// A click brings the file itself, under the job's name.
	wait := w.Browser().Timeout(patience).MustWaitDownload()
	w.click(test("file-svg"))
	if raw := wait(); !bytes.Contains(raw, []byte("Thickness gauge")) {
		t.Errorf("downloaded: %.80q", raw)
	}
	w.quiet()
}

// The pocket chart on the screen, and on one page.
func TestPocketChart(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/shelf")
	w.click(test("to-chart"))
	w.see(test("pocket"), "Cream, from the star party")
	w.see(test("pocket"), "7 × 5")
	w.see(test("pocket"), "6 7/8 × 4 7/8")
	if raw := w.fetched(test("print-chart")); !bytes.HasPrefix(raw, []byte("%PDF-")) {
		t.Errorf("the chart: %.40q", raw)
	}
	w.MustSetViewport(390, 800, 1, true)
	if wide := w.MustEval(`() => document.documentElement.scrollWidth`).Int(); wide > 390 {
		t.Errorf("on a phone it is %d px wide", wide)
	}
	w.quiet()
}

// What the cutter is told on its drawer is in the next file, which the browser draws at its
// true size.
func TestBenchCutter(t *testing.T) {
	w := begin(t)
	w.station("Meteor-night thanks, square", "bench/cutter")
	w.choose("field-tools.cutter.scores", "dashes")
	w.fill("field-tools.cutter.dash", "1/4")
	w.choose("field-tools.cutter.units", "96 an inch")
	w.choose("field-printsOn", "A4")
	w.click(test("drawer-pieces"))
	w.waitFor("the file to be perforated", func() (string, bool) {
		raw := string(w.fetched(test("file-svg")))
		return raw, strings.Contains(raw, `stroke-dasharray="24 `) && strings.Contains(raw, `viewBox="0 0 1032 `)
	})
	w.waitFor("the print to be on A4", func() (string, bool) {
		raw := w.fetched(test("file-pdf"))
		return "letter", bytes.Contains(raw, []byte("841.89"))
	})
	href := *w.element(test("file-svg")).MustAttribute("href")
	// Drawn by the browser itself: an inch is 96 of its pixels.
	size := w.MustEval(`async (href) => {
		const text = await (await fetch(href)).text()
		const box = document.createElement('div')
		box.innerHTML = text.slice(text.indexOf('<svg'))
		document.body.append(box)
		const of = (what) => box.querySelector(what).getBoundingClientRect()
		const sizes = [of('#cut path').width, of('#score path').height, of('#guide path').width]
		box.remove()
		return sizes
	}`, href).Arr()
	for i, want := range []float64{10.75, 5.375 - 2*0.1181, 4} {
		if got := size[i].Num() / 96; math.Abs(got-want) > 0.02 {
			t.Errorf("the browser draws it %.3f in, want %.3f", got, want)
		}
	}
	w.click(test("drawer-cutter"))
	w.fill("field-tools.cutter.dash", "9")
	w.Keyboard.MustType(input.Tab)
	w.see(test("field-tools.cutter.dash"), "from 1/4 mm to 1 in")
	w.quiet()
}

// A whole worksheet is stepped through: each step has its sentence and its drawing. Without a tool
// it is another one.
func TestWorksheetStepByStep(t *testing.T) {
	w := begin(t)
	w.station("Meteor-night thanks, square", "bench/steps")
	w.see(test("step-1"), "Before you cut")
	w.see(test("makings"), "Of a hundred made so, the card goes into")
	var of int
	if _, err := fmt.Sscanf(w.text(test("step-place")), "Step 1 of %d", &of); err != nil || of < 20 {
		t.Fatalf("%q: %v", w.text(test("step-place")), err)
	}
	said := ""
	for i := 2; i <= of; i++ {
		w.click(test("step-next"))
		w.see(test("step-place"), fmt.Sprintf("Step %d of %d", i, of))
		text := w.text(test(fmt.Sprintf("step-%d", i)))
		if !strings.Contains(text, ".") {
			t.Errorf("step %d says %q", i, text)
		}
		said += text + "\n"
	}
	// The pencil: bases of 10 3/4 from 12, scored at 5 3/8; the blank 8 13/16 square, scored at 3 3/8 and 9 1/16.
	for _, want := range []string{"Set the guide to 10 3/4", "Leave the guide at 5 3/8", "at 5 3/8", "Set the guide to 8 13/16", "at 3 3/8", "at 9 1/16", "Write the address", "Close all 12: fold the closing flap down"} {
		if !strings.Contains(said, want) {
			t.Errorf("no step says %q", want)
		}
	}
	if !w.MustElement(test("step-next")).MustProperty("disabled").Bool() {
		t.Error("it goes on after the last step")
	}
	if n := len(w.MustElements("[data-test=drawing-box] .lit")); n != 0 {
		t.Errorf("the last step marks %d lines", n)
	}
	w.click(test("drawer-tools"))
	w.choose("field-tools.owned.trimmer", "no")
	w.click(test("drawer-steps"))
	w.waitFor("steps without a trimmer", func() (string, bool) {
		text := w.MustElement(test("drawer")).MustText()
		return text, strings.Contains(plain(text), "Mark 10 3/4 from the left edge at both ends.")
	})
	w.quiet()
}

// At the table one step fills the screen, large enough for a metre off; keys, pedals and fingers
// turn it, another window follows, and the place is there after a restart.
func TestAtTheTable(t *testing.T) {
	t.Parallel()
	data := t.TempDir()
	p := start(t, data, "127.0.0.1:0")
	w := open(t, p, "/")
	at := w.openJob("Meteor-night thanks, square")
	id := strings.Split(at, "/")[2]
	w.goTo("/jobs/" + id + "/bench/steps")
	w.click(test("to-table"))
	w.see(test("table-place"), "Step 1 of")
	size := func(of string) float64 {
		return w.MustElement(of).MustEval(`() => parseFloat(getComputedStyle(this).fontSize)`).Num()
	}
	for _, key := range []input.Key{input.Space, input.PageDown, input.ArrowRight} {
		w.Keyboard.MustType(key)
	}
	w.see(test("table-place"), "Step 4 of")
	w.see(test("table-number"), "5 3/8")
	if n, text := size(test("table-number")), size(test("table-says")); n < 72 || text < 28 {
		t.Errorf("the number is %.0f px, its words %.0f px", n, text)
	}
	for _, how := range w.MustElements(".how") {
		if n := how.MustEval(`() => parseFloat(getComputedStyle(this).fontSize)`).Num(); n < 28 {
			t.Errorf("%.0f px: %s", n, how.MustText())
		}
	}
	w.Keyboard.MustType(input.PageUp)
	w.see(test("table-place"), "Step 3 of")
	w.click(test("table-next"))
	w.see(test("table-place"), "Step 4 of")
	// What lies on the bench of another window is the same, and it leads as well.
	other := open(t, p, "/jobs/"+id+"/bench/steps")
	other.see(test("step-place"), "Step 4 of")
	w.click(test("table-next"))
	other.see(test("step-place"), "Step 5 of")
	other.click(test("step-next"))
	w.see(test("table-place"), "Step 6 of")
	// While the program does not answer one goes on; it is kept when it does again.
	p.Stop(syscall.SIGTERM)
	w.click(test("table-next"))
	w.see("main", "Your place is not kept yet")
	p = p.Restart()
	w.waitFor("the place to be kept", func() (string, bool) {
		return "not kept", !strings.Contains(w.MustElement("main").MustText(), "not kept yet")
	})
	again := open(t, p, "/jobs/"+id+"/table")
	again.see(test("table-place"), "Step 7 of")
	// Escape closes what is open, and leaves where nothing is.
	again.Keyboard.MustType(input.Key('?'))
	again.see(test("keys"), "On a worksheet")
	again.see(test("keys"), "next step")
	again.Keyboard.MustType(input.Escape)
	again.waitFor("no keys", func() (string, bool) { has, _, _ := again.Has(test("keys")); return "keys", !has })
	again.see(test("table-place"), "Step 7 of")
	again.Keyboard.MustType(input.Escape)
	again.see(test("step-place"), "Step 7 of")
}

// What is glued dries by a timer, which runs on while the next step is looked at.
func TestDryingTimer(t *testing.T) {
	soak.Only(t)
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/shelf")
	w.fill("field-adhesives.0.minutes", "20")
	w.Keyboard.MustType(input.Tab)
	w.waitFor("the shelf to be stored", func() (string, bool) {
		res, err := p.Get("/api/shop")
		if err != nil {
			return err.Error(), false
		}
		defer func() { _ = res.Body.Close() }()
		raw, _ := io.ReadAll(res.Body)
		return "not yet", bytes.Contains(raw, []byte(`"minutes":20`))
	})
	w.goTo("/")
	at := w.openJob("Meteor-night thanks, square")
	w.goTo("/jobs/" + strings.Split(at, "/")[2] + "/table")
	for range 60 {
		if has, _, _ := w.Has(test("timer-start")); has {
			break
		}
		place := w.text(test("table-place"))
		w.click(test("table-next"))
		w.waitFor("the next step", func() (string, bool) { return place, w.text(test("table-place")) != place })
	}
	w.see(test("table-number"), "20 minutes")
	w.click(test("timer-start"))
	w.see(test("clock"), "19:5")
	// Space goes on, though it was a button that was clicked last: nothing is started anew.
	ends := `() => localStorage.getItem(Object.keys(localStorage).find((k) => k.startsWith('yellow-parcel-timer')))`
	was, place := w.MustEval(ends).Str(), w.text(test("table-place"))
	w.Keyboard.MustType(input.Space)
	w.waitFor("the next step", func() (string, bool) { return place, w.text(test("table-place")) != place })
	if now := w.MustEval(ends).Str(); now != was {
		t.Errorf("the timer ends at %s, and at %s after the key", was, now)
	}
	w.see(test("clock"), "19:")
	w.MustEval(`() => { const key = Object.keys(localStorage).find((k) => k.startsWith('yellow-parcel-timer')); localStorage.setItem(key, String(Date.now() - 1000)) }`)
	w.goTo(w.MustInfo().URL[len(w.program.URL):])
	w.see(test("clock"), "Dry now")
}

// A piece that came out wrong: what can still be made of it is told, and taken: the card is made
// smaller, and the steps to come follow.
func TestItCameOutWrong(t *testing.T) {
	w := begin(t)
	at := w.openJob("Meteor-night thanks, square")
	w.goTo("/jobs/" + strings.Split(at, "/")[2] + "/table")
	for i := 2; i <= 4; i++ {
		w.click(test("table-next"))
		w.see(test("table-place"), fmt.Sprintf("Step %d of", i))
	}
	w.see(test("table-number"), "5 3/8")
	w.click(test("cut-wrong"))
	w.see(test("wrong"), "It came out wrong")
	w.Keyboard.MustType(input.Escape)
	w.waitFor("no dialog", func() (string, bool) { has, _, _ := w.Has(test("wrong")); return "dialog", !has })
	w.see(test("table-number"), "5 3/8")
	w.click(test("cut-wrong"))
	w.fill("wrong-is", "20")
	w.click(test("wrong-ask"))
	w.see(test("wrong-slip"), "is that a slip?")
	w.click(test("wrong-sure"))
	w.see(test("wrong-says"), "in")
	w.fill("wrong-is", "elephant")
	w.click(test("wrong-ask"))
	w.see(test("wrong"), "elephant")
	w.fill("wrong-is", "5 13/32")
	w.click(test("wrong-ask"))
	w.see(test("wrong-says"), "as near as it has to be")
	w.fill("wrong-is", "5 1/4")
	w.click(test("wrong-ask"))

	w.see(test("wrong-says"), "the card goes in with")
	w.see(test("wrong"), "Make the card 5 3/8 × 5 1/4")
	w.click(test("wrong-take"))
	w.see(test("table-number"), "5 1/4")
	w.goTo(at)
	w.see(test("ticket-card"), "5 3/8 × 5 1/4")
}

// Held against a ruler once, the screen shows card and envelope as large as they are.
func TestTrueSizeOnTheScreen(t *testing.T) {
	w := begin(t)
	w.station("Meteor-night invitation", "bench/pieces")
	w.saved()
	w.click(test("to-true-size"))
	w.see("main", "Card 7 × 5. Envelope closed 7 5/16 × 5 5/16.")
	wide := func(of string) float64 {
		return w.MustElement(test(of)).MustEval(`() => { const b = this.getBBox(), m = this.getScreenCTM(); return b.width * m.a }`).Num()
	}
	bar := func() float64 {
		return w.MustElement(test("ruler-bar") + " path").MustEval(`() => this.getBBox().width`).Num()
	}
	check := func() {
		t.Helper()
		for of, want := range map[string]float64{"true-card": 7 * 25.4, "true-envelope": 7.3125 * 25.4} {
			if got := wide(of) / bar() * 100; math.Abs(got-want) > 0.1 {
				t.Errorf("%s is %.2f mm wide by the bar, want %.2f", of, got, want)
			}
		}
	}
	check()
	was := bar()
	for range 4 {
		w.click(test("bar-longer"))
	}
	if now := bar(); math.Abs(now/was-1.0201) > 0.002 {
		t.Errorf("four times half a millimetre make the bar %.4f times as long", now/was)
	}
	check()
	w.MustReload()
	w.see("main", "Card 7 × 5.")
	if now := bar(); now <= was {
		t.Error("it is forgotten over a reload")
	}
	w.click(test("bar-usual"))
	check()
	w.quiet()
}
