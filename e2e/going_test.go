package e2e

import (
	"regexp"
	"strings"
	"testing"
	"time"
)

// How a window goes from page to page.

// goTo goes to a page: as a link does where the program is open in the window; the page that is open
// already is loaded anew. A hand takes longer to go there than what it typed before takes to be saved:
// where a slow machine is still at it, that is waited for.
func (w *window) goTo(path string) {
	w.t.Helper()
	for end := time.Now().Add(patience); time.Now().Before(end); time.Sleep(15 * time.Millisecond) {
		if saving, _, err := w.Has(test("state") + `[data-state=saving]`); err != nil || !saving {
			break
		}
	}
	at, err := w.Eval(`() => (document.querySelector('#app')?.childElementCount ? location.pathname : '')`)
	if err == nil && at.Value.Str() != "" && at.Value.Str() != path && strings.HasPrefix(w.MustInfo().URL, w.program.URL) {
		w.within(path)
	} else {
		w.goToNow(path)
	}
	w.there(nothing)
}

// goToNow loads a page, whatever is on its way.
func (w *window) goToNow(path string) {
	w.t.Helper()
	leaveFor(w, w.program.URL+path)
	if err := w.WaitLoad(); err != nil {
		w.t.Fatal(err)
	}
	w.MustEval(`() => document.fonts.ready.then(() => true)`)
}

// within goes to another page of the program that is open, as one of its links does: it is not
// loaded anew.
func (w *window) within(path string) {
	w.t.Helper()
	w.MustEval(`(path) => {
		if (path === location.pathname) return
		history.pushState({}, '', path)
		dispatchEvent(new PopStateEvent('popstate'))
	}`, path)
}

// station opens a station of a job, or one of its drawers.
func (w *window) station(job, name string) string {
	w.t.Helper()
	w.within("/")
	at := strings.TrimSuffix(w.openJob(job), "card")
	w.within(at + name)
	w.await(`.drawers[aria-label="Drawers of ` + strings.Split(name, "/")[0] + `"]`)
	w.see(test("headline"), "")
	return at
}

// openJob opens the job of that name from the list and returns its address.
func (w *window) openJob(name string) string {
	w.t.Helper()
	w.clickOn("[data-test=job] a", regexp.QuoteMeta(name))
	w.see("[data-test=headline]", "")
	return w.MustInfo().URL[len(w.program.URL):]
}

// begin starts the program with the demo data, and a window on it, beside other tests.
func begin(t *testing.T) *window {
	t.Helper()
	t.Parallel()
	return open(t, start(t, t.TempDir(), "127.0.0.1:0"), "/")
}

// rests waits until the page works on nothing any more, and says whether an element is
// there; at once where it is.
const rests = `(selector, patience) => new Promise((done) => {
	const root = document.documentElement
	const is = () => !!document.querySelector(selector)
	const look = () => {
		if (!is() && 'busy' in root.dataset) return
		watch.disconnect()
		clearTimeout(late)
		done(is())
	}
	const watch = new MutationObserver(look)
	const late = setTimeout(() => { watch.disconnect(); done(is()) }, patience)
	watch.observe(document, { subtree: true, childList: true, attributes: true })
	look()
})`

// comes waits until an element is there, whatever the page works on.
const comes = `(selector, patience) => new Promise((done) => {
	const look = () => {
		if (!document.querySelector(selector)) return
		watch.disconnect()
		clearTimeout(late)
		done(true)
	}
	const watch = new MutationObserver(look)
	const late = setTimeout(() => { watch.disconnect(); done(false) }, patience)
	watch.observe(document, { subtree: true, childList: true, attributes: true })
	look()
})`

// nothing is never there: what waits for it waits until the page rests.
const nothing = "nothing"

// there waits until an element is there or the page rests.
func (w *window) there(selector string) bool {
	for range 3 { // a page that is left meanwhile is asked again where it came to
		is, err := w.Eval(rests, selector, patience.Milliseconds())
		if err == nil {
			return is.Value.Bool()
		}
	}
	return false
}

// reach waits for an element as a maker does: as long as the page works. It fails nothing:
// what is not there is waited for by whoever needs it.
func (w *window) reach(selector string) { w.there(selector) }

// await waits for an element to be there.
func (w *window) await(selector string) {
	w.t.Helper()
	w.waitFor(selector+" to be there", func() (string, bool) { w.reach(selector); return "nothing", w.MustHas(selector) })
}
