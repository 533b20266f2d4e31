package e2e

import (
	"cmp"
	"fmt"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// window is one browser window on the program.
type window struct {
	*rod.Page
	t      *testing.T
	asked  []string // every address it asked for
	errors []string // what its console complained of
	// leftAsked is how often it asked whether to be left with something unsaved.
	leftAsked int
	mu        sync.Mutex
	program   *program
}

func open(t *testing.T, p *program, path string) *window {
	t.Helper()
	return openIn(t, browser(t), p, path, 1280, 800)
}

func openIn(t *testing.T, b *rod.Browser, p *program, path string, width, height int) *window {
	t.Helper()
	page, err := b.Page(proto.TargetCreateTarget{URL: "about:blank"})
	if err != nil {
		t.Fatal(err)
	}
	w := &window{Page: page.Timeout(10 * time.Minute).WithPanic(func(v any) { t.Fatal(v) }), t: t, program: p}
	t.Cleanup(func() { _ = page.Close() })
	if err := w.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: width, Height: height, DeviceScaleFactor: 1}); err != nil {
		t.Fatal(err)
	}
	go w.EachEvent(func(e *proto.NetworkRequestWillBeSent) {
		w.mu.Lock()
		defer w.mu.Unlock()
		w.asked = append(w.asked, e.Request.URL)
	}, func(e *proto.RuntimeExceptionThrown) {
		w.mu.Lock()
		defer w.mu.Unlock()
		w.errors = append(w.errors, e.ExceptionDetails.Text)
	}, func(e *proto.RuntimeConsoleAPICalled) { // what a library catches and complains of, too
		if e.Type != proto.RuntimeConsoleAPICalledTypeError && e.Type != proto.RuntimeConsoleAPICalledTypeWarning {
			return
		}
		var said []string
		for _, a := range e.Args {
			said = append(said, cmp.Or(a.Description, a.Value.String()))
		}
		w.mu.Lock()
		defer w.mu.Unlock()
		w.errors = append(w.errors, string(e.Type)+": "+strings.Join(said, " "))
	}, func(e *proto.PageJavascriptDialogOpening) { // a page with unsaved work asks: it is left all the same
		w.mu.Lock()
		w.leftAsked++
		w.mu.Unlock()
		_ = proto.PageHandleJavaScriptDialog{Accept: true}.Call(page)
	}, func(e *proto.LogEntryAdded) {
		w.mu.Lock()
		defer w.mu.Unlock()
		if e.Entry.Level == proto.LogLogEntryLevelError {
			w.errors = append(w.errors, e.Entry.Text)
		}
	})()
	_ = proto.LogEnable{}.Call(page)
	// A window behind another keeps painting, as on a desk with two of them.
	_ = proto.EmulationSetFocusEmulationEnabled{Enabled: true}.Call(page)
	w.goTo(path)
	return w
}

// leaveFor goes to another address, also where the page asks before it is left: that ends the first try.
func leaveFor(w *window, url string) {
	w.t.Helper()
	for range 3 {
		err := w.Navigate(url)
		if err == nil {
			return
		}
		if !strings.Contains(err.Error(), "ERR_ABORTED") {
			w.t.Fatal(err)
		}
	}
}

// asksBeforeUnload reports whether the browser would ask before the window is closed.
func asksBeforeUnload(w *window) bool {
	w.t.Helper()
	return w.MustEval(`() => !window.dispatchEvent(new Event('beforeunload', { cancelable: true }))`).Bool()
}

// test is the selector of an element by its test name.
func test(name string) string { return `[data-test="` + name + `"]` }

// text reads an element, with the typographic marks made plain.
func (w *window) text(selector string) string {
	w.t.Helper()
	w.reach(selector)
	el, err := w.Timeout(patience).Element(selector)
	if err != nil {
		w.t.Fatalf("%s is not on the page: %v", selector, err)
	}
	return plain(el.MustText())
}

func plain(s string) string {
	return strings.TrimSpace(strings.NewReplacer("⁄", "/", "\u00a0", " ", "−", "-").Replace(s))
}

// see waits until an element's text contains the words.
func (w *window) see(selector, words string) {
	w.t.Helper()
	w.reach(selector)
	w.waitFor(fmt.Sprintf("%s to say %q", selector, words), func() (string, bool) {
		list, err := w.Elements(selector)
		if err != nil || len(list) == 0 {
			return "nothing", false
		}
		all := ""
		for _, el := range list {
			text, err := el.Text()
			if err != nil {
				return "nothing", false
			}
			if strings.Contains(plain(text), words) {
				return text, true
			}
			all += text + " | "
		}
		// What is merely good to know waits behind a button.
		if strings.Contains(selector, "notes") {
			if more, err := w.Elements(test("more-notes") + "[aria-expanded=false]"); err == nil && len(more) > 0 {
				_ = more[0].Click(proto.InputMouseButtonLeft, 1)
			}
		}
		return all, false
	})
}

// waitFor asks again until it is so, for as long as patience lasts.
func (w *window) waitFor(what string, so func() (string, bool)) {
	w.t.Helper()
	last := ""
	for end := time.Now().Add(patience); time.Now().Before(end); {
		var ok bool
		if last, ok = so(); ok {
			return
		}
		time.Sleep(15 * time.Millisecond)
	}
	w.t.Fatalf("waited for %s; last seen: %s", what, last)
}

// inputOf is the selector of what is typed into in a field of that name.
func inputOf(field string) string {
	return fmt.Sprintf(`:is(input, textarea)%[1]s, %[1]s input, %[1]s textarea`, test(field))
}

// drawer opens a drawer of the station that is open.
func (w *window) drawer(name string) {
	w.t.Helper()
	w.click(test("drawer-" + name))
	open := test("drawer") + `[data-drawer="` + name + `"]`
	w.see(open, "")
	w.waitFor("what lies in "+name, func() (string, bool) { return "it is looked into", !w.MustHas(open + " > [aria-busy]") })
}

// soon is how long something may take to be there before it is looked for elsewhere.
const soon = 400 * time.Millisecond

// reach looks for an element as a maker does: where it is not in sight, in the drawers of
// the station, one after the other, each looked into as long as it is empty. It fails
// nothing: what is not there is waited for by whoever needs it.
func (w *window) reach(selector string) {
	w.t.Helper()
	there := func() bool {
		has, _, err := w.Has(selector)
		return err == nil && has
	}
	// ready is a station that stands; elsewhere there is nothing to wait for.
	ready := func() bool {
		ok, err := w.Eval(`() => !/^.jobs.[^/]+.[^/]+/.test(location.pathname) || !!document.querySelector('.drawers [role=tab], [data-test=missing]')`)
		return err == nil && ok.Value.Bool()
	}
	// shown is a drawer that is open and looked into: a slow machine still shows the one before.
	shown := func(id string) bool {
		open := test("drawer") + `[data-drawer="` + id + `"]`
		is, _, err := w.Has(open)
		busy, _, bad := w.Has(open + " > [aria-busy]")
		return err == nil && bad == nil && is && !busy
	}
	within := func(least time.Duration, so func() bool) bool {
		for from := time.Now(); time.Since(from) < patience; time.Sleep(15 * time.Millisecond) {
			if there() {
				return true
			}
			if time.Since(from) > least && so() {
				return there() // it may have come since it was asked for
			}
		}
		return false
	}
	if within(soon, ready) {
		return
	}
	tabs, err := w.Eval(`() => [...document.querySelectorAll('.drawers [role=tab]')].map((e) => e.dataset.test)`)
	if err != nil {
		return
	}
	for _, tab := range tabs.Value.Arr() {
		// Not by the mouse: a drawer is looked into here, not clicked on. See drawer for that.
		_, _ = w.Eval(`(tab) => document.querySelector('[data-test="' + tab + '"]')?.click()`, tab.Str())
		if within(soon/2, func() bool { return shown(strings.TrimPrefix(tab.Str(), "drawer-")) }) {
			return
		}
	}
}

// await waits for an element where it is: what it comes of would be gone with its drawer.
func (w *window) await(selector string) {
	w.t.Helper()
	w.waitFor(selector+" to be there", func() (string, bool) { return "nothing", w.MustHas(selector) })
}

// field is what is typed into in a field of that name.
func (w *window) field(name string) *rod.Element {
	w.t.Helper()
	w.reach(inputOf(name))
	return w.MustElement(inputOf(name))
}

// element is an element, looked for in the drawers too.
func (w *window) element(selector string) *rod.Element {
	w.t.Helper()
	w.reach(selector)
	return w.MustElement(selector)
}

// checks opens every class and every check that passes.
func (w *window) checks() {
	w.t.Helper()
	w.reach(test("passing"))
	w.MustEval(`async () => {
		for (const what of ['.class > .name', '[data-test=passing]']) {
			for (const b of document.querySelectorAll(what + '[aria-expanded=false]')) b.click()
			await new Promise((done) => requestAnimationFrame(() => setTimeout(done)))
		}
	}`)
}

// fill types a text into a field in place of what stands there, in one go: between what
// is marked and what is typed over it, an answer may set the field anew.
func (w *window) fill(field, text string) {
	w.t.Helper()
	w.waitFor(field+" to be typed into", func() (string, bool) {
		w.reach(inputOf(field))
		el, err := w.Timeout(patience / 4).Element(inputOf(field)) // a window behind another is slow to paint
		if err == nil {
			err = el.WaitWritable()
		}
		if err == nil {
			_, err = el.Eval(`(text) => {
				this.scrollIntoView({ block: 'center', behavior: 'instant' })
				this.focus()
				this.select()
				const typed = text ? document.execCommand('insertText', false, text) : document.execCommand('delete')
				if (!typed && this.value !== text) throw new Error('it takes no text')
			}`, text)
		}
		if err != nil {
			return err.Error(), false
		}
		return "", true
	})
}

// value is what stands in a field.
func (w *window) value(field string) string {
	w.t.Helper()
	return plain(w.field(field).MustProperty("value").Str())
}

// click clicks an element, brought to the middle first, clear of the ticket.
func (w *window) click(selector string) {
	w.t.Helper()
	w.press(selector, func() (*rod.Element, error) {
		w.reach(selector)
		return w.Timeout(patience / 4).Element(selector)
	})
}

// clickOn clicks the element that says the words (a regular expression).
func (w *window) clickOn(selector, words string) {
	w.t.Helper()
	w.press(selector+" "+words, func() (*rod.Element, error) { return w.Timeout(patience/4).ElementR(selector, words) })
}

// moves says whether an element, or what it stands in, is still on its way.
const moves = `() => document.getAnimations().some((a) => a.playState === 'running' && a.effect?.target?.contains(this))`

// press clicks what find gives as soon as it can be clicked. Something that is
// still fading in, or is drawn anew at this moment, is looked for again: a
// person would not have seen it yet.
func (w *window) press(what string, find func() (*rod.Element, error)) {
	w.t.Helper()
	w.waitFor(what+" to be clicked", func() (string, bool) {
		el, err := find()
		if err == nil {
			_, err = el.Eval(`() => this.scrollIntoView({ block: 'center', behavior: 'instant' })`)
		}
		if err == nil {
			// What still moves is waited for: a person would, too.
			if moving, bad := el.Eval(moves); bad == nil && moving.Value.Bool() {
				return "it moves", false
			}
			err = el.Click(proto.InputMouseButtonLeft, 1)
		}
		if err != nil {
			return err.Error(), false
		}
		return "", true
	})
}

// slide sets a slider to a value, or as near as the pixels let it.
func (w *window) slide(slider string, to float64) {
	w.t.Helper()
	w.reach(test(slider))
	at := w.MustElement(test(slider)+" .v-slider__container").MustEval(`(to) => {
		const r = this.getBoundingClientRect()
		const of = (name) => Number(this.querySelector('[role=slider]').getAttribute('aria-value' + name))
		return [r.left + 1 + (r.width - 2) * (to - of('min')) / (of('max') - of('min')), r.top + r.height / 2]
	}`, to).Arr()
	w.Mouse.MustMoveTo(at[0].Num(), at[1].Num()).MustClick(proto.InputMouseButtonLeft)
	if most := w.MustElement(test(slider) + " [role=slider]").MustAttribute("aria-valuemax"); fmt.Sprint(to) == *most {
		w.Keyboard.MustType(input.End)
	}
}

// pick clicks one of a row of choices; what moved away from under the hand, since an answer
// came just then, is clicked again.
func (w *window) pick(choice string) {
	w.t.Helper()
	w.waitFor(choice+" to be picked", func() (string, bool) {
		w.click("label:has(" + test(choice) + ")")
		picked, err := w.Eval(`(of) => [...document.querySelectorAll(of)].every((e) => e.type !== 'radio' || e.checked)`, test(choice))
		return "it is not", err == nil && picked.Value.Bool()
	})
}

// saved waits until the page says that all is stored.
func (w *window) saved() {
	w.t.Helper()
	w.waitFor("the job to be saved", func() (string, bool) {
		s, err := w.MustElement(test("state")).Attribute("data-state")
		if err != nil || s == nil {
			return "nothing", false
		}
		return *s, *s == "saved"
	})
}

// quiet fails the test when the page complained or asked another host.
func (w *window) quiet() {
	w.t.Helper()
	w.mu.Lock()
	defer w.mu.Unlock()
	for _, e := range w.errors {
		w.t.Errorf("the page complained: %s", e)
	}
	for _, url := range w.asked {
		if !strings.HasPrefix(url, w.program.url+"/") && !strings.HasPrefix(url, "data:") && url != "about:blank" {
			w.t.Errorf("the page asked for %s", url)
		}
	}
	if len(w.asked) == 0 {
		w.t.Error("no request was seen, so nothing was proved")
	}
}
