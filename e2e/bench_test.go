package e2e

import (
	"bytes"
	"encoding/csv"
	"encoding/xml"
	"image/png"
	"io"
	"math"
	"net/http"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// fetched is the file behind a link of the page.
func (w *window) fetched(link string) []byte {
	w.t.Helper()
	href := *w.element(link).MustAttribute("href")
	res, err := w.program.get(href)
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
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	w.station("Meteor-night invitation", "bench")
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
	// A click brings the file itself, under the job's name.
	wait := w.Browser().Timeout(patience).MustWaitDownload()
	w.click(test("file-svg"))
	if raw := wait(); !bytes.Contains(raw, []byte("Thickness gauge")) {
		t.Errorf("downloaded: %.80q", raw)
	}
	w.quiet()
}

// What the cutter is told on its drawer is in the next file, which the browser draws at its
// true size.
func TestBenchCutter(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
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
