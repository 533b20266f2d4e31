package e2e

import (
	"encoding/json"
	"fmt"
	"net/http"
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

// Every act of every drawer and page: testdata/acts.txt has a line for each, with where it stands and
// its name.
// GOLDEN=update writes it anew.
const actsFile = "testdata/acts.txt"

// actsShown marks what can be pressed in a place, and names it: by its test name or its words,
// without what a job or a number adds to them; of several of a name it is the first.
const actsShown = `(within) => {
	const seen = (e) => e.getClientRects().length > 0 && !e.closest('[inert], [aria-hidden=true], [aria-disabled=true], .skip') && !e.disabled
	const times = {}
	for (const e of document.querySelectorAll('[data-act]')) delete e.dataset.act
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

// places are where else something is pressed: pages, with what stands on them when they are there,
// and what is round the drawers of a job. Those that begin with no stroke are of a job.
var places = map[string][2]string{
	"/": {"header, main", test("job")}, "/shelf": {"main", test("add-sheets")}, "/rules": {"main", test("rules-title")}, "/backups": {"main", test("backups")},
	"/help": {"main", "h1"}, "/chart": {"main", test("pocket")}, "card": {"header, .says, .strip, .picture, .foot", test("headline")}, "layers": {".picture, .foot", test("headline")},
	"envelope": {".picture, .foot", test("headline")}, "mail": {".picture, .foot", test("headline")}, "paper": {".picture, .foot", test("headline")},
	"swatches": {"main, header", test("swatch")}, "gauge": {"main, header", test("gauge-text")}, "table": {"main", test("table-says")}, "true-size": {"main", test("true-card")},
	"history": {"main, header", test("ticket-of-state")},
}

// changes counts what changes on the page from now on. How what is pressed looks itself, and what
// it stands in, tells nothing: that changes by being pressed.
const changes = `(selector) => {
	const pressed = document.querySelector(selector)
	const looks = (m) => ['class', 'style'].includes(m.attributeName) && m.target.contains(pressed)
	window.changed = 0
	window.changing?.disconnect()
	window.changing = new MutationObserver((list) => (window.changed += list.filter((m) => m.attributeName !== 'data-busy' && !looks(m) && (m.target === pressed || !pressed.contains(m.target))).length))
	window.changing.observe(document, { subtree: true, childList: true, attributes: true, characterData: true })
	if (!window.counted) { // what the page does not show: a file it writes or asks for, a print, the screen kept awake
		window.counted = true
		const counting = (of, name) => {
			const does = of?.[name]
			if (does) of[name] = function (...a) { window.changed++; return does.apply(this, a) }
		}
		counting(HTMLInputElement.prototype, 'showPicker')
		counting(HTMLElement.prototype, 'click')
		counting(navigator.wakeLock, 'request')
		window.print = () => window.changed++
	}
	return pressed.matches('a[download], a[target=_blank]') ? pressed.getAttribute('href') : ''
}`

// Every act of every drawer and page is pressed once: each does something, and none leaves the page
// with a complaint.
func TestEveryActIsPressed(t *testing.T) {
	t.Parallel()
	var mu sync.Mutex
	var lines []string
	t.Run("stations", func(t *testing.T) {
		for _, station := range job.Stations() {
			for half := range slices.Chunk(station.Drawers, 3) {
				t.Run(station.ID+"/"+half[0].ID, func(t *testing.T) {
					t.Parallel()
					p := start(t, t.TempDir(), "127.0.0.1:0")
					w := open(t, p, "/")
					at := strings.TrimSuffix(w.openJob("Moon-watch invitation, brass and knot"), "card")
					for _, drawer := range half {
						where := station.ID + "/" + drawer.ID
						w.goTo(at + where)
						for _, act := range w.MustEval(actsShown, pressable).Arr() {
							mu.Lock()
							lines = append(lines, where+" | "+act.Str())
							mu.Unlock()
							pressOnce(w, at+where, test("headline"), pressable, act.Str())
						}
					}
				})
			}
		}
	})
	t.Run("pages", func(t *testing.T) {
		for place, of := range places {
			t.Run(place, func(t *testing.T) {
				t.Parallel()
				p := start(t, t.TempDir(), "127.0.0.1:0")
				w := open(t, p, "/")
				address := place
				if !strings.HasPrefix(place, "/") {
					address = strings.TrimSuffix(w.openJob("Moon-watch invitation, brass and knot"), "card") + place
				}
				_ = proto.PageSetInterceptFileChooserDialog{Enabled: true}.Call(w)
				w.goTo(address)
				w.see(of[1], "")
				within := ":is(" + of[0] + ") :is(button:not(.v-field *), a[href], label:has(> input[type=radio]), label:has(> input[type=checkbox]))"
				for _, act := range w.MustEval(actsShown, within).Arr() {
					mu.Lock()
					lines = append(lines, place+" | "+act.Str())
					mu.Unlock()
					pressOnce(w, address, of[1], within, act.Str())
				}
			})
		}
	})
	slices.Sort(lines)
	heldAgainst(t, actsFile, slices.Compact(lines))
}

// offersTaken are the paths of the plan's offers that any window of any test took.
var offersTaken = taken{paths: map[string]bool{}}

type taken struct {
	mu    sync.Mutex
	paths map[string]bool
}

// note reads the acts of what a page sends.
func (o *taken) note(sent string) {
	var asked struct{ Edits []struct{ Act, Path string } }
	if json.Unmarshal([]byte(sent), &asked) != nil {
		return
	}
	o.mu.Lock()
	defer o.mu.Unlock()
	for _, edit := range asked.Edits {
		o.paths[edit.Path] = true
	}
}

// missing are the offers that no window took.
func (o *taken) missing() []string {
	o.mu.Lock()
	defer o.mu.Unlock()
	return slices.DeleteFunc(plan.Offers(), func(path string) bool { return o.paths[path] })
}

// pressOnce presses an act of a place where its sign stands, and goes back to where it was.
func pressOnce(w *window, address, sign, within, act string) {
	w.t.Helper()
	w.see(sign, "")
	w.there(nothing)
	w.MustEval(actsShown, within)
	selector := fmt.Sprintf("[data-act=%q]", act)
	if !w.MustHas(selector) { // what was pressed before took it away
		w.goTo("/")
		w.goTo(address)
		w.see(sign, "")
		w.there(nothing)
		w.MustEval(actsShown, within)
		if !w.MustHas(selector) {
			return // it was chosen for good
		}
	}
	if w.MustHas(selector+":has(:checked)") || w.MustHas(selector+":is([aria-pressed=true], [aria-current])") || w.MustEval(`(s) => document.querySelector(s).href === location.href`, selector).Bool() {
		return // it is chosen already
	}
	file := w.MustEval(changes, selector).Str()
	w.press(selector, "")
	w.there(nothing)
	if file != "" {
		if res, err := w.program.Get(file); err != nil || res.StatusCode != http.StatusOK {
			w.t.Errorf("%s: %s gives no file: %v", address, act, err)
		} else {
			_ = res.Body.Close()
		}
	} else if n, err := w.Eval(`() => window.changed`); err == nil && n.Value.Int() == 0 {
		w.t.Errorf("%s: %s does nothing", address, act)
	}
	const over = ".v-overlay--active > .v-overlay__scrim, [role=dialog]"
	for tries := 0; w.MustHas(over); tries++ {
		if tries > 2 {
			w.goToNow(address) // it asks, and wants an answer
		} else {
			_ = w.Keyboard.Type(input.Escape)
		}
		w.there(nothing)
	}
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
	apart := func(lines, from []string, what string) {
		lines = slices.DeleteFunc(slices.Clone(lines), func(line string) bool { return slices.Contains(from, line) })
		for _, line := range lines[:min(len(lines), 6)] {
			t.Errorf("“%.600s” %s", line, what)
		}
		if len(lines) > 6 {
			t.Errorf("%d lines in all", len(lines))
		}
	}
	apart(now, was, "is not in "+file)
	apart(was, now, "stands in "+file+" alone")
}
