package e2e

import (
	"net/http"
	"strconv"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/proto"
)

func TestErrorsStandAtTheirField(t *testing.T) {
	w := begin(t)
	at := w.openJob("Meteor-night thanks, square")
	w.fill("field-card.width", "5 3 1/8")
	w.see(test("field-card.width"), "two whole numbers")
	if got := w.field("field-card.width").MustAttribute("aria-invalid"); got == nil || *got != "true" {
		t.Error("the field is not marked as invalid")
	}
	if got := w.text(test("ticket-card") + " .value"); got != "5 3/8 × 5 3/8" {
		t.Errorf("the card became %s", got)
	}
	// The rest still follows while a field is wrong, and mending it is enough.
	w.fill("field-card.height", "6")
	w.see(test("ticket-card"), "5 3/8 × 6")
	w.fill("field-card.width", "5 1/")
	w.see(test("ticket-card"), "5 3/8 × 6")
	w.fill("field-card.width", "5 1/4")
	w.see(test("ticket-card"), "5 1/4 × 6")
	w.saved()
	w.goTo(at)
	w.see(test("ticket-card"), "5 1/4 × 6")
	// Straight from one job to another, as through the browser's history, it is the other.
	w.goTo("/")
	other := w.openJob("Supporter card, slim")
	w.within(at)
	w.see(test("ticket-card"), "5 1/4 × 6")
	w.within(other)
	w.see(test("ticket-card"), "8 1/2 × 3 1/2")
	w.goTo("/jobs/0000000000000000/card")
	w.see(test("missing"), "There is no such job")
	w.goTo("/nowhere/at/all")
	w.see("h1", "There is nothing at that address")
}

func TestTwoWindowsAgree(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	b := browser(t)
	one := openIn(t, b, p, "/", 1280, 800)
	at := one.openJob("Meteor-night thanks, square")
	two := openIn(t, b, p, at, 1280, 800)
	two.see(test("headline"), "Cut 10 3/4")

	// It follows soon: on a machine that is busy with something else, the soonest of some.
	soonest := time.Minute
	for _, wide := range []string{"6 1/2", "6 1/4", "6 1/8", "6"} {
		one.fill("field-card.width", wide)
		began := time.Now()
		two.see(test("ticket-card"), wide+" × 5 3/8")
		soonest = min(soonest, time.Since(began))
	}
	if soonest > 2*time.Second {
		t.Errorf("the second window followed after %v", soonest)
	}
	one.saved()

	// The second window's saves are cut off, both change the job, then it is back.
	two.fill("field-card.height", "4")
	two.see(test("ticket-card"), "6 × 4")
	one.see(test("ticket-card"), "6 × 4")
	cut := two.HijackRequests()
	cut.MustAdd("*/api/jobs/*", func(h *rod.Hijack) {
		if h.Request.Method() == http.MethodPut {
			h.Response.Fail(proto.NetworkErrorReasonConnectionFailed)
			return
		}
		h.ContinueRequest(&proto.FetchContinueRequest{})
	})
	go cut.Run()
	two.fill("field-card.height", "3 1/2")
	two.see(test("state"), "not saved: the program does not answer")
	one.fill("field-card.height", "4 1/2")
	one.saved()
	two.see(test("conflict"), "changed in another window as well")
	if got := two.text(test("ticket-card") + " .value"); got != "6 × 3 1/2" {
		t.Errorf("the window that was cut off lost its own change: %s", got)
	}
	cut.MustStop()
	two.click(test("keep-mine"))
	two.saved()
	one.see(test("ticket-card"), "6 × 3 1/2")
	// What was not kept is one step back.
	two.click(test("undo"))
	two.see(test("ticket-card"), "6 × 4 1/2")
	one.see(test("ticket-card"), "6 × 4 1/2")

	// The unit of the shop is shared as well.
	two.MustEval(`() => document.activeElement.blur()`)
	two.Keyboard.MustType('m')
	one.see(test("ticket-card"), "152.5 × 114.5")
}

// Kill -9 while typing: what was typed a second before is there again.
func TestKillLosesAtMostASecond(t *testing.T) {
	w := begin(t)
	p := w.program
	at := w.openJob("Meteor-night thanks, square")
	w.fill("field-card.width", "6 1/4")
	typed := time.Now()
	w.see(test("ticket-card"), "6 1/4 × 5 3/8")
	// Keep typing elsewhere until the second is over, so that it never rests.
	for n := 10; time.Since(typed) < time.Second; n++ {
		w.fill("field-count", strconv.Itoa(n))
	}
	p.Stop(syscall.SIGKILL)
	p = p.Restart()
	w = open(t, p, at)
	w.see(test("ticket-card"), "6 1/4 × 5 3/8")
}

func TestNothingIsFetchedFromOutside(t *testing.T) {
	w := begin(t)
	at := strings.TrimSuffix(w.openJob("Dome rota, holiday card"), "card")
	for _, station := range []string{"card", "envelope", "mail"} {
		w.goTo(at + station)
		w.see(test("headline"), "")
		w.quiet()
	}
	// Every glyph comes from a font that ships.
	if err := (proto.DOMEnable{}).Call(w); err != nil {
		t.Fatal(err)
	}
	if err := (proto.CSSEnable{}).Call(w); err != nil {
		t.Fatal(err)
	}
	for _, selector := range []string{"h1", ".strip", "main", "header"} {
		doc, err := proto.DOMGetDocument{}.Call(w)
		if err != nil {
			t.Fatal(err)
		}
		found, err := proto.DOMQuerySelector{NodeID: doc.Root.NodeID, Selector: selector}.Call(w)
		if err != nil {
			t.Fatal(err)
		}
		fonts, err := proto.CSSGetPlatformFontsForNode{NodeID: found.NodeID}.Call(w)
		if err != nil {
			t.Fatal(err)
		}
		for _, f := range fonts.Fonts {
			if !f.IsCustomFont {
				t.Errorf("%s uses %s of this machine for %v glyphs", selector, f.FamilyName, f.GlyphCount)
			}
		}
	}
}

// At 800 pixels nothing runs off the page sideways, on any station and page, in
// the unit that writes the longest sizes.
func TestNothingRunsOffANarrowPage(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := openIn(t, browser(t), p, "/", 800, 1000)
	w.see(test("job"), "Lens fund")
	at := strings.TrimSuffix(w.openJob("Lens fund thank-you, raised star"), "card")
	w.choose("unit", "to 1⁄64 in")
	w.fill("field-card.width", "5 35/64")
	w.see(test("ticket-card"), "5 35/64")
	w.saved()
	for path, sign := range map[string]string{
		"/": test("job"), "/shelf": test("shelf-sheets-0"), at + "card": test("headline"), at + "layers": test("headline"),
		at + "envelope": test("comparison-sentence"), at + "mail": test("headline"), at + "paper": test("cut-steps"), at + "swatches": test("swatch"),
		at + "gauge": test("gauge-text"), "/rules": test("rules-title"), "/backups": test("backups"), at + "history": test("ticket-of-state"),
	} {
		w.goTo(path)
		w.see(sign, "")
		if over := w.MustEval(`() => document.documentElement.scrollWidth - window.innerWidth`).Int(); over > 0 {
			t.Errorf("%s runs %d pixels off the page", path, over)
		}
		if path != at+"mail" {
			continue
		}
		for _, view := range []string{"things", "bending", "destinations", "measure", "gauge"} {
			w.drawer(view)
			if over := w.MustEval(`() => document.documentElement.scrollWidth - window.innerWidth`).Int(); over > 0 {
				t.Errorf("the %s runs %d pixels off the page", view, over)
			}
		}
	}
	// A gauge drawn at its true size may be wider than the page: it is scrolled in
	// itself, and what is said of it wraps.
	at = w.station("Moon-watch invitation, brass and knot", "mail")
	w.goTo(at + "gauge")
	w.see(test("gauge-text"), "From stiff card of")
	if wide := w.MustElement(test("gauge")).MustEval(`() => this.getBoundingClientRect().right - window.innerWidth`).Int(); wide < 0 {
		t.Errorf("the gauge fits with %d pixels to spare, so this proves nothing", -wide)
	}
	if over := w.MustEval(`() => document.documentElement.scrollWidth - window.innerWidth`).Int(); over > 0 {
		t.Errorf("the gauge runs %d pixels off the page", over)
	}
	w.quiet()
}

// What was typed last is kept though its answer was still awaited when the page was left: by a
// link of the program, or for good.
func TestWhatWasTypedLastIsKept(t *testing.T) {
	w := begin(t)
	p := w.program
	at := w.station("Meteor-night thanks, square", "card/base")
	for _, way := range []struct {
		wide  string
		leave func()
	}{
		{"6 1/4", func() { w.within("/") }},
		{"6 1/2", func() { w.goToNow("/help") }},
	} {
		w.saved()
		stop := w.cutOff("/api/plan", http.MethodPost) // no answer comes
		w.fill("field-card.width", way.wide)
		w.see(test("state"), "not saved")
		way.leave()
		stop()
		v := open(t, p, at+"card/base")
		v.see(test("ticket-card"), way.wide+" × 5 3/8")
		w.goToNow(at + "card/base")
		w.see(test("ticket-card"), way.wide+" × 5 3/8")
	}
	// An act after an act, all of them unanswered, and what cannot be used among them.
	w.saved()
	stop := w.cutOff("/api/plan", http.MethodPost)
	w.fill("field-card.width", "7")
	w.fill("field-card.height", "5 1")
	w.fill("field-card.height", "5 1/")
	w.fill("name", "Moon, once more")
	w.see(test("state"), "not saved")
	w.within("/")
	stop()
	w.see(test("job"), "Moon, once more")
	w.goToNow(at + "card/base")
	w.see(test("ticket-card"), "7 × 5")
	w.saved()
	// One that is on its way, and is answered when nobody is there any more.
	b := newBetween(t, p)
	v := through(t, p, b, at+"card/base")
	v.see(test("ticket-card"), "7 × 5")
	b.held("POST plan")
	v.fill("field-card.width", "6 3/4")
	v.see(test("state"), "saving")
	v.within("/")
	b.letGo()
	w.see(test("ticket-card"), "6 3/4 × 5")
}
