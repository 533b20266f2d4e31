package e2e

import (
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// From the start of every station its drawers are at most three tabs away, and after Enter the focus is where the
// hand was: what was pressed may be drawn anew, or be gone.
func TestKeysLeadToTheDrawersAndStay(t *testing.T) {
	w := begin(t)
	focused := func() string {
		return w.MustEval(`() => { const a = document.activeElement; return a.tagName + ' ' + (a.closest('[data-test]')?.getAttribute('data-test') ?? '') }`).Str()
	}
	focus := func(sel string) {
		w.element(sel).MustEval(`() => { (this.matches('input, button, a') ? this : this.querySelector('input, button, a')).focus() }`)
	}
	enter := func() {
		w.Keyboard.MustType(input.Enter)
		w.saved()
	}
	at := w.openJob("Moon-watch invitation, brass and knot")
	for _, station := range []string{"card", "layers", "envelope", "mail", "paper", "bench"} {
		w.goToNow("/jobs/" + strings.Split(at, "/")[2] + "/" + station)
		w.await(test("skip"))
		tabs := 0
		for ; tabs < 4 && !strings.HasPrefix(focused(), "BUTTON drawer-"); tabs++ {
			w.Keyboard.MustType(input.Tab)
			if strings.HasSuffix(focused(), " skip") {
				w.Keyboard.MustType(input.Enter)
			}
		}
		if tabs > 3 || !strings.HasPrefix(focused(), "BUTTON drawer-") {
			t.Errorf("%s: after %d tabs the focus is at %s", station, tabs, focused())
		}
	}
	w.station("Moon-watch invitation, brass and knot", "layers")
	w.saved()
	focus(test("add-layer"))
	enter()
	if got := focused(); !strings.HasSuffix(got, " add-layer") {
		t.Errorf("after a layer was put on top by a key: %s", got)
	}
	focus(test("undo"))
	enter()
	if got := focused(); !strings.HasSuffix(got, " undo") {
		t.Errorf("after undo by a key: %s", got)
	}
	w.click(test("open-layer-1"))
	focus(test("remove-layer"))
	enter()
	w.waitFor("a focus after the layer was removed by a key", func() (string, bool) {
		got := focused()
		return got, !strings.HasPrefix(got, "BODY")
	})
	w.station("Moon-watch invitation, brass and knot", "mail/fixes")
	w.saved()
	focus("[data-test^=remedy-] button")
	enter()
	w.waitFor("a focus after a fix was taken by a key", func() (string, bool) {
		got := focused()
		return got, !strings.HasPrefix(got, "BODY")
	})
	w.quiet()
}
