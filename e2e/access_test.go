package e2e

import (
	"os"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"

	"yellowparcel/core/job"
	"yellowparcel/internal/soak"
)

// What axe-core, which knows the rules of accessible pages, finds on the page that is open:
// nothing that is serious.
const axeRun = `async (only, within) => {
	const found = await axe.run(within.length ? within : document, { resultTypes: ['violations'], ...(only ? { runOnly: [only] } : {}) })
	return found.violations
		.filter((v) => v.impact === 'serious' || v.impact === 'critical')
		.map((v) => v.id + ': ' + v.help + ': ' + v.nodes.slice(0, 3).map((n) => n.html.slice(0, 160) + ' ' + (n.any[0]?.message ?? '')).join(' | '))
		.join('\n')
}`

// axe is what is seriously wrong with the page that is open, or with parts of it, by all
// rules or one.
func axe(w *window, only string, within ...string) string {
	w.t.Helper()
	axe, err := os.ReadFile("../ui/node_modules/axe-core/axe.min.js")
	if err != nil {
		w.t.Fatalf("axe-core is not there: make build brings it. %v", err)
	}
	if !w.MustEval(`() => 'axe' in window`).Bool() {
		if _, err := (proto.RuntimeEvaluate{Expression: string(axe) + ";true"}).Call(w); err != nil {
			w.t.Fatal(err)
		}
	}
	return w.MustEval(axeRun, only, append([]string{}, within...)).Str()
}

// inLight has the page by day or by lamp: by its button; a page without one is loaded anew. Sign
// tells that the page stands.
func inLight(w *window, want, sign string) {
	w.t.Helper()
	if !w.MustEval(`(want) => {
		const button = document.querySelector('[aria-label="Light or dark"]')
		if (!button) localStorage.setItem('yellow-parcel-light', want)
		else if (!document.querySelector('.v-theme--' + want)) button.click()
		return !!button
	}`, want).Bool() {
		w.goTo(w.MustInfo().URL[len(w.program.URL):])
		w.see(sign, "")
	}
	w.await(".v-application.v-theme--" + want)
	w.waitFor("the colours to settle", func() (string, bool) {
		return "they change", !w.MustEval(`() => document.getAnimations().some((a) => a.playState === 'running')`).Bool()
	})
}

// bothLights fails where axe finds something in the light that there is, or colours that cannot be
// read in the other, in which it leaves the page: nothing else differs there.
func bothLights(w *window, where, sign string, within ...string) {
	w.t.Helper()
	if got := axe(w, "", within...); got != "" {
		w.t.Errorf("%s: %s", where, got)
	}
	other := "lamp"
	if w.MustHas(".v-application.v-theme--lamp") {
		other = "day"
	}
	inLight(w, other, sign)
	if got := axe(w, "color-contrast", within...); got != "" {
		w.t.Errorf("%s by %s: %s", where, other, got)
	}
}

// Every page and every drawer of every station is accessible, and readable by day and by lamp: every
// second drawer in make test, all in make soak.
func TestNothingSeriousForAxe(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	anew := func(t *testing.T) *window {
		w := openIn(t, browser(t), p, "/", 1280, 800)
		w.MustEval(`() => localStorage.setItem('yellow-parcel-light', 'day')`)
		return w
	}
	for path, sign := range map[string]string{
		"/": test("job"), "/shelf": test("shelf-sheets-0"), "/rules": test("rules-title"), "/help": "h1", "/chart": test("pocket"), "/backups": test("backups"),
		"history": test("ticket-of-state"), "table": test("table-says"),
	} {
		t.Run(path, func(t *testing.T) {
			t.Parallel()
			w := anew(t)
			if !strings.HasPrefix(path, "/") {
				path = strings.TrimSuffix(w.openJob("Moon-watch invitation, brass and knot"), "card") + path
			}
			w.goTo(path)
			w.see(sign, "")
			bothLights(w, path, sign)
		})
	}
	for n, station := range job.Stations() {
		t.Run(station.ID, func(t *testing.T) {
			t.Parallel()
			w := anew(t)
			w.goTo(strings.TrimSuffix(w.openJob("Moon-watch invitation, brass and knot"), "card") + station.ID + "/" + station.Drawers[0].ID)
			w.see(test("headline"), "")
			for i, drawer := range station.Drawers {
				if (i+n)%2 == 1 && !soak.Long() {
					continue
				}
				w.drawer(drawer.ID)
				if where := station.ID + "/" + drawer.ID; i < 2 {
					bothLights(w, where, "")
				} else { // what is round them stays
					bothLights(w, where, "", ".picture", ".panel")
				}
			}
		})
	}
}

// stops are the places on a page where the Tab key stops, each by a mark of its own.
const stops = `() => {
	const seen = (e) => e.getClientRects().length > 0 && getComputedStyle(e).visibility !== 'hidden' && !e.closest('[inert], [aria-hidden=true]')
	const list = [...document.querySelectorAll('a[href], button, input, textarea, select, [tabindex]')].filter((e) => e.tabIndex >= 0 && !e.disabled && seen(e))
	const once = list.filter((e) => e.type !== 'radio' || e.checked || ![...document.getElementsByName(e.name)].some((r) => r.checked))
	once.forEach((e, i) => (e.dataset.stop = i))
	return once.length
}`

// watched notes from now on where the focus comes to: the marks, and what of it one does not see.
const watched = `() => {
	window.came = { marks: {}, unseen: [] }
	if (window.watching) return
	window.watching = true
	document.addEventListener('focusin', ({ target: e }) => {
		if (e.dataset.stop) came.marks[e.dataset.stop] = true
		requestAnimationFrame(() => {
			if (document.activeElement !== e) return
			const marked = [e, e.closest('.v-field'), e.closest('label'), e.nextElementSibling, e.parentElement, e.closest('.v-selection-control__wrapper')].some((x) => x && getComputedStyle(x).outlineStyle !== 'none' && getComputedStyle(x).outlineWidth !== '0px')
			const drawn = e.closest('svg') !== null || e.closest('.v-slider') !== null
			if (!marked && !drawn) came.unseen.push(e.outerHTML.slice(0, 140))
		})
	})
}`

// Every station is worked by keyboard alone: Tab comes to every control of every drawer, one
// sees where it is, and the drawers open by keys: a third of the stations in make test, all in make soak.
func TestEveryStationByKeyboard(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	for i, station := range job.Stations() {
		if i%3 != 1 && !soak.Long() {
			continue
		}
		t.Run(station.ID, func(t *testing.T) {
			t.Parallel()
			w := open(t, p, "/")
			w.goTo(strings.TrimSuffix(w.openJob("Lens fund thank-you, raised star"), "card") + station.ID + "/" + station.Drawers[0].ID)
			w.see(test("headline"), "")
			for i, drawer := range station.Drawers {
				if i > 0 { // the next one by its key
					w.MustElement(test("drawer-" + station.Drawers[i-1].ID)).MustFocus()
					w.Keyboard.MustType(input.ArrowRight)
					w.Keyboard.MustType(input.Enter)
				}
				w.await(test("drawer") + `[data-drawer="` + drawer.ID + `"]`)
				w.drawer(drawer.ID)
				w.MustEval(`() => { document.activeElement?.blur(); window.scrollTo(0, 0) }`)
				many := w.MustEval(stops).Int()
				w.MustEval(watched)
				came := func() int { return w.MustEval(`() => Object.keys(came.marks).length`).Int() }
				for tabs := 0; tabs < 2*many+8 && came() < many; { // what is opened on the way has stops of its own
					for range 6 {
						w.Keyboard.MustType(input.Tab)
						w.MustEval(`() => new Promise((done) => requestAnimationFrame(() => done(true)))`)
						tabs++
					}
				}
				for _, unseen := range w.MustEval(`() => came.unseen`).Arr() {
					t.Errorf("%s/%s: one does not see that the focus is on %s", station.ID, drawer.ID, unseen.Str())
				}
				if visited := came(); visited < many {
					missed := w.MustEval(`() => [...document.querySelectorAll('[data-stop]')].filter((e) => !(e.dataset.stop in came.marks)).map((e) => e.outerHTML.slice(0, 120)).join('\n')`).Str()
					t.Errorf("%s/%s: Tab comes to %d of %d: %s", station.ID, drawer.ID, visited, many, missed)
				}
				w.MustEval(`() => document.querySelectorAll('[data-stop]').forEach((e) => delete e.dataset.stop)`)
			}
			w.quiet()
		})
	}
}

// What is wrong in a field is announced, and a station starts at its top.
func TestErrorsAreAnnounced(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := openIn(t, browser(t), p, "/", 640, 400) // as at 200 %, where the page scrolls
	w.station("Meteor-night thanks, square", "card")
	w.drawer("base")
	w.fill("field-card.width", "0")
	w.waitFor("the error to be announced", func() (string, bool) {
		got := w.MustEval(`() => [...document.querySelectorAll('[role=alert], [aria-live=polite], [aria-live=assertive]')].map((e) => e.textContent).join('|')`).Str()
		return got, strings.Contains(got, "cannot be nothing")
	})
	w.fill("field-card.width", "5 3/8")
	w.MustEval(`() => window.scrollTo(0, 400)`)
	w.waitFor("the page to be scrolled", func() (string, bool) { return "at its top", w.MustEval(`() => scrollY`).Int() > 50 })
	w.click(test("ticket-mail"))
	w.see(test("headline"), "goes as")
	w.waitFor("the top of the station", func() (string, bool) { y := w.MustEval(`() => scrollY`).Int(); return "", y == 0 })
	w.quiet()
}
