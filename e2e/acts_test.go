package e2e

import (
	"encoding/json"
	"fmt"
	"os"
	"slices"
	"strings"
	"sync"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
)

// Every act of every drawer: testdata/acts.txt has a line for each, with its drawer and its name.
// GOLDEN=update writes it anew.
const actsFile = "testdata/acts.txt"

// actsShown marks what can be pressed in a place, and names it: by its test name or its words,
// without what a job or a number adds to them; of several of a name it is the first.
const actsShown = `(within) => {
	const seen = (e) => e.getClientRects().length > 0 && !e.closest('[inert], [aria-hidden=true], [aria-disabled=true], .skip') && !e.disabled
	const times = {}
	return [...document.querySelectorAll(within)].filter(seen).map((e) => {
		const test = e.dataset.test ?? e.querySelector('[data-test]')?.dataset.test ?? e.closest('[data-test]:not([data-test=drawer])')?.dataset.test + ' ' + (e.ariaLabel ?? e.innerText)
		const name = test.replace(/[0-9]+/g, '#').replace(/\s+/g, ' ').trim().slice(0, 60)
		times[name] = (times[name] ?? 0) + 1
		if (times[name] > 1) return ''
		e.dataset.act = name
		return name
	}).filter(Boolean)
}`

// pressable is what is pressed in a drawer; what is typed into or chosen from is TestEveryFieldIsTyped's.
const pressable = `.drawer button:not(.v-field *), .drawer a[href], .drawer label:has(> input[type=radio]), .drawer label:has(> input[type=checkbox])`

// changes counts what changes on the page from now on, beside what is pressed itself.
const changes = `(selector) => {
	const pressed = document.querySelector(selector)
	window.changed = 0
	window.changing?.disconnect()
	window.changing = new MutationObserver((list) => (window.changed += list.filter((m) => m.attributeName !== 'data-busy' && !pressed?.contains(m.target) && !m.target.contains(pressed)).length))
	window.changing.observe(document, { subtree: true, childList: true, attributes: true, characterData: true })
}`

// Every act of every drawer is pressed once: each does something, none leaves the page with a
// complaint, and what the plan offers is among them.
func TestEveryActIsPressed(t *testing.T) {
	t.Parallel()
	var mu sync.Mutex
	var lines []string
	sent := map[string]bool{} // the paths of what was taken
	t.Run("stations", func(t *testing.T) {
		for _, station := range job.Stations() {
			for _, drawer := range station.Drawers {
				where := station.ID + "/" + drawer.ID
				t.Run(where, func(t *testing.T) {
					t.Parallel()
					p := start(t, t.TempDir(), "127.0.0.1:0")
					w := open(t, p, "/")
					at := strings.TrimSuffix(w.openJob("Moon-watch invitation, brass and knot"), "card")
					go w.EachEvent(func(e *proto.NetworkRequestWillBeSent) {
						var asked struct{ Edits []struct{ Act, Path string } }
						_ = json.Unmarshal([]byte(e.Request.PostData), &asked)
						mu.Lock()
						defer mu.Unlock()
						for _, edit := range asked.Edits {
							sent[edit.Path] = true
						}
					})()
					w.goTo(at + where)
					for _, act := range w.MustEval(actsShown, pressable).Arr() {
						mu.Lock()
						lines = append(lines, where+" | "+act.Str())
						mu.Unlock()
						pressOnce(w, at+where, test("headline"), pressable, act.Str())
					}
				})
			}
		}
	})
	var pressed []string
	for _, offer := range plan.Offers() {
		if sent[offer] {
			pressed = append(pressed, offer)
		}
	}
	t.Logf("of %v these were pressed: %v", plan.Offers(), pressed)
	if len(pressed) < 5 {
		t.Error("these drawers offer too little to prove much")
	}
	slices.Sort(lines)
	heldAgainst(t, actsFile, slices.Compact(lines))
}

// pressOnce presses an act of a place where its sign stands, and goes back to where it was.
func pressOnce(w *window, address, sign, within, act string) {
	w.t.Helper()
	w.see(sign, "")
	w.there(nothing)
	w.MustEval(actsShown, within)
	selector := fmt.Sprintf("[data-act=%q]", act)
	if !w.MustHas(selector) {
		return // what was pressed before took it away, and undo brings it back elsewhere
	}
	if w.MustHas(selector + ":has(:checked)") {
		return // it is chosen already
	}
	w.MustEval(changes, selector)
	w.press(selector, "")
	w.there(nothing)
	if n, err := w.Eval(`() => window.changed`); err == nil && n.Value.Int() == 0 {
		w.t.Errorf("%s: %s does nothing", address, act)
	}
	_ = w.Keyboard.Type(input.Escape)
	if here := w.MustInfo().URL; !strings.HasSuffix(here, address) {
		w.goTo(address)
	}
	if w.MustHas(test("undo") + "[aria-disabled=false]") {
		w.click(test("undo"))
		w.there(nothing)
	}
	w.quietBut("status of 4")
}

// heldAgainst fails where lines differ from those of a file of testdata; GOLDEN=update writes it anew.
func heldAgainst(t *testing.T, file string, now []string) {
	t.Helper()
	if os.Getenv("GOLDEN") == "update" {
		if err := os.WriteFile(file, []byte(strings.Join(now, "\n")+"\n"), 0o600); err != nil {
			t.Fatal(err)
		}
	}
	raw, err := os.ReadFile(file)
	if err != nil {
		t.Fatal(err)
	}
	was := strings.Split(strings.TrimSpace(string(raw)), "\n")
	for _, line := range now {
		if !slices.Contains(was, line) {
			t.Errorf("“%s” is not in %s", line, file)
		}
	}
	for _, line := range was {
		if !slices.Contains(now, line) {
			t.Errorf("“%s” is not on the screen", line)
		}
	}
}
