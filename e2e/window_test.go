package e2e

import (
	"cmp"
	"fmt"
	"slices"
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
	w := &window{Page: page.Timeout(4 * time.Minute).WithPanic(func(v any) { t.Fatal(v) }), t: t, program: p}
	t.Cleanup(func() { _ = page.Timeout(patience / 4).Close() })
	if err := w.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: width, Height: height, DeviceScaleFactor: 1}); err != nil {
		t.Fatal(err)
	}
	go w.EachEvent(func(e *proto.NetworkRequestWillBeSent) {
		w.mu.Lock()
		defer w.mu.Unlock()
		w.asked = append(w.asked, e.Request.URL)
		offersTaken.note(e.Request.PostData)
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
	// What slides and fades does so, thirty times as fast.
	_ = proto.AnimationEnable{}.Call(page)
	_ = proto.AnimationSetPlaybackRate{PlaybackRate: 30}.Call(page)
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

// said are the texts of the elements of a selector, as a person reads them.
const said = `(selector) => [...document.querySelectorAll(selector)].map((e) =>
	'selectedOptions' in e ? [...e.selectedOptions].map((o) => o.innerText).join() : 'value' in e && e.matches("input, textarea") ? e.value || e.placeholder : e.innerText ?? e.textContent)`

// texts of every element of a selector, with the typographic marks made plain.
func (w *window) texts(selector string) (list []string) {
	w.t.Helper()
	got, err := w.Eval(said, selector)
	if err != nil {
		return nil // the page is being left
	}
	for _, one := range got.Value.Arr() {
		list = append(list, plain(one.Str()))
	}
	return list
}

// text reads an element, with the typographic marks made plain.
func (w *window) text(selector string) string {
	w.t.Helper()
	w.await(selector)
	return w.texts(selector)[0]
}

func plain(s string) string {
	return strings.TrimSpace(strings.NewReplacer("⁄", "/", "\u00a0", " ", "−", "-").Replace(s))
}

// see waits until an element's text contains the words.
func (w *window) see(selector, words string) {
	w.t.Helper()
	w.reach(selector)
	w.waitFor(fmt.Sprintf("%s to say %q", selector, words), func() (string, bool) {
		list := w.texts(selector)
		if slices.ContainsFunc(list, func(s string) bool { return strings.Contains(s, words) }) {
			return "", true
		}
		// What is merely good to know waits behind a button.
		if strings.Contains(selector, "notes") {
			_, _ = w.Eval(`(more) => document.querySelector(more)?.click()`, test("more-notes")+"[aria-expanded=false]")
		}
		_, _ = w.Eval(rests, nothing, 250) // it may still come of what the page works on
		return cmp.Or(strings.Join(list, " | "), "nothing"), false
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
	w.await(test("drawer") + `[data-drawer="` + name + `"]:not(:has(> [aria-busy]))`)
}

// MustElement is an element, waited for as long as anything else is.
func (w *window) MustElement(selector string) *rod.Element {
	w.t.Helper()
	el, err := w.Timeout(patience).Element(selector)
	if err != nil {
		w.t.Fatalf("%s is not there: %v", selector, err)
	}
	return el.CancelTimeout()
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
	w.reach(inputOf(field))
	w.waitFor(field+" to be typed into", func() (string, bool) {
		typed, err := w.Eval(`(selector, text) => {
			const of = document.querySelector(selector)
			if (!of) return 'is not there'
			if (of.disabled || of.readOnly) return 'cannot be written in'
			of.scrollIntoView({ block: 'center', behavior: 'instant' })
			of.focus()
			of.select()
			const typed = text ? document.execCommand('insertText', false, text) : document.execCommand('delete')
			return typed || of.value === text ? '' : 'takes no text'
		}`, inputOf(field), text)
		if err != nil {
			return err.Error(), false
		}
		return typed.Value.Str(), typed.Value.Str() == ""
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
	w.reach(selector)
	w.press(selector, "")
}

// clickOn clicks the element that says the words (a regular expression).
func (w *window) clickOn(selector, words string) {
	w.t.Helper()
	w.press(selector, words)
}

// place is where an element is hit, brought to the middle first; or why it cannot be hit yet:
// a person would not have seen either what is still fading in or what lies under something else.
const place = `(selector, words) => {
	const plain = (s) => s.replaceAll('⁄', '/').replaceAll('\u00a0', ' ').replaceAll('−', '-')
	const of = [...document.querySelectorAll(selector)].find((e) => new RegExp(plain(words)).test(plain(e.innerText ?? e.textContent)))
	if (!of) return ['is not there']
	of.scrollIntoView({ block: 'center', behavior: 'instant' })
	if (document.getAnimations().some((a) => a.playState === 'running' && a.effect?.target?.contains(of))) return ['moves']
	if (of.disabled) return ['is disabled']
	const box = [...of.getClientRects()].find((r) => r.width > 0 && r.height > 0)
	if (!box) return ['is not drawn']
	const at = [box.left + box.width / 2, box.top + box.height / 2]
	const hit = document.elementFromPoint(...at)
	window.wasHit = false
	document.addEventListener('click', (e) => (window.wasHit = of.contains(e.target)), { capture: true, once: true })
	return hit && (of.contains(hit) || hit.contains(of)) ? at : ['lies under ' + (hit?.outerHTML.slice(0, 120) ?? 'nothing')]
}`

// press clicks an element with the mouse as soon as it can be hit.
func (w *window) press(selector, words string) {
	w.t.Helper()
	w.waitFor(selector+" "+words+" to be clicked", func() (string, bool) {
		found, err := w.Eval(place, selector, words)
		if err != nil {
			return err.Error(), false
		}
		at := found.Value.Arr()
		if len(at) != 2 {
			return at[0].Str(), false
		}
		err = w.Mouse.MoveTo(proto.NewPoint(at[0].Num(), at[1].Num()))
		if err == nil {
			err = w.Mouse.Click(proto.InputMouseButtonLeft, 1)
		}
		if err != nil {
			return err.Error(), false
		}
		// What moved away from under the hand, since an answer came just then, is clicked again.
		hit, err := w.Eval(`() => window.wasHit !== false`)
		return "it was missed", err != nil || hit.Value.Bool()
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
		is, err := w.Eval(comes, test("state")+"[data-state=saved]", 1000)
		if err != nil {
			return err.Error(), false
		}
		state, err := w.Eval(`(of) => document.querySelector(of)?.dataset.state ?? 'nothing'`, test("state"))
		if err != nil {
			return err.Error(), false
		}
		return state.Value.Str(), is.Value.Bool()
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
		if !strings.HasPrefix(url, w.program.URL+"/") && !strings.HasPrefix(url, "data:") && url != "about:blank" {
			w.t.Errorf("the page asked for %s", url)
		}
	}
	if len(w.asked) == 0 {
		w.t.Error("no request was seen, so nothing was proved")
	}
}
