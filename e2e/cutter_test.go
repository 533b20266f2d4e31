package e2e

import (
	"bytes"
	"encoding/xml"
	"io"
	"net"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"yellowparcel/device"
	"yellowparcel/internal/running"
	"yellowparcel/internal/soak"
)

// A job is laid on mats, a load is sent to the simulated cutter as the very SVG that is exported, what comes off is as
// drawn, and the file and the print of it are read.
func TestMatsAndCutter(t *testing.T) {
	w := begin(t)
	w.station("Meteor-night thanks, square", "bench/mats")
	w.see(test("mats-say"), "Your mat cuts 11 1/4 × 11 1/4. This takes 21 loads of it.")
	w.see(test("load-mat-1"), "2 × Card base")
	w.saved()
	var svg struct {
		Width  string `xml:"width,attr"`
		Groups []struct {
			ID    string `xml:"id,attr"`
			Paths []struct {
				D string `xml:"d,attr"`
			} `xml:"path"`
		} `xml:"g"`
	}
	if err := xml.Unmarshal(w.fetched(`[data-drawer=mats] `+test("file-svg")), &svg); err != nil || svg.Width != "12in" || len(svg.Groups) != 3 || len(svg.Groups[2].Paths) != 2 {
		t.Errorf("the SVG of the mat: %+v, %v", svg, err)
	}
	if raw := w.fetched(`[data-drawer=mats] ` + test("file-pdf")); !bytes.HasPrefix(raw, []byte("%PDF-")) {
		t.Errorf("the print of the mat: %.20q", raw)
	}
	w.click(test("cut-mat"))
	w.see(test("came-off"), "2 pieces come off as drawn, to 0.01 mm.")
	w.see(test("came-off"), "Score: 2 lines, 10 3/4 in.") // two bases of 5 3/8, scored across
	w.see(test("came-off"), "Cut: 2 lines, 64 1/2 in.")   // round two of 10 3/4 × 5 3/8
	w.click(test("show-mat-3"))
	w.see(test("load-mat-3"), "1 × Envelope blank")
	// A bought mat that is smaller: what does not go on it is told, and what would help.
	w.goTo("/shelf")
	w.fill("field-mats.0.width", "8")
	w.fill("field-mats.0.height", "12")
	settledShelf(w)
	w.station("Meteor-night thanks, square", "bench/mats")
	w.see(test("misfit-envelope"), "8 13/16 does not fit the 7 1/4 that your mat can cut")
	w.click(test("mat-offer-mat:long-mat"))
	w.see(test("mats-say"), "Your long mat cuts 11 1/4 × 23 1/4.")
	w.quiet()
}

// settledShelf waits until the shelf is stored.
func settledShelf(w *window) {
	w.t.Helper()
	w.see(test("state"), "saved")
}

// A cutter that was named by flag gets the drawing; one that is gone is told of, and nothing is lost.
func TestNamedDevices(t *testing.T) {
	t.Parallel()
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	serve, err := device.StandIn(device.CutterID, device.Steady, 0)
	if err != nil {
		t.Fatal(err)
	}
	go func() {
		for {
			port, err := listener.Accept()
			if err != nil {
				return
			}
			go serve(port)
		}
	}()
	gone, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	_ = gone.Close()
	p := start(t, t.TempDir(), "127.0.0.1:0", "--cutter", "tcp:"+listener.Addr().String(), "--caliper", "tcp:"+gone.Addr().String())
	w := open(t, p, "/")
	at := w.station("Meteor-night invitation", "bench/mats")
	w.saved()
	w.see(test("cut-mat"), "Send to the cutter")
	w.click(test("cut-mat"))
	w.see(test("came-off"), "as drawn, to 0.01 mm")
	_ = listener.Close()
	w.click(test("cut-mat"))
	w.see(test("cutter-says"), "The cutter cannot be reached: look at its plug, then try again.")
	w.goTo(at + "mail/measure")
	w.click(test("take-caliper"))
	w.see(test("drawer"), "The caliper cannot be reached")
	w.saved()
	for _, args := range [][]string{{"--cutter", "usb:1"}, {"device", "kettle"}} {
		if out, ok := running.Once(t, args...); ok || !strings.Contains(out, "cannot go on") {
			t.Errorf("%v: %s", args, out)
		}
	}
}

// The cutter makes what has scores or shapes, and the worksheet says so.
func TestWorksheetWithACutter(t *testing.T) {
	w := begin(t)
	at := w.station("Meteor-night invitation", "bench/tools")
	w.choose("field-tools.owned.cutter", "yes")
	w.goTo(at + "table")
	w.see("body", "Before you cut")
	for range 2 {
		w.MustElement("body").MustType(' ')
	}
	w.see("body", "Lay sheet 1 on the mat, and cut mat 1.")
	w.see("body", "Off each mat come 1 × “Card base”.")
	w.quiet()
}

// A tool is calibrated with a scrap: what was measured is typed in, and what follows stands on the shelf.
func TestCalibrateATool(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/shelf")
	w.click(test("calibrate-board"))
	w.fill("measured-set", "3")
	w.fill("measured-one", "4 15/16")
	w.click(test("calibrate-ask"))
	w.see(test("measured-other"), "There is no length here yet")
	w.fill("measured-other", "4 15/16")
	w.click(test("calibrate-ask"))
	w.see(test("calibrate-found"), "Corner reading: -0.491 in")
	w.click(test("calibrate-use"))
	w.waitFor("the corner reading", func() (string, bool) {
		v := w.value("field-tools.cornerAt")
		return v, plain(v) == "-31/64"
	})
}

// A template is chosen as a file and held against the card: its own export fits it, a larger card does not go in, and what is no
// envelope is refused with its line.
func TestTemplateFromAFile(t *testing.T) {
	w := begin(t)
	p := w.program
	at := w.station("Meteor-night thanks, square", "envelope/recipe")
	w.saved()
	res, err := p.Get("/api/jobs/" + strings.Split(at, "/")[2] + "/pieces/envelope/svg")
	if err != nil {
		t.Fatal(err)
	}
	raw, err := io.ReadAll(res.Body)
	_ = res.Body.Close()
	if err != nil {
		t.Fatal(err)
	}
	dir := t.TempDir()
	file := func(name, text string) string {
		path := filepath.Join(dir, name)
		if err := os.WriteFile(path, []byte(text), 0o600); err != nil {
			t.Fatal(err)
		}
		return path
	}
	choose := func(path string) {
		t.Helper()
		w.reach(test("template-file"))
		w.element(test("template-file") + " input").MustSetFiles(path)
	}
	choose(file("own.svg", string(raw)))
	w.see(test("template-sentence"), "Your card goes in with 1/4 in to spare, and it closes.")
	w.see(test("template-facts"), "4 fold lines, 5 panels.")
	w.see(test("template-stretched"), "Stretched all over")
	w.goTo(at + "card/base")
	w.fill("field-card.width", "7")
	w.saved()
	w.goTo(at + "envelope/recipe")
	choose(file("own.svg", string(raw)))
	w.see(test("template-sentence"), "Your card does not go in")
	w.see(test("template-instead"), "Made for this card")
	choose(file("bad.svg", "<svg>\n<script>alert(1)</script></svg>"))
	w.see(test("template-problem"), "Look at line 2 of the file.")
	w.quietBut("422")
}

// Swatches are printed one by one, each with its size.
func TestSingleSwatches(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	w.station("Meteor-night thanks, square", "bench/pieces")
	w.saved()
	w.click(test("show-swatches"))
	if raw := w.fetched(test("single-swatch-2")); !bytes.HasPrefix(raw, []byte("%PDF-")) {
		t.Errorf("%.20q", raw)
	}
	w.quiet()
}
